import { endOf, reversePath } from '../../geometry/index.js';
import { alterationKind, ANY_PANEL } from '../kind.js';
import type { AlterationFault } from '../../refusal/index.js';
import { edgeOf, type Paper } from '../paper.js';
import { centreLowered, endShifted, seamMark } from '../seam-work.js';

/** The waist raised or lowered at the centre and at the side; the waist line between is drawn anew. */
function waistMoved(
  paper: Paper,
  { centre, side, centreOnly }: { centre: number; side: number; centreOnly: boolean },
  alteration: string,
): Paper | AlterationFault {
  const lowered = centreLowered(paper, -centre);
  if (typeof lowered === 'string') return lowered;
  const marks = [...paper.marks, seamMark(alteration, paper.runs.waist)];
  if (centreOnly) {
    // Raised or lowered to nothing at the waist's middle: what lies toward the side stays as it is.
    const toCentre = paper.darts.filter((d) => d.apex.y < endOf(edgeOf(lowered, 'rise')).y + 10);
    return toCentre.length > 0 ? 'meetsDart' : { ...lowered, dip: paper.dip - centre, marks };
  }
  const top = paper.runs.waistToHip.length > 0 ? endShifted(reversePath(paper.runs.waistToHip), -side) : undefined;
  if (!top) return 'tooMuch';
  const lowest = Math.max(endOf(edgeOf(lowered, 'rise')).y, endOf(top).y);
  if (paper.darts.some((d) => d.apex.y < lowest + 10)) return 'meetsDart';
  const waistToHip = reversePath(top);
  return {
    ...lowered,
    runs: { ...lowered.runs, waistToHip },
    marks,
  };
}

/** Lowered at the centre only, the side has no amount. */
const isCentreOnly = ({ centreOnly }: Readonly<Record<string, unknown>>): boolean => centreOnly === true;

/** The waist raised (+) or lowered (-) at the centre and at the side, or at the centre only. */
export const waist = alterationKind({
  kind: 'waist',
  label: 'Raise or lower the waist',
  panels: ANY_PANEL,
  fields: {
    centre: { as: 'length', label: 'Raised (+) or lowered (−) at the centre' },
    side: { as: 'length', label: 'Raised (+) or lowered (−) at the side', unless: isCentreOnly },
    centreOnly: { as: 'tick', label: 'At the centre only, to nothing at the waist’s middle', orOff: true },
  },
  start: () => ({ panel: 'both', centre: -10, side: -10, centreOnly: false }),
  say({ centre, side, centreOnly }, { mm }) {
    const end = (name: string, by: number): string => `${by < 0 ? 'lower' : 'raise'} the waist ${mm(by)} ${name}`;
    if (centreOnly) return `${end('at the centre', centre)}, to nothing at its middle`;
    if (centre === side) return end('all along', centre);
    const ends = [
      ...(centre === 0 ? [] : [end('at the centre', centre)]),
      ...(side === 0 ? [] : [end('at the side', side)]),
    ];
    return ends.join(', ');
  },
  apply: waistMoved,
});
