import {
  along,
  cross,
  crossLine,
  distance,
  dot,
  endOf,
  line,
  mapCubic,
  scale,
  splitAt,
  startDirection,
  startOf,
  subtract,
  turn,
  unit,
  type Cubic,
  type Point,
} from '../geometry/index.js';
import type { AlterationFault } from '../refusal/index.js';
import { foldEnd, NOTHING, reversed, type Bit, type Fold } from './fold.js';
import {
  EDGE_OF,
  RUNS,
  startOfRun,
  type Mark,
  type Paper,
  type PaperDart,
  type RingPlace,
  type RunName,
} from './paper.js';

/** A cut right through a piece, and by how much it is opened (+) or overlapped (-) at its ends, in mm. */
export interface Cut {
  readonly from: RingPlace;
  readonly to: RingPlace;
  readonly byFrom: number;
  readonly byTo: number;
  /** The lower part moves; otherwise the part without the crease at the crotch line. */
  readonly movesDown?: boolean;
}

/** A point this near to a cut, in mm, lies on it. */
const ON_CUT = 1e-6;
/** A cut shorter than this, in mm, is none. */
const SHORTEST = 15;

const flat = (paper: Paper): Bit[] => RUNS.flatMap((run) => paper.runs[run].map((c) => ({ run, c })));

function indexOf(paper: Paper, place: RingPlace): number {
  let before = 0;
  for (const run of RUNS) {
    if (run === place.run) return before + place.index;
    before += paper.runs[run].length;
  }
  return before;
}

/**
 * The outline parted at two places: from the first to the second in its own direction, and from the second round to the
 * first.
 */
function arcsOf(paper: Paper, from: RingPlace, to: RingPlace): readonly [Bit[], Bit[]] {
  const bits = flat(paper);
  const [i, j] = [indexOf(paper, from), indexOf(paper, to)];
  const fromFirst = i < j || (i === j && from.t <= to.t);
  const [a, b, ai, bi] = fromFirst ? [from, to, i, j] : [to, from, j, i];
  const part = (bit: Bit | undefined, t0: number, t1: number): Bit[] => {
    if (!bit || t1 - t0 < NOTHING) return [];
    const tail = t0 <= NOTHING ? bit.c : splitAt(bit.c, t0)[1];
    const c = t1 >= 1 - NOTHING ? tail : splitAt(tail, (t1 - t0) / (1 - t0))[0];
    return [{ run: bit.run, c }];
  };
  const inner =
    ai === bi
      ? part(bits[ai], a.t, b.t)
      : [...part(bits[ai], a.t, 1), ...bits.slice(ai + 1, bi), ...part(bits[bi], 0, b.t)];
  const outer = [...part(bits[bi], b.t, 1), ...bits.slice(bi + 1), ...bits.slice(0, ai), ...part(bits[ai], 0, a.t)];
  return fromFirst ? [inner, outer] : [outer, inner];
}

/** The motion that opens a cut by `a` mm at `p` and `b` mm at `q`, toward `n`; and its reverse. */
function motion(
  p: Point,
  q: Point,
  n: Point,
  a: number,
  b: number,
): { go: (x: Point) => Point; back: (x: Point) => Point } {
  const length = distance(p, q);
  if (Math.abs(a - b) < NOTHING) {
    return { go: (x) => along(x, n, a), back: (x) => along(x, n, -a) };
  }
  const half = Math.asin((a - b) / (2 * length));
  const u = unit(subtract(p, q));
  const centre = along(q, u, -b / (2 * Math.sin(half)));
  // Turning from `u` toward `n` opens.
  const hand = Math.sign(cross(u, n));
  return { go: (x) => turn(x, hand * 2 * half, centre), back: (x) => turn(x, -hand * 2 * half, centre) };
}

