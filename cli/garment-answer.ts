import { flatten, mirror, pathLength, type Path, type Point } from '../core/geometry/index.js';
import {
  easeAllows,
  seamDifference,
  stretchPath,
  type Garment,
  type Part,
  type Seam,
  type Stretch,
} from '../core/garment/index.js';
import { cutListOf, proofOf, widthsAlong, type Allowances, type Notch, type Piece } from '../core/piece/index.js';
import { trimmingName, type Styled } from '../core/style/index.js';

/** How finely outlines are flattened, in mm. */
const FLATNESS = 0.05;

type Pair = readonly [number, number];

/** A single part that is drawn wrong side up is turned over, so that every part is told right side up. */
const turner =
  ({ up }: Part) =>
  (p: Point): Point =>
    up === 'wrong' ? mirror(p, { x: 0, y: 0 }, { x: 0, y: 1 }) : p;

function partAnswer(garment: Garment, { part, cut, notches }: Piece, allowances: Allowances): object {
  const turn = turner(part);
  const pair = (p: Point): Pair => {
    const { x, y } = turn(p);
    return [x, y];
  };
  const points = (path: Path): Pair[] => flatten(path, FLATNESS).map(pair);
  const notch = ({ edge, at, outward, count, cutAt }: Notch): object => ({
    edge,
    at: pair(cutAt ?? at),
    toward: pair({ x: -outward.x, y: -outward.y }),
    count,
  });
  const widest = (edge: string): number =>
    Math.max(...widthsAlong(garment, part, edge, allowances).flatMap(({ mm, end }) => [mm, end ?? mm]));
  return {
    id: part.id,
    ...(part.like ? { like: part.like } : {}),
    name: part.name,
    cloth: part.cloth,
    count: part.cut.count,
    mirrored: part.cut.how === 'mirrored',
    onFold: part.cut.how === 'on the fold',
    leg: part.leg,
    net: points(part.edges.flatMap(({ path }) => path)),
    cut: points(cut),
    edges: part.edges.map((e) => ({
      id: e.id,
      role: e.role,
      length: pathLength(e.sewn ?? e.path),
      allowance: widest(e.id),
      ...(e.turned ? { turned: e.turned } : {}),
    })),
    notches: notches.map(notch),
    drills: part.marks.flatMap((m) => (m.kind === 'drill' ? [{ label: m.label, at: pair(m.at) }] : [])),
    folds: part.marks.flatMap((m) => (m.kind === 'line' && m.meaning === 'fold' ? [points(m.path)] : [])),
    marks: part.marks.flatMap((m) =>
      m.kind === 'line' && (m.meaning === 'placement' || m.meaning === 'dart')
        ? [{ label: m.label, points: points(m.path) }]
        : [],
    ),
    grain: part.grain.map(pair),
  };
}

function seamAnswer(garment: Garment, seam: Seam): object {
  const side = (stretch: Stretch): object => ({
    part: stretch.part,
    edge: stretch.edge,
    length: pathLength(stretchPath(garment, stretch)),
    mirrored: stretch.mirrored ?? false,
  });
  return {
    id: seam.id,
    label: seam.label,
    first: side(seam.first),
    second: side(seam.second),
    ease: easeAllows(seam),
    difference: seamDifference(garment, seam),
  };
}

/** The garment in the answer to an order: its parts, what is sewn to what, what is cut, and the proof; lengths in mm. */
export function garmentAnswer(
  { garment, legs, topEdge, trimmings }: Styled,
  pieces: readonly Piece[],
  allowances: Allowances,
): object {
  return {
    parts: pieces.map((piece) => partAnswer(garment, piece, allowances)),
    sewn: garment.seams.map((seam) => seamAnswer(garment, seam)),
    cutList: cutListOf(pieces),
    trimmings: trimmings.map((t) => ({ ...t, name: trimmingName(t) })),
    proof: proofOf(legs, allowances),
    topEdge,
  };
}
