import type { EdgeName } from '../../draft/index.js';
import { crossLine, point } from '../../geometry/index.js';
import type { Levels } from '../../method/index.js';
import { openCut } from '../cut.js';
import { alterationKind, ANY_PANEL } from '../kind.js';
import type { AlterationFault } from '../../refusal/index.js';
import { edgeOf, EDGE_OF, levelOf, placeOf, RUNS, type Paper, type RingPlace } from '../paper.js';
import type { LevelPlace } from '../place.js';

/**
 * A place that lies on a joint belongs to the upper of the two stretches, so that a cut across leaves the joint below
 * it.
 */
function inUpperRun(paper: Paper, place: RingPlace): RingPlace {
  const path = paper.runs[place.run];
  const upward = EDGE_OF[place.run] === 'inseam' || EDGE_OF[place.run] === 'rise';
  const i = RUNS.indexOf(place.run);
  if (!upward) {
    const before = RUNS[i - 1];
    if (place.index > 0 || place.t > 1e-9 || !before || EDGE_OF[before] !== EDGE_OF[place.run]) return place;
    return { ...place, run: before, index: paper.runs[before].length - 1, t: 1 };
  }
  const after = RUNS[i + 1];
  const atEnd = place.index === path.length - 1 && place.t >= 1 - 1e-9;
  if (!atEnd || !after || EDGE_OF[after] !== EDGE_OF[place.run] || paper.runs[after].length === 0) return place;
  return { ...place, run: after, index: 0, t: 0 };
}

/** Cuts across at a level: from side to side of the outline there. */
function cutAcross(paper: Paper, level: LevelPlace, by: number, alteration: string): Paper | AlterationFault {
  const y = levelOf(paper, level);
  const [side] = crossLine(edgeOf(paper, 'side'), point(0, y), point(1, 0));
  const inner = (['rise', 'inseam'] as const).find(
    (e) => crossLine(edgeOf(paper, e), point(0, y), point(1, 0)).length > 0,
  );
  if (!side || !inner) return 'noLevel';
  const place = (edge: EdgeName): RingPlace | undefined => {
    const found = placeOf(paper, { edge, level });
    return found && inUpperRun(paper, found);
  };
  const [from, to] = [place(inner), place('side')];
  if (!from || !to) return 'noLevel';
  const cut = openCut(paper, { from, to, byFrom: by, byTo: by, movesDown: true }, alteration);
  if (typeof cut === 'string') return cut;
  // A level on the cut goes down with the lower part where it is spread; overlapped, none comes to lie above the cut.
  const lowered = (mm: number): number => (mm > y + (by > 0 ? -1e-6 : 1e-6) ? Math.max(y, mm + by) : mm);
  const levels = Object.fromEntries(
    Object.entries(paper.levels).map(([name, mm]) => [name, lowered(mm as number)]),
  ) as unknown as Levels;
  return { ...cut, levels };
}

/** Cut square across at a level and spread (+) or overlapped (-) evenly, grain kept. */
export const across = alterationKind({
  kind: 'across',
  label: 'Lengthen or shorten across',
  panels: ANY_PANEL,
  fields: {
    by: { as: 'length', label: 'Longer (+) or shorter (−)' },
    level: { as: 'level', label: 'At' },
  },
  start: () => ({ panel: 'both', level: { line: 'kneeLevel', by: 0 }, by: 10 }),
  say: (work, { mm, level }) => `${work.by < 0 ? 'shorten' : 'lengthen'} ${mm(work.by)} across at ${level(work.level)}`,
  apply: (paper, { level, by }, alteration) => (by === 0 ? paper : cutAcross(paper, level, by, alteration)),
});
