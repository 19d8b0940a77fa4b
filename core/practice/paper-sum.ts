import { evaluate, knitReduction, REDUCTION, type LedgerLine, type Node, type Worked } from '../method/index.js';
import { fromMm, snapTo, tapeFor, toMm, type Unit } from '../units/index.js';

/** A whole step of a learner's tape, in mm. */
export const stepOf = (unit: Unit): number => toMm(tapeFor(unit).step, unit);

/** What a constant of a method is rounded to where it is set in the learner's unit: 1/16 in, 0.1 mm. */
const CONSTANT: Readonly<Record<Unit, number>> = { in: toMm(1 / 16, 'in'), cm: 0.1, mm: 0.1 };

const each = (node: Node, change: (leaf: Node) => Node): Node => {
  switch (node.type) {
    case 'literal':
    case 'name':
      return change(node);
    case 'minus':
    case 'percent':
    case 'group':
      return { ...node, of: each(node.of, change) };
    case 'sum':
      return { ...node, left: each(node.left, change), right: each(node.right, change) };
    case 'call':
      return { ...node, args: node.args.map((a) => each(a, change)) };
  }
};

/** A formula with a name replaced by another formula. */
export const withName = (node: Node, name: string, by: Node): Node =>
  each(node, (leaf) => (leaf.type === 'name' && leaf.name === name ? by : leaf));

/** A formula with its constants as they are read in a unit; a child's inch is smaller by `scale`. */
export const constantsOnPaper = (node: Node, unit: Unit, scale = 1): Node =>
  each(node, (leaf) =>
    leaf.type === 'literal' && leaf.kind === 'length'
      ? { ...leaf, value: snapTo(leaf.value * scale, CONSTANT[unit]) }
      : leaf,
  );

/** A sum on a learner's paper: its formula as set in their unit, the terms that are added to it, and what is right. */
export interface PaperSum {
  readonly line: LedgerLine;
  /** The formula with every term of build and leg put about it. */
  readonly node: Node;
  /** The same without the last terms, one after the other: what somebody has who leaves a term out. */
  readonly without: readonly { readonly label: string; readonly node: Node }[];
  /** In mm, of the figures that stand on the paper. */
  readonly right: number;
}

/** A method worked out as a learner does: every figure rounded to the tape before it is used again. */
export interface Paper {
  readonly worked: Worked;
  readonly unit: Unit;
  /** The figures on the paper by name: lengths in mm on the tape. */
  readonly figures: ReadonlyMap<string, number>;
  readonly sums: ReadonlyMap<string, PaperSum>;
}

/** A formula without what is nought and is added or taken off. */
function withoutNoughts(node: Node, figureOf: (name: string) => number | undefined): Node {
  const nought = (part: Node): boolean => Math.abs(evaluate(part, figureOf)) < 1e-9;
  switch (node.type) {
    case 'literal':
    case 'name':
      return node;
    case 'minus':
    case 'percent':
    case 'group':
      return { ...node, of: withoutNoughts(node.of, figureOf) };
    case 'sum': {
      const left = withoutNoughts(node.left, figureOf);
      const right = withoutNoughts(node.right, figureOf);
      if ((node.op === '+' || node.op === '-') && nought(right)) return left;
      return node.op === '+' && nought(left) ? right : { ...node, left, right };
    }
    case 'call':
      return { ...node, args: node.args.map((a) => withoutNoughts(a, figureOf)) };
  }
}

/** All terms of a line but one that is left out, put about its formula. */
function composed(line: LedgerLine, unit: Unit, without?: number): Node | undefined {
  if (!line.node) return undefined;
  let node = constantsOnPaper(line.node, unit, line.scale);
  for (const [i, term] of line.terms.entries()) {
    if (!term.node) return undefined;
    if (i === without) continue;
    node = withName(constantsOnPaper(term.node, unit), 'value', { type: 'group', of: node });
  }
  return node;
}

/**
 * Works a sheet out on paper: lines in their order, each of the figures already there, rounded to the learner's tape.
 * Lines set by hand, estimates and lines settled from a measured seam stand as they are.
 */
export function paperOf(worked: Worked, unit: Unit): Paper {
  const step = stepOf(unit);
  const figures = new Map<string, number>([
    [REDUCTION, knitReduction(worked.stretch)],
    ['pairBand', 0],
  ]);
  for (const [id, { mm }] of worked.body) figures.set(id, snapTo(mm, step));
  const sums = new Map<string, PaperSum>();
  for (const line of worked.ledger.values()) {
    if (typeof line.value !== 'number') continue;
    const figureOf = (name: string): number | undefined => figures.get(name);
    const full = line.source === 'sheet' && line.kind === 'length' ? composed(line, unit) : undefined;
    const node = full && withoutNoughts(full, figureOf);
    if (!node) {
      figures.set(line.name, line.kind === 'length' ? snapTo(line.value, step) : line.value);
      continue;
    }
    const right = evaluate(node, figureOf);
    figures.set(line.name, snapTo(right, step));
    const without = line.terms.flatMap(({ label }, i) => {
      const left = composed(line, unit, i);
      return left ? [{ label, node: left }] : [];
    });
    sums.set(line.name, { line, node, without, right });
  }
  return { worked, unit, figures, sums };
}

/** A length as whole steps of the unit and what is over, in mm. */
export function wholeAndRest(mm: number, unit: Unit): readonly [whole: number, rest: number] {
  const whole = Math.floor(fromMm(mm, unit) + 1e-9);
  return [toMm(whole, unit), mm - toMm(whole, unit)];
}
