import { describe, expect, it } from 'vitest';
import { BODIES, wornBy } from '../../bench/worn.js';
import { sewnTogether } from './both-legs.js';
import {
  CLOTH_MATTER,
  drapeOf,
  feltGrid,
  FIT_FIGURE_IDS,
  FIT_FIGURES,
  fitFigures,
  hungLeg,
  hungOf,
  meshParts,
  sewUp,
  STAGES,
  type ClothMatter,
  type Stage,
} from './index.js';

const [first] = BODIES;
if (!first) throw new Error('a body');
const { body, drafts } = wornBy(first, 'close');
const grid = feltGrid(body);
const calico = CLOTH_MATTER[0] as ClothMatter;
// The course of the coarse stage, coarser still and shorter: what is held against one another is hung alike.
const COARSE: readonly Stage[] = STAGES.slice(0, 1).map(({ courses }) => ({
  spacing: 34,
  courses: courses.map((course) => ({ ...course, steps: course.steps / 2 })),
}));

describe('two legs that differ', () => {
  it('have as many places along the rise, however long it is on either', () => {
    const [left, right] = [drafts.good, drafts.backRiseShort];
    const [one, other] = [sewUp(left, meshParts(left, 26, right)), sewUp(right, meshParts(right, 26, left))];
    const pairs = sewnTogether(one, other);
    expect(pairs.length).toBe(one.onMiddle.reduce((sum, on) => sum + on, 0));
    expect(new Set(pairs.map(([p]) => p)).size).toBe(pairs.length);
    expect(new Set(pairs.map(([, q]) => q)).size).toBe(pairs.length);
    const alone = sewUp(right, meshParts(right, 26));
    expect(() => sewnTogether(sewUp(left, meshParts(left, 13)), alone)).toThrow('The two legs have');
  });

  it('hang as one that is mirrored does where they are alike', () => {
    const mirrored = fitFigures(drapeOf({ garment: drafts.good }, body, calico, grid, COARSE), body, grid);
    const both = drapeOf({ garment: drafts.good, rightLeg: drafts.good }, body, calico, grid, COARSE);
    if (!both.rightLeg) throw new Error('a right leg');
    const [left, right] = [fitFigures(both, body, grid), fitFigures(both.rightLeg, body, grid)];
    for (const id of FIT_FIGURE_IDS) {
      expect([id, Math.abs(left[id] - right[id]) < 1e-6]).toEqual([id, true]);
      expect([id, Math.abs(left[id] - mirrored[id]) <= FIT_FIGURES[id].noise]).toEqual([id, true]);
    }
  });

  it('are sewn together in the middle, each with its own figures: the tight one shows it', () => {
    const both = drapeOf({ garment: drafts.good, rightLeg: drafts.thighTight }, body, calico, grid, COARSE);
    const { rightLeg } = both;
    if (!rightLeg) throw new Error('a right leg');
    for (const [p, q] of sewnTogether(both.assembly, rightLeg.assembly)) {
      expect(both.at[3 * p]).toBeCloseTo(-(rightLeg.at[3 * q] ?? NaN), 9);
      expect(both.at[3 * p + 1]).toBeCloseTo(rightLeg.at[3 * q + 1] ?? NaN, 9);
      expect(both.at[3 * p + 2]).toBeCloseTo(rightLeg.at[3 * q + 2] ?? NaN, 9);
      // The middle is drawn a little to the tight leg, and no further.
      expect(Math.abs(both.at[3 * p] ?? NaN)).toBeLessThan(0.0101);
    }
    const hung = hungOf(both, body, grid);
    const [left, right] = [hungLeg(hung, 'left').figures, hungLeg(hung, 'right').figures];
    expect(right.thighAcross - left.thighAcross).toBeGreaterThan(5 * FIT_FIGURES.thighAcross.noise);
    expect(hungLeg({ ...left, parts: hung.parts, figures: left }, 'right').figures).toBe(left);
  });
});
