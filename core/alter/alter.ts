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

/** What a list of alterations is done with. */
export interface AlteringBy {
  readonly kinds?: readonly AnyKind[];
  /** Asked between alterations: true where they have taken too long, and the block is to stay as it was drafted. */
  readonly stop?: () => boolean;
}

type Papers = Readonly<Record<PanelName, Paper>>;

/** The paper after one alteration of a list. */
interface Step {
  readonly alteration: Alteration;
  readonly papers: Papers;
}

/** The panels that an alteration is done to. */
const panelsOf = (choice: PanelChoice): readonly PanelName[] => (choice === 'both' ? PANEL_NAMES : [choice]);

const refusalOf = ({ id }: Alteration, fault: AlterationFault): Refusal => refusal(`alteration.${id}`, fault);

/** The paper of a block before anything is done to it. */
export const papersOf = ({ front, back }: Block): Papers => ({ front: paperOf(front), back: paperOf(back) });

/** Does one alteration to the paper, or says why it cannot be done. */
export function doneOn(
  papers: Papers,
  { id, work }: Alteration,
  kinds: readonly AnyKind[] = KINDS,
): Papers | AlterationFault {
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

/** The block that paper is drawn to, each panel redrawn smooth, or why it cannot be. */
export function drawnFrom(papers: Papers, drafted: Block): Block | AlterationFault {
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

/** The first of the steps that can no longer be drawn, by halving, and why; the last is known to be such a one. */
function firstUndrawable(
  steps: readonly Step[],
  drafted: Block,
  last: AlterationFault,
): { readonly at: number; readonly fault: AlterationFault } {
  let [low, high, fault] = [-1, steps.length - 1, last];
  while (high - low > 1) {
    const middle = (low + high) >> 1;
    const drawn = drawnFrom((steps[middle] as Step).papers, drafted);
    if (typeof drawn === 'string') [high, fault] = [middle, drawn];
    else low = middle;
  }
  return { at: high, fault };
}

const never = (): boolean => false;

/**
 * Does a list of alterations on top of a block (docs/alterations.md): cut and moved one after the other, exactly, then
 * redrawn smooth once. One that cannot be done on this body is left out and told; those switched off leave no trace. A
 * list that takes too long is left out whole.
 */
export function alterBlock(
  drafted: Block,
  alterations: readonly Alteration[],
  { kinds = KINDS, stop = never }: AlteringBy = {},
): AlteredBlock {
  const active = alterations.filter((a) => a.on);
  const unaltered = { block: drafted, marks: { front: [], back: [] } };
  const leftOut = new Map<Alteration, Refusal>();
  const told = (): AlterationTold[] =>
    active.map((a) => ({ id: a.id, done: !leftOut.has(a), refusal: leftOut.get(a) }));
  const stopped = (): AlteredBlock => {
    for (const a of active) leftOut.set(a, refusalOf(a, 'tookTooLong'));
    return { ...unaltered, told: told() };
  };
  const start = papersOf(drafted);
  let steps: Step[] = [];
  let from = 0;
  for (;;) {
    for (const alteration of active.slice(from)) {
      if (stop()) return stopped();
      const papers = doneOn(steps[steps.length - 1]?.papers ?? start, alteration, kinds);
      if (typeof papers === 'string') leftOut.set(alteration, refusalOf(alteration, papers));
      else steps.push({ alteration, papers });
    }
    const last = steps[steps.length - 1];
    if (!last) return { ...unaltered, told: told() };
    const block = drawnFrom(last.papers, drafted);
    if (typeof block !== 'string') {
      const { front, back } = last.papers;
      return { block, told: told(), marks: { front: front.marks, back: back.marks } };
    }
    if (stop()) return stopped();
    // The first that cannot be drawn is left out, and what comes after it is done without it.
    const { at, fault } = firstUndrawable(steps, drafted, block);
    const { alteration } = steps[at] as Step;
    from = active.indexOf(alteration) + 1;
    for (const later of active.slice(from)) leftOut.delete(later);
    leftOut.set(alteration, refusalOf(alteration, fault));
    steps = steps.slice(0, at);
  }
}
