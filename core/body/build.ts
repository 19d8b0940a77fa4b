import type { Assumed } from './assumed.js';
import { between, LEG_LEVELS, type BodyFigures, type LegLevel } from './figures.js';
import type { Form } from './form.js';
import { monotoneThrough, type Run } from './monotone.js';

/** Half the width of an oval of a girth whose depth is a share of its width. */
const halfOf = (girth: number, deep: number): number => girth / (2 * Math.PI * Math.sqrt((1 + deep * deep) / 2));

/** How deep a leg is for its width, and how much of that lies before the plumb line. */
const LEG = {
  thigh: { deep: 1.04, before: 0.49 },
  midThigh: { deep: 1.05, before: 0.52 },
  knee: { deep: 1.04, before: 0.52 },
  calf: { deep: 1.06, before: 0.38 },
  ankle: { deep: 1.3, before: 0.44 },
} as const satisfies Readonly<Record<LegLevel, { deep: number; before: number }>>;

/** A thigh keeps to this share of the hip's half width, and the legs part by so much at the crotch, in mm. */
const WITHIN_HIP = 1.02;
const GAP = 7;
/** Within the trunk a leg reaches to these shares of its half width and of its depth: at the hip, and where it begins. */
const WITHIN = { hip: { side: 1, deep: 0.96 }, top: { side: 0.86, deep: 0.7 } } as const;
/** Behind, the seat is still so full this far up from the crotch to the hip: under it, it rounds off into the fold. */
const SEAT = { up: 0.5, full: 0.92 } as const;
/** Where a leg's middle runs at the floor, as a share of where it runs at the crotch. */
const NARROWS = 0.62;
/** How much of the depth at the waist and the high hip lies before the plumb line. */
const BEFORE = { waist: 0.52, highHip: 0.49 } as const;
/** The ribs above the waist: how much wider, and how high above it, in mm. */
const RIBS = { wider: 1.04, above: 160 } as const;
const POWER = { trunk: 2.25, leg: 2.05 } as const;
/** The hollow before as a share of that behind, and from how far above the hip it begins, as a share of its depth. */
const HOLLOW = { front: 0.33, above: 0.45 } as const;

/** What is sought until the tapes read what was measured: the scale of each level, and the bottom of the trunk in mm. */
export interface Sought {
  trunk: Record<'waist' | 'highHip' | 'hip', number>;
  leg: Record<LegLevel, number>;
  bottom: number;
}

/** The depth, as a share of its width, of an oval of a girth that is `half` wide from its middle. */
function deepFor(girth: number, half: number): number {
  const square = 2 * (girth / (2 * Math.PI * half)) ** 2 - 1;
  return Math.sqrt(Math.max(0.5, square));
}

/** The form of a body with what is assumed of it, at the scales that are tried. */
export function formOf({ girths, heights, hipDepth }: BodyFigures, assumed: Assumed, sought: Sought): Form {
  const trunk = (['hip', ...(girths.highHip === undefined ? [] : (['highHip'] as const)), 'waist'] as const).map(
    (level) => {
      const girth = girths[level] ?? 0;
      const deep =
        level === 'hip'
          ? assumed.hipDeep
          : level === 'waist'
            ? assumed.waistDeep
            : (assumed.hipDeep + assumed.waistDeep) / 2;
      const before = level === 'hip' ? 1 - assumed.seatShare : BEFORE[level];
      const half = halfOf(girth, deep) * sought.trunk[level];
      return { y: heights[level], half, front: 2 * half * deep * before, back: 2 * half * deep * (1 - before) };
    },
  );
  const ribs = trunk[trunk.length - 1] as (typeof trunk)[number];
  trunk.push({
    y: heights.waist + RIBS.above,
    half: ribs.half * RIBS.wider,
    front: ribs.front * RIBS.wider,
    back: ribs.back * RIBS.wider,
  });
  const run = (key: 'half' | 'front' | 'back'): Run => monotoneThrough(trunk.map((t) => [t.y, t[key]]));
  const hipHalf = trunk[0]?.half ?? 0;
  const legs = LEG_LEVELS.map((level) => {
    const { deep: usual, before } = LEG[level];
    const room = (WITHIN_HIP * hipHalf - GAP) / 2;
    const round = halfOf(girths[level], usual);
    // A thigh that would stand out beyond the hip is deeper than it is wide, as a pressed one is.
    const deep = level === 'thigh' && round > room ? between(deepFor(girths[level], room), usual, 1.6) : usual;
    const half = halfOf(girths[level], deep) * sought.leg[level];
    return {
      y: level === 'thigh' ? heights.crotch : heights[level],
      half,
      front: 2 * half * deep * before,
      back: 2 * half * deep * (1 - before),
    };
  }).reverse();
  // Up into the trunk a leg narrows, so that it stands out nowhere.
  const legTop = (heights.hip + heights.waist) / 2;
  for (const [y, side, deep] of [
    [heights.hip, WITHIN.hip.side, WITHIN.hip.deep],
    [legTop, WITHIN.top.side, WITHIN.top.deep],
  ] as const) {
    legs.push({
      y,
      half: (side * run('half')(y) - GAP) / 2,
      front: deep * run('front')(y),
      back: deep * run('back')(y),
    });
  }
  const seat = {
    y: heights.crotch + SEAT.up * (heights.hip - heights.crotch),
    back: SEAT.full * run('back')(heights.hip),
  };
  const along = (key: 'half' | 'front' | 'back'): Run =>
    monotoneThrough(
      [...legs.map((l) => [l.y, l[key]] as const), ...(key === 'back' ? [[seat.y, seat.back] as const] : [])].sort(
        (a, b) => a[0] - b[0],
      ),
    );
  const half = along('half');
  const top = GAP + half(heights.crotch);
  const foot = Math.max(NARROWS * top, 1.25 * half(0));
  const middles = [0, heights.ankle, heights.calf, heights.knee, heights.midThigh, heights.crotch].map(
    (y): readonly [number, number] => {
      const down = between((heights.crotch - y) / heights.crotch, 0, 1);
      return [y, Math.max(top + (foot - top) * Math.sqrt(down), half(y) + GAP)];
    },
  );
  for (const y of [heights.hip, legTop]) middles.push([y, GAP + half(y)]);
  return {
    trunk: {
      half: run('half'),
      front: run('front'),
      back: run('back'),
      hollow: { front: HOLLOW.front * assumed.hollow * girths.hip, back: assumed.hollow * girths.hip },
      hollowFrom: heights.hip + HOLLOW.above * hipDepth,
      power: POWER.trunk,
      closesFrom: heights.hip,
      bottom: sought.bottom,
      under: assumed.under,
    },
    leg: {
      middle: monotoneThrough(middles),
      half,
      front: along('front'),
      back: along('back'),
      power: POWER.leg,
      top: legTop,
    },
  };
}
