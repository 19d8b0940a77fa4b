import {
  endOf,
  nearestPlace,
  pathLength,
  placeAtLength,
  startOf,
  type Path,
  type PathPlace,
} from '../geometry/index.js';
import {
  easeAllows,
  edgeOf,
  type Ease,
  type Edge,
  type Match,
  type Part,
  type Seam,
  type Stretch,
} from '../garment/index.js';

/** A stretch of an edge in a run, by lengths along the edge as it is sewn, in mm; a whole edge has none. */
export interface RunPiece {
  readonly part: string;
  readonly edge: string;
  /** True where sewing runs against the outline. */
  readonly backward: boolean;
  /** True for the edge of the part's mirror image. */
  readonly mirrored?: boolean;
  readonly from?: number;
  readonly to?: number;
}

/** Edges one after the other, in the order in which they are sewn. */
export type Run = readonly RunPiece[];

/** Two places of a line that come together, by lengths from where sewing starts, in mm. */
export interface LineMatch {
  readonly label: string;
  readonly first: number;
  readonly second: number;
}

/**
 * A line of sewing: a run of edges sewn along another. However the parts beside it are cut up, the line stays; seams
 * are read from it.
 */
export interface SeamLine extends Pick<Seam, 'id' | 'label' | 'cuts' | 'start' | 'end'> {
  /** The line that it is one leg's of. */
  readonly like?: string;
  readonly first: Run;
  readonly second: Run;
  readonly ease: Ease | undefined;
  readonly matches: readonly LineMatch[];
}

/** The piece of a run that a whole edge of a seam is. */
export const runOfStretch = ({ part, edge, backward, mirrored }: Stretch): RunPiece => ({
  part,
  edge,
  backward,
  ...(mirrored ? { mirrored } : {}),
});

/** An edge as it is sewn. */
export const sewnPath = ({ sewn, path }: Edge): Path => sewn ?? path;

/** The parts by name. */
export type Parts = ReadonlyMap<string, Part>;

/** The edge that a piece of a run lies on. Throws where there is none, since that is a bug. */
export function edgeOfPiece(parts: Parts, { part, edge }: RunPiece): Edge {
  const found = parts.get(part);
  if (!found) throw new Error(`There is no part ${part} to sew`);
  return edgeOf(found, edge);
}

/** The length of a piece of a run, in mm. */
export function pieceLength(parts: Parts, piece: RunPiece): number {
  const whole = pathLength(sewnPath(edgeOfPiece(parts, piece)));
  return (piece.to ?? whole) - (piece.from ?? 0);
}

/** The length of a run, in mm. */
export const runLength = (parts: Parts, run: Run): number =>
  run.reduce((sum, piece) => sum + pieceLength(parts, piece), 0);

/** The part of a piece between two lengths from where its sewing starts. */
function partOfPiece(parts: Parts, piece: RunPiece, from: number, to: number): RunPiece {
  const long = pieceLength(parts, piece);
  const start = piece.from ?? 0;
  const end = start + long;
  const cut = piece.backward ? { from: end - to, to: end - from } : { from: start + from, to: start + to };
  const whole = piece.from === undefined && piece.to === undefined && from < SAME && long - to < SAME;
  return whole ? piece : { ...piece, ...cut };
}

/** Lengths nearer to one another than this, in mm, are one. */
const SAME = 0.01;
/** A break of one run this near to a break of the other, in mm, is sewn to it. */
const ONE_BREAK = 1;

/** The part of a run between two lengths from its start, in mm. */
export function runBetween(parts: Parts, run: Run, from: number, to: number): Run {
  let at = 0;
  return run.flatMap((piece): Run => {
    const long = pieceLength(parts, piece);
    const [low, high] = [Math.max(from - at, 0), Math.min(to - at, long)];
    at += long;
    return high - low > SAME ? [partOfPiece(parts, piece, low, high)] : [];
  });
}

/** A run sewn the other way. */
export const turnedRun = (run: Run): Run => [...run].reverse().map((p) => ({ ...p, backward: !p.backward }));

function stretchOf(parts: Parts, { part, edge, backward, mirrored, from, to }: RunPiece): Stretch {
  const { path } = edgeOfPiece(parts, { part, edge, backward });
  const place = (length: number): PathPlace => {
    const { index, t } = placeAtLength(path, length);
    return { index, t };
  };
  return {
    part,
    edge,
    backward,
    ...(mirrored ? { mirrored } : {}),
    ...(from === undefined ? {} : { from: place(from) }),
    ...(to === undefined ? {} : { to: place(to) }),
  };
}

/** Where a length along a run falls on the edge of the piece it lies in. */
function placeOf(parts: Parts, piece: RunPiece, length: number): PathPlace {
  const edge = edgeOfPiece(parts, piece);
  const start = piece.from ?? 0;
  const on = piece.backward ? start + pieceLength(parts, piece) - length : start + length;
  const { index, t } = placeAtLength(edge.path, edge.sewn ? overMouths(parts.get(piece.part), edge, on) : on);
  return { index, t };
}

