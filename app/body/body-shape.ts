import type { Measured } from '../../core/measure/index.js';
import { completeBody, figuresOf, type Adopted, type Figure, type MeasurementId } from '../../core/measure/index.js';

/** A place on the drawn body, mm: x from its middle, y down from the waist line. */
export type Place = readonly [x: number, y: number];

/** The body as it is drawn: levels, widths and outlines, all in mm. */
export interface BodyShape {
  readonly level: Readonly<
    Record<'ribs' | 'waist' | 'highHip' | 'hip' | 'crotch' | 'midThigh' | 'knee' | 'calf' | 'ankle' | 'floor', number>
  >;
  /** Half the width of trunk or leg seen from the front, and where the middle of a leg runs. */
  readonly half: (level: BodyLevel) => number;
  readonly legMiddle: (level: BodyLevel) => number;
  /** Front and back of the body seen from the side: front toward the left. */
  readonly profile: (level: BodyLevel) => readonly [front: number, back: number];
  readonly frontOutline: readonly Place[];
  readonly sideOutline: readonly Place[];
}

/** A level of the drawn body. */
export type BodyLevel = keyof BodyShape['level'];

/** How deep a girth is from front to back, as a share of its width. */
const DEPTH: Record<BodyLevel, number> = {
  ribs: 0.72,
  waist: 0.76,
  highHip: 0.74,
  hip: 0.72,
  crotch: 1.02,
  midThigh: 1.05,
  knee: 1.04,
  calf: 1.06,
  ankle: 1.3,
  floor: 1.3,
};

/** Width of an oval of the given girth whose depth is `depth` of its width. */
const widthOf = (girth: number, depth: number): number => girth / (Math.PI * Math.sqrt((1 + depth * depth) / 2));

/** A body from the middle of the range, in the place of what nobody has measured yet. */
const MIDDLE = { waist: 0.78, crotchDepth: 0.272, inseam: 0.78 } as const;

/** Figures to draw with: those in hand, the estimates, and a middle body in proportion for the rest. In mm. */
export function drawnFigures(values: Measured, figure: Figure, adopted: Adopted): Measured {
  const hip = values.hip ?? (values.waist === undefined ? 1000 : values.waist / MIDDLE.waist);
  const four = {
    waist: MIDDLE.waist * hip,
    hip,
    crotchDepth: MIDDLE.crotchDepth * Math.min(hip, 1150),
    inseam: values.outseam === undefined ? MIDDLE.inseam * Math.min(hip, 1060) : undefined,
  };
  const known = figuresOf(completeBody(values, figure, adopted));
  const given = Object.fromEntries(
    Object.entries({ ...four, ...known }).filter(([, mm]) => typeof mm === 'number' && Number.isFinite(mm)),
  ) as Measured;
  return figuresOf(completeBody(given, figure, adopted));
}

const clamp = (x: number, low: number, high: number): number => Math.min(high, Math.max(low, x));

/**
 * The drawn body of a set of figures: its levels and widths follow the numbers (docs/trade/measuring.md). Lengths in
 * mm.
 */
