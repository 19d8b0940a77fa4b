import type { EdgeName, Panel } from '../draft/index.js';
import { cross, pathLength, placeAtLength, point, subtract, unit, type Path, type Point } from '../geometry/index.js';

/** A place of a piece that a rule moves: a corner, a level on a seam, a place between two, or one of a dart. */
export type PlaceId = string;

/** A run of an edge between two places that every piece has; what lies between them is graded as it bends. */
export interface GradeStretch {
  readonly path: Path;
  readonly from: PlaceId;
  readonly to: PlaceId;
}

/** A stretch has so many parts, at whose ends its places lie. */
const PARTS = 24;

/** An edge of a piece in its stretches, in the order of the outline; the waist in its sections between the darts. */
export function stretchesOf(panel: Panel, edge: EdgeName): readonly GradeStretch[] {
  const { edges, joints, waistSections, kneeOnPiece } = panel;
  const path = edges[edge];
  const stretch = (part: Path, from: PlaceId, to: PlaceId): GradeStretch[] =>
    part.length === 0 ? [] : [{ path: part, from, to }];
  switch (edge) {
    case 'waist': {
      const last = waistSections.length - 1;
      return waistSections.flatMap((section, i) =>
        stretch(
          section,
          i === 0 ? 'centreWaist' : `dart${i}.sideLeg`,
          i === last ? 'sideWaist' : `dart${i + 1}.centreLeg`,
        ),
      );
    }
    case 'side': {
      const { sideHip, sideCrotch, sideKnee } = joints;
      const toKnee = kneeOnPiece ? sideKnee : path.length;
      return [
        ...stretch(path.slice(0, sideHip), 'sideWaist', 'sideHip'),
        ...stretch(path.slice(sideHip, sideCrotch), 'sideHip', 'sideCrotch'),
        ...stretch(path.slice(sideCrotch, toKnee), 'sideCrotch', kneeOnPiece ? 'sideKnee' : 'sideHem'),
        ...stretch(path.slice(toKnee), 'sideKnee', 'sideHem'),
      ];
    }
    case 'hem':
      return stretch(path, 'sideHem', 'inseamHem');
    case 'inseam': {
      const { inseamKnee } = joints;
      return kneeOnPiece
        ? [
            ...stretch(path.slice(0, inseamKnee), 'inseamHem', 'inseamKnee'),
            ...stretch(path.slice(inseamKnee), 'inseamKnee', 'crotchPoint'),
          ]
        : stretch(path, 'inseamHem', 'crotchPoint');
    }
    case 'rise':
      return [
        ...stretch(path.slice(0, joints.curveStart), 'crotchPoint', 'curveStart'),
        ...stretch(path.slice(joints.curveStart), 'curveStart', 'centreWaist'),
      ];
  }
}

/** Where the places of a stretch lie along it, as names and lengths in mm: its ends, and those between them. */
export function placesAlong({ path, from, to }: GradeStretch): readonly (readonly [PlaceId, number])[] {
  const length = pathLength(path);
  return Array.from({ length: PARTS + 1 }, (_, k) => [
    k === 0 ? from : k === PARTS ? to : `${from}-${to}.${k}`,
    (length * k) / PARTS,
  ]);
}

/** Places lie on one straight within this, in mm. */
const ONE_LINE = 1e-3;

/** Whether places in a row lie on one straight. */
export function inOneLine(points: readonly Point[]): boolean {
  const [first, last] = [points[0], points.at(-1)];
  if (!first || !last) return true;
  const along = unit(subtract(last, first));
  return points.every((p) => Math.abs(cross(along, subtract(p, first))) < ONE_LINE);
}

const EDGES = ['waist', 'side', 'hem', 'inseam', 'rise'] as const;

/** What places are counted from: the crease at the crotch line. */
export const gradeOrigin = ({ crease, points }: Panel): Point => point(crease, points.crotchPoint.y);

/** All places of a piece, counted from its crease at the crotch line, in mm. */
export function placesOf(panel: Panel): ReadonlyMap<PlaceId, Point> {
  const origin = gradeOrigin(panel);
  const from = (p: Point): Point => point(p.x - origin.x, p.y - origin.y);
  const found = new Map<PlaceId, Point>();
  for (const edge of EDGES) {
    for (const part of stretchesOf(panel, edge)) {
      for (const [id, length] of placesAlong(part)) found.set(id, from(placeAtLength(part.path, length).at));
    }
  }
  panel.darts.forEach(({ apex }, i) => found.set(`dart${i + 1}.apex`, from(apex)));
  return found;
}
