import { figuresOf, type MeasurementId } from '../measure/index.js';
import { exactFigure, fromMm, type Unit } from '../units/index.js';
import { typeset } from './formula-value.js';
import { lineLabel, type Worked } from './ledger.js';
import type { Sheet } from './sheet.js';

/** A length inside a sum: the shortest decimal to 0.01 cm or 0.1 mm, or a fraction of an inch to 1/16. */
function sumFigure(mm: number, unit: Unit): string {
  if (unit === 'in') return exactFigure(Math.round(fromMm(mm, 'in') * 16) * (25.4 / 16), 'in');
  return String(Number(fromMm(mm, unit).toFixed(unit === 'cm' ? 2 : 1)));
}

/** A line's sum in words and figures: the formula, and the formula with its numbers put in, in the reader's unit. */
export interface Sum {
  readonly formula: string;
  readonly with: string;
  /** Names and numbers together: `hip 100 ÷ 16`. */
  readonly told: string;
}

/** The names of a formula as a maker says them: `hip`, `front hip width`. */
const said = (sheet: Sheet, name: string): string => lineLabel(sheet, name).toLowerCase();

/**
 * "Show the sum" (handbook 1): how a ledger line came about, set in type in `unit`. Lines that are plain words
 * or literals have the same text twice. Throws for a name that is not in the ledger, since that is a bug.
 */
export function showSum(worked: Worked, name: string, unit: Unit): Sum {
  const line = worked.ledger.get(name);
  if (!line) throw new Error(`No line ${name} in the ledger`);
  if (line.source === 'estimate') {
    const known = worked.body.get(name as MeasurementId);
    const numbers =
      known?.source === 'estimate' ? known.rule.sum(figuresOf(worked.body), (x) => sumFigure(x, unit)) : line.formula;
    return {
      formula: line.formula,
      with: numbers,
      told: numbers === line.formula ? numbers : `${line.formula} = ${numbers}`,
    };
  }
  if (!line.node) return { formula: line.formula, with: line.formula, told: line.formula };
  const literal = (node: { readonly text: string; readonly value: number; readonly kind: string }): string =>
    node.kind === 'length' ? sumFigure(node.value, unit) : node.text;
  const figure = (name: string): string => {
    const from = worked.ledger.get(name);
    const value = from?.value ?? worked.body.get(name as MeasurementId)?.mm;
    if (typeof value !== 'number') return String(value);
    return from === undefined || from.kind === 'length' ? sumFigure(value, unit) : String(value);
  };
  return {
    formula: typeset(line.node, (leaf) => (leaf.type === 'literal' ? leaf.text : said(worked.sheet, leaf.name))),
    with: typeset(line.node, (leaf) => (leaf.type === 'literal' ? literal(leaf) : figure(leaf.name))),
    told: typeset(line.node, (leaf) =>
      leaf.type === 'literal' ? leaf.text : `${said(worked.sheet, leaf.name)} ${figure(leaf.name)}`,
    ),
  };
}
