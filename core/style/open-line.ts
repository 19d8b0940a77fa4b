import { pathLength, placeAtLength, splitPath } from '../geometry/index.js';
import { edgeOf, type Edge, type EdgeRole, type Part } from '../garment/index.js';
import { edgesInstead, notchedAt, partsByName, sewnInstead, withPart, type Making } from './making.js';
import { pieceLength, runLength, sewnPath, type Run, type RunPiece, type SeamLine } from './run.js';

/** An end of a line of sewing: where it starts, or where it ends. */
export type LineEnd = 'start' | 'end';

/** An edge cut in two at a length of its path, in mm: what lies before and what after. */
export function edgeCut(edge: Edge, length: number): readonly [Edge, Edge] {
  const [before, after] = splitPath(edge.path, placeAtLength(edge.path, length));
  if (!edge.sewn)
    return [
      { ...edge, path: before },
      { ...edge, path: after },
    ];
  const whole = pathLength(edge.path);
  const sewn = pathLength(edge.sewn);
  const at = Math.min(length, sewn - (whole - length));
  const [first, second] = splitPath(edge.sewn, placeAtLength(edge.sewn, Math.max(0, at)));
  return [
    { ...edge, path: before, sewn: first },
    { ...edge, path: after, sewn: second },
  ];
}

/** The same line shorter at one of its ends, by lengths along its runs; what is matched there is gone. */
export function shortened(line: SeamLine, cut: (run: Run) => Run, at: LineEnd, by: number, left: number): SeamLine {
  const shift = at === 'start' ? by : 0;
  return {
    ...line,
    first: cut(line.first),
    second: cut(line.second),
    matches: line.matches
      .map((m) => ({ ...m, first: m.first - shift, second: m.second - shift }))
      .filter((m) => m.first > 0.01 && m.first < left - 0.01),
  };
}

/** How an edge that is left open is told from the one that is sewn. */
export interface OpenEdge {
  readonly id: string;
  readonly role: EdgeRole;
  readonly allowance?: number;
  /** What is notched at its inner end. */
  readonly notch?: string;
}

/**
 * Edges of a line cut at a length from one of its ends, in mm: what lies beyond is an edge of its own on every part that
 * the line passes. Whatever ran along the old edge runs along both.
 */
export function cutLine(making: Making, id: string, at: LineEnd, length: number, open: OpenEdge): Making {
  const line = making.lines.find((l) => l.id === id);
  if (!line) return making;
  let next = making;
  const done = new Set<string>();
  for (const run of [line.first, line.second]) {
    let left = length;
    const fromEnd = at === 'start' ? run : [...run].reverse();
    for (const piece of fromEnd) {
      const parts = partsByName(next);
      const name = `${piece.part} ${piece.edge}`;
      const part = parts.get(piece.part);
      if (!part || done.has(name)) break;
      const long = pieceLength(parts, piece);
      if (left <= 0.5) break;
      done.add(name);
      const atPathStart = (at === 'start') !== piece.backward;
      next = left >= long - 1 ? renamed(next, part, piece, open) : split(next, part, piece, left, atPathStart, open);
      left -= long;
    }
  }
  return next;
}

const opened = (edge: Edge, { id, role, allowance }: OpenEdge): Edge => ({
  ...edge,
  id,
  role,
  ...(allowance === undefined ? {} : { allowance }),
});

function renamed(making: Making, part: Part, { edge }: RunPiece, open: OpenEdge): Making {
  const on = withPart(making, edgesInstead(part, edge, [opened(edgeOf(part, edge), open)]));
  return sewnInstead(on, part.id, edge, [{ part: part.id, edge: open.id, backward: false }]);
}

function split(
  making: Making,
  part: Part,
  piece: RunPiece,
  length: number,
  atPathStart: boolean,
  open: OpenEdge,
): Making {
  const { edge: id } = piece;
  const edge = edgeOf(part, id);
  const end = piece.to ?? pathLength(sewnPath(edge));
  const [before, after] = edgeCut(edge, atPathStart ? (piece.from ?? 0) + length : end - length);
  const edges = atPathStart ? [opened(before, open), after] : [before, opened(after, open)];
  const cut = edgesInstead(part, id, edges);
  const noted = open.notch ? notchedAt(cut, open.id, atPathStart ? 'end' : 'start', open.notch) : cut;
  const on = withPart(making, noted);
  return sewnInstead(
    on,
    part.id,
    id,
    edges.map((e): RunPiece => ({ part: part.id, edge: e.id, backward: false })),
  );
}

/** A line that is no longer sewn along the edges of a name: it is left open there. */
export function leftOpen(making: Making, id: string, at: LineEnd, edge: string): Making {
  const parts = partsByName(making);
  return {
    ...making,
    lines: making.lines.map((l) => {
      if (l.id !== id) return l;
      const closed = (run: Run): Run => run.filter((p) => p.edge !== edge);
      const by = runLength(parts, l.first) - runLength(parts, closed(l.first));
      return shortened(l, closed, at, by, runLength(parts, closed(l.first)));
    }),
  };
}
