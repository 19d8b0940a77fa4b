import { edgeLengths, type Block, type EdgeLengths, type Panel } from '../draft/index.js';
import { distance } from '../geometry/index.js';
import { PANEL_NAMES, type PanelName } from '../method/index.js';
import { doneOn, drawnFrom, papersOf, type AlterationTold } from './alter.js';
import { kindOf, type Alteration } from './alteration.js';

/** A length of a piece that an alteration changes, in mm. */
export interface LengthChange {
  readonly panel: PanelName;
  readonly of: keyof Omit<EdgeLengths, 'inseamAboveKnee'> | 'hipWidth' | 'crotchWidth';
  readonly by: number;
}

/** Changes smaller than this, in mm, are not told: no tape shows them. */
const WORTH_TELLING = 0.1;

function figuresOf(panel: Panel): Record<LengthChange['of'], number> {
  const { waist, side, inseam, rise, hem } = edgeLengths(panel);
  const { sideHip, centreHip } = panel.points;
  return { rise, side, inseam, waist, hem, hipWidth: distance(sideHip, centreHip), crotchWidth: panel.crotchWidth };
}

/** By how much the lengths of two blocks differ, in mm, from the first to the second. */
export function lengthChanges(before: Block, after: Block): LengthChange[] {
  return PANEL_NAMES.flatMap((panel) => {
    if (before[panel] === after[panel]) return [];
    const [was, is] = [figuresOf(before[panel]), figuresOf(after[panel])];
    return (Object.keys(is) as LengthChange['of'][]).flatMap((of) => {
      const by = is[of] - was[of];
      return Math.abs(by) < WORTH_TELLING ? [] : [{ panel, of, by }];
    });
  });
}

/** The block before one alteration of a list and after it. */
export interface AlteredStep {
  readonly alteration: Alteration;
  readonly before: Block;
  readonly after: Block;
}

/**
 * The alterations of a list that were done, each drawn on top of those before it; `told` says which they are. One that
 * can be drawn only with what comes after it leaves its block as it was, and the next shows both.
 */
export function alteredInTurn(
  drafted: Block,
  alterations: readonly Alteration[],
  told: readonly AlterationTold[],
): AlteredStep[] {
  const done = new Set(told.flatMap((t) => (t.done ? [t.id] : [])));
  const steps: AlteredStep[] = [];
  let papers = papersOf(drafted);
  let before = drafted;
  for (const alteration of alterations) {
    const next = done.has(alteration.id) ? doneOn(papers, alteration) : undefined;
    if (next === undefined || typeof next === 'string') continue;
    const drawn = drawnFrom(next, drafted);
    const after = typeof drawn === 'string' ? before : drawn;
    steps.push({ alteration, before, after });
    [papers, before] = [next, after];
  }
  return steps;
}

/** An amount that a piece falls short of by this much, in mm, is told. */
const SHORT = 0.75;

/**
 * What of its amount an alteration has come to on a piece, in mm, where that is less than was asked; nothing where it
 * is met.
 */
export function fallsShort({ alteration: { work }, before, after }: AlteredStep): number | undefined {
  const kind = kindOf(work.kind);
  if (!kind.reached || !('by' in work) || before === after) return undefined;
  return PANEL_NAMES.filter((name) => work.panel === 'both' || work.panel === name)
    .map((name) => kind.reached?.(before[name], after[name], work))
    .find((by) => by !== undefined && Math.abs(work.by) - Math.abs(by) > SHORT);
}
