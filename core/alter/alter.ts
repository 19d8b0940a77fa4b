import type { Block, Panel } from '../draft/index.js';
import { PANEL_NAMES, type Levels, type PanelName } from '../method/index.js';
import { refusal, type AlterationFault, type Refusal } from '../refusal/index.js';
import { kindOf, KINDS, type Alteration } from './alteration.js';
import { drawAltered } from './draw-altered.js';
import type { AnyKind } from './kind.js';
import { paperOf, type Mark, type Paper } from './paper.js';
import type { PanelChoice } from './place.js';

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

const refusalOf = ({ id }: Alteration, fault: AlterationFault): Refusal => refusal(`alteration.${id}`, fault);

type Papers = Readonly<Record<PanelName, Paper>>;

function done(papers: Papers, { id, work }: Alteration, kinds: readonly AnyKind[]): Papers | AlterationFault {
  let next = papers;
  for (const panel of panelsOf(work.panel)) {
    const paper = kindOf(work.kind, kinds).apply(next[panel], work, id);
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
export function alterBlock(
  drafted: Block,
  alterations: readonly Alteration[],
  kinds: readonly AnyKind[] = KINDS,
): AlteredBlock {
  const active = alterations.filter((a) => a.on);
  const nothing = { block: drafted, told: [], marks: { front: [], back: [] } };
  if (active.length === 0) return nothing;
  const told: AlterationTold[] = [];
  const papers: Papers[] = [{ front: paperOf(drafted.front), back: paperOf(drafted.back) }];
  const kept: Alteration[] = [];
  for (const alteration of active) {
    const before = papers[papers.length - 1] as Papers;
    const after = done(before, alteration, kinds);
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

function drawnFrom(papers: Papers, drafted: Block): Block | AlterationFault {
  const draw = (name: PanelName): Panel | AlterationFault => {
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
