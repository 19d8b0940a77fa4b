import { add, mapPath, point, startOf, type Point } from '../../geometry/index.js';
import type { AlterationFault } from '../../refusal/index.js';
import { alterationKind } from '../kind.js';
import { edgeOf, including, type Paper } from '../paper.js';
import { hemBetween, seamMark } from '../seam-work.js';
import { crotchCurveTo } from './crotch-point.js';

type MovedSeam = 'side' | 'inseam';

/**
 * A whole seam moved toward the front: what the front loses the back gains, so that no girth changes. The side goes
 * along from the waist to the hem; the inseam takes the crotch point with it, and the crotch curve runs to its new
 * place.
 */
function seamShifted(
  paper: Paper,
  { seam, by }: { readonly seam: MovedSeam; readonly by: number },
  alteration: string,
): Paper | AlterationFault {
  const marks = [...paper.marks, seamMark(alteration, edgeOf(paper, seam))];
  const outward = paper.name === 'back' ? by : -by;
  if (seam === 'side') {
    const carry = (p: Point): Point => add(p, point(-outward, 0));
    const { waistToHip, hipToCrotch, sideThigh, sideShin } = paper.runs;
    const runs = {
      ...paper.runs,
      waistToHip: mapPath(waistToHip, carry),
      hipToCrotch: mapPath(hipToCrotch, carry),
      sideThigh: mapPath(sideThigh, carry),
      sideShin: mapPath(sideShin, carry),
    };
    return { ...paper, runs: hemBetween(runs), newWaist: true, marks };
  }
  const to = add(startOf(paper.runs.crotchCurve), point(outward, 0));
  const moved = crotchCurveTo(paper, to);
  if (typeof moved === 'string') return moved;
  const carry = (p: Point): Point => add(p, point(outward, 0));
  const runs = {
    ...paper.runs,
    crotchCurve: moved.curve,
    inseamThigh: mapPath(paper.runs.inseamThigh, carry),
    inseamShin: mapPath(paper.runs.inseamShin, carry),
  };
  return {
    ...paper,
    runs: hemBetween(runs),
    bent: including(paper.bent, 'rise'),
    scooped: moved.scooped,
    riseFree: true,
    marks,
  };
}

/** A whole seam moved forward (+) or back (-): what one panel loses the other gains. */
export const moveSeam = alterationKind({
  kind: 'moveSeam',
  label: 'Move a seam forward or back',
  panels: ['both'],
  fields: {
    seam: {
      as: 'pick',
      label: 'Seam',
      options: [
        ['side', 'side'],
        ['inseam', 'inseam'],
      ],
    },
    by: { as: 'length', label: 'Forward (+) or back (−)' },
  },
  start: () => ({ panel: 'both', seam: 'side', by: 6 }),
  say: ({ seam, by }, { mm }) => `${seam} seam ${mm(by)} ${by < 0 ? 'back' : 'forward'}, girths kept`,
  apply: seamShifted,
});
