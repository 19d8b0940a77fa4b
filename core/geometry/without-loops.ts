import { meetCubics } from './intersect.js';
import { splitAt, type Cubic } from './cubic.js';
import { enclosedArea } from './outline.js';
import { flatten, type Path } from './path.js';
import { distance, type Point } from './point.js';
import { selfCrossing } from './self-crossing.js';

/** A closed path may have so many loops before it is left as it is. */
const MOST_LOOPS = 12;
/** Neighbours meet where one goes over into the other; so near to that, in mm, is no crossing. */
const JOINT = 1e-2;
/** How finely a path is looked at for crossings, in mm. */
const FINE = 0.2;

/** A place where a closed path comes back to itself, and both ways on from there as closed paths. */
interface Crossing {
  readonly loop: Path;
  readonly rest: Path;
}

/** A path that begins and ends at one point exactly. */
const closedAt = (path: Path, at: Point): Path =>
  path.map((c, i) => ({
    ...c,
    ...(i === 0 ? { p0: at } : {}),
    ...(i === path.length - 1 ? { p3: at } : {}),
  }));

/** Both parts of a closed path that is cut at two places, each closed there. */
function cutAt(path: Path, i: number, t: number, j: number, u: number, at: Point): readonly [Path, Path] {
  const [a, b] = [path[i] as Cubic, path[j] as Cubic];
  const [before, after] = splitAt(a, t);
  const [until, onward] = splitAt(b, u);
  const real = (c: Cubic): boolean => distance(c.p0, c.p3) > 1e-9;
  const inner = [after, ...path.slice(i + 1, j), until].filter(real);
  const outer = [...path.slice(0, i), before, onward, ...path.slice(j + 1)].filter(real);
  const turn = outer.findIndex((c) => distance(c.p0, at) < 1e-6);
  return [closedAt(inner, at), closedAt([...outer.slice(turn), ...outer.slice(0, Math.max(0, turn))], at)];
}

/** The crossing of a closed path that cuts off least. */
function leastCrossing(path: Path): Crossing | undefined {
  let least: Crossing | undefined;
  let area = Infinity;
  for (let i = 0; i < path.length; i++) {
    for (let j = i + 1; j < path.length; j++) {
      const [a, b] = [path[i] as Cubic, path[j] as Cubic];
      for (const { t, u, at } of meetCubics(a, b)) {
        if (j === i + 1 && distance(at, a.p3) < JOINT) continue;
        if (i === 0 && j === path.length - 1 && distance(at, a.p0) < JOINT) continue;
        const [inner, outer] = cutAt(path, i, t, j, u, at);
        const [one, two] = [Math.abs(enclosedArea(inner)), Math.abs(enclosedArea(outer))];
        if (Math.min(one, two) >= area) continue;
        area = Math.min(one, two);
        least = one < two ? { loop: inner, rest: outer } : { loop: outer, rest: inner };
      }
    }
  }
  return least;
}

/**
 * A closed path without the loops in which it crosses itself: at each crossing the smaller part is cut off, the
 * smallest first. The path itself where it crosses nowhere, or where more than a dozen loops would have to go.
 */
export function withoutLoops(path: Path): Path {
  if (!selfCrossing(flatten(path, FINE))) return path;
  // A curve may loop by itself: its halves do not.
  let left: Path = path.flatMap((c) => splitAt(c, 0.5));
  for (let i = 0; i < MOST_LOOPS; i++) {
    const crossing = leastCrossing(left);
    if (!crossing) return path;
    left = crossing.rest;
    if (!selfCrossing(flatten(left, FINE))) return left;
  }
  return path;
}
