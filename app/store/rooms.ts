/** A workroom: one's own, or the demo kept apart from it. Each has a database of its own. */
export type RoomId = 'own' | 'demo';

/** The room named in an address; anything else is one's own. */
export const roomOf = (name: string | undefined): RoomId => (name === 'demo' ? 'demo' : 'own');

/** What a room is called. */
export const ROOM_LABELS: Record<RoomId, string> = { own: 'My workroom', demo: 'Demo workroom' };
