import type { Block, EdgeName, Panel } from '../draft/index.js';
import { crossLine, distance, point } from '../geometry/index.js';
import { PANEL_NAMES, type Levels, type PanelName } from '../method/index.js';
import type { Refusal } from '../refusal/index.js';
import type { Across, Alteration, AlterationWork, PanelChoice, SeamPlace } from './alteration.js';
import { openCut, type CutFault } from './cut.js';
import { dartChanged } from './dart-work.js';
import { drawAltered, type DrawFault } from './draw-altered.js';
import {
  edgeOf,
  levelOf,
  paperOf,
  placeOf,
  startOfRun,
  EDGE_OF,
  RUNS,
  type Mark,
  type Paper,
  type RingPlace,
} from './paper.js';
import { waistOver } from './waist-of-paper.js';
import { riseTaken, scooped } from './rise-work.js';
import { creaseMoved, crotchPointMoved, seamMoved, tilted, waistMoved, type SeamFault } from './seam-work.js';

type Fault = CutFault | SeamFault | DrawFault | 'no place';

/** What became of an alteration. */
export interface AlterationTold {
  readonly id: string;
  readonly done: boolean;
  /** Why it could not be done; it is then left out. */
  readonly refusal: Refusal | undefined;
}

/** A block with its alterations done. */
export interface AlteredBlock {
  readonly block: Block;
  readonly told: readonly AlterationTold[];
  /** How each would be done on paper, in the coordinates of the altered panels. */
  readonly marks: Readonly<Record<PanelName, readonly Mark[]>>;
}

/** The panels that an alteration is done to. */
const panelsOf = (choice: PanelChoice): readonly PanelName[] => (choice === 'both' ? PANEL_NAMES : [choice]);

const SAID: Record<Fault, readonly [string, string]> = {
  'same place': ['The cut is too short to be opened.', 'Draw it from one seam to another.'],
  dart: [
    'The cut or the new waist meets a dart.',
    'Take a level below the point of the dart, or change the dart first.',
  ],
  'too much': ['So much cannot be taken here.', 'Give a smaller amount.'],
  'too short': ['The fold would reach beyond the piece.', 'Give a smaller amount.'],
  crossing: ['The piece would cross itself.', 'Give a smaller amount, or switch it off.'],
  'no place': ['The seam does not reach the place of the cut.', 'Choose a place on the seam.'],
  'no level': ['The seam does not reach these levels.', 'Choose levels on the seam.'],
  'no dart': ['This piece has no such dart.', 'Choose another dart, or remove the alteration.'],
  'no room': ['There is no room for it on this seam.', 'Choose another place.'],
};

const refusalOf = (alteration: Alteration, fault: Fault): Refusal => {
  const [reason, wayOut] = SAID[fault];
  return { field: `alteration.${alteration.id}`, value: '', reason, wayOut };
};

/** A place that lies on a joint belongs to the upper of the two stretches, so that a cut across leaves the joint below it. */
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
function cutAcross(paper: Paper, { level, by }: Across, id: string): Paper | Fault {
  const y = levelOf(paper, level);
  const [side] = crossLine(edgeOf(paper, 'side'), point(0, y), point(1, 0));
  const inner = (['rise', 'inseam'] as const).find(
    (e) => crossLine(edgeOf(paper, e), point(0, y), point(1, 0)).length > 0,
  );
  if (!side || !inner) return 'no level';
  const place = (edge: EdgeName): RingPlace | undefined => {
    const found = placeOf(paper, { edge, level });
    return found && inUpperRun(paper, found);
  };
  const [from, to] = [place(inner), place('side')];
  if (!from || !to) return 'no level';
  const cut = openCut(paper, { from, to, byFrom: by, byTo: by, movesDown: true }, id);
  if (typeof cut === 'string') return cut;
  const lowered = (mm: number): number => (mm > y - 1e-6 ? mm + by : mm);
  const levels = Object.fromEntries(
    Object.entries(paper.levels).map(([name, mm]) => [name, lowered(mm as number)]),
  ) as unknown as Levels;
  return { ...cut, levels };
}

/** The hip width of a paper, in mm. */
const hipOf = (paper: Paper): number => distance(startOfRun(paper, 'hipToCrotch'), paper.centreHip);

/** The paper with its waist as it would be drawn now. */
function withWaist(paper: Paper): Paper {
  const waist = paper.newWaist ? waistOver(paper) : undefined;
  return waist ? { ...paper, runs: { ...paper.runs, waist: waist.edge } } : paper;
}

