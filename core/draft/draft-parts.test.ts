import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { computeDraft, EMPTY_INPUT, type DraftInput } from '../chain/index.js';
import { curvatureAt, directionAt, distance, flatten, nearestPlace, pathLength, point } from '../geometry/index.js';
import type { Block } from './index.js';
import { legOf, upperInseam } from './leg.js';
import { refuseLevels } from './panel-setting.js';
import { planWaist, type WaistLimits } from './waist-plan.js';

const LIMITS: WaistLimits = {
  mostTaper: 35,
  narrowestDart: 6,
  widestDart: 30,
  mostCentreIn: 10,
  mostDarts: 3,
  mostLean: 40,
};

const measured = { waist: 780, hip: 1000, crotchDepth: 272, inseam: 780 };

function block(more: Partial<DraftInput> = {}): Block {
  const outcome = computeDraft({ ...EMPTY_INPUT, measured, ...more });
  if (!outcome.ok) throw new Error(outcome.refusals[0]?.reason ?? 'refused');
  return outcome.value.block;
}

describe('the waist plan', () => {
  it('takes the sheet’s dart while the side tapers by 0 to 3.5 cm', () => {
    expect(planWaist(46, 1, 25.4, LIMITS)).toMatchObject({ dartCount: 1, dartIntake: 25.4, centreIn: 0, told: [] });
    expect(planWaist(25.4, 1, 25.4, LIMITS).told).toEqual([]);
    expect(planWaist(25.4 + 35, 1, 25.4, LIMITS).told).toEqual([]);
  });
  it('narrows it with too little surplus, and under 6 mm leaves it out', () => {
    expect(planWaist(20, 1, 25.4, LIMITS)).toMatchObject({ dartCount: 1, dartIntake: 20, told: ['narrowed'] });
    expect(planWaist(6, 1, 25.4, LIMITS)).toMatchObject({ dartCount: 1, dartIntake: 6 });
    expect(planWaist(5.9, 1, 25.4, LIMITS)).toMatchObject({ dartCount: 0, told: ['dropped'] });
    expect(planWaist(-30, 1, 25.4, LIMITS)).toMatchObject({ dartCount: 0, centreIn: 0 });
    expect(planWaist(10, 2, 20, LIMITS)).toMatchObject({ dartCount: 1, dartIntake: 10 });
  });
  it('widens it to 3 cm, takes a second, then up to 1 cm at the centre, and says so', () => {
    expect(planWaist(62, 1, 25.4, LIMITS)).toMatchObject({ dartCount: 1, dartIntake: 27, told: ['widened'] });
    expect(planWaist(70, 1, 25.4, LIMITS)).toMatchObject({ dartCount: 2, dartIntake: 17.5, told: ['second dart'] });
    expect(planWaist(100, 1, 25.4, LIMITS)).toMatchObject({ dartCount: 2, dartIntake: 30, centreIn: 5 });
    expect(planWaist(120, 1, 25.4, LIMITS)).toMatchObject({
      centreIn: 10,
      told: ['second dart', 'centre in', 'side steep'],
    });
    expect(planWaist(50, 0, 0, LIMITS)).toMatchObject({ dartCount: 1, dartIntake: 15 });
    expect(planWaist(39, 0, 0, LIMITS)).toMatchObject({ dartCount: 0, told: [] });
  });
  it('parts with it by the other schools: half at side and centre, or all at the centre', () => {
    expect(planWaist(60, 1, 25.4, LIMITS, 'shared')).toMatchObject({ dartCount: 0, centreIn: 30, told: ['centre in'] });
    expect(planWaist(30, 1, 25.4, LIMITS, 'centre')).toMatchObject({ dartCount: 0, centreIn: 30, told: ['centre in'] });
    expect(planWaist(60, 1, 25.4, LIMITS, 'centre').told).toEqual(['centre in', 'side steep']);
    expect(planWaist(-10, 1, 25.4, LIMITS, 'shared')).toMatchObject({ dartCount: 0, centreIn: 0, told: [] });
    expect(planWaist(90, 2, 12, LIMITS, 'off')).toMatchObject({ dartCount: 2, dartIntake: 12, centreIn: 0 });
  });
  it('has no darts for a child or a pull-on', () => {
    const none = { ...LIMITS, mostDarts: 0 };
    expect(planWaist(60, 1, 25.4, none)).toMatchObject({ dartCount: 0, dartIntake: 0, centreIn: 0 });
    expect(planWaist(-20, 0, 0, none)).toMatchObject({ dartCount: 0, told: [] });
  });
  it('leaves a taper within its limits wherever darts and centre can', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 104, noNaN: true }), fc.integer({ min: 1, max: 2 }), (surplus, count) => {
        const plan = planWaist(surplus, count, 25.4, LIMITS);
        const taper = surplus - plan.dartCount * plan.dartIntake - plan.centreIn;
        expect(taper).toBeGreaterThan(-1e-9);
        expect(taper).toBeLessThan(LIMITS.mostTaper + 1e-6);
        expect(plan.dartCount === 0 || plan.dartIntake >= 6).toBe(true);
      }),
    );
  });
});

