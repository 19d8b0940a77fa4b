import { add, displacePath, mapPath, pathLength, point, scale, smoothStep, type Point } from '../../geometry/index.js';
import { alterationKind, ANY_PANEL } from '../kind.js';
import { including, type Paper } from '../paper.js';
import { seamMark } from '../seam-work.js';

/** Grain and leg moved across: knee and hem go along, the seams above the knee run into their places at the crotch. */
export function creaseMoved(paper: Paper, by: number, alteration: string): Paper {
  const across = point(by, 0);
  const carry = (p: Point): Point => add(p, across);
  const { sideThigh, inseamThigh, sideShin, inseamShin, hem } = paper.runs;
  const [sideLength, inseamLength] = [pathLength(sideThigh), pathLength(inseamThigh)];
  const side = displacePath(sideThigh, (s) => scale(across, smoothStep(s / sideLength))).path;
  const inseam = displacePath(inseamThigh, (s) => scale(across, 1 - smoothStep(s / inseamLength))).path;
  return {
    ...paper,
    crease: carry(paper.crease),
    runs: {
      ...paper.runs,
      sideThigh: side,
      inseamThigh: inseam,
      sideShin: mapPath(sideShin, carry),
      inseamShin: mapPath(inseamShin, carry),
      hem: mapPath(hem, carry),
    },
    bent: including(paper.bent, 'side', 'inseam'),
    marks: [...paper.marks, seamMark(alteration, sideThigh), seamMark(alteration, inseamThigh)],
  };
}

/** Grain and leg moved across, toward the inseam (+). */
export const crease = alterationKind({
  kind: 'crease',
  label: 'Shift the crease',
  panels: ANY_PANEL,
  fields: { by: { as: 'length', label: 'Toward the inseam (+) or the side (−)' } },
  start: () => ({ panel: 'both', by: 5 }),
  say: ({ by }, { mm }) => `crease ${mm(by)} toward the ${by < 0 ? 'side' : 'inseam'}`,
  apply: (paper, { by }, alteration) => creaseMoved(paper, by, alteration),
});
