import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { computeDraft, EMPTY_INPUT, type DraftInput } from '../chain/index.js';
import {
  cross,
  curvatureAt,
  directionAt,
  distance,
  flatten,
  nearestPlace,
  pathLength,
  point,
  type Cubic,
} from '../geometry/index.js';
import { parametersOf, type Block, type Panel } from './index.js';
import { inseamSeam, legOf } from './leg.js';
import { refuseLevels } from './panel-setting.js';
import { planWaist, withinLean, withoutDarts, type PlanLimits, type PlanPanel } from './waist-plan.js';

const LIMITS: PlanLimits = {
  mostTaper: 35,
  leanTaper: 36,
  narrowestDart: 6,
  widestDart: 30,
  mostCentreIn: 10,
  mostDarts: 3,
  waistHeld: false,
};

const panel = (surplus: number, more: Partial<PlanPanel> = {}): PlanPanel => ({
  surplus,
  dartCount: 1,
  dartIntake: 25,
  dartsHeld: false,
  centreHeld: false,
  mostLean: 40,
  ...more,
});

/** Darts, side and centre of each panel, and what stays in the waist. */
const placed = (front: PlanPanel, back: PlanPanel, limits: Partial<PlanLimits> = {}) => {
  const plan = planWaist(front, back, { ...LIMITS, ...limits });
  const of = (side: 'front' | 'back', given: PlanPanel) => {
    const { dartCount, dartIntake, centreIn, waistMore } = plan[side];
    const taper = given.surplus - dartCount * dartIntake - centreIn - waistMore;
    return { dartCount, dartIntake, centreIn, taper, waistMore };
  };
  return { front: of('front', front), back: of('back', back), left: plan.left };
};

const measured = { waist: 780, hip: 1000, crotchDepth: 272, inseam: 780 };

function block(more: Partial<DraftInput> = {}): Block {
  const outcome = computeDraft({ ...EMPTY_INPUT, measured, ...more });
  if (!outcome.ok) throw new Error(JSON.stringify(outcome.refusals));
  return outcome.value.block;
}

