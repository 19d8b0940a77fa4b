import { figuresOf, type MeasurementId } from '../measure/index.js';
import { exactFigure, fromMm, type Unit } from '../units/index.js';
import { callInWords, typeset } from './formula-value.js';
import { knitReduction } from './fit.js';
import { lineLabel, type Worked } from './ledger.js';
import { REDUCTION, type Sheet } from './sheet.js';

/** A length inside a sum: the shortest decimal to 0.01 cm or 0.1 mm, or a fraction of an inch to 1/16. */
function sumFigure(mm: number, unit: Unit): string {
  if (unit === 'in') return exactFigure(Math.round(fromMm(mm, 'in') * 16) * (25.4 / 16), 'in');
  return String(Number(fromMm(mm, unit).toFixed(unit === 'cm' ? 2 : 1)));
}

const percentFigure = (share: number): string => `${Number((share * 100).toFixed(1))} %`;

/** A line's sum in words and figures: the formula, and the formula with its numbers put in, in the reader's unit. */
export interface Sum {
  readonly formula: string;
  readonly with: string;
  /** Names and numbers together, limits in words: `hip 100 ÷ 16, at least 5`; every length in the reader's unit. */
  readonly told: string;
}

/** A sum without the brackets about the whole of it. */
const bare = (text: string, bracketed: boolean): string => (bracketed ? text.slice(1, -1) : text);

/** A name of a formula as a maker says it: `hip`, `front hip width`. */
export const nameInSum = (sheet: Sheet, name: string): string =>
  name === REDUCTION ? 'reduction by stretch' : lineLabel(sheet, name).toLowerCase();

/**
 * "Show the sum" (docs/trade/methods.md): how a ledger line came about, set in type in `unit`. Lines that are plain
 * words or literals have the same text twice. Throws for a name that is not in the ledger, since that is a bug.
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
    node.kind === 'length' ? sumFigure(node.value * line.scale, unit) : node.text;
  const smaller = line.scale === 1 ? '' : ` × ${String(Number(line.scale.toFixed(2)))}`;
  // Said to a reader, a length of the method stands in the reader's unit, as all figures beside it do.
  const written = (leaf: { readonly text: string; readonly kind: string; readonly value: number }): string => {
    if (leaf.kind !== 'length' || leaf.value === 0) return leaf.kind === 'length' ? '0' : leaf.text;
    const own = sumFigure(leaf.value, unit);
    // A length that stands alone has nothing beside it that would say its unit.
    if (line.node?.type === 'literal') return `${sumFigure(leaf.value * line.scale, unit)} ${unit}`;
    return smaller === '' ? own : `(${own}${smaller})`;
  };
  const figure = (name: string): string => {
    if (name === REDUCTION) return percentFigure(knitReduction(worked.stretch));
    const from = worked.ledger.get(name);
    const value = from?.value ?? worked.body.get(name as MeasurementId)?.mm ?? 0;
    if (typeof value !== 'number') return String(value);
    if (from?.kind === 'share') return percentFigure(value);
    return from === undefined || from.kind === 'length' ? sumFigure(value, unit) : String(value);
  };
  const terms = line.terms.map((term) => {
    const to = line.kind === 'length' ? sumFigure(term.to, unit) : String(term.to);
    if (!term.node) return `; ${term.label.toLowerCase()}: ${to}`;
    const sum = typeset(term.node, (leaf) =>
      leaf.type === 'literal'
        ? leaf.text
        : leaf.name === 'value'
          ? sumFigure(term.from, unit)
          : `${nameInSum(worked.sheet, leaf.name)} ${figure(leaf.name)}`,
    );
    return `; ${term.label.toLowerCase()}: ${sum} = ${to}`;
  });
  const added = terms.join('');
  return {
    formula: typeset(line.node, (leaf) => (leaf.type === 'literal' ? leaf.text : nameInSum(worked.sheet, leaf.name))),
    with: typeset(line.node, (leaf) => (leaf.type === 'literal' ? literal(leaf) : figure(leaf.name))) + added,
    told:
      bare(
        typeset(
          line.node,
          (leaf) =>
            leaf.type === 'literal' ? written(leaf) : `${nameInSum(worked.sheet, leaf.name)} ${figure(leaf.name)}`,
          callInWords,
        ),
        line.node.type === 'call',
      ) + added,
  };
}
