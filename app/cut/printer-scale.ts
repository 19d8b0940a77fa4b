/** The test square that is measured, in mm. */
export const SQUARE = 100;
/** A square further off than this, in mm, was printed to fit the page or read in the wrong unit. */
export const MOST_OFF = 15;
/** A square this near to its size, in mm, is true. */
const TRUE_WITHIN = 0.25;

/**
 * What to do about a test square of 100 mm that came out `measured` mm long: nothing, or at which per cent to print. What
 * it cannot be is told with the way out.
 */
export function scaleTold(measured: number): string {
  if (Math.abs(measured - SQUARE) > MOST_OFF)
    return `Test square: ${measured} mm is too far from 100. Was the print made to fit the page? Print it at 100 % and measure again.`;
  if (Math.abs(measured - SQUARE) <= TRUE_WITHIN) return 'This printer prints true: print at 100 %.';
  return `On this printer print at ${((100 * SQUARE) / measured).toFixed(1)} %, and measure the square once more.`;
}
