import { girthLevels, levelSpan, type Panel } from '../draft/index.js';
import { LEVELS } from '../method/index.js';
import type { MeasurementId } from '../measure/index.js';
import type { Draft } from './compute-draft.js';

/** What a draft measures across at one level, in mm. */
export interface LevelReading {
  /** Below the waist line. */
  readonly level: number;
  /** The frame level it lies on, where it lies on one. */
  readonly name: string | undefined;
  readonly front: number | undefined;
  readonly back: number | undefined;
  /** Both panels together: one leg below the crotch. */
  readonly leg: number | undefined;
  /** The girth of the body that belongs to this level, with how much the leg has over it. */
  readonly girth: { readonly id: MeasurementId; readonly body: number; readonly over: number } | undefined;
}

/** How near, in mm, a level counts as a frame level. */
const ON_LEVEL = 1;
/** How near, in mm, a level counts as the place of a girth. */
const NEAR_GIRTH = 15;

const across = (panel: Panel, y: number): number | undefined => {
  const span = levelSpan(panel, y);
  return span && span[1] - span[0];
};

/** Reads both panels across at a level, in mm below the waist line, and holds them against the body's girth there. */
export function readLevel(draft: Draft, level: number): LevelReading {
  const { block, worked } = draft;
  const front = across(block.front, level);
  const back = across(block.back, level);
  const leg = front === undefined || back === undefined ? undefined : front + back;
  const below = level >= block.levels.crotchLevel - ON_LEVEL;
  const near = girthLevels(block.levels)
    .filter(([id, at]) => Math.abs(at - level) <= NEAR_GIRTH && worked.body.has(id))
    .sort((a, b) => Math.abs(a[1] - level) - Math.abs(b[1] - level))[0];
  const body = near && worked.body.get(near[0])?.mm;
  return {
    level,
    name: LEVELS.find(([name]) => Math.abs(block.levels[name] - level) <= ON_LEVEL)?.[1],
    front,
    back,
    leg: below ? leg : undefined,
    girth:
      near && body !== undefined && leg !== undefined && below ? { id: near[0], body, over: leg - body } : undefined,
  };
}
