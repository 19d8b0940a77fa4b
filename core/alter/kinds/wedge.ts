import { cutKeepingHip } from '../cut-between.js';
import { alterationKind, ANY_PANEL } from '../kind.js';
import type { LevelPlace } from '../place.js';

const HIP: LevelPlace = { line: 'hipLevel', by: 0 };

/** Cut from a seam to a hinge on another seam, opened (+) or overlapped (-) at the seam. */
export const wedge = alterationKind({
  kind: 'wedge',
  label: 'Wedge',
  panels: ANY_PANEL,
  fields: {
    by: { as: 'length', label: 'Opened (+) or closed (−)' },
    from: { as: 'place', label: 'Cut from' },
    hinge: { as: 'place', label: 'Hinge' },
  },
  start: (panel) => ({ panel, from: { edge: 'rise', level: HIP }, hinge: { edge: 'side', level: HIP }, by: 10 }),
  say({ from, hinge, by }, { mm, place }) {
    const sameLevel = 'level' in from && 'level' in hinge && from.level.by === hinge.level.by;
    const at = sameLevel ? `the ${hinge.edge}` : `the ${place(hinge)}`;
    return `${by < 0 ? 'close' : 'open'} ${mm(by)} at the ${place(from)}, hinge at ${at}`;
  },
  apply: (paper, { from, hinge, by }, alteration) =>
    by === 0 ? paper : cutKeepingHip(paper, from, hinge, by, 0, alteration),
});