export function bodyShape(m: Measured): BodyShape {
  const of = (id: MeasurementId): number => m[id] ?? NaN;
  const crotch = of('crotchDepth');
  const floor = crotch + of('inseam');
  const hip = clamp(of('hipDepth'), 0.35 * crotch, 0.97 * crotch);
  const knee = clamp(of('kneeDepth'), crotch + 0.2 * of('inseam'), crotch + 0.75 * of('inseam'));
  const level = {
    ribs: -0.55 * crotch,
    waist: 0,
    highHip: 0.45 * hip,
    hip,
    crotch,
    midThigh: (crotch + knee) / 2,
    knee,
    calf: knee + 0.3 * (floor - knee),
    ankle: floor - 0.17 * (floor - knee),
    floor,
  };
  const girth: Record<BodyLevel, number> = {
    ribs: of('waist') * 1.1,
    waist: of('waist'),
    highHip: m.highHip ?? 0.5 * of('waist') + 0.5 * of('hip'),
    hip: of('hip'),
    crotch: of('thigh'),
    midThigh: m.midThigh ?? 0.55 * of('thigh') + 0.45 * of('knee'),
    knee: of('knee'),
    calf: of('calf'),
    ankle: of('ankle'),
    floor: of('ankle'),
  };
  const half = (at: BodyLevel): number => widthOf(girth[at], DEPTH[at]) / 2;
  const legAtCrotch = Math.max(half('hip') - half('crotch'), half('crotch') * 0.97);
  const legAtFloor = Math.max(0.62 * legAtCrotch, half('ankle') * 1.25);
  const legMiddle = (at: BodyLevel): number => {
    const down = clamp((level[at] - crotch) / (floor - crotch), 0, 1);
    return legAtCrotch + (legAtFloor - legAtCrotch) * Math.sqrt(down);
  };
  const deep = (at: BodyLevel): number => 2 * half(at) * DEPTH[at];
  /** How much of the depth lies before the plumb line: the seat lies behind it, the knee a little before. */
  const before: Record<BodyLevel, number> = {
    ribs: 0.52,
    waist: 0.52,
    highHip: 0.5,
    hip: 0.44,
    crotch: 0.52,
    midThigh: 0.53,
    knee: 0.52,
    calf: 0.38,
    ankle: 0.44,
    floor: 0.44,
  };
  const profile = (at: BodyLevel): readonly [number, number] => [-before[at] * deep(at), (1 - before[at]) * deep(at)];

  const trunk: BodyLevel[] = ['ribs', 'waist', 'highHip', 'hip'];
  const leg: BodyLevel[] = ['crotch', 'midThigh', 'knee', 'calf', 'ankle'];
  const foot = half('ankle');
  const outer: Place[] = [
    ...trunk.map((at): Place => [half(at), level[at]]),
    ...leg.map((at): Place => [legMiddle(at) + half(at), level[at]]),
    [legMiddle('floor') + foot * 1.15, floor],
  ];
  const inner: Place[] = [
    [legMiddle('floor') - foot * 0.85, floor],
    ...leg
      .slice(1)
      .reverse()
      .map((at): Place => [Math.max(4, legMiddle(at) - half(at)), level[at]]),
    [0, crotch],
  ];
  const right = [...outer, ...inner];
  const mirrored = [...right].reverse().map(([x, y]): Place => [-x, y]);
  const frontSide: BodyLevel[] = ['ribs', 'waist', 'highHip', 'hip', 'crotch', 'midThigh', 'knee', 'calf', 'ankle'];
  const toe = 2.1 * deep('ankle');
  // Behind, the seat rounds off below the crotch line and ends in the fold: at the crotch line it is nearly as full.
  const [, seat] = profile('hip');
  const [, thigh] = profile('crotch');
  const fold = crotch + 0.14 * (knee - crotch);
  const backSide: Place[] = [
    ...(['ribs', 'waist', 'highHip', 'hip'] as const).map((at): Place => [profile(at)[1], level[at]]),
    [thigh + 0.72 * (seat - thigh), crotch + 0.1 * (fold - crotch)],
    [thigh + 0.2 * Math.max(0, seat - thigh), fold],
    ...(['midThigh', 'knee', 'calf', 'ankle'] as const).map((at): Place => [profile(at)[1], level[at]]),
  ];
  const sideOutline: Place[] = [
    ...frontSide.map((at): Place => [profile(at)[0], level[at]]),
    [-toe, floor - 0.25 * deep('ankle')],
    [-toe, floor],
    [profile('ankle')[1], floor],
    ...backSide.reverse(),
  ];
  return { level, half, legMiddle, profile, frontOutline: [...right, ...mirrored.slice(1)], sideOutline };
}

/**
 * A smooth line through places as SVG path data: uniform Catmull-Rom, each piece a cubic. Corners stay where `sharp`.
 */
export function smoothLine(places: readonly Place[], sharp: (i: number) => boolean = () => false): string {
  const at = (i: number): Place => places[clamp(i, 0, places.length - 1)] ?? [0, 0];
  const [x0, y0] = at(0);
  const parts = [`M${x0.toFixed(1)} ${y0.toFixed(1)}`];
  for (let i = 0; i + 1 < places.length; i += 1) {
    const [p, a, b, n] = [sharp(i) ? at(i) : at(i - 1), at(i), at(i + 1), sharp(i + 1) ? at(i + 1) : at(i + 2)];
    const c1: Place = [a[0] + (b[0] - p[0]) / 6, a[1] + (b[1] - p[1]) / 6];
    const c2: Place = [b[0] - (n[0] - a[0]) / 6, b[1] - (n[1] - a[1]) / 6];
    parts.push(`C${[...c1, ...c2, ...b].map((v) => v.toFixed(1)).join(' ')}`);
  }
  return parts.join('');
}
