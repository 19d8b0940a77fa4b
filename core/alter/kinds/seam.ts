import {
  crossLine,
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
import { edgeOf, including, lengthAtLevel, levelOf, startOfRun, type Paper } from '../paper.js';
import { NEAR_END, type LevelPlace } from '../place.js';
import { withInseam, withSide } from '../redraw-leg.js';
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
  const asAsked = displaced(paper, edge, (s) => scale(outward, by * share(s)));
  const fair = seam === 'centre' ? undefined : fairThrough(asAsked, seam, [top, bottom], by);
  const next = fair ?? asAsked;
  const movesWaist = (edge === 'side' && share(0) > 0) || (edge === 'rise' && share(total) > 0);
  const touchesHem = (edge === 'side' && share(total) > 0) || (edge === 'inseam' && share(0) > 0);
  return {
    ...next,
    runs: touchesHem ? hemBetween(next.runs) : next.runs,
    newWaist: next.newWaist || movesWaist,
    shaped: fair ? paper.shaped : including(paper.shaped, edge),
    marks: [...paper.marks, seamMark(alteration, path)],
  };
}

/** Between the levels a line that is drawn anew lies this near to what was asked, in mm, or this share of it. */
const MET = 0.6;
const MET_SHARE = 0.12;
/** Above and below them it may lie so much further off: running out is for the eye. */
const RUN_OUT_SHARE = 0.9;
/** Every so many mm a line is held against what was asked. */
const EVERY = 12;

/**
 * A seam that was moved between two levels, drawn anew by its measure through its moved corners, so that it runs out as
 * a cutter would run it; nothing where that is not what was asked: a bump between corners, or a corner left behind.
 */
function fairThrough(
  asked: Paper,
  seam: 'side' | 'inseam',
  [top, bottom]: readonly [number, number],
  by: number,
): Paper | undefined {
  if (asked.shaped.has(seam)) return undefined;
  // A side that falls plumb has no other line once its hip does not stand over its hem.
  const hem = endOf(edgeOf(asked, seam));
  if (seam === 'side' && asked.manner.plumbLeg && Math.abs(startOfRun(asked, 'hipToCrotch').x - hem.x) > MET)
    return undefined;
  const anew = seam === 'side' ? withSide(asked) : withInseam(asked);
  if (!anew) return undefined;
  const [was, is] = [edgeOf(asked, seam), edgeOf(anew, seam)];
  const [a, b] = [startOf(was).y, endOf(was).y].sort((p, q) => p - q) as [number, number];
  for (let y = a + EVERY / 2; y < b; y += EVERY) {
    const [before, after] = [was, is].map((path) => crossLine(path, point(0, y), point(1, 0))[0]?.at.x);
    if (before === undefined || after === undefined) return undefined;
    const share = y >= top && y <= bottom ? MET_SHARE : RUN_OUT_SHARE;
    if (Math.abs(after - before) > MET + share * Math.abs(by)) return undefined;
  }
  return anew;
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
