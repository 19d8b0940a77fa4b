import { legValue, sliceAt, valueIn, type Form } from './form.js';

/** A place in a level section: x outward from the middle, z to the front, mm. */
export type Flat = readonly [x: number, z: number];

/** A place on the body, mm. */
export type Place3 = readonly [x: number, y: number, z: number];

/** A surface is found to within this, in mm. */
const FOUND = 1e-4;

/**
 * How far along a ray from inside a solid its surface lies, in mm, up to `most`: halving, and the secant where that is
 * nearer (Illinois method).
 */
export function surfaceAlong(value: (t: number) => number, most: number): number {
  let [inside, outside] = [0, most];
  let [low, high] = [value(0), value(most)];
  if (high < 0) return most;
  if (low > 0) return 0;
  let last = 0;
  for (let i = 0; i < 60 && outside - inside > FOUND; i++) {
    const secant = (inside * high - outside * low) / (high - low);
    const t = i % 3 === 2 ? (inside + outside) / 2 : secant;
    const v = value(t);
    if (Math.abs(v) < FOUND / 10) return t;
    if (v < 0) {
      [inside, low] = [t, v];
      if (last < 0) high /= 2;
    } else {
      [outside, high] = [t, v];
      if (last > 0) low /= 2;
    }
    last = v;
  }
  return (inside + outside) / 2;
}

/** The convex hull of places in a plane, counterclockwise (Andrew's monotone chain). */
export function hullOf<P extends Flat>(places: readonly P[]): P[] {
  const sorted = [...places].sort((a, b) => a[0] - b[0] || a[1] - b[1]);
  const half = (of: readonly P[]): P[] => {
    const chain: P[] = [];
    for (const p of of) {
      for (;;) {
        const [b, a] = [chain[chain.length - 1], chain[chain.length - 2]];
        if (!a || !b || (b[0] - a[0]) * (p[1] - a[1]) - (b[1] - a[1]) * (p[0] - a[0]) > 0) break;
        chain.pop();
      }
      chain.push(p);
    }
    return chain.slice(0, -1);
  };
  return [...half(sorted), ...half(sorted.reverse())];
}

const around = (places: readonly Flat[]): number =>
  places.reduce((sum, [x, z], i) => {
    const [nx, nz] = places[(i + 1) % places.length] as Flat;
    return sum + Math.hypot(nx - x, nz - z);
  }, 0);

/**
 * What a tape reads round the trunk at a level, in mm: it lies on what stands out and spans what is hollow. It is laid
 * by `rays` places round half the section, and so in the tapes below.
 */
export function tapeRoundTrunk(form: Form, levelAt: (angle: number) => number, most: number, rays: number): number {
  const places: Flat[] = [];
  for (let i = 0; i <= rays; i++) {
    const angle = Math.PI * (0.5 - i / rays);
    const [dx, dz] = [Math.max(0, Math.cos(angle)), Math.sin(angle)];
    const slice = sliceAt(form, levelAt(angle));
    const t = surfaceAlong((r) => valueIn(slice, r * dx, r * dz), most);
    places.push([t * dx, t * dz]);
    if (i > 0 && i < rays) places.push([-t * dx, t * dz]);
  }
  return around(hullOf(places));
}

/** What a tape reads round one leg at a level, in mm. */
export function tapeRoundLeg(form: Form, y: number, most: number, rays: number): number {
  const slice = sliceAt(form, y);
  const middle = slice.legMiddle;
  const places: Flat[] = [];
  for (let i = 0; i < 2 * rays; i++) {
    const angle = (Math.PI * i) / rays;
    const [dx, dz] = [Math.cos(angle), Math.sin(angle)];
    const t = surfaceAlong((r) => legValue(slice, middle + r * dx, r * dz), most);
    places.push([middle + t * dx, t * dz]);
  }
  return around(hullOf(places));
}

/** A tape laid along the middle from waist to waist under the crotch: its places in order, front first. */
export interface MiddleTape {
  readonly places: readonly Flat[];
  readonly long: number;
}

/**
 * The tape along the middle of the body, from the front waist under the crotch to the back waist: it spans the hollow
 * of the back. Its places are z and y, in mm.
 */
export function tapeUnder(
  form: Form,
  centre: number,
  frontWaist: number,
  backWaist: number,
  most: number,
  rays: number,
): MiddleTape {
  const at = (dz: number, dy: number): Flat => {
    const t = surfaceAlong((r) => valueIn(sliceAt(form, centre + r * dy), 0, r * dz), most);
    return [t * dz, centre + t * dy];
  };
  const level = (y: number, way: 1 | -1): Flat => {
    const slice = sliceAt(form, y);
    return [way * surfaceAlong((r) => valueIn(slice, 0, way * r), most), y];
  };
  const [front, back] = [level(frontWaist, 1), level(backWaist, -1)];
  const from = Math.atan2(front[1] - centre, front[0]);
  const to = Math.atan2(back[1] - centre, back[0]) - 2 * Math.PI;
  const swept = Array.from({ length: 2 * rays - 1 }, (_, i): Flat => {
    const angle = from + ((to - from) * (i + 1)) / (2 * rays);
    return at(Math.cos(angle), Math.sin(angle));
  });
  const hull = hullOf([front, ...swept, back]);
  const start = hull.indexOf(back);
  const turned = [...hull.slice(start), ...hull.slice(0, start)];
  // Counterclockwise from the back waist the hull runs under the crotch to the front waist.
  const places = turned.slice(0, turned.indexOf(front) + 1).reverse();
  const long = places.slice(1).reduce((sum, p, i) => {
    const before = places[i] as Flat;
    return sum + Math.hypot(p[0] - before[0], p[1] - before[1]);
  }, 0);
  return { places, long };
}

/** The place so far along a tape from its beginning, in mm; held to its ends. */
export function placeAlong({ places }: MiddleTape, at: number): Flat {
  let before = 0;
  for (const [i, p] of places.slice(1).entries()) {
    const from = places[i] as Flat;
    const step = Math.hypot(p[0] - from[0], p[1] - from[1]);
    if (before + step >= at) {
      const t = step > 0 ? Math.max(0, at - before) / step : 0;
      return [from[0] + (p[0] - from[0]) * t, from[1] + (p[1] - from[1]) * t];
    }
    before += step;
  }
  return places[places.length - 1] as Flat;
}