function cutBetween(
  lying: Paper,
  from: SeamPlace,
  to: SeamPlace,
  byFrom: number,
  byTo: number,
  id: string,
): Paper | Fault {
  const paper = from.edge === 'waist' || to.edge === 'waist' ? withWaist(lying) : lying;
  const [p, q] = [placeOf(paper, from), placeOf(paper, to)];
  if (!p || !q) return 'no place';
  const cut = openCut(paper, { from: p, to: q, byFrom, byTo }, id);
  if (typeof cut === 'string') return cut;
  return { ...cut, owed: paper.owed + hipOf(paper) - hipOf(cut) };
}

/** Does the work of one alteration on one piece of paper. */
function worked(paper: Paper, work: AlterationWork, id: string): Paper | Fault {
  switch (work.kind) {
    case 'wedge':
      return work.by === 0 ? paper : cutBetween(paper, work.from, work.hinge, work.by, 0, id);
    case 'across':
      return work.by === 0 ? paper : cutAcross(paper, work, id);
    case 'pinch':
      return work.byFrom === 0 && work.byTo === 0
        ? paper
        : cutBetween(paper, work.from, work.to, -work.byFrom, -work.byTo, id);
    case 'waist':
      return waistMoved(paper, work, id);
    case 'scoop':
      return scooped(paper, work, id);
    case 'crotchPoint':
      return crotchPointMoved(paper, work, id);
    case 'tilt':
      return tilted(paper, work, id);
    case 'seam':
      return seamMoved(paper, work, id);
    case 'dart':
      return dartChanged(paper, work, id);
    case 'crease':
      return creaseMoved(paper, work, id);
    case 'rise':
      return riseTaken(paper, work, id);
  }
}

type Papers = Readonly<Record<PanelName, Paper>>;

function done(papers: Papers, alteration: Alteration): Papers | Fault {
  let next = papers;
  for (const panel of panelsOf(alteration.work.panel)) {
    const paper = worked(next[panel], alteration.work, alteration.id);
    if (typeof paper === 'string') return paper;
    next = { ...next, [panel]: paper };
  }
  return next;
}

const sameLevels = (a: Levels, b: Levels): boolean =>
  (Object.keys(a) as (keyof Levels)[]).every((name) => Math.abs(a[name] - b[name]) < 1e-6);

/**
 * Does a list of alterations on top of a block (docs/alterations.md): cut and moved one after the other, exactly, then
 * redrawn smooth once. One that cannot be done on this body is left out and told; those switched off leave no trace.
 */
export function alterBlock(drafted: Block, alterations: readonly Alteration[]): AlteredBlock {
  const active = alterations.filter((a) => a.on);
  const nothing = { block: drafted, told: [], marks: { front: [], back: [] } };
  if (active.length === 0) return nothing;
  const told: AlterationTold[] = [];
  const papers: Papers[] = [{ front: paperOf(drafted.front), back: paperOf(drafted.back) }];
  const kept: Alteration[] = [];
  for (const alteration of active) {
    const before = papers[papers.length - 1] as Papers;
    const after = done(before, alteration);
    if (typeof after === 'string') {
      told.push({ id: alteration.id, done: false, refusal: refusalOf(alteration, after) });
      continue;
    }
    papers.push(after);
    kept.push(alteration);
    told.push({ id: alteration.id, done: true, refusal: undefined });
  }
  // What cannot be drawn with the last of them is drawn without it.
  for (let count = kept.length; count > 0; count--) {
    const last = papers[count] as Papers;
    const drawn = drawnFrom(last, drafted);
    const alteration = kept[count - 1];
    if (typeof drawn !== 'string') {
      return { block: drawn, told, marks: { front: last.front.marks, back: last.back.marks } };
    }
    if (!alteration) break;
    const at = told.findIndex((t) => t.id === alteration.id);
    told[at] = { id: alteration.id, done: false, refusal: refusalOf(alteration, drawn) };
  }
  return { ...nothing, told };
}

function drawnFrom(papers: Papers, drafted: Block): Block | DrawFault {
  const draw = (name: PanelName): Panel | DrawFault => {
    const paper = papers[name];
    return paper.marks.length === 0 ? drafted[name] : drawAltered(paper, drafted[name]);
  };
  const front = draw('front');
  if (typeof front === 'string') return front;
  const back = draw('back');
  if (typeof back === 'string') return back;
  const levels = sameLevels(front.levels, back.levels) ? front.levels : drafted.levels;
  return { levels, front, back };
}