describe('darts', () => {
  it('have their intake at the seam and stand where they are put', () => {
    const drawn = block();
    for (const panel of [drawn.front, drawn.back]) {
      expect(panel.darts[0]?.intake).toBeCloseTo(25.4, 2);
    }
    const [front] = drawn.front.darts;
    expect(Math.abs((front?.apex.x ?? 0) - drawn.front.crease)).toBeLessThan(12);
    const { centreWaist, sideWaist } = drawn.back.points;
    const [back] = drawn.back.darts;
    const middle = back
      ? point((back.centreLeg.x + back.sideLeg.x) / 2, (back.centreLeg.y + back.sideLeg.y) / 2)
      : point(0, 0);
    expect(Math.abs(distance(centreWaist, middle) - distance(sideWaist, middle))).toBeLessThan(3);
  });

  it('stand half the apex span from the centre, or at a distance given by hand', () => {
    const from = (b: Block): number => {
      const { centreWaist } = b.back.points;
      const [dart] = b.back.darts;
      return dart
        ? distance(centreWaist, point((dart.centreLeg.x + dart.sideLeg.x) / 2, (dart.centreLeg.y + dart.sideLeg.y) / 2))
        : NaN;
    };
    const span = block({ measured: { ...measured, apexSpan: 180 }, set: { 'back.dartAt': 'apexSpan' } });
    expect(from(span)).toBeCloseTo(90, 0);
    expect(from(block({ set: { 'back.dartAt': 70 } }))).toBeCloseTo(70, 0);
  });

  it('share the waist where there are two, each with its own legs', () => {
    const { back } = block({ set: { 'back.dartCount': 2, 'back.dartIntake': 18 } });
    expect(back.darts).toHaveLength(2);
    expect(back.waistSections).toHaveLength(3);
    for (const dart of back.darts) expect(dart.intake).toBeCloseTo(18, 1);
    expect(pathLength(back.closedWaist)).toBeCloseTo(back.parameters.waistWidth, 3);
  });

  it('folded toward the centre, meet the waist line with their tip', () => {
    for (const panel of [block().front, block().back]) {
      for (const [i, dart] of panel.darts.entries()) {
        const section = panel.waistSections[i];
        if (!section) continue;
        // Fold over the centre leg: the tip's mirror image must lie on the waist toward the centre.
        const along = { x: dart.centreLeg.x - dart.apex.x, y: dart.centreLeg.y - dart.apex.y };
        const length = Math.hypot(along.x, along.y);
        const u = { x: along.x / length, y: along.y / length };
        const v = { x: dart.peak.x - dart.apex.x, y: dart.peak.y - dart.apex.y };
        const t = v.x * u.x + v.y * u.y;
        const folded = point(2 * (dart.apex.x + u.x * t) - dart.peak.x, 2 * (dart.apex.y + u.y * t) - dart.peak.y);
        expect(nearestPlace(section, folded).distance).toBeLessThan(0.6);
      }
    }
  });
});

