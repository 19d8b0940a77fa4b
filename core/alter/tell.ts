import { edgeLengths, type Block, type EdgeLengths, type Panel } from '../draft/index.js';
import { distance } from '../geometry/index.js';
import { PANEL_NAMES, type PanelName } from '../method/index.js';
import { doneOn, drawnFrom, papersOf } from './alter.js';
import type { Alteration } from './alteration.js';

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

/** The block after one alteration of a list, and before it. */
export interface AlteredStep {
  readonly id: string;
  readonly before: Block;
  readonly after: Block;
}

/**
 * The alterations of a list that can be done and drawn, one after the other, each on top of those before it. One that
 * cannot leaves the block as it was.
 */
export function alteredInTurn(drafted: Block, alterations: readonly Alteration[]): AlteredStep[] {
  let papers = papersOf(drafted);
  let before = drafted;
  return alterations
    .filter(({ on }) => on)
    .map((alteration): AlteredStep => {
      const next = doneOn(papers, alteration);
      const after = typeof next === 'string' ? next : drawnFrom(next, drafted);
      if (typeof next === 'string' || typeof after === 'string') return { id: alteration.id, before, after: before };
      const step = { id: alteration.id, before, after };
      [papers, before] = [next, after];
      return step;
    });
}

/** What each alteration of a list changes, done on top of those before it, by its id; nothing where it cannot be done. */
export const tellAlterations = (drafted: Block, alterations: readonly Alteration[]): Map<string, LengthChange[]> =>
  new Map(alteredInTurn(drafted, alterations).map(({ id, before, after }) => [id, lengthChanges(before, after)]));
