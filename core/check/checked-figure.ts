import type { Block } from '../draft/index.js';
import { figureOf, isFigure } from '../measured/index.js';
import type { Worked } from '../method/index.js';
import { bandIn, isRise } from './rises.js';

/**
 * The figure that a check judges, without its band: what is sought when a draft is changed, in mm or degrees. Nothing for
 * a check that rests on more than one figure of the block.
 */
export function checkedFigure(id: string, worked: Worked, block: Block): number | undefined {
  if (!isFigure(id)) return undefined;
  return figureOf(block, id) + (isRise(id) ? bandIn(worked, id) : 0);
}
