import { EDGE_NAMES, type EdgeName, type Panel } from '../draft/index.js';
import { flatten, pathLength, type Path, type Point } from '../geometry/index.js';
import { cornersOf, evenPoints, nearestOnLine } from './sampling.js';
import { stretchesOf, type LaidShape, type StretchMark, type StretchName } from './reference.js';

const SAMPLES = 9;
/**
 * A stretch that stands farther in from the waist than this, in mm, and runs down rather than along, is a dart's leg.
 */
const DART_IN = 12;

/** Which seam of the panel a line laid on it is likeliest to be: the one it lies nearest to all along. */
function likeliest(path: Path, panel: Panel, lines: ReadonlyMap<EdgeName, readonly Point[]>): StretchName {
  const points = evenPoints(path, SAMPLES);
  const away = (edge: EdgeName): number =>
    points.reduce((sum, p) => sum + nearestOnLine(lines.get(edge) ?? [], p).distance, 0) / SAMPLES;
  const nearest = EDGE_NAMES.map((edge) => ({ edge, away: away(edge) })).reduce((a, b) => (b.away < a.away ? b : a));
  const [first, last] = [points[0], points[SAMPLES - 1]];
  if (nearest.edge === 'waist' && first && last) {
    const steep = Math.abs(last.y - first.y) > Math.abs(last.x - first.x);
    if (steep && nearest.away > DART_IN && pathLength(path) < panel.levels.crotchLevel) return 'dart';
  }
  return nearest.edge;
}

/**
 * The stretches of a laid shape from corner to corner, each named for the seam of the panel that it lies along. What a
 * maker knows better is changed afterwards.
 */
export function nameStretches(shape: Pick<LaidShape, 'path' | 'closed' | 'length'>, panel: Panel): StretchMark[] {
  const corners = cornersOf(shape.path, shape.closed);
  const ats = shape.closed ? corners : [0, ...corners];
  const lengths = ats.length > 0 ? ats : [0];
  const lines = new Map(EDGE_NAMES.map((edge) => [edge, flatten(panel.edges[edge], 0.5)] as const));
  const marks = lengths.map((length): StretchMark => ({ at: length / shape.length, name: 'none' }));
  return stretchesOf(shape.path, shape.length, shape.closed, marks).map(({ from, path }) => ({
    at: from / shape.length,
    name: likeliest(path, panel, lines),
  }));
}
