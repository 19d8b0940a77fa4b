import type { Assembly } from './assembly.js';
import type { Cloth, Course } from './solver.js';

/** Two legs that differ, each one half of the body with x outward: their particles in the middle are the same cloth. */
export type PairOfLegs = readonly [left: Cloth, right: Cloth];

/** So far beyond the middle of the body cloth may reach where the other leg's draws it there, in metres. */
const BEYOND = 0.01;
/** It does so above the crotch and this far below it, in metres: further down there is the other leg. */
const BELOW_CROTCH = 0.03;

/** The particles of the two legs that are sewn to one another, each pair once. */
export function sewnTogether(left: Assembly, right: Assembly): (readonly [number, number])[] {
  const pairs = new Map<number, number>();
  left.meshes.forEach(({ outline }, m) => {
    for (const { id, role } of outline.part.edges) {
      if (role !== 'rise') continue;
      const [own, others] = [outline.edges.get(id) ?? [], right.meshes[m]?.outline.edges.get(id) ?? []];
      if (own.length !== others.length)
        throw new Error(`The two legs have ${id} in ${own.length} and ${others.length} places`);
      own.forEach((i, k) => {
        pairs.set(left.particles[m]?.[i] as number, right.particles[m]?.[others[k] as number] as number);
      });
    }
  });
  return [...pairs];
}

/**
 * Does so many steps of both legs at once: each by itself, then what is sewn together is brought to the middle of where
 * the two would have it (a seam of two equal masses). `crotch` is how high the body's crotch lies, in metres.
 */
export function runBoth(
  [left, right]: PairOfLegs,
  sewn: readonly (readonly [number, number])[],
  steps: number,
  course: Course,
  crotch: number,
): void {
  for (let i = 0; i < steps; i++) {
    left.move(course);
    right.move(course);
    for (const { at } of [left, right])
      for (let k = 0; k < at.length; k += 3) {
        const least = (at[k + 1] as number) > crotch - BELOW_CROTCH ? -BEYOND : 0;
        if ((at[k] as number) < least) at[k] = least;
      }
    for (const [p, q] of sewn) {
      const [a, b] = [3 * p, 3 * q];
      const x = ((left.at[a] as number) - (right.at[b] as number)) / 2;
      left.at[a] = x;
      right.at[b] = -x;
      for (const d of [1, 2]) {
        const middle = ((left.at[a + d] as number) + (right.at[b + d] as number)) / 2;
        left.at[a + d] = middle;
        right.at[b + d] = middle;
      }
    }
    left.rest();
    right.rest();
  }
}
