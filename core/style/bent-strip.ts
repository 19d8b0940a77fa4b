import {
  along,
  bulgeArc,
  line,
  mapPath,
  placeAtLength,
  point,
  quarterTurn,
  reversePath,
  scale,
  turn,
  type Path,
  type Point,
} from '../geometry/index.js';
import type { Edge, EdgeRole, Part } from '../garment/index.js';
import type { RectangleEdges } from './rectangle.js';

/** A stretch of a strip: how long its lower edge is, and by how much less its upper edge, in mm. */
export interface Stretch {
  readonly long: number;
  readonly takenIn: number;
}

/** A grain line is no longer than this, in mm. */
const MOST_GRAIN = 400;

/** Where a strip has come to, running down along its lower edge. */
interface Foot {
  readonly at: Point;
  readonly down: Point;
}

/** Toward the upper edge. */
const upward = ({ down }: Foot): Point => scale(quarterTurn(down), -1);

/**
 * A strip that stands upright as a rectangle does, but bent where its upper edge is shorter than its lower: each such
 * stretch an even arc, as slashed in many places and lapped at the top, hinged at the lower edge, which keeps its length
 * (docs/trade/style.md). The grain runs upright along the middle of the longest stretch that is straight, else of the longest.
 * Lengths in mm.
 */
export function bentStrip(
  stretches: readonly Stretch[],
  wide: number,
  { upper, start, lower, end }: RectangleEdges,
): Pick<Part, 'edges' | 'grain' | 'words'> {
  let foot: Foot = { at: point(0, 0), down: point(0, 1) };
  const [feet, lowerPath, upperPath]: [Foot[], Path[], Path[]] = [[foot], [], []];
  for (const { long, takenIn } of stretches) {
    const angle = takenIn / wide;
    const from = foot;
    const centre = along(from.at, upward(from), angle === 0 ? 0 : long / angle);
    foot =
      angle === 0
        ? { at: along(from.at, from.down, long), down: from.down }
        : { at: turn(from.at, -angle, centre), down: turn(from.down, -angle) };
    const bulge = -Math.tan(angle / 4);
    const top = (f: Foot): Point => along(f.at, upward(f), wide);
    lowerPath.push(bulgeArc(from.at, foot.at, bulge));
    upperPath.push(bulgeArc(top(from), top(foot), bulge));
    feet.push(foot);
  }
  const [first, last] = [feet[0] as Foot, foot];
  const edge = ([id, role]: readonly [string, EdgeRole], path: Path): Edge => ({ id, role, path });
  const ends = (f: Foot): readonly [Point, Point] => [along(f.at, upward(f), wide), f.at];
  const [a, b] = [ends(first), ends(last)];
  const edges = [
    edge(start, [line(a[0], a[1])]),
    edge(lower, lowerPath.flat()),
    edge(end, [line(b[1], b[0])]),
    edge(upper, reversePath(upperPath.flat())),
  ];
  const straight = stretches.some((s) => s.takenIn === 0 && s.long > wide);
  const longest = stretches
    .map((s, i) => ({ ...s, i }))
    .filter((s) => !straight || s.takenIn === 0)
    .reduce((most, s) => (s.long > most.long ? s : most));
  const middle = placeAtLength(lowerPath[longest.i] ?? [], longest.long / 2).at;
  const turned = longest.takenIn / wide / 2;
  const down = turn((feet[longest.i] as Foot).down, -turned);
  const inner = along(middle, upward({ at: middle, down }), wide / 2);
  // On a bent stretch it stays well within the strip.
  const room = longest.takenIn === 0 ? MOST_GRAIN : wide * Math.sqrt((2 * longest.long) / longest.takenIn);
  const half = Math.min(longest.long * 0.6, MOST_GRAIN, room) / 2;
  // The part lies with its grain upright, as every part does: on cloth, shrinking and sewn it is taken to.
  const leaning = Math.atan2(down.x, down.y);
  const stood = (p: Point): Point => turn(p, leaning);
  const at = stood(inner);
  return {
    edges: edges.map((e) => ({ ...e, path: mapPath(e.path, stood) })),
    grain: [point(at.x, at.y - half), point(at.x, at.y + half)],
    words: [point(at.x - wide * 0.4, at.y), point(at.x + wide / 2, at.y)],
  };
}
