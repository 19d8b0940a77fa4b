import { reversePath } from '../../geometry/index.js';
import type { AlterationFault } from '../../refusal/index.js';
import { alterationKind, ANY_PANEL } from '../kind.js';
import type { Paper } from '../paper.js';
import { endShifted, hemBetween, seamMark } from '../seam-work.js';

/** The hem's ends moved down (+) or up (-) along their seams; the hem runs straight between. */
function hemLevelled(
  paper: Paper,
  { inside, outside }: { readonly inside: number; readonly outside: number },
  alteration: string,
): Paper | AlterationFault {
  const [shin, below] = paper.kneeOnPiece
    ? (['sideShin', 'inseamShin'] as const)
    : (['sideThigh', 'inseamThigh'] as const);
  const side = endShifted(paper.runs[shin], -outside);
  const inseam = endShifted(reversePath(paper.runs[below]), -inside);
  if (!side || !inseam) return 'tooMuch';
  const runs = hemBetween({ ...paper.runs, [shin]: side, [below]: reversePath(inseam) });
  return { ...paper, runs, marks: [...paper.marks, seamMark(alteration, paper.runs.hem)] };
}

/** The hem lowered (+) or raised (-) at the inseam and at the side, straight between. */
export const levelHem = alterationKind({
  kind: 'levelHem',
  label: 'Level the hem',
  panels: ANY_PANEL,
  fields: {
    inside: { as: 'length', label: 'Down (+) or up (−) at the inseam' },
    outside: { as: 'length', label: 'Down (+) or up (−) at the side' },
  },
  start: () => ({ panel: 'both', inside: -6, outside: 0 }),
  say({ inside, outside }, { mm }) {
    const end = (by: number, name: string): string[] =>
      by === 0 ? [] : [`hem ${mm(by)} ${by < 0 ? 'up' : 'down'} at the ${name}`];
    const moves = [...end(inside, 'inseam'), ...end(outside, 'side')];
    return moves.length === 0 ? 'hem kept' : `${moves.join(', ')}, straight between`;
  },
  apply: hemLevelled,
});
