const FRACTION = /(\d)\/(\d)/g;
/** A hyphen that stands for a minus: before a figure and after nothing that it could join. */
const MINUS = /(^|[\s(])-(?=\d)/g;

/** A figure as it stands in a field, its fraction set as one; a hyphen that was typed stays one. */
export const fieldFigure = (text: string): string => text.replace(FRACTION, '$1\u2044$2');

/**
 * A text with its figures set in type: the fraction slash lets the face shape `5/16` as one sign, a minus is a minus.
 */
export const withFractions = (text: string): string => fieldFigure(text).replace(MINUS, '$1−');
