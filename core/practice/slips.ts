import { evaluate, namesIn, type Node } from '../method/index.js';
import { formatFigure, fromMm, tapeFor, toMm, type Unit } from '../units/index.js';
import { wholeAndRest, withName } from './paper-sum.js';
import type { Slip, SlipKind } from './slip.js';
import { figureSaid, lengthSaid, partSaid, type SumContext } from './sum-words.js';

type Sum = Extract<Node, { type: 'sum' }>;
/** A formula that a slip makes of another, with what it is. */
type Slipped = readonly [kind: SlipKind, node: Node, said: string];

/** Measures that are taken for one another. */
const CONFUSED: readonly (readonly [string, string])[] = [
  ['waist', 'hip'],
  ['highHip', 'hip'],
  ['crotchDepth', 'hipDepth'],
  ['crotchDepth', 'kneeDepth'],
  ['inseam', 'outseam'],
  ['thigh', 'knee'],
  ['thigh', 'midThigh'],
  ['knee', 'calf'],
  ['ankle', 'heel'],
  ['frontRise', 'backRise'],
  ['frontWaist', 'waist'],
  ['frontHip', 'hip'],
  ['kneeGirth', 'hemGirth'],
  ['crotchLevel', 'hipLevel'],
  ['kneeLevel', 'crotchLevel'],
  ['pairThigh', 'pairFrontThigh'],
];

const number = (value: number): Node => ({ type: 'literal', value, kind: 'number', text: String(value) });
const length = (mm: number): Node => ({ type: 'literal', value: mm, kind: 'length', text: '' });
const sum = (left: Node, op: Sum['op'], right: Node): Sum => ({ type: 'sum', op, left, right, at: 0 });
const inner = (node: Node): Node => (node.type === 'group' ? inner(node.of) : node);

const UNIT_WORDS: Readonly<Record<Unit, string>> = { cm: 'centimetres', in: 'inches', mm: 'millimetres' };

const PARTS: Readonly<Record<number, string>> = { 2: 'a half', 3: 'a third', 4: 'a quarter', 8: 'an eighth' };
const partOf = (divisor: number): string => PARTS[divisor] ?? `1/${Number(divisor.toFixed(3))}`;

/** What is added or taken off, and may so be forgotten, taken twice, or turned. */
function ofTerms(node: Sum, context: SumContext): Slipped[] {
  const { left, op, right } = node;
  const what = partSaid(right, context);
  const added = op === '+';
  const first = inner(left);
  const slipped: Slipped[] = [
    ['leftOut', left, `That is without ${what}.`],
    ['twice', sum(left, op, sum(number(2), '*', right)), `${what} is ${added ? 'in it' : 'taken off'} twice.`],
    [
      'turned',
      sum(left, added ? '-' : '+', right),
      `${what} is ${added ? 'taken off; it is added' : 'added; it is taken off'}.`,
    ],
  ];
  if (added && first.type === 'name' && !context.isMeasured(first.name))
    slipped.push(['leftOut', right, `That is without ${partSaid(first, context)}.`]);
  return slipped;
}

function ofDivision(node: Sum, by: number, context: SumContext): Slipped[] {
  const { left } = node;
  const whole = partSaid(left, context);
  const slipped: Slipped[] = [
    ['divideAgain', sum(left, '/', number(2 * by)), `That is ${partOf(2 * by)} of ${whole}, not ${partOf(by)}.`],
  ];
  if (by > 2)
    slipped.push([
      'divideLess',
      sum(left, '/', number(by / 2)),
      `That is ${partOf(by / 2)} of ${whole}, not ${partOf(by)}.`,
    ]);
  slipped.push(['undivided', left, `${whole} is not divided; ${partOf(by)} of it is taken.`]);
  const within = inner(left);
  if (within.type === 'sum' && (within.op === '+' || within.op === '-')) {
    slipped.push([
      'partDivided',
      { type: 'group', of: sum(within.left, within.op, sum(within.right, '/', number(by))) },
      `Only ${partSaid(within.right, context)} is divided; the whole of it is.`,
    ]);
  }
  const measured = namesIn(left).filter(context.isMeasured);
  const [name] = measured;
  const [wholeMm, rest] = wholeAndRest(context.figureOf(name ?? '') ?? 0, context.unit);
  if (name !== undefined && measured.length === 1 && rest > 1e-6) {
    slipped.push([
      'fractionWhole',
      {
        type: 'group',
        of: sum(sum({ type: 'group', of: withName(left, name, length(wholeMm)) }, '/', number(by)), '+', length(rest)),
      },
      `The fraction of ${figureSaid(name, context)} is put back whole; it is divided too.`,
    ]);
  }
  return slipped;
}

