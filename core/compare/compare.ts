import { EDGE_NAMES, edgeLengths, parametersOf } from '../draft/index.js';
import { EDGE_WORDS } from '../garment/index.js';
import { drawnParameters } from '../measured/index.js';
import { lineLabel, PARAMETER_NAMES, PANEL_PARAMETERS, LEVELS } from '../method/index.js';
import type { Draft } from '../chain/index.js';

/** A length that differs between two drafts, in mm. */
export interface DraftDifference {
  readonly name: string;
  readonly label: string;
  readonly before: number;
  readonly after: number;
  readonly by: number;
}

/** Lengths that differ by less than this are the same to a tape, in mm. */
const SAME = 0.8;

function lengthsOf({ worked, block }: Draft): Map<string, { label: string; mm: number }> {
  const found = new Map<string, { label: string; mm: number }>();
  const { sheet } = worked;
  for (const [level] of LEVELS) found.set(level, { label: lineLabel(sheet, level), mm: block.levels[level] });
  for (const panel of [block.front, block.back]) {
    const side = panel.name === 'front' ? 'Front' : 'Back';
    const lengths = edgeLengths(panel);
    const drawn = drawnParameters(panel);
    for (const edge of EDGE_NAMES) {
      found.set(`${panel.name}.edge.${edge}`, {
        label: `${side} ${EDGE_WORDS[edge]}, along the seam`,
        mm: lengths[edge],
      });
    }
    for (const name of PARAMETER_NAMES) {
      const mm = drawn[name] ?? parametersOf(panel)?.[name];
      if (PANEL_PARAMETERS[name].kind !== 'length' || typeof mm !== 'number') continue;
      found.set(`${panel.name}.${name}`, { label: lineLabel(sheet, `${panel.name}.${name}`), mm });
    }
  }
  return found;
}

/** What differs between two drafts: levels, seam lengths and panel parameters, the largest difference first. In mm. */
export function compareDrafts(before: Draft, after: Draft): DraftDifference[] {
  const [was, is] = [lengthsOf(before), lengthsOf(after)];
  return [...is]
    .flatMap(([name, { label, mm }]) => {
      const old = was.get(name);
      if (!old || Math.abs(mm - old.mm) < SAME) return [];
      return [{ name, label, before: old.mm, after: mm, by: mm - old.mm }];
    })
    .sort((a, b) => Math.abs(b.by) - Math.abs(a.by));
}
