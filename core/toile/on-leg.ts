/** On which leg something was seen or pinned. */
export type OnLeg = 'both' | 'left' | 'right';