describe('the waist plan', () => {
  it('takes the darts of both sheets and lets the sides taper alike with what is left', () => {
    // 45 + 55 surplus, 50 in darts: 25 at each side.
    expect(placed(panel(50), panel(50))).toMatchObject({
      front: { dartCount: 1, dartIntake: 25, centreIn: 0, taper: 25 },
      back: { dartCount: 1, dartIntake: 25, centreIn: 0, taper: 25 },
    });
  });

  it('with too little surplus drops the front dart first and the back dart last', () => {
    const little = placed(panel(14), panel(16));
    expect([little.front.dartCount, little.back.dartCount]).toEqual([0, 1]);
    expect(little.back.dartIntake).toBeCloseTo(25, 9);
    const less = placed(panel(2), panel(3));
    expect([less.front.dartCount, less.back.dartCount]).toEqual([0, 0]);
  });

  it('never has more dart in front than behind, and none where a maker has ruled it out', () => {
    expect(placed(panel(60), panel(60, { dartIntake: 10 })).front.dartIntake).toBeLessThanOrEqual(
      placed(panel(60), panel(60, { dartIntake: 10 })).back.dartIntake + 1e-9,
    );
    const ruledOut = placed(panel(40, { dartCount: 0 }), panel(60, { dartCount: 0 }));
    expect([ruledOut.front.dartCount, ruledOut.back.dartCount]).toEqual([0, 0]);
    const child = placed(panel(40), panel(60), { mostDarts: 0 });
    expect([child.front.dartCount, child.back.dartCount]).toEqual([0, 0]);
  });

  it('with much surplus widens the back dart, takes a second behind, then the sides, then the centre', () => {
    const wider = placed(panel(52), panel(53));
    expect(wider.back).toMatchObject({ dartCount: 1, dartIntake: 30 });
    const second = placed(panel(60), panel(66));
    expect(second.front.dartIntake).toBe(25);
    expect(second.back).toMatchObject({ dartCount: 2 });
    const large = placed(panel(80), panel(90));
    expect(large.front.taper).toBeGreaterThan(25);
    const huge = placed(panel(110), panel(110));
    expect(huge.back.centreIn).toBe(10);
    expect(huge.left).toBeGreaterThan(0);
    expect(huge.front.taper).toBeLessThanOrEqual(36);
  });

  it('moves waist width between the panels by up to 25 mm so that the sides are a pair', () => {
    const moved = placed(panel(70), panel(30));
    expect(Math.abs(moved.front.taper - moved.back.taper)).toBeLessThanOrEqual(2 + 1e-9);
    expect(moved.front.waistMore + moved.back.waistMore).toBeCloseTo(0, 9);
    expect(placed(panel(70), panel(30), { waistHeld: true }).front.waistMore).toBe(0);
    // Further apart than that, the side that tapers less gives up its dart.
    const apart = placed(panel(80, { dartCount: 0 }), panel(20));
    expect(Math.abs(apart.front.waistMore)).toBeCloseTo(25, 9);
    expect(apart.back.dartIntake).toBeLessThan(25);
  });

  it('leans the centre front out for a waist larger than the hip, then both sides alike, then the back', () => {
    expect(placed(panel(-20), panel(-10)).front.centreIn).toBe(-30);
    const big = placed(panel(-40), panel(-20));
    expect(big.front.centreIn).toBe(-40);
    expect(big.front.taper).toBeGreaterThanOrEqual(-15 - 1e-9);
    expect(Math.abs(big.front.taper - big.back.taper)).toBeLessThanOrEqual(2 + 1e-9);
    expect(placed(panel(-60), panel(-50)).back.centreIn).toBeLessThan(0);
    for (const side of ['front', 'back'] as const) expect(placed(panel(-60), panel(-50))[side].dartCount).toBe(0);
  });

  it('leaves darts and a centre that a hand has set', () => {
    const held = placed(panel(60, { dartsHeld: true, dartIntake: 12 }), panel(60, { centreHeld: true }));
    expect(held.front).toMatchObject({ dartCount: 1, dartIntake: 12 });
    expect(held.back.centreIn).toBe(0);
  });

  it('places all of any surplus: darts, sides, centres and what stays in the waist make it up', () => {
    const mm = fc.double({ min: -60, max: 130, noNaN: true });
    const count = fc.integer({ min: 0, max: 1 });
    fc.assert(
      fc.property(mm, mm, count, count, (f, b, nf, nb) => {
        const { front, back, left } = placed(panel(f, { dartCount: nf }), panel(b, { dartCount: nb }));
        const darts = front.dartCount * front.dartIntake + back.dartCount * back.dartIntake;
        const made = darts + front.centreIn + back.centreIn + front.taper + back.taper + left;
        expect(made).toBeCloseTo(f + b, 6);
        expect(front.dartCount * front.dartIntake).toBeLessThanOrEqual(back.dartCount * back.dartIntake + 1e-6);
        expect(front.dartCount).toBeLessThanOrEqual(nf);
        for (const { dartCount, dartIntake } of [front, back]) {
          expect(dartCount === 0 || (dartIntake >= 6 - 1e-9 && dartIntake <= 30 + 1e-9)).toBe(true);
        }
      }),
    );
  });

  it('by the schools without darts takes a share of the surplus to the centre, as far as it may lean', () => {
    expect(withoutDarts(panel(60), 0.5)).toMatchObject({ dartCount: 0, centreIn: 30 });
    expect(withoutDarts(panel(60), 1).centreIn).toBe(40);
    expect(withoutDarts(panel(-10), 0.5).centreIn).toBe(0);
  });

  it('lets the other panel take what a side of the makers’ own cannot lean by, and keeps the rest in the waist', () => {
    const plain = (surplus: number) => panel(surplus, { dartCount: 0 });
    const [front, back] = withinLean([plain(45), plain(15)], [36, 36]);
    expect([front.waistMore, back.waistMore]).toEqual([9, -9]);
    const [ahead, behind] = withinLean([plain(60), plain(30)], [36, 36]);
    expect([ahead.waistMore, behind.waistMore]).toEqual([24, -6]);
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
    expect(pathLength(back.closedWaist)).toBeCloseTo(
      (parametersOf(back)?.waistWidth ?? NaN) + back.settled.waistMore,
      2,
    );
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
  const { source, levels, points } = block().back;
  if (source.from !== 'sheet') throw new Error('drawn from no sheet');
  const { parameters } = source;
  it('bows inward by about what is asked for, deepest above the lower third, and runs straight through the hem corner', () => {
    const leg = legOf(parameters, levels, 6, points.crotchPoint.x, undefined);
    const start = point(points.crotchPoint.x, levels.crotchLevel);
    const end = { knee: leg.inseamKnee, hem: leg.inseamHem, kneeOnPiece: true };
    fc.assert(
      fc.property(fc.double({ min: 5, max: 14, noNaN: true }), (hollow) => {
        const seam = inseamSeam({ crotchPoint: start, end, hollow, thigh: undefined });
        if (!seam) throw new Error('no inseam');
        const { knee, hem } = end;
        const chord = distance(start, knee);
        const bow = flatten(seam.upper, 0.01).map((p) => ({
          off: ((knee.x - start.x) * (p.y - start.y) - (knee.y - start.y) * (p.x - start.x)) / chord,
          down: (p.y - start.y) / (knee.y - start.y),
        }));
        const deepest = bow.reduce((most, p) => (p.off > most.off ? p : most));
        expect(Math.abs(deepest.off - hollow)).toBeLessThan(1.5);
        expect(deepest.down).toBeLessThan(0.68);
        const last = seam.lower[seam.lower.length - 1];
        const before = seam.lower[seam.lower.length - 2];
        if (!last || !before) throw new Error('no lower leg');
        expect(last.p3).toEqual(hem);
        expect(cross(directionAt(before, 1), directionAt(last, 0))).toBeCloseTo(0, 6);
      }),
    );
  });

  it('of a short leg leaves the crotch point as the full leg does, and ends in its hem corner', () => {
    const full = block();
    for (const insideLength of [25, 100, 300]) {
      const short = block({ settings: { insideLength } });
      for (const name of ['front', 'back'] as const) {
        const [a, b] = [full[name], short[name]];
        expect(pathLength(b.edges.rise)).toBeCloseTo(pathLength(a.edges.rise), 6);
        const leaving = (p: Panel) => directionAt(p.edges.inseam[p.edges.inseam.length - 1] as Cubic, 1);
        expect(distance(leaving(a), leaving(b))).toBeLessThan(1e-6);
        // The back's hem is laid so that both seams are sewn to the front's.
        if (name === 'front') expect(b.points.inseamHem.y).toBeCloseTo(272 + insideLength, 9);
        else {
          expect(pathLength(short.front.edges.inseam) - pathLength(b.edges.inseam)).toBeCloseTo(3, 1);
          expect(pathLength(short.front.edges.side)).toBeCloseTo(pathLength(b.edges.side), 1);
        }
      }
    }
  });
});

describe('the side', () => {
  it('turns one way from waist to hip, is plumb and fullest there, and lies no more than a millimetre outside below', () => {
    for (const { edges, points, joints, levels } of [block().front, block().back]) {
      const upper = edges.side.slice(0, joints.sideHip);
      for (const c of upper) for (let i = 0; i <= 10; i++) expect(curvatureAt(c, i / 10)).toBeLessThan(1e-6);
      const down = directionAt(upper[upper.length - 1] as Cubic, 1);
      expect(Math.abs(Math.atan2(down.x, down.y))).toBeLessThan((2 * Math.PI) / 180);
      const quarter = levels.crotchLevel + (levels.kneeLevel - levels.crotchLevel) / 4;
      const { sideHip: a, sideKnee: b } = points;
      for (const p of flatten(edges.side.slice(joints.sideHip, joints.sideKnee), 0.1)) {
        if (p.y < quarter) continue;
        const off = p.x - a.x - ((b.x - a.x) * (p.y - a.y)) / (b.y - a.y);
        expect(off).toBeGreaterThan(-1);
        expect(off).toBeLessThan(8);
      }
    }
  });

  it('keeps an inset that a hand has set as far as a fair seam can, and goes out as a whole', () => {
    const inset = block({ set: { 'back.sideInset': 8 } }).back;
    const kept = inset.points.sideCrotch.x - inset.points.sideHip.x;
    expect(kept).toBeGreaterThan(0.6 * 8);
    expect(kept).toBeLessThan(9);
    const out = block({
      set: { 'back.sideOut': 10 },
      rules: { hipKept: false, trueSeams: true, waistPlan: 'method' },
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
    [{ hemLevel: 270 }, 'hemLevel'],
  ])('out of order are refused by name: %j', (change, field) => {
    expect(refuseLevels({ ...levels, ...change }, () => false)?.field).toBe(field);
  });
  it('name the one that a hand has set, and pass where they are in order', () => {
    expect(refuseLevels({ ...levels, hipLevel: 290 }, (n) => n === 'hipLevel')?.field).toBe('hipLevel');
    expect(refuseLevels(levels, () => false)).toBeUndefined();
  });
});

describe('drafting again', () => {
  it('gives the same lines for the same figures, whatever was drawn between', () => {
    const first = block();
    block({ measured: { ...measured, hip: 1180 } });
    expect(block().front.edges).toEqual(first.front.edges);
    expect(block().back.edges).toEqual(first.back.edges);
  });
});