function ofShare(share: number, of: Node, context: SumContext): Slipped[] {
  const what = partSaid(of, context);
  const times = (by: number): Node => sum(of, '*', number(by));
  const slipped: Slipped[] = [
    ['divideAgain', times(share / 2), `That is half of the share: ${Number((share / 2).toFixed(4))} of ${what}.`],
    ['divideLess', times(share * 2), `That is twice the share: ${Number((share * 2).toFixed(4))} of ${what}.`],
  ];
  if (share < 1)
    slipped.push(['rest', times(1 - share), `That is what is left of ${what} once ${share} of it is taken off.`]);
  return slipped;
}

/** A figure with two neighbouring digits of its whole part swapped. */
function swapped(mm: number, unit: Unit): number[] {
  const [whole, rest] = wholeAndRest(mm, unit);
  const digits = [...String(Math.round(fromMm(whole, unit)))];
  return digits.slice(1).flatMap((digit, i) => {
    const other = [...digits];
    [other[i], other[i + 1]] = [digit, digits[i] ?? ''];
    return other[0] === '0' || other.join('') === digits.join('') ? [] : [toMm(Number(other.join('')), unit) + rest];
  });
}

function ofName(name: string, context: SumContext): Slipped[] {
  const { figureOf, nameOf, isMeasured, unit } = context;
  const node: Node = { type: 'name', name, at: 0 };
  const slipped: Slipped[] = [];
  for (const pair of CONFUSED) {
    const other = pair.find((n) => n !== name);
    if (!pair.includes(name) || other === undefined || figureOf(other) === undefined) continue;
    slipped.push(['otherMeasure', { ...node, name: other }, `The ${nameOf(other)} is taken for the ${nameOf(name)}.`]);
  }
  const panel = /^(front|back)\.(.+)$/.exec(name);
  if (panel) {
    const other = `${panel[1] === 'front' ? 'back' : 'front'}.${panel[2] ?? ''}`;
    if (figureOf(other) !== undefined)
      slipped.push(['otherPanel', { ...node, name: other }, `The ${nameOf(other)} is taken for the ${nameOf(name)}.`]);
  }
  if (!isMeasured(name)) return slipped;
  const mm = figureOf(name) ?? 0;
  const [whole, rest] = wholeAndRest(mm, unit);
  if (rest > 1e-6)
    slipped.push([
      'fractionLost',
      length(whole),
      `The fraction of the ${nameOf(name)}, ${figureSaid(name, context)}, is forgotten.`,
    ]);
  for (const other of swapped(mm, unit))
    slipped.push([
      'digits',
      length(other),
      `The ${nameOf(name)} is read as ${formatFigure(other, tapeFor(unit))} for ${figureSaid(name, context)}.`,
    ]);
  return slipped;
}

/** A constant whose figure is read in the other unit. */
function ofConstant(mm: number, context: SumContext): Slipped[] {
  const { unit } = context;
  const other: Unit = unit === 'in' ? 'cm' : 'in';
  const read = toMm(fromMm(mm, unit === 'mm' ? 'cm' : unit), other);
  return [['otherUnit', length(read), `${partSaid(length(mm), context)} is read as ${UNIT_WORDS[other]}.`]];
}

/** The slips at one place of a formula: what stands there otherwise. */
function here(node: Node, context: SumContext): Slipped[] {
  if (node.type === 'name') return ofName(node.name, context);
  if (node.type === 'literal') return node.kind === 'length' && node.value !== 0 ? ofConstant(node.value, context) : [];
  if (node.type === 'call') {
    return node.args.map((arg): Slipped => ['limit', arg, `That is ${partSaid(arg, context)}, with no limit kept.`]);
  }
  if (node.type !== 'sum') return [];
  if (node.op === '+' || node.op === '-') return ofTerms(node, context);
  const [left, right] = [inner(node.left), inner(node.right)];
  if (node.op === '/')
    return right.type === 'literal' && right.kind === 'number' ? ofDivision(node, right.value, context) : [];
  if (left.type === 'literal' && left.kind === 'number') return ofShare(left.value, node.right, context);
  return right.type === 'literal' && right.kind === 'number' ? ofShare(right.value, node.left, context) : [];
}

