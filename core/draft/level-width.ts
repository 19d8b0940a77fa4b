import { line, meetPaths, point } from '../geometry/index.js';
import { outlineOf, type Panel } from './panel.js';

/**
 * Where a level line, `y` mm below the waist line, enters and leaves a panel (x of both, mm).
 * Nothing where the level misses the piece.
 */
export function levelSpan(panel: Panel, y: number): readonly [number, number] | undefined {
  const far = 5000;
  const hits = meetPaths([line(point(-far, y), point(far, y))], outlineOf(panel)).map((hit) => hit.at.x);
  return hits.length < 2 ? undefined : [Math.min(...hits), Math.max(...hits)];
}
