import { toMm, type Unit } from '../units/index.js';

/** What a formula yields: a length (mm inside), or a plain number. */
export type Kind = 'length' | 'number';

/** A parsed formula. Literals keep their text so that a formula can be shown as it was written. */
export type Node =
  | { readonly type: 'literal'; readonly value: number; readonly kind: Kind; readonly text: string }
  | { readonly type: 'name'; readonly name: string; readonly at: number }
  | { readonly type: 'minus'; readonly of: Node }
  | { readonly type: 'percent'; readonly of: Node }
  | { readonly type: 'group'; readonly of: Node }
  | {
      readonly type: 'sum';
      readonly op: '+' | '-' | '*' | '/';
      readonly left: Node;
      readonly right: Node;
      readonly at: number;
    }
  | { readonly type: 'call'; readonly name: FunctionName; readonly args: readonly Node[]; readonly at: number };

/** The functions a formula may use. */
export type FunctionName = 'min' | 'max' | 'clamp' | 'round';

/** What is wrong with a formula, as a sentence, and the character at which it shows (from 0). */
export interface FormulaError {
  readonly at: number;
  readonly sentence: string;
  /** The name that is not known, where that is the fault. */
  readonly unknown?: string;
}

/** A formula read, or what is wrong with it. */
export type ParsedFormula =
  { readonly ok: true; readonly node: Node } | { readonly ok: false; readonly error: FormulaError };

interface Token {
  readonly type: 'literal' | 'name' | 'sign';
  readonly text: string;
  readonly at: number;
  readonly value: number;
  readonly kind: Kind;
}

const FUNCTIONS: Record<FunctionName, { least: number; most: number }> = {
  min: { least: 2, most: 8 },
  max: { least: 2, most: 8 },
  clamp: { least: 3, most: 3 },
  round: { least: 2, most: 2 },
};
const isFunction = (name: string): name is FunctionName => Object.hasOwn(FUNCTIONS, name);

const LENGTH = /^(?:(\d+)\s+(\d+)\/(\d+)|(\d+)\/(\d+)|(\d+(?:\.\d+)?))\s*(cm|mm|in)\b/;
const NUMBER = /^\d+(?:\.\d+)?/;
const NAME = /^[A-Za-z][A-Za-z0-9]*(?:\.[A-Za-z][A-Za-z0-9]*)?/;
const LONGEST = 500;
const DEEPEST = 60;

/** A mistake in a formula on its way to becoming a sentence; it never leaves this folder. */
export class FormulaFault extends Error {
  readonly error: FormulaError;
  constructor(at: number, sentence: string, unknown?: string) {
    super(sentence);
    this.error = { at, sentence, ...(unknown !== undefined && { unknown }) };
  }
}

function tokens(text: string): Token[] {
  const found: Token[] = [];
  let at = 0;
  while (at < text.length) {
    const rest = text.slice(at);
    const space = /^\s+/.exec(rest);
    if (space) {
      at += space[0].length;
      continue;
    }
    const length = LENGTH.exec(rest);
    const number = NUMBER.exec(rest);
    const name = NAME.exec(rest);
    if (length) {
      const [whole, mixed, over, under, fOver, fUnder, plain, unit] = length;
      const figure =
        mixed !== undefined
          ? Number(mixed) + Number(over) / Number(under)
          : fOver !== undefined
            ? Number(fOver) / Number(fUnder)
            : Number(plain);
      if (!Number.isFinite(figure)) throw new FormulaFault(at, `“${whole}” divides by nothing.`);
      found.push({ type: 'literal', text: whole, at, value: toMm(figure, unit as Unit), kind: 'length' });
      at += whole.length;
    } else if (number) {
      found.push({ type: 'literal', text: number[0], at, value: Number(number[0]), kind: 'number' });
      at += number[0].length;
    } else if (name) {
      found.push({ type: 'name', text: name[0], at, value: 0, kind: 'number' });
      at += name[0].length;
    } else if ('+-*/(),%'.includes(rest[0] ?? ' ')) {
      found.push({ type: 'sign', text: rest[0] ?? '', at, value: 0, kind: 'number' });
      at += 1;
    } else {
      throw new FormulaFault(at, `“${rest[0] ?? ''}” has no meaning in a formula.`);
    }
  }
  return found;
}