describe('the inseam', () => {
  const parameters = block().back.parameters;
  const levels = block().levels;
  it('bows inward by what is asked for and runs into the leg without a corner', () => {
    const leg = legOf(parameters, levels, 6);
    const start = point(parameters.hipWidth + parameters.extension, levels.crotchLevel);
    fc.assert(
      fc.property(fc.double({ min: 5, max: 25, noNaN: true }), (hollow) => {
        const path = upperInseam(start, leg, hollow);
        const [curve] = path;
        if (!curve) return;
        const chord = Math.hypot(curve.p3.x - start.x, curve.p3.y - start.y);
        const off = flatten(path, 0.01).map(
          (p) => ((curve.p3.x - start.x) * (p.y - start.y) - (curve.p3.y - start.y) * (p.x - start.x)) / chord,
        );
        expect(Math.max(...off)).toBeCloseTo(hollow, 0);
        const end = directionAt(curve, 1);
        expect(end.x / end.y).toBeCloseTo(
          (leg.inseamHem.x - leg.inseamKnee.x) / (leg.inseamHem.y - leg.inseamKnee.y),
          9,
        );
      }),
    );
  });
});

describe('the side', () => {
  it('is convex from waist to hip and runs in from the crotch line to the knee', () => {
    for (const panel of [block().front, block().back]) {
      const [upper] = panel.edges.side;
      if (!upper) continue;
      for (let i = 0; i <= 20; i++) expect(curvatureAt(upper, i / 20)).toBeLessThan(1e-6);
      const xs = flatten(panel.edges.side.slice(2, 3), 0.1).map((p) => p.x);
      for (const [i, x] of xs.slice(1).entries()) expect(x).toBeGreaterThan((xs[i] ?? 0) - 1.5);
    }
  });

  it('goes in with the hip where keeping the hip width moves it inward, so that no lump is left below', () => {
    const { back } = block();
    expect(back.points.sideHip.x).toBeGreaterThan(2);
    expect(back.points.sideCrotch.x).toBeCloseTo(back.points.sideHip.x, 9);
    const inset = block({ set: { 'back.sideInset': 8 } }).back;
    expect(inset.points.sideCrotch.x - inset.points.sideHip.x).toBeCloseTo(8, 9);
    const out = block({
      set: { 'back.sideOut': 10 },
      rules: { hipKept: false, trueSeams: true, waistPlan: 'darts' },
    }).back;
    expect(out.points.sideHip.x).toBeCloseTo(-10, 9);
  });
});

describe('levels', () => {
  const levels = block().levels;
  it.each([
    [{ hipLevel: 20 }, 'hipLevel'],
    [{ crotchLevel: 200 }, 'crotchLevel'],
    [{ kneeLevel: 280 }, 'kneeLevel'],
    [{ hemLevel: 300 }, 'hemLevel'],
  ])('out of order are refused by name: %j', (change, field) => {
    expect(refuseLevels({ ...levels, ...change }, () => false)?.field).toBe(field);
  });
  it('name the one that a hand has set, and pass where they are in order', () => {
    expect(refuseLevels({ ...levels, hipLevel: 290 }, (n) => n === 'hipLevel')?.field).toBe('hipLevel');
    expect(refuseLevels(levels, () => false)).toBeUndefined();
  });
});

describe('drafting again', () => {
  it('gives the same front while only the back changes, and another when the front does', () => {
    const first = block({ set: { 'back.extension': 120 } });
    const second = block({ set: { 'back.extension': 125 } });
    expect(second.front).toBe(first.front);
    expect(second.back).not.toBe(first.back);
    expect(block({ set: { 'front.extension': 70 } }).front).not.toBe(first.front);
    expect(block({ rules: { hipKept: false, trueSeams: true, waistPlan: 'darts' } }).front).not.toBe(first.front);
  });
});
