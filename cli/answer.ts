import type { Draft } from '../core/chain/index.js';
import { draftNotes, edgeLengths, outlineOf, type Panel } from '../core/draft/index.js';
import { flatten } from '../core/geometry/index.js';
import { findDoubts, type Measured } from '../core/measure/index.js';
import { showSum } from '../core/method/index.js';
import type { Unit } from '../core/units/index.js';

/** How finely outlines are flattened, in mm. */
const FLATNESS = 0.05;

const outline = (panel: Panel): [number, number][] => flatten(outlineOf(panel), FLATNESS).map((p) => [p.x, p.y]);

const finite = (x: number | undefined): number | null => (x !== undefined && Number.isFinite(x) ? x : null);

/** The answer to an order: plain data for JSON, all lengths in mm; open ends of bands are null. */
export function answerTo(draft: Draft, measured: Measured, unit: Unit): Record<string, unknown> {
  const { worked, block, checks, altered } = draft;
  return {
    method: worked.sheet.id,
    choices: worked.choices,
    ledger: [...worked.ledger.values()].map((line) => {
      const sum = showSum(worked, line.name, unit);
      return {
        name: line.name,
        formula: sum.formula,
        with: line.source === 'hand' ? 'set by hand' : sum.with,
        value: line.value,
        source: line.source,
      };
    }),
    frame: block.levels,
    front: worked.front,
    back: worked.back,
    derived: Object.fromEntries(
      [block.front, block.back].map((panel) => [
        panel.name,
        {
          seatAngle: (panel.seatAngle * 180) / Math.PI,
          crotchWidth: panel.crotchWidth,
          hollow: panel.hollow,
          settled: panel.settled,
        },
      ]),
    ),
    edges: { front: edgeLengths(block.front), back: edgeLengths(block.back) },
    alterations: altered.told.map(({ id, done, refusal }) => ({ id, done, ...(refusal && { refusal }) })),
    outline: { front: outline(block.front), back: outline(block.back) },
    checks: checks.map((c) => ({
      id: c.id,
      value: c.value ?? null,
      low: finite(c.low),
      high: finite(c.high),
      verdict: c.verdict,
    })),
    warnings: [
      ...worked.warnings,
      ...altered.told.flatMap(({ refusal }) =>
        refusal ? [`${refusal.field}: ${refusal.reason} It is left out.`] : [],
      ),
      ...findDoubts(measured, unit).map((d) => d.sentence),
      ...draftNotes(block, unit),
    ],
  };
}
