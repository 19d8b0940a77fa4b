const FRACTION = /(\d)\/(\d)/g;
/** A hyphen that stands for a minus: before a figure and after nothing that it could join. */
const MINUS = /(^|[\s(])-(?=\d)/g;

/** A text with its figures set in type: the fraction slash lets the face shape `5/16` as one sign, a minus is a minus. */
export const withFractions = (text: string): string => text.replace(FRACTION, '$1\u2044$2').replace(MINUS, '$1−');