/** A dart is crossed where its triangle meets the cut. */
function crossesDart({ apex, centreLeg, sideLeg }: PaperDart, p: Point, q: Point): boolean {
  const d = unit(subtract(q, p));
  const length = distance(p, q);
  const outline = [line(apex, centreLeg), line(centreLeg, sideLeg), line(sideLeg, apex)];
  return crossLine(outline, p, d).some((hit) => hit.along > 0.5 && hit.along < length - 0.5);
}

function bridge(run: RunName, from: Point, to: Point): Bit[] {
  return distance(from, to) < 1e-7 ? [] : [{ run, c: line(from, to) }];
}

/** How much of a bridge is a jog and no seam, in mm: none that goes straight on, twice its length that runs back. */
function jogOf([bit]: readonly Bit[], following: Cubic | undefined): number {
  if (!bit || !following) return 0;
  const { p0, p3 } = bit.c;
  return distance(p0, p3) * (1 - dot(unit(subtract(p3, p0)), startDirection([following])));
}

/** True where a line no longer begins or ends where it did. */
const endsMoved = (before: readonly Cubic[], after: readonly Cubic[]): boolean =>
  distance(startOf(before), startOf(after)) > ON_CUT || distance(endOf(before), endOf(after)) > ON_CUT;

/** Groups the outline's curves by stretch again, begun at the waist. */
function grouped(bits: readonly Bit[]): Record<RunName, Cubic[]> {
  const start = bits.findIndex((bit, i) => {
    const before = bits[(i + bits.length - 1) % bits.length];
    return before !== undefined && RUNS.indexOf(bit.run) < RUNS.indexOf(before.run);
  });
  const runs = Object.fromEntries(RUNS.map((run) => [run, [] as Cubic[]])) as Record<RunName, Cubic[]>;
  for (const bit of [...bits.slice(start), ...bits.slice(0, Math.max(start, 0))]) runs[bit.run].push(bit.c);
  return runs;
}

/**
 * Cuts a piece through and moves one part rigidly, as with scissors on paper (docs/alterations.md): opened, the gap is
 * bridged straight; overlapped, the strip between is taken out. Nothing is smoothed here, so that a cut opened and
 * closed by as much gives the outline back. The part with the crease at the crotch line stays, or the upper where told.
 */
