import { endDirection, endOf, reversePath, startDirection, startOf, type Path } from './path.js';
import { distance, dot, scale, type Point } from './point.js';

/** An end of one of the paths that are being joined. */
interface End {
  readonly path: number;
  readonly last: boolean;
  readonly at: Point;
  /** Unit direction in which the path is left by this end. */
  readonly out: Point;
}

/** Numbers the places at which ends lie: ends within `within` mm of the first that was met there are one place. */
function placesOf(ends: readonly End[], within: number): number[] {
  const squares = new Map<string, { readonly at: Point; readonly place: number }[]>();
  const square = ({ x, y }: Point, dx: number, dy: number): string =>
    `${Math.floor(x / within) + dx} ${Math.floor(y / within) + dy}`;
  let count = 0;
  return ends.map(({ at }) => {
    for (const dx of [0, -1, 1]) {
      for (const dy of [0, -1, 1]) {
        const met = squares.get(square(at, dx, dy))?.find((other) => distance(other.at, at) <= within);
        if (met) return met.place;
      }
    }
    const own = square(at, 0, 0);
    squares.set(own, [...(squares.get(own) ?? []), { at, place: count }]);
    return count++;
  });
}

const outOf = (path: Path, last: boolean): Point => (last ? endDirection(path) : scale(startDirection(path), -1));

/** The paths that lie on no loop: those with a free end, and then those that are left with one. */
function spursOf(ends: readonly End[], places: readonly number[]): Set<number> {
  const at = new Map<number, Set<number>>();
  for (const [i, place] of places.entries()) at.set(place, (at.get(place) ?? new Set()).add((ends[i] as End).path));
  const spurs = new Set<number>();
  const free = [...at].filter(([, paths]) => paths.size === 1).map(([place]) => place);
  for (let place = free.pop(); place !== undefined; place = free.pop()) {
    const paths = at.get(place);
    const [path] = paths ?? [];
    if (!paths || path === undefined || paths.size !== 1) continue;
    spurs.add(path);
    for (const end of [2 * path, 2 * path + 1]) {
      const there = places[end] as number;
      const left = at.get(there);
      left?.delete(path);
      if (left?.size === 1) free.push(there);
    }
  }
  return spurs;
}

/** How many ends may lie together before a place counts as crowded and nothing is joined there. */
const CROWD = 12;

/** Which end is joined to which: at each place what makes a loop first, then what carries on straightest. */
function partnersOf(ends: readonly End[], within: number): Map<End, End> {
  const places = placesOf(ends, within);
  const spurs = spursOf(ends, places);
  const together = new Map<number, End[]>();
  for (const [i, end] of ends.entries()) {
    const place = places[i] as number;
    together.set(place, [...(together.get(place) ?? []), end]);
  }
  const chosen = new Map<End, End>();
  for (const here of together.values()) {
    if (here.length > CROWD) continue;
    const spur = (e: End): number => (spurs.has(e.path) ? 1 : 0);
    const pairs = here
      .flatMap((a, i) =>
        here.slice(i + 1).map((b) => ({ a, b, spurs: spur(a) + spur(b), straight: -dot(a.out, b.out) })),
      )
      .sort((p, q) => p.spurs - q.spurs || q.straight - p.straight);
    for (const { a, b } of pairs) {
      if (chosen.has(a) || chosen.has(b)) continue;
      chosen.set(a, b);
      chosen.set(b, a);
    }
  }
  return chosen;
}

/** The path with its start moved onto `from`, which lies where it nearly was. */
const startingAt = (path: Path, from: Point): Path => path.map((c, i) => (i === 0 ? { ...c, p0: from } : c));

/**
 * Paths joined end to end into chains, turned round where they must be: ends within `within` of one another are one
 * place. Where more than two meet, those that make a loop are joined, then those that carry on straightest. A chain
 * that comes back to its start is closed exactly.
 */
export function joinChains(
  paths: readonly Path[],
  within: number,
): { readonly path: Path; readonly closed: boolean }[] {
  const whole = paths.filter((p) => p.length > 0);
  const loops = new Set(whole.filter((p) => distance(startOf(p), endOf(p)) <= within));
  const open = whole.filter((p) => !loops.has(p));
  const ends = open.flatMap((path, i): End[] => [
    { path: i, last: false, at: startOf(path), out: outOf(path, false) },
    { path: i, last: true, at: endOf(path), out: outOf(path, true) },
  ]);
  const partners = partnersOf(ends, within);
  const used = new Set<number>();
  const chainFrom = (from: End): { path: Path; closed: boolean } => {
    const chain: Path[number][] = [];
    let entry: End | undefined = from;
    while (entry && !used.has(entry.path)) {
      used.add(entry.path);
      const own: Path = open[entry.path] ?? [];
      const run = entry.last ? reversePath(own) : own;
      const before = chain[chain.length - 1];
      // A run may have more curves than a call may have arguments.
      for (const c of before ? startingAt(run, before.p3) : run) chain.push(c);
      const exit: End | undefined = ends[2 * entry.path + (entry.last ? 0 : 1)];
      entry = exit && partners.get(exit);
    }
    return { path: chain, closed: entry === from };
  };
  const chains = [
    ...ends.filter((e) => !partners.has(e)).map((e) => (used.has(e.path) ? undefined : chainFrom(e))),
    ...ends.map((e) => (used.has(e.path) ? undefined : chainFrom(e))),
  ].filter((c) => c !== undefined);
  const close = (path: Path): Path => path.map((c, i) => (i === path.length - 1 ? { ...c, p3: startOf(path) } : c));
  return [
    ...[...loops].map((path) => ({ path: close(path), closed: true })),
    ...chains.map((c) => (c.closed ? { ...c, path: close(c.path) } : c)),
  ];
}
