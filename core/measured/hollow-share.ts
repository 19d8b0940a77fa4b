import type { Panel } from '../draft/index.js';
import { crossLine, distance, meetLines, subtract, unit, type Path, type Point } from '../geometry/index.js';

const DIAGONAL: Point = { x: Math.SQRT1_2, y: -Math.SQRT1_2 };

/**
 * The hollow of a crotch curve as a share of the diagonal from the corner to its chord: 0 in the corner, 1 straight.
 */
export const hollowShare = ({ points, edges: { rise } }: Panel): number => hollowShareOf(rise, points);

/**
 * The same of any rise that is run from its crotch point up, with the corner that it lies in and where its curve
 * begins.
 */
export function hollowShareOf(
  rise: Path,
  { corner, crotchPoint, curveStart }: Pick<Panel['points'], 'corner' | 'crotchPoint' | 'curveStart'>,
): number {
  const chord = meetLines(corner, DIAGONAL, crotchPoint, unit(subtract(curveStart, crotchPoint)));
  const hit = crossLine(rise, corner, DIAGONAL).filter((h) => h.along > 0)[0];
  return chord && hit ? distance(corner, hit.at) / chord.alongFirst : 0;
}
