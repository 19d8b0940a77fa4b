import { callInWords, typeset, type Node } from '../method/index.js';
import { exactFigure, formatFigure, formatLength, fromMm, tapeFor, type Unit } from '../units/index.js';

/** What a sum is said and worked out with: the figures on the paper and what they are called. */
export interface SumContext {
  readonly unit: Unit;
  /** Lengths in mm, all else as it is. */
  readonly figureOf: (name: string) => number | undefined;
  readonly nameOf: (name: string) => string;
  readonly kindOf: (name: string) => 'length' | 'number' | 'share';
  /** True for what was taken on the body or the pair, and so stands in the table of figures. */
  readonly isMeasured: (name: string) => boolean;
}

const share = (value: number): string => `${Number((value * 100).toFixed(1))} %`;

/** A constant as it is written in the learner's unit, without the unit. */
const constant = (mm: number, unit: Unit): string =>
  unit === 'in' ? exactFigure(mm, 'in') : String(Number(fromMm(mm, unit).toFixed(2)));

/** A figure on the paper, without its unit. */
export function figureSaid(name: string, { figureOf, kindOf, unit }: SumContext): string {
  const value = figureOf(name) ?? NaN;
  const kind = kindOf(name);
  if (kind === 'share') return share(value);
  return kind === 'length' ? formatFigure(value, tapeFor(unit)) : String(Number(value.toFixed(3)));
}

/** A length with its unit, as the tape shows it. */
export const lengthSaid = (mm: number, unit: Unit): string => formatLength(mm, tapeFor(unit));

const bare = (node: Node): Node => (node.type === 'group' ? bare(node.of) : node);

const said = (node: Node, leaf: (name: string) => string, unit: Unit): string =>
  typeset(
    bare(node),
    (l) => (l.type === 'name' ? leaf(l.name) : l.kind === 'length' ? constant(l.value, unit) : l.text),
    callInWords,
  );

/** A sum by its names: `hip ÷ 4 − split`. */
export const sumInNames = (node: Node, context: SumContext): string => said(node, context.nameOf, context.unit);

/** A sum by its figures: `40 ÷ 4 − 1/4`. */
export const sumInFigures = (node: Node, context: SumContext): string =>
  said(node, (name) => figureSaid(name, context), context.unit);

/** A part of a sum as it is spoken of: `the hip ease (1 in)`, `1/2 in`, `hip ÷ 4`. */
export function partSaid(node: Node, context: SumContext): string {
  const part = bare(node);
  if (part.type === 'name') {
    const length = context.kindOf(part.name) === 'length';
    return `the ${context.nameOf(part.name)} (${figureSaid(part.name, context)}${length ? ` ${context.unit}` : ''})`;
  }
  if (part.type === 'literal') {
    return part.kind === 'length' ? `${constant(part.value, context.unit)} ${context.unit}` : part.text;
  }
  return `“${sumInNames(part, context)}”`;
}
