import { crossLine, point } from '../geometry/index.js';
import type { Levels } from '../method/index.js';
import { outlineOf, type Panel } from './panel.js';

/** A girth of the leg that a level of the piece belongs to. */
export type LegGirth = 'thigh' | 'midThigh' | 'knee' | 'calf';

/**
 * Where a level line, `y` mm below the waist line, enters and leaves a panel (x of both, mm).
 * Nothing where the level misses the piece.
 */
export function levelSpan(panel: Panel, y: number): readonly [number, number] | undefined {
  const hits = crossLine(outlineOf(panel), point(0, y), point(1, 0)).map((hit) => hit.at.x);
  return hits.length < 2 ? undefined : [Math.min(...hits), Math.max(...hits)];
}

/**
 * Where the girths of the leg are taken, in mm below the waist line: thigh at the crotch line, mid-thigh halfway to the
 * knee, calf a third of the way below it.
 */
export function girthLevels({ crotchLevel, kneeLevel, hemLevel }: Levels): readonly (readonly [LegGirth, number])[] {
  return [
    ['thigh', crotchLevel],
    ['midThigh', (crotchLevel + kneeLevel) / 2],
    ['knee', kneeLevel],
    ['calf', kneeLevel + (hemLevel - kneeLevel) / 3],
  ];
}
