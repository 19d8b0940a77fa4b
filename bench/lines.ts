import { computeDraft, EMPTY_INPUT } from '../core/chain/index.js';
import { SHEETS } from '../core/shipped/index.js';
import { BODIES } from './body-table.js';
import { judgeDraft } from './judged.js';
import { inputFor, waysOf } from './random-body.js';

/**
 * Every method and way on the table of bodies: how many panels miss a measure of their lines, which, and what gave way.
 */
export function reportLines(): void {
  const told = { panels: 0, missed: 0, refused: 0, hollowMoved: 0, extensionMoved: 0 };
  const measures = new Map<string, number>();
  for (const sheet of SHEETS) {
    for (const choices of waysOf(sheet)) {
      for (const { input } of BODIES) {
        const { figure, build } = input;
        const { waist = 0, hip = 0, crotchDepth = 0, inseam = 0 } = input.measured;
        const body = { waist, hip, crotchDepth, inseam };
        const outcome = computeDraft({ ...EMPTY_INPUT, ...inputFor(sheet, body), figure, build, choices });
        if (!outcome.ok) {
          told.refused += 1;
          continue;
        }
        const { block, worked } = outcome.value;
        const judged = judgeDraft(outcome.value);
        for (const name of ['front', 'back'] as const) {
          const missed = [...judged[name], ...judged.pair];
          told.panels += 1;
          if (missed.length > 0) told.missed += 1;
          for (const { id } of missed) measures.set(id, (measures.get(id) ?? 0) + 1);
          const { settled, points } = block[name];
          if (Math.abs(settled.hollow) > 5) told.hollowMoved += 1;
          if (Math.abs(points.crotchPoint.x - worked[name].hipWidth - worked[name].extension) > 2)
            told.extensionMoved += 1;
        }
      }
    }
  }
  const share = ((100 * (told.panels - told.missed)) / told.panels).toFixed(1);
  console.log(`lines of the table of bodies: ${share} of 100 panels meet every measure`, JSON.stringify(told));
  const most = [...measures].sort((a, b) => b[1] - a[1]).map(([id, times]) => `${id} ${times}`);
  console.log(`  missed: ${most.join(', ')}`);
}
