import { endOf, reversePath } from '../../geometry/index.js';
import { alterationKind, ANY_PANEL } from '../kind.js';
import type { AlterationFault } from '../../refusal/index.js';
import { edgeOf, type Paper } from '../paper.js';
import { centreLowered, endShifted, seamMark } from '../seam-work.js';

/** The waist raised or lowered at the centre and at the side; the waist line between is drawn anew. */
function waistMoved(
  paper: Paper,
  { centre, side }: { centre: number; side: number },
  alteration: string,
): Paper | AlterationFault {
  const lowered = centreLowered(paper, -centre);
  if (typeof lowered === 'string') return lowered;
  const top = paper.runs.waistToHip.length > 0 ? endShifted(reversePath(paper.runs.waistToHip), -side) : undefined;
  if (!top) return 'tooMuch';
  const lowest = Math.max(endOf(edgeOf(lowered, 'rise')).y, endOf(top).y);
  if (paper.darts.some((d) => d.apex.y < lowest + 10)) return 'meetsDart';
  const waistToHip = reversePath(top);
  return {
    ...lowered,
    runs: { ...lowered.runs, waistToHip },
    marks: [...paper.marks, seamMark(alteration, paper.runs.waist)],
  };
}

/** The waist raised (+) or lowered (-) at the centre and at the side. */
export const waist = alterationKind({
  kind: 'waist',
  label: 'Raise or lower the waist',
  panels: ANY_PANEL,
  fields: {
    centre: { as: 'length', label: 'Raised (+) or lowered (−) at the centre' },
    side: { as: 'length', label: 'Raised (+) or lowered (−) at the side' },
  },
  start: () => ({ panel: 'both', centre: -10, side: -10 }),
  say({ centre, side }, { mm }) {
    const end = (name: string, by: number): string => `${by < 0 ? 'lower' : 'raise'} the waist ${mm(by)} ${name}`;
    if (centre === side) return end('all along', centre);
    const ends = [
      ...(centre === 0 ? [] : [end('at the centre', centre)]),
      ...(side === 0 ? [] : [end('at the side', side)]),
    ];
    return ends.join(', ');
  },
  apply: waistMoved,
});
