import {
  endDirection,
  endOf,
  pathLength,
  point,
  scale,
  smoothStep,
  startOf,
  type Point,
} from '../../geometry/index.js';
import type { EdgeName } from '../../draft/index.js';
import { alterationKind, ANY_PANEL } from '../kind.js';
import type { AlterationFault } from '../../refusal/index.js';
import { edgeOf, including, lengthAtLevel, levelOf, type Paper } from '../paper.js';
import { NEAR_END, type LevelPlace } from '../place.js';
import { displaced, hemBetween, hump, seamMark } from '../seam-work.js';

/** Which seam is moved by how much, between which levels, and over how much it runs out; mm. */
interface SeamMove {
  readonly seam: 'side' | 'inseam' | 'centre';
  readonly by: number;
  readonly from: LevelPlace;
  readonly to: LevelPlace;
  readonly runOut: number;
}

/** A seam moved out or in between two levels, running out above and below. */
function seamMoved(paper: Paper, work: SeamMove, alteration: string): Paper | AlterationFault {
  const { seam, by, runOut } = work;
  const edge: EdgeName = seam === 'centre' ? 'rise' : seam;
  const path = edgeOf(paper, edge);
  const total = pathLength(path);
  const [top, bottom] = [work.from, work.to].map((level) => levelOf(paper, level)).sort((a, b) => a - b) as [
    number,
    number,
  ];
  const ends = [startOf(path).y, endOf(path).y];
  const [least, most] = [Math.min(...ends), Math.max(...ends)];
  if (bottom < least - NEAR_END || top > most + NEAR_END) return 'noLevel';
  const lengthAt = (y: number): number => {
    const downward = (ends[0] ?? NaN) < (ends[1] ?? NaN);
    if (y <= least) return downward ? 0 : total;
    if (y >= most) return downward ? total : 0;
    return lengthAtLevel(path, y) ?? NaN;
  };
  const [a, b] = [lengthAt(top), lengthAt(bottom)].sort((p, q) => p - q) as [number, number];
  const reach = Math.max(1, runOut);
  // At the crotch point two seams meet: what moves it is another alteration.
  const room = edge === 'side' ? Infinity : edge === 'inseam' ? pathLength(path) : 0;
  const atCrotch = (s: number): number => {
    if (edge === 'inseam') return smoothStep((room - s) / reach);
    return edge === 'rise' ? smoothStep(s / reach) : 1;
  };
  const share = (s: number): number => {
    const out = s < a ? a - s : s > b ? s - b : 0;
    return hump(out, reach) * atCrotch(s);
  };
  const outward = seam === 'side' ? point(-1, 0) : seam === 'inseam' ? point(1, 0) : centreOut(paper);
  const next = displaced(paper, edge, (s) => scale(outward, by * share(s)));
  const movesWaist = (edge === 'side' && share(0) > 0) || (edge === 'rise' && share(total) > 0);
  const touchesHem = (edge === 'side' && share(total) > 0) || (edge === 'inseam' && share(0) > 0);
  return {
    ...next,
    runs: touchesHem ? hemBetween(next.runs) : next.runs,
    newWaist: paper.newWaist || movesWaist,
    shaped: including(paper.shaped, edge),
    marks: [...paper.marks, seamMark(alteration, path)],
  };
}

/** Square to the centre line, away from the piece. */
const centreOut = (paper: Paper): Point => {
  const up = endDirection(edgeOf(paper, 'rise'));
  return scale({ x: up.y, y: -up.x }, -1);
};

/** A seam moved out (+) or in (-) between two levels, running out above and below. */
export const seam = alterationKind({
  kind: 'seam',
  label: 'Move a seam',
  panels: ANY_PANEL,
  fields: {
    seam: {
      as: 'pick',
      label: 'Seam',
      options: [
        ['side', 'side'],
        ['inseam', 'inseam'],
        ['centre', 'centre'],
      ],
    },
    by: { as: 'length', label: 'Outward (+) or inward (−)' },
    from: { as: 'level', label: 'From' },
    to: { as: 'level', label: 'To' },
    runOut: { as: 'length', label: 'Running out over' },
  },
  start: () => ({
    panel: 'both',
    seam: 'side',
    by: 5,
    from: { line: 'hipLevel', by: 0 },
    to: { line: 'crotchLevel', by: 0 },
    runOut: 150,
  }),
  say(work, { mm, level }) {
    const { from, to } = work;
    const levels =
      from.line === to.line && from.by === to.by ? `at ${level(from)}` : `from ${level(from)} to ${level(to)}`;
    return `${work.seam === 'centre' ? 'centre seam' : work.seam} ${mm(work.by)} ${work.by < 0 ? 'inward' : 'outward'} ${levels}`;
  },
  apply: seamMoved,
});
