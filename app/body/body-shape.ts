import {
  bodyFrom,
  placeAlong,
  reachAt,
  TO_DRAW,
  type Flat,
  type Reach,
  type SolidBody,
} from '../../core/body/index.js';
import {
  completeBody,
  refuseMeasurement,
  REQUIRED_IDS,
  type Adopted,
  type Body,
  type Figure,
  type Measured,
  type MeasurementId,
} from '../../core/measure/index.js';

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
  /** The way of the tape between the legs seen from the side, from waist to waist, and where the two rises part. */
  readonly under: { readonly front: readonly Place[]; readonly back: readonly Place[] };
}

/** A level of the drawn body. */
export type BodyLevel = keyof BodyShape['level'];

/** A body from the middle of the range, in the place of what nobody has measured yet. */
const MIDDLE = { waist: 0.78, crotchDepth: 0.272, inseam: 0.78 } as const;

/**
 * The body to be drawn: what is in hand, the estimates, and a middle body in proportion for the rest. A figure that no
 * draft takes is left out of the drawing.
 */
export function bodyToDraw(values: Measured, figure: Figure, adopted: Adopted): Body {
  const given = Object.fromEntries(
    Object.entries(values).filter(([id, mm]) => !refuseMeasurement(id as MeasurementId, mm)),
  ) as Measured;
  const known = completeBody(given, figure, adopted);
  const hip = given.hip ?? (given.waist === undefined ? 1000 : given.waist / MIDDLE.waist);
  const crotchDepth = MIDDLE.crotchDepth * Math.min(hip, 1150);
  const { outseam } = given;
  const middle: Measured = {
    waist: MIDDLE.waist * hip,
    hip,
    crotchDepth,
    inseam: outseam === undefined ? MIDDLE.inseam * Math.min(hip, 1060) : outseam - (given.crotchDepth ?? crotchDepth),
  };
  const missing = REQUIRED_IDS.filter((id) => !known.has(id)).map((id) => [id, middle[id]]);
  return missing.length === 0
    ? known
    : completeBody({ ...(Object.fromEntries(missing) as Measured), ...given }, figure, adopted);
}

/** The ribs are drawn as far above the waist as this share of the crotch depth. */
const RIBS = 0.55;
/** A body is looked at in so many levels from each of these down to the next: closest where it turns most. */
const LOOKED_AT = { ribs: 3, waist: 4, highHip: 5, hip: 8, crotch: 6, midThigh: 3, knee: 3, calf: 3 } as const;
/** Right under the crotch line the legs have parted, in mm. */
const PARTED = 4;

/**
 * The drawn body of a set of figures: front, side and back of the solid that the virtual toile is hung on
 * (docs/trade/body.md), with feet. Lengths in mm.
 */
export function bodyShape(body: Body): BodyShape {
  const solid = bodyFrom(body, {}, TO_DRAW);
  const { heights } = solid;
  const floor = heights.waist;
  const down = (y: number): number => floor - y;
  const level = {
    ribs: -RIBS * down(heights.crotch),
    waist: 0,
    highHip: down(heights.highHip),
    hip: down(heights.hip),
    crotch: down(heights.crotch),
    midThigh: down(heights.midThigh),
    knee: down(heights.knee),
    calf: down(heights.calf),
    ankle: down(heights.ankle),
    floor,
  };
  const found = new Map<number, Reach>();
  const reach = (y: number): Reach => {
    const known = found.get(y) ?? reachAt(solid, floor - y);
    found.set(y, known);
    return known;
  };
  const at = (name: BodyLevel): Reach =>
    reach(name === 'crotch' ? level.crotch + PARTED : name === 'floor' ? level.ankle : level[name]);
  const half = (name: BodyLevel): number => {
    const { outer, inner } = at(name);
    return level[name] < level.crotch ? outer : (outer - inner) / 2;
  };
  const legMiddle = (name: BodyLevel): number => (at(name).outer + at(name).inner) / 2;
  const profile = (name: BodyLevel): readonly [number, number] => [-at(name).front, -at(name).back];

  const under = (name: BodyLevel): number => level[name] + (name === 'crotch' ? PARTED : 0);
  const runs = Object.entries(LOOKED_AT) as [BodyLevel, number][];
  const levels = runs.flatMap(([from, count], i) => {
    const to = level[runs[i + 1]?.[0] ?? 'ankle'];
    return Array.from({ length: count }, (_, k) => under(from) + ((to - under(from)) * k) / count);
  });
  levels.push(level.ankle);
  const leg = levels.filter((y) => y > level.crotch);
  const foot = half('ankle');
  const ankle = legMiddle('ankle');
  const right: Place[] = [
    ...levels.map((y): Place => [reach(y).outer, y]),
    [ankle + foot * 1.15, floor],
    [ankle - foot * 0.85, floor],
    ...[...leg].reverse().map((y): Place => [reach(y).inner, y]),
    [0, level.crotch],
  ];
  const mirrored = [...right].reverse().map(([x, y]): Place => [-x, y]);
  const deep = at('ankle').front - at('ankle').back;
  const toe = 2.1 * deep;
  const sideOutline: Place[] = [
    ...levels.map((y): Place => [-reach(y).front, y]),
    [-toe, floor - 0.25 * deep],
    [-toe, floor],
    [-at('ankle').back, floor],
    ...[...levels].reverse().map((y): Place => [-reach(y).back, y]),
  ];
  return {
    level,
    half,
    legMiddle,
    profile,
    frontOutline: [...right, ...mirrored.slice(1)],
    sideOutline,
    under: underOf(solid),
  };
}

/** The tape between the legs, parted where the rises part. */
function underOf({ under, crotchAt, heights }: SolidBody): BodyShape['under'] {
  const drawn = ([z, y]: Flat): Place => [-z, heights.waist - y];
  const pin = drawn(placeAlong(under, crotchAt));
  let along = 0;
  const before: Place[] = [];
  const behind: Place[] = [];
  for (const [i, place] of under.places.entries()) {
    const last = under.places[i - 1];
    if (last) along += Math.hypot(place[0] - last[0], place[1] - last[1]);
    if (Math.abs(along - crotchAt) < 1) continue;
    (along < crotchAt ? before : behind).push(drawn(place));
  }
  return { front: [...before, pin], back: [pin, ...behind] };
}

/**
 * A smooth line through places as SVG path data: uniform Catmull-Rom, each piece a cubic. Corners stay where `sharp`.
 */
export function smoothLine(places: readonly Place[], sharp: (i: number) => boolean = () => false): string {
  const at = (i: number): Place => places[Math.min(places.length - 1, Math.max(0, i))] ?? [0, 0];
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