const BINDING: Record<string, number> = { '+': 1, '-': 1, '*': 2, '/': 2 };

/** Precedence climbing (Pratt) over the tokens. */
class Reader {
  private readonly list: readonly Token[];
  private readonly end: number;
  private next = 0;
  private depth = 0;

  constructor(text: string) {
    this.list = tokens(text);
    this.end = text.length;
  }

  whole(): Node {
    const node = this.expression(0);
    const extra = this.list[this.next];
    if (extra) throw new FormulaFault(extra.at, `“${extra.text}” is one too many here.`);
    return node;
  }

  private sign(text: string): boolean {
    const token = this.list[this.next];
    if (token?.type !== 'sign' || token.text !== text) return false;
    this.next += 1;
    return true;
  }

  private expect(text: string): void {
    if (this.sign(text)) return;
    throw new FormulaFault(this.list[this.next]?.at ?? this.end, `“${text}” is missing here.`);
  }

  private expression(least: number): Node {
    this.depth += 1;
    if (this.depth > DEEPEST) throw new FormulaFault(this.list[this.next]?.at ?? 0, 'The formula is nested too deep.');
    let left = this.operand();
    for (;;) {
      const token = this.list[this.next];
      const binding = token?.type === 'sign' ? BINDING[token.text] : undefined;
      if (!token || binding === undefined || binding <= least) break;
      this.next += 1;
      const right = this.expression(binding);
      left = { type: 'sum', op: token.text as '+' | '-' | '*' | '/', left, right, at: token.at };
    }
    this.depth -= 1;
    return left;
  }

  private operand(): Node {
    const token = this.list[this.next];
    if (!token) throw new FormulaFault(this.end, 'A figure or a name is missing at the end.');
    this.next += 1;
    let node: Node;
    if (token.type === 'literal') {
      node = { type: 'literal', value: token.value, kind: token.kind, text: token.text };
    } else if (token.type === 'name') {
      node = isFunction(token.text)
        ? this.call(token.text, token.at)
        : { type: 'name', name: token.text, at: token.at };
    } else if (token.text === '(') {
      node = { type: 'group', of: this.expression(0) };
      this.expect(')');
    } else if (token.text === '-') {
      return { type: 'minus', of: this.expression(2) };
    } else {
      throw new FormulaFault(token.at, `“${token.text}” cannot stand here: a figure or a name is missing before it.`);
    }
    while (this.sign('%')) node = { type: 'percent', of: node };
    return node;
  }

  private call(name: FunctionName, at: number): Node {
    this.expect('(');
    const args: Node[] = [this.expression(0)];
    while (this.sign(',')) args.push(this.expression(0));
    this.expect(')');
    const { least, most } = FUNCTIONS[name];
    if (args.length < least || args.length > most) {
      const wanted = least === most ? String(least) : `${least} to ${most}`;
      throw new FormulaFault(at, `“${name}” takes ${wanted} figures, not ${args.length}.`);
    }
    return { type: 'call', name, args, at };
  }
}

/**
 * Reads a formula (docs/trade/methods.md): `+ - * / ( )`, `min max clamp round`, `%`, names with at most one
 * dot, and literals with a unit such as `1/4 in`, `1 3/8 in`, `0.6 cm`. Never throws; a mistake is a sentence.
 */
export function parseFormula(text: string): ParsedFormula {
  try {
    if (text.length > LONGEST) throw new FormulaFault(LONGEST, `The formula is longer than ${LONGEST} characters.`);
    return { ok: true, node: new Reader(text).whole() };
  } catch (fault) {
    if (fault instanceof FormulaFault) return { ok: false, error: fault.error };
    throw fault;
  }
}