/** A length along a waist as it is sewn, as the length along it as it is cut: over the mouths of its darts. */
function overMouths(part: Part | undefined, { path }: Edge, sewn: number): number {
  let length = sewn;
  for (const mark of part?.marks ?? []) {
    if (mark.kind !== 'line' || mark.meaning !== 'dart') continue;
    const from = nearestPlace(path, startOf(mark.path)).length;
    const to = nearestPlace(path, endOf(mark.path)).length;
    if (length > from - SAME) length += to - from;
  }
  return length;
}

/** Carries a length along one run to the other by the places that are matched. */
function carrier(knots: readonly (readonly [number, number])[]): (length: number) => number {
  return (length) => {
    const last = knots.length - 1;
    let i = 1;
    while (i < last && (knots[i]?.[0] ?? 0) < length) i += 1;
    const [[a, b], [c, d]] = [knots[i - 1] ?? [0, 0], knots[i] ?? [0, 0]];
    return c - a < 1e-9 ? b : b + ((length - a) / (c - a)) * (d - b);
  };
}

const endsOf = (parts: Parts, run: Run): number[] => {
  let at = 0;
  return run.slice(0, -1).map((piece) => (at += pieceLength(parts, piece)));
};

/**
 * The seams of a line: cut wherever one of its runs goes on to another edge, at the place that is sewn to it. A break
 * within an edge is matched there, so that it is notched; the ease is shared out by where the lengths differ.
 */
export function seamsOfLine(parts: Parts, line: SeamLine): Seam[] {
  const [one, two] = [runLength(parts, line.first), runLength(parts, line.second)];
  const inner = line.matches.filter(
    (m) => m.first > SAME && m.first < one - SAME && m.second > SAME && m.second < two - SAME,
  );
  const knots = [[0, 0] as const, ...inner.map((m) => [m.first, m.second] as const), [one, two] as const];
  const across = carrier(knots);
  const back = carrier(knots.map(([a, b]) => [b, a] as const));
  const breaks: { first: number; second: number }[] = endsOf(parts, line.first).map((first) => ({
    first,
    second: across(first),
  }));
  for (const second of endsOf(parts, line.second)) {
    const near = breaks.find((b) => Math.abs(b.second - second) < ONE_BREAK);
    if (near) near.second = second;
    else breaks.push({ first: back(second), second });
  }
  breaks.sort((a, b) => a.first - b.first);
  const stops = [{ first: 0, second: 0 }, ...breaks, { first: one, second: two }];
  const allowed = easeAllows(line);
  const main = mainOf(stops);
  const names = new Set<string>([line.id]);
  return stops.slice(0, -1).flatMap((from, i): Seam[] => {
    const to = stops[i + 1] ?? from;
    if (to.first - from.first < SAME && to.second - from.second < SAME) return [];
    const [first] = runBetween(parts, line.first, from.first, to.first);
    const [second] = runBetween(parts, line.second, from.second, to.second);
    if (!first || !second) return [];
    const differ = to.first - from.first - (to.second - from.second);
    const share = Math.abs(one - two) < 1e-9 ? 0 : (differ * allowed) / (one - two);
    const matches = [
      ...(i > 0 ? [{ label: 'end of a piece', ...from }] : []),
      ...inner.filter((m) => m.first > from.first + SAME && m.first <= to.first - SAME),
    ].map((m): Match => ({
      label: m.label,
      first: placeOf(parts, first, m.first - from.first),
      second: placeOf(parts, second, m.second - from.second),
    }));
    const { id, label, cuts, start, end, like } = line;
    return [
      {
        id: i === main ? id : nameOf(id, first, second, line, names),
        ...(like ? { like } : i === main ? {} : { like: id }),
        label,
        first: stretchOf(parts, first),
        second: stretchOf(parts, second),
        ease: line.ease && Math.abs(share) > 1e-6 ? { ...line.ease, mm: Math.abs(share) } : undefined,
        matches,
        cuts,
        start: i === 0 ? start : 'end of a piece',
        end: i === stops.length - 2 ? end : 'end of a piece',
      },
    ];
  });
}

/** What a stretch of a line is called: by the part that it has and others have not. */
function nameOf(id: string, first: RunPiece, second: RunPiece, line: SeamLine, names: Set<string>): string {
  const varied = new Set(line.first.map((p) => p.part)).size > 1 ? first : second;
  const plain = `${id}.${varied.part}`;
  const name = names.has(plain) ? `${plain}.${varied.mirrored ? 'right' : 'again'}` : plain;
  names.add(name);
  return name;
}

/** Which seam of a line bears its name: the longest. */
function mainOf(stops: readonly { first: number; second: number }[]): number {
  let [found, longest] = [0, -1];
  for (let i = 0; i < stops.length - 1; i++) {
    const long = (stops[i + 1]?.first ?? 0) - (stops[i]?.first ?? 0);
    if (long > longest + SAME) [found, longest] = [i, long];
  }
  return found;
}