export function openCut(paper: Paper, cut: Cut, alteration: string): Paper | AlterationFault {
  const { from, to, byFrom: a, byTo: b } = cut;
  const [p, q] = [from.at, to.at];
  const length = distance(p, q);
  if (length < SHORTEST) return 'cutTooShort';
  if (Math.abs(a - b) > length * 0.9) return 'tooMuch';
  if (paper.darts.some((dart) => crossesDart(dart, p, q))) return 'meetsDart';

  const [forward, round] = arcsOf(paper, from, to);
  // The outline has the piece on its left as seen: the part cut off by the forward arc lies left of the way back.
  const back = unit(subtract(p, q));
  const left = { x: back.y, y: -back.x };
  const anchorSide = dot(subtract(paper.crease, p), left);
  const forwardMoves = cut.movesDown ? left.y > 0 : anchorSide < 0;
  const n = forwardMoves ? left : scale(left, -1);
  const { go, back: goBack } = motion(p, q, n, a, b);

  const [movingWhole, stayingWhole] = forwardMoves ? [forward, round] : [round, forward];
  // The moving arc runs from `start` to `end`, the staying one from there back to `start`.
  const [startBy, endBy] = forwardMoves ? [a, b] : [b, a];
  const lineTo = (carried: 'moving' | 'staying'): Fold => {
    const carryTo = carried === 'moving' ? goBack : go;
    return { on: carryTo(p), d: unit(subtract(carryTo(q), carryTo(p))) };
  };
  const atStartEnd = foldEnd(movingWhole, reversed(stayingWhole), startBy, lineTo);
  const atEndEnd = atStartEnd && foldEnd(reversed(atStartEnd.moving), reversed(atStartEnd.staying), endBy, lineTo);
  if (!atEndEnd) return 'foldBeyond';
  const moving = reversed(atEndEnd.moving);
  const { staying } = atEndEnd;
  const fromStaying = atStartEnd.fromStaying || atEndEnd.fromStaying;
  if (staying.length === 0 || moving.length === 0) return 'foldBeyond';

  // What lies on the cut goes down with the lower part where it is spread, and stays where it is overlapped.
  const edge = cut.movesDown && a > 0 ? -ON_CUT : ON_CUT;
  const isMoved = (x: Point): boolean => dot(subtract(x, p), n) > edge;
  const inFold = (x: Point): boolean =>
    fromStaying
      ? !isMoved(x) && dot(subtract(goBack(x), p), n) > ON_CUT
      : isMoved(x) && dot(subtract(go(x), p), n) < -ON_CUT;
  if (paper.darts.some((d) => [d.apex, d.centreLeg, d.sideLeg].some(inFold))) return 'meetsDart';

  const moved = moving.map(({ run, c }) => ({ run, c: mapCubic(c, go) }));
  const [cutStart, cutEnd] = forwardMoves ? [from.run, to.run] : [to.run, from.run];
  const [startRun, endRun] = [atStartEnd.along ?? cutStart, atEndEnd.along ?? cutEnd];
  const lastStaying = staying[staying.length - 1]?.c.p3 ?? p;
  const firstStaying = staying[0]?.c.p0 ?? q;
  const firstMoved = moved[0]?.c.p0 ?? p;
  const lastMoved = moved[moved.length - 1]?.c.p3 ?? q;
  const atStart = bridge(startRun, lastStaying, firstMoved);
  const atEnd = bridge(endRun, lastMoved, firstStaying);
  const bits = [...staying, ...atStart, ...moved, ...atEnd];
  const jogs = new Map(paper.jogs);
  const jog = (run: RunName, by: number): unknown => jogs.set(EDGE_OF[run], (jogs.get(EDGE_OF[run]) ?? 0) + by);
  if (startBy < -NOTHING) jog(startRun, jogOf(atStart, moved[0]?.c));
  if (endBy < -NOTHING) jog(endRun, jogOf(atEnd, staying[0]?.c));

  const runs = grouped(bits);
  // A fold that swallows a whole stretch leaves no piece to sew.
  if (RUNS.some((run) => paper.runs[run].length > 0 && runs[run].length === 0)) return 'foldBeyond';

  const carry = (x: Point): Point => (isMoved(x) ? go(x) : x);
  const even = Math.abs(a - b) < NOTHING;
  const hipMoves = isMoved(even && cut.movesDown ? startOfRun(paper, 'hipToCrotch') : paper.centreHip);
  const wedge: Mark = { alteration, kind: 'wedge', points: [p, q, go(q), go(p)], path: [] };
  const hinge: Mark[] = b === 0 ? [{ alteration, kind: 'hinge', points: [q], path: [] }] : [];
  const carried = paper.marks.map((mark) =>
    mark.points.some(isMoved) ? { ...mark, points: mark.points.map(carry) } : mark,
  );
  const cutMark: Mark = { alteration, kind: 'cut', points: [p, q], path: [] };
  return {
    ...paper,
    runs,
    darts: paper.darts.map((d) =>
      isMoved(d.apex) ? { apex: go(d.apex), centreLeg: go(d.centreLeg), sideLeg: go(d.sideLeg) } : d,
    ),
    corner: carry(paper.corner),
    tiltPoint: carry(paper.tiltPoint),
    scooped: paper.scooped.map((s) => ({ ...s, at: carry(s.at) })),
    centreHip: hipMoves ? go(paper.centreHip) : paper.centreHip,
    newWaist: paper.newWaist || moving.some((bit) => bit.run === 'waist') || endsMoved(paper.runs.waist, runs.waist),
    jogs,
    marks: [...carried, cutMark, wedge, ...hinge],
  };
}
