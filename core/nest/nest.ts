import { sewingMarks, type Mark } from '../drawing/index.js';
import { EDGE_LABELS, EDGE_WORDS, partOutline, type Edge, type Part } from '../garment/index.js';
import { endOf, mapPath, pathLength, startOf, type Path, type Point } from '../geometry/index.js';
import type { Piece } from '../piece/index.js';

/** A size with its pieces. */
export interface NestBody {
  readonly key: string;
  readonly name: string;
  readonly pieces: readonly Piece[];
}

/** Where the sizes of a leg are brought together: its crease by the crotch, one of its corners, or its crease by the hem. */
export const NEST_ALIGNMENTS = ['crease', 'crotch', 'side', 'centre', 'hem'] as const;

/** Where sizes are brought together: a place that every leg has, or any corner or notch by its id. */
export type NestAlignment = (typeof NEST_ALIGNMENTS)[number] | { readonly point: string };

/** A place of a part that every size has: a corner of its outline, or a notch. */
export interface NestPoint {
  readonly id: string;
  readonly label: string;
  readonly at: Point;
}

/** One size of a part, moved to where all sizes are brought together, which is (0, 0); mm, y downward. */
export interface NestSize {
  readonly key: string;
  readonly name: string;
  readonly cut: Path;
  readonly net: Path;
  readonly points: readonly NestPoint[];
  /** Snips, darts, drills, folds and placements. */
  readonly marks: readonly Mark[];
  /** How long each edge is, by its name, in mm. */
  readonly lengths: readonly { readonly edge: string; readonly label: string; readonly mm: number }[];
  readonly grain: readonly [Point, Point];
}

/** A part in all its sizes, over one another. */
export interface NestPart {
  readonly id: string;
  readonly name: string;
  readonly onFrame: boolean;
  /** Of what it is cut, how often and how: alike in all sizes. */
  readonly part: Part;
  readonly sizes: readonly NestSize[];
}

/** Edges with the one that ends where each begins. */
const corners = (edges: readonly Edge[]): (readonly [Edge, Edge])[] =>
  edges.map((edge, i) => [edges[(i + edges.length - 1) % edges.length] ?? edge, edge]);

/** What is called alike is told apart by a number, in its order. */
function numbered<T extends { readonly label: string }>(all: readonly T[]): T[] {
  const often = new Map<string, number>();
  for (const { label } of all) often.set(label, (often.get(label) ?? 0) + 1);
  const seen = new Map<string, number>();
  return all.map((one) => {
    if ((often.get(one.label) ?? 0) < 2) return one;
    const n = (seen.get(one.label) ?? 0) + 1;
    seen.set(one.label, n);
    return { ...one, label: `${one.label} ${n}` };
  });
}

function pointsOf({ part, notches }: Piece): readonly NestPoint[] {
  const ends = corners(part.edges).map(([before, edge]) => ({
    id: `${before.id}/${edge.id}`,
    label: `${EDGE_LABELS[before.role]} and ${EDGE_WORDS[edge.role]}`,
    at: startOf(edge.path),
  }));
  const marks = notches.map(({ edge, label, at }) => ({
    id: `${edge}:${label}`,
    label: `Notch ${label}, ${EDGE_WORDS[part.edges.find((e) => e.id === edge)?.role ?? 'join']}`,
    at,
  }));
  return numbered([...ends, ...marks]);
}

const cornerBetween = ({ edges }: Part, one: Edge['role'], other: Edge['role']): Point | undefined => {
  const found = corners(edges).find(
    ([a, b]) => (a.role === one && b.role === other) || (a.role === other && b.role === one),
  );
  return found && startOf(found[1].path);
};

/** Both ends of a leg's waist, centre first: it runs from the centre to the side, whatever is let into either. */
function waistEnds({ edges }: Part): readonly [Point, Point] | undefined {
  const waist = edges.filter(({ role }) => role === 'waist');
  const [first, last] = [waist[0], waist.at(-1)];
  return first && last && [startOf(first.path), endOf(last.path)];
}

/** The place of a part that all its sizes have in common, in part coordinates: its first corner where it is no leg. */
export function anchorOf(part: Part, by: (typeof NEST_ALIGNMENTS)[number]): Point {
  const first = part.edges[0] ? startOf(part.edges[0].path) : { x: 0, y: 0 };
  if (!part.onFrame) return first;
  const x = part.grain[0].x;
  switch (by) {
    case 'crease':
      return { x, y: cornerBetween(part, 'inseam', 'rise')?.y ?? first.y };
    case 'crotch':
      return cornerBetween(part, 'inseam', 'rise') ?? first;
    case 'side':
      return waistEnds(part)?.[1] ?? first;
    case 'centre':
      return waistEnds(part)?.[0] ?? first;
    case 'hem':
      return { x, y: cornerBetween(part, 'side', 'hem')?.y ?? first.y };
  }
}

function sizeOf({ key, name }: NestBody, piece: Piece, by: NestAlignment): NestSize {
  const { part, cut } = piece;
  const points = pointsOf(piece);
  const anchor =
    typeof by === 'string'
      ? anchorOf(part, by)
      : (points.find((p) => p.id === by.point)?.at ?? anchorOf(part, NEST_ALIGNMENTS[0]));
  const move = (p: Point): Point => ({ x: p.x - anchor.x, y: p.y - anchor.y });
  return {
    key,
    name,
    cut: mapPath(cut, move),
    net: mapPath(partOutline(part), move),
    marks: sewingMarks(piece, move),
    points: points.map((p) => ({ ...p, at: move(p.at) })),
    lengths: numbered(
      part.edges.map(({ id, role, path }) => ({ edge: id, label: EDGE_LABELS[role], mm: pathLength(path) })),
    ),
    grain: [move(part.grain[0]), move(part.grain[1])],
  };
}

/** The corners and notches that all of some parts have, by which their sizes can be brought together. */
export function sharedPoints(parts: readonly NestPart[]): readonly Pick<NestPoint, 'id' | 'label'>[] {
  const [first, ...others] = parts.map(({ sizes }) => sizes[0]?.points ?? []);
  return (first ?? []).filter(({ id }) => others.every((points) => points.some((p) => p.id === id)));
}

/**
 * Sizes over one another, part by part in the order of the first size that has it; a size that has no such part is not in
 * its nest.
 */
export function nestOf(bodies: readonly NestBody[], by: NestAlignment): readonly NestPart[] {
  const parts = new Map<string, Part>();
  for (const { pieces } of bodies) for (const { part } of pieces) if (!parts.has(part.id)) parts.set(part.id, part);
  return [...parts.values()].map((part) => ({
    id: part.id,
    name: part.name,
    onFrame: part.onFrame,
    part,
    sizes: bodies.flatMap((body) => {
      const piece = body.pieces.find((p) => p.part.id === part.id);
      return piece ? [sizeOf(body, piece, by)] : [];
    }),
  }));
}
