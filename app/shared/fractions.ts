const FRACTION = /(\d)\/(\d)/g;

/** A text with its fractions set as fractions: the fraction slash lets the face shape `5/16` as one sign. */
export const withFractions = (text: string): string => text.replace(FRACTION, '$1\u2044$2');
