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

/**
 * What each alteration of a list changes, done on top of those before it, by its id; nothing where it cannot be done, or
 * not be drawn.
 */
export function tellAlterations(drafted: Block, alterations: readonly Alteration[]): Map<string, LengthChange[]> {
  const found = new Map<string, LengthChange[]>();
  let papers = papersOf(drafted);
  let before = drafted;
  for (const alteration of alterations) {
    if (!alteration.on) continue;
    const next = doneOn(papers, alteration);
    const block = typeof next === 'string' ? next : drawnFrom(next, drafted);
    if (typeof next === 'string' || typeof block === 'string') {
      found.set(alteration.id, []);
      continue;
    }
    found.set(alteration.id, lengthChanges(before, block));
    [papers, before] = [next, block];
  }
  return found;
}
