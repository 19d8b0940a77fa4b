import type { Draft } from '../chain/index.js';
import { isMeasurementId } from '../measure/index.js';
import { nameInSum, namesIn, REDUCTION, type Node } from '../method/index.js';
import { stepsOf, type WorkedStep } from '../steps/index.js';
import type { Unit } from '../units/index.js';
import { paperOf, stepOf, type Paper } from './paper-sum.js';
import { slipsOf } from './slips.js';
import type { Slip } from './slip.js';
import { figureSaid, lengthSaid, sumInFigures, sumInNames, type SumContext } from './sum-words.js';

/** A figure that is given for a sum. */
export interface Given {
  readonly name: string;
  readonly label: string;
  readonly figure: string;
}

/** A sum as it is set to a learner. Lengths in mm. */
export interface SetSum {
  readonly id: string;
  /** What is asked: `Front crotch extension`. */
  readonly label: string;
  readonly given: readonly Given[];
  readonly right: number;
  /** A whole step of the learner's tape. */
  readonly step: number;
  readonly unit: Unit;
  readonly slips: readonly Slip[];
  /** Why it is so, the sum by its names, the sum by its figures. */
  readonly hints: readonly [string, string, string];
  /** The right sum, with its answer. */
  readonly told: string;
}

/** Sums whose answer is shorter than this many steps of the tape are not worth asking. */
const LEAST_STEPS = 3;

const labelled = (words: string): string => words.charAt(0).toUpperCase() + words.slice(1);

/** A sum set from its formula; nothing where there is nothing to work out, or where a slip hides behind the answer. */
export function setSum(
  id: string,
  { label, reason }: { readonly label: string; readonly reason: string },
  node: Node,
  right: number,
  context: SumContext,
  without: readonly { readonly label: string; readonly node: Node }[] = [],
  least = LEAST_STEPS,
): SetSum | undefined {
  const { unit } = context;
  const step = stepOf(unit);
  const names = namesIn(node);
  if (names.length === 0 || node.type === 'name' || !(right >= least * step)) return undefined;
  const { slips, hidden } = slipsOf(node, right, step, context, without);
  if (hidden || slips.length === 0) return undefined;
  const figures = sumInFigures(node, context);
  return {
    id,
    label,
    given: names.map((name) => ({
      name,
      label: labelled(context.nameOf(name)),
      figure: figureSaid(name, context),
    })),
    right,
    step,
    unit,
    slips,
    hints: [reason, labelled(sumInNames(node, context)), figures],
    told: `${figures} = ${lengthSaid(right, unit)}`,
  };
}

/** What the sums of a method's paper are said and worked out with. */
export function paperContext({ worked, unit, figures }: Paper): SumContext {
  return {
    unit,
    figureOf: (name) => figures.get(name),
    nameOf: (name) => nameInSum(worked.sheet, name),
    kindOf: (name) => {
      if (name === REDUCTION) return 'share';
      const kind = worked.ledger.get(name)?.kind ?? 'length';
      return kind === 'length' || kind === 'share' ? kind : 'number';
    },
    isMeasured: isMeasurementId,
  };
}

/** The sums of one step of the work. */
export interface SumStep {
  readonly step: string;
  readonly title: string;
  readonly sums: readonly SetSum[];
}

/** A step of the work by what its makers call it: `Front: lay off the width`. */
export const stepTitle = ({ panel, title }: Pick<WorkedStep, 'panel' | 'title'>): string =>
  panel ? `${panel === 'front' ? 'Front' : 'Back'}: ${title.toLowerCase()}` : title;

/** What is worked out before the first line is drawn. */
export const GIRTHS = { id: 'girths', title: 'Work out the girths' } as const;

/**
 * For every line of a paper the step in which it is worked out, by its place in the work; the girths are before all. A line
 * that no step names stands where all that it rests on is known; what is used before its own step is worked out there.
 */
function stepsOfLines({ sums }: Paper, steps: readonly WorkedStep[]): ReadonlyMap<string, number> {
  const at = new Map(steps.flatMap((step, i) => step.sums.map(({ name }) => [name, i] as const)));
  for (const [name, { node }] of sums) {
    if (!at.has(name)) at.set(name, Math.max(-1, ...namesIn(node).map((used) => at.get(used) ?? -1)));
  }
  for (const [name, { node }] of [...sums].reverse()) {
    const here = at.get(name) ?? -1;
    for (const used of namesIn(node)) if ((at.get(used) ?? -1) > here) at.set(used, here);
  }
  return at;
}

/**
 * The sums of a draft's method in the order of the work: girths and lengths first, then step by step as its makers draw;
 * none gives away what is asked later.
 */
export function methodSums(draft: Draft, unit: Unit): SumStep[] {
  const paper = paperOf(draft.worked, unit);
  const context = paperContext(paper);
  const steps = stepsOf(draft, unit);
  const at = stepsOfLines(paper, steps);
  return [GIRTHS, ...steps].flatMap((step, i): SumStep[] => {
    const sums = [...paper.sums].flatMap(([name, { node, right, without, line }]) => {
      if (at.get(name) !== i - 1) return [];
      const words = { label: labelled(context.nameOf(name)), reason: line.reason };
      return setSum(name, words, node, right, context, without) ?? [];
    });
    const title = 'panel' in step ? stepTitle(step) : step.title;
    return sums.length > 0 ? [{ step: step.id, title, sums }] : [];
  });
}
