/** A call that was answered: its figures, and what came of them. */
interface Answered<Result> {
  readonly figures: readonly number[];
  readonly result: Result;
}

const same = (a: readonly number[], b: readonly number[]): boolean => {
  if (a.length !== b.length) return false;
  for (let i = 0; i < a.length; i++) if (!Object.is(a[i], b[i])) return false;
  return true;
};

/**
 * The figures that were laid down of something, with what was left of it: nothing, or it does not compile. What an
 * answer depends on is so never forgotten.
 */
export function laidDown(figures: readonly number[], ...rests: readonly Readonly<Record<string, never>>[]): number[] {
  return figures.concat(...rests.map((rest) => Object.values<number>(rest)));
}

/**
 * A function that gives its last answers again without working them out anew: while one figure of a draft is moved by
 * hand, most of its lines are asked for exactly as before. `figuresOf` lays down all that the answer depends on as
 * numbers (NaN for what is left open); the last `most` answers are kept. The function must be pure, and its answers are
 * never changed.
 */
export function remember<Asked extends readonly unknown[], Result>(
  of: (...asked: Asked) => Result,
  figuresOf: (...asked: Asked) => readonly number[],
  most: number,
): (...asked: Asked) => Result {
  const kept: Answered<Result>[] = [];
  let oldest = 0;
  return (...asked) => {
    const figures = figuresOf(...asked);
    const known = kept.find((a) => same(a.figures, figures));
    if (known) return known.result;
    const result = of(...asked);
    kept[oldest] = { figures, result };
    oldest = (oldest + 1) % most;
    return result;
  };
}
