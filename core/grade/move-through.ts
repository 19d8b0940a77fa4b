import { monotoneSlopes, splineSlopes, type Displacement, type Point } from '../geometry/index.js';

/** A place on an edge, by its length along it in mm, with what it moves by, and whether the edge is straight to the next. */
export interface Station {
  readonly at: number;
  readonly move: Point;
  readonly straightAfter: boolean;
}

/**
 * The slopes at both ends of each gap: along a straight as it goes, along bends such as take up the straights. Through
 * stations that are far apart moves never go beyond two of them.
 */
function slopesOf(gaps: readonly number[], values: readonly number[], straight: readonly boolean[], close: boolean) {
  const step = (i: number): number => ((values[i + 1] as number) - (values[i] as number)) / (gaps[i] as number);
  const found: (readonly [number, number])[] = [];
  while (found.length < gaps.length) {
    const i = found.length;
    if (straight[i]) {
      found.push([step(i), step(i)]);
      continue;
    }
    let to = i;
    while (to < gaps.length && !straight[to]) to += 1;
    const [before, after] = [i > 0 ? step(i - 1) : undefined, to < gaps.length ? step(to) : undefined];
    const between = close || to - i === 1 ? splineSlopes : monotoneSlopes;
    const slopes = between(gaps.slice(i, to), values.slice(i, to + 1), before, after);
    for (let k = 0; k < to - i; k++) found.push([slopes[k] as number, slopes[k + 1] as number]);
  }
  return found;
}

/** One coordinate through its stations; it goes on beyond either end as it came. */
function through(ats: readonly number[], values: readonly number[], straight: readonly boolean[], close: boolean) {
  const gaps = ats.slice(1).map((s, i) => s - (ats[i] as number));
  const slopes = slopesOf(gaps, values, straight, close);
  return (s: number): number => {
    if (gaps.length === 0) return values[0] ?? 0;
    let i = 0;
    while (i < gaps.length - 1 && s > (ats[i + 1] as number)) i++;
    const gap = gaps[i] as number;
    const t = (s - (ats[i] as number)) / gap;
    const [a, b] = [values[i] as number, values[i + 1] as number];
    const [from, to] = slopes[i] as readonly [number, number];
    if (t < 0) return a + from * t * gap;
    if (t > 1) return b + to * (t - 1) * gap;
    const back = 1 - t;
    return a * (1 + 2 * t) * back * back + b * t * t * (3 - 2 * t) + gap * (from * t * back * back - to * t * t * back);
  };
}

/**
 * How every place of an edge moves, smoothly through stations in rising order, which lie close or far apart; nowhere where
 * there are none.
 */
export function moveThrough(stations: readonly Station[], close: boolean): Displacement {
  const apart: Station[] = [];
  for (const station of stations) {
    // Where one stretch ends and the next begins a place is named twice; the later says how the edge goes on.
    if (station.at - (apart.at(-1)?.at ?? -Infinity) <= 1e-6) apart.pop();
    apart.push(station);
  }
  const ats = apart.map((s) => s.at);
  const straight = apart.map((s) => s.straightAfter);
  const x = through(
    ats,
    apart.map((s) => s.move.x),
    straight,
    close,
  );
  const y = through(
    ats,
    apart.map((s) => s.move.y),
    straight,
    close,
  );
  return (s) => ({ x: x(s), y: y(s) });
}
