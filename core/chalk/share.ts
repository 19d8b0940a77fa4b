/** A figure that is chalked as part of a girth. */
export interface Term {
  /** As it is drawn, from the line it is measured from, in mm. */
  readonly exact: number;
  /** What a millimetre more of it does to the sum. */
  readonly weight: number;
}

/** The mark next to a figure, and those further off, nearest first; in whole steps, then in halves. */
function marksNear(exact: number, step: number): number[] {
  const below = Math.floor(exact / step) * step;
  const near = (a: number, b: number): number => Math.abs(a - exact) - Math.abs(b - exact);
  return [...[below, below + step].sort(near), ...[below - step / 2, below + step / 2, below + 1.5 * step].sort(near)];
}

/** By how much a weighed sum is off once its figures are chalked, in mm. */
const errorOf = (terms: readonly Term[], chalked: readonly number[], already: number): number =>
  terms.reduce((sum, { exact, weight }, i) => sum + weight * ((chalked[i] ?? exact) - exact), already);

/** How far a change of figures moves them, as it is weighed: half a step is harder to chalk than a whole one. */
const HALF_COSTS = 0.25;
/** No figure is moved further than this share of a step: with half a step the other way it stays within one. */
const FURTHEST = 0.86;

/**
 * Figures rounded to the marks of a tape so that their weighed sum is off by at most `limit`, in mm: each to its nearest
 * mark, then as few as can be to the next one, or to half a step, where the sum asks for it (docs/trade/chalk.md). Where
 * no two changes bring it within, the nearest that was found. `already` is what it is off by for another reason.
 */
export function shareOut(terms: readonly Term[], step: number, limit: number, already = 0): readonly number[] {
  const near = terms.map(({ exact }) => marksNear(exact, step));
  const nearest = near.map((marks) => marks[0] ?? 0);
  if (Math.abs(errorOf(terms, nearest, already)) <= limit) return nearest;
  let best = { cost: Infinity, chalked: nearest, error: Math.abs(errorOf(terms, nearest, already)) };
  const take = (chalked: readonly number[]): void => {
    const error = Math.abs(errorOf(terms, chalked, already));
    const moved = chalked.map((mm, i) => Math.abs(mm - (terms[i]?.exact ?? mm)) / step);
    if (moved.some((m) => m > FURTHEST)) return;
    const halves = chalked.filter((mm) => Math.abs(mm / step - Math.round(mm / step)) > 0.25).length;
    const cost = moved.reduce((sum, m) => sum + m * m, 0) + HALF_COSTS * halves;
    const within = error <= limit;
    if (within ? best.error > limit || cost < best.cost : error < best.error)
      best = { cost, chalked: [...chalked], error };
  };
  const withMark = (chalked: readonly number[], i: number, mm: number): number[] =>
    chalked.map((old, j) => (i === j ? mm : old));
  for (const [i, marks] of near.entries()) {
    for (const mm of marks.slice(1)) {
      const once = withMark(nearest, i, mm);
      take(once);
      for (let j = i + 1; j < near.length; j++) {
        for (const other of near[j]?.slice(1) ?? []) take(withMark(once, j, other));
      }
    }
  }
  return best.chalked;
}
