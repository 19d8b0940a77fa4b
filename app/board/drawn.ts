import type { Draft } from '../../core/chain/index.js';
import { drawnOtherwise, type DrawnOtherwise } from '../../core/measured/index.js';

const known = new WeakMap<Draft, ReadonlyMap<string, DrawnOtherwise>>();

/**
 * What lies otherwise on the pieces of a draft than its sheet says, by the line's name. Measured once for each draft.
 */
export function drawnOf(draft: Draft): ReadonlyMap<string, DrawnOtherwise> {
  let found = known.get(draft);
  if (!found) {
    const { worked, block, drafted } = draft;
    found = new Map(drawnOtherwise(worked, block, drafted).map((o) => [`${o.panel}.${o.parameter}`, o]));
    known.set(draft, found);
  }
  return found;
}
