import { FormulaFault, type FormulaError, type Kind, type Node } from './formula.js';

/** The names a formula uses, each once, in order of appearance. */
export function namesIn(node: Node): string[] {
  const found = new Set<string>();
  const visit = (n: Node): void => {
    if (n.type === 'name') found.add(n.name);
    else if (n.type === 'sum') [n.left, n.right].forEach(visit);
    else if (n.type === 'call') n.args.forEach(visit);
    else if (n.type !== 'literal') visit(n.of);
  };
  visit(node);
  return [...found];
}

/** True where a formula has a length written out in it. */
export function hasLength(node: Node): boolean {
  if (node.type === 'literal') return node.kind === 'length';
  if (node.type === 'name') return false;
  if (node.type === 'sum') return hasLength(node.left) || hasLength(node.right);
  return node.type === 'call' ? node.args.some(hasLength) : hasLength(node.of);
}

/** A formula checked: the kind of its result, or what is wrong. */
export type CheckedFormula =
  { readonly ok: true; readonly kind: Kind } | { readonly ok: false; readonly error: FormulaError };

/** Dimension by counting lengths: 0 a number, 1 a length, others allowed only on the way. */
function dimensionOf(node: Node, kindOf: (name: string) => Kind | undefined): number {
  switch (node.type) {
    case 'literal':
      return node.kind === 'length' ? 1 : 0;
    case 'name': {
      const kind = kindOf(node.name);
      if (!kind) throw new FormulaFault(node.at, `“${node.name}” is not known here.`, node.name);
      return kind === 'length' ? 1 : 0;
    }
    case 'minus':
    case 'percent':
    case 'group':
      return dimensionOf(node.of, kindOf);
    case 'sum': {
      const left = dimensionOf(node.left, kindOf);
      const right = dimensionOf(node.right, kindOf);
      if (node.op === '*') return left + right;
      if (node.op === '/') return left - right;
      if (left !== right) {
        throw new FormulaFault(
          node.at,
          `“${node.op}” joins a length and a plain number: give the number a unit, such as “3 cm” or “1/2 in”.`,
        );
      }
      return left;
    }
    case 'call': {
      const dimensions = node.args.map((a) => dimensionOf(a, kindOf));
      if (dimensions.some((d) => d !== dimensions[0])) {
        throw new FormulaFault(node.at, `“${node.name}” mixes lengths and plain numbers: give each a unit, or none.`);
      }
      return dimensions[0] ?? 0;
    }
  }
}

/** Checks names and units of a formula; `kindOf` tells what a name is, or nothing where it is unknown. */
export function checkFormula(node: Node, kindOf: (name: string) => Kind | undefined): CheckedFormula {
  try {
    const dimension = dimensionOf(node, kindOf);
    if (dimension === 0) return { ok: true, kind: 'number' };
    if (dimension === 1) return { ok: true, kind: 'length' };
    return { ok: false, error: { at: 0, sentence: 'The result is neither a length nor a plain number.' } };
  } catch (fault) {
    if (fault instanceof FormulaFault) return { ok: false, error: fault.error };
    throw fault;
  }
}

/**
 * The value of a checked formula: mm for lengths. Unknown names give NaN, a division by nothing gives ±Infinity.
 * Lengths written out in the formula are taken times `scale`: a child's inch is smaller.
 */
export function evaluate(node: Node, valueOf: (name: string) => number | undefined, scale = 1): number {
  switch (node.type) {
    case 'literal':
      return node.kind === 'length' ? node.value * scale : node.value;
    case 'name':
      return valueOf(node.name) ?? NaN;
    case 'minus':
      return -evaluate(node.of, valueOf, scale);
    case 'percent':
      return evaluate(node.of, valueOf, scale) / 100;
    case 'group':
      return evaluate(node.of, valueOf, scale);
    case 'sum': {
      const left = evaluate(node.left, valueOf, scale);
      const right = evaluate(node.right, valueOf, scale);
      return node.op === '+'
        ? left + right
        : node.op === '-'
          ? left - right
          : node.op === '*'
            ? left * right
            : left / right;
    }
    case 'call': {
      const [first = NaN, second = NaN, third = NaN] = node.args.map((a) => evaluate(a, valueOf, scale));
      if (node.name === 'clamp') return Math.min(Math.max(first, second), third);
      if (node.name === 'round') return Math.round(first / second) * second;
      const all = node.args.map((a) => evaluate(a, valueOf, scale));
      return node.name === 'min' ? Math.min(...all) : Math.max(...all);
    }
  }
}

const SIGNS = { '+': '+', '-': '−', '*': '×', '/': '÷' } as const;

/** What a formula's limits are in words: `hip ÷ 4, at most 25`, as a maker says it. */
export function callInWords(name: string, args: readonly string[], nodes: readonly Node[]): string {
  const [first = '', second = '', third = ''] = args;
  if (name === 'clamp') return `(${first}, at least ${second}, at most ${third})`;
  if (name === 'round') return `(${first}, to the nearest ${second})`;
  const [limit, of] = nodes[0]?.type === 'literal' ? [first, second] : [second, first];
  const limited = args.length === 2 && nodes.some((n) => n.type === 'literal');
  if (limited) return `(${of}, ${name === 'min' ? 'at most' : 'at least'} ${limit})`;
  const others = `${args.slice(0, -1).join(', ')} and ${args.at(-1) ?? ''}`;
  return `(the ${name === 'min' ? 'smaller' : 'larger'} of ${others})`;
}

/**
 * A formula set in type: `×`, `÷` and `−`, with names and literals as `set` gives them; a call as `setCall` does.
 * Used both for the formula itself and for the formula with its numbers put in.
 */
export function typeset(
  node: Node,
  set: (leaf: Extract<Node, { type: 'literal' | 'name' }>) => string,
  setCall: (name: string, args: readonly string[], nodes: readonly Node[]) => string = (name, args) =>
    `${name}(${args.join(', ')})`,
): string {
  const inner = (of: Node): string => typeset(of, set, setCall);
  switch (node.type) {
    case 'literal':
    case 'name':
      return set(node);
    case 'minus':
      return `−${inner(node.of)}`;
    case 'percent':
      return `${inner(node.of)} %`;
    case 'group':
      return `(${inner(node.of)})`;
    case 'sum':
      return `${inner(node.left)} ${SIGNS[node.op]} ${inner(node.right)}`;
    case 'call':
      return setCall(node.name, node.args.map(inner), node.args);
  }
}