/** Every formula that one slip makes of a formula, at any place in it. */
function slippedFormulas(node: Node, context: SumContext): Slipped[] {
  const put = (part: Node, back: (changed: Node) => Node): Slipped[] =>
    slippedFormulas(part, context).map(([kind, changed, said]): Slipped => [kind, back(changed), said]);
  const within = (): Slipped[] => {
    switch (node.type) {
      case 'literal':
      case 'name':
        return [];
      case 'minus':
      case 'percent':
      case 'group':
        return put(node.of, (of) => ({ ...node, of }));
      case 'sum':
        return [...put(node.left, (left) => ({ ...node, left })), ...put(node.right, (right) => ({ ...node, right }))];
      case 'call':
        return node.args.flatMap((arg, i) => put(arg, (a) => ({ ...node, args: node.args.with(i, a) })));
    }
  };
  return [...here(node, context), ...within()];
}

/** Slips with the answer alone: the other unit, a point moved, digits swapped, tenths read as eighths. */
function ofAnswer(right: number, unit: Unit): Slip[] {
  const show = (mm: number): string => formatFigure(mm, tapeFor(unit));
  const other: Unit = unit === 'in' ? 'cm' : 'in';
  const own: Unit = unit === 'mm' ? 'cm' : unit;
  const [whole, rest] = wholeAndRest(right, unit);
  const parts = fromMm(rest, unit) * 10;
  const tenths = Math.round(parts);
  return [
    {
      kind: 'answerUnit',
      mm: toMm(fromMm(right, other), own),
      said: `That is the figure in ${UNIT_WORDS[other]}; it is asked in ${UNIT_WORDS[unit]}.`,
    },
    { kind: 'tenfold', mm: right * 10, said: 'That is ten times as much: the point is one place too far.' },
    { kind: 'tenfold', mm: right / 10, said: 'That is a tenth of it: the point is one place too near.' },
    ...swapped(right, unit).map((mm): Slip => ({
      kind: 'digits',
      mm,
      said: `Two digits are swapped: ${show(mm)} for ${show(right)}.`,
    })),
    ...(unit === 'in' && tenths > 0 && tenths < 8 && Math.abs(parts - tenths) < 0.01
      ? [
          {
            kind: 'eighths' as const,
            mm: whole + toMm(tenths / 8, 'in'),
            said: `.${tenths} is a part of ten; it is read as ${tenths} eighths.`,
          },
        ]
      : []),
  ];
}

/** Differences up to this are none: the slip changes nothing, in mm. */
const NOTHING = 0.02;

/** True where two measures of the body that are taken for one another happen to be equal, and one of them is used. */
const alikeByChance = (names: readonly string[], { figureOf, isMeasured }: SumContext): boolean =>
  CONFUSED.some(
    ([a, b]) =>
      (names.includes(a) || names.includes(b)) &&
      isMeasured(a) &&
      isMeasured(b) &&
      Math.abs((figureOf(a) ?? NaN) - (figureOf(b) ?? NaN)) <= NOTHING,
  );

/** The slips of a sum: those that give another figure, each once; and whether one hides behind the right answer. */
export interface Slips {
  readonly slips: readonly Slip[];
  /** True where somebody may slip and still be right, to half a step of the tape: such a sum is not set. */
  readonly hidden: boolean;
}

/**
 * Derives the slips of a sum from its formula: every place of it taken otherwise by the table of what goes wrong, then
 * the terms of build and leg left out, then the answer itself. `right` and `step` in mm; `without` are the formulas with
 * a term left out.
 */
export function slipsOf(
  node: Node,
  right: number,
  step: number,
  context: SumContext,
  without: readonly { readonly label: string; readonly node: Node }[] = [],
): Slips {
  const valued = (kind: SlipKind, slipped: Node, said: string): Slip => ({
    kind,
    mm: evaluate(slipped, context.figureOf),
    said: said.charAt(0).toUpperCase() + said.slice(1),
  });
  const all = [
    ...slippedFormulas(node, context).map((s) => valued(...s)),
    ...without.map(({ label, node: left }) =>
      valued(
        'term',
        left,
        `That is without what “${label.toLowerCase()}” adds: ${lengthSaid(right - evaluate(left, context.figureOf), context.unit)}.`,
      ),
    ),
    ...ofAnswer(right, context.unit),
  ];
  const seen = new Set<string>();
  const slips: Slip[] = [];
  let hidden = alikeByChance(namesIn(node), context);
  for (const slip of all) {
    if (!Number.isFinite(slip.mm)) continue;
    const off = Math.abs(slip.mm - right);
    if (off <= step / 2 + 1e-9) {
      // What changes nothing at all has nothing to go wrong with: a limit holds, or both are alike by the method.
      if (off > NOTHING) hidden = true;
      continue;
    }
    const key = `${slip.kind} ${slip.mm.toFixed(2)}`;
    if (seen.has(key)) continue;
    seen.add(key);
    slips.push(slip);
  }
  return { slips, hidden };
}
