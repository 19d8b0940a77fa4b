import { cutBetween } from '../cut-between.js';
import { alterationKind, ANY_PANEL } from '../kind.js';
import type { LevelPlace } from '../place.js';

const HIP: LevelPlace = { line: 'hipLevel', by: 0 };

/**
 * A fold from seam to seam that takes out so much at either end, as pinned on a toile; nothing is given back elsewhere.
 */
export const pinch = alterationKind({
  kind: 'pinch',
  label: 'Pinch',
  panels: ANY_PANEL,
  fields: {
    byFrom: { as: 'length', label: 'Taken out at the first end' },
    byTo: { as: 'length', label: 'Taken out at the other end' },
    from: { as: 'place', label: 'Fold from' },
    to: { as: 'place', label: 'Fold to' },
  },
  start: (panel) => ({
    panel,
    from: { edge: 'rise', level: HIP },
    to: { edge: 'side', level: HIP },
    byFrom: 6,
    byTo: 3,
  }),
  say: ({ from, to, byFrom, byTo }, { mm, place }) =>
    byFrom === byTo
      ? `fold out ${mm(byFrom)} from the ${place(from)} to the ${place(to)}`
      : `fold out ${mm(byFrom)} at the ${place(from)}, ${mm(byTo)} at the ${place(to)}`,
  apply: (paper, { from, to, byFrom, byTo }, alteration) =>
    byFrom === 0 && byTo === 0 ? paper : cutBetween(paper, from, to, -byFrom, -byTo, alteration),
});
