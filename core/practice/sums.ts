import type { Draft } from '../chain/index.js';
import { isMeasurementId, measurementLabel } from '../measure/index.js';
import { namesIn, type Node } from '../method/index.js';
import { stepsOf } from '../steps/index.js';
import type { Unit } from '../units/index.js';
import { nameOnPaper, paperOf, REDUCTION, stepOf, type Paper } from './paper-sum.js';
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
): SetSum | undefined {
  const { unit } = context;
  const step = stepOf(unit);
  const names = namesIn(node);
  if (names.length === 0 || node.type === 'name' || !(right >= LEAST_STEPS * step)) return undefined;
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
    nameOf: (name) => (isMeasurementId(name) ? measurementLabel(name).toLowerCase() : nameOnPaper(worked, name)),
    kindOf: (name) => {
      if (name === REDUCTION) return 'share';
      const kind = worked.ledger.get(name)?.kind ?? 'length';
      return kind === 'length' || kind === 'share' ? kind : 'number';
    },
    isMeasured: (name) => isMeasurementId(name),
  };
}

/** The sums of one step of the work. */
export interface SumStep {
  readonly step: string;
  readonly title: string;
  readonly sums: readonly SetSum[];
}

/**
 * The sums of a draft's method in the order of the work: girths and lengths first, then step by step as its makers draw.
 * A line stands in the first step that uses it.
 */
export function methodSums(draft: Draft, unit: Unit): SumStep[] {
  const paper = paperOf(draft.worked, unit);
  const context = paperContext(paper);
  const inSteps = stepsOf(draft, unit).map(({ id, title, panel, sums }) => ({
    step: id,
    title: panel ? `${panel === 'front' ? 'Front' : 'Back'}: ${title.toLowerCase()}` : title,
    names: sums.map((s) => s.name),
  }));
  const placed = new Set(inSteps.flatMap((s) => s.names));
  const before = [...paper.sums.keys()].filter((name) => !placed.has(name));
  return [{ step: 'girths', title: 'Work out the girths', names: before }, ...inSteps].flatMap(
    ({ step, title, names }): SumStep[] => {
      const sums = names.flatMap((name) => {
        const sum = paper.sums.get(name);
        if (!sum) return [];
        const words = { label: labelled(context.nameOf(name)), reason: sum.line.reason };
        return setSum(name, words, sum.node, sum.right, context, sum.without) ?? [];
      });
      return sums.length > 0 ? [{ step, title, sums }] : [];
    },
  );
}
