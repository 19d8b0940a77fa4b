const NOUGHT: readonly number[] = (() => {
  // Filled with a fraction first, so that the engine keeps plain doubles.
  const row = Array.from({ length: 4096 }, () => 0.5);
  return row.fill(0);
})();

/**
 * A row of noughts. Many short rows are made for every curve: plain arrays of doubles cost far less than typed ones.
 */
export const zeros = (count: number): number[] => NOUGHT.slice(0, count);
