import { computeDraft, type DraftInput } from '../chain/index.js';
import { gradedPattern, gradeRuleOf } from '../grade/index.js';
import { good, refusal, refused, type Outcome } from '../refusal/index.js';

/** A size of a grade rule, with what its block was drafted from. */
export interface RuleSize {
  readonly name: string;
  readonly input: DraftInput;
}

/** How a garment comes to a size by a grade rule: its own input, the size of the rule that it is, and the one wanted. */
export interface Grading {
  /** What the block is called, and the day that it is kept under. */
  readonly about: { readonly name: string; readonly date: string };
  readonly base: DraftInput;
  readonly from: RuleSize;
  readonly to: RuleSize;
}

/** The input of a garment on a body; by a grade rule where it is not drafted on the body's own figures. */
export type BatchInput = DraftInput & { readonly grading?: Grading | undefined };

/**
 * The input of the chain for a body: as it is, or with the garment's own block, graded to the body's size, in the place of
 * what the method would draw. What was altered on both legs is in the block; the input's own alterations come on top.
 */
export function drawnInput({ grading, ...input }: BatchInput): Outcome<DraftInput> {
  if (!grading) return good(input);
  const { about, base, from, to } = grading;
  const garment = computeDraft(base);
  if (!garment.ok) return garment;
  const [is, wanted] = [computeDraft(from.input), computeDraft(to.input)];
  if (!is.ok) return is;
  if (!wanted.ok) return wanted;
  const rule = gradeRuleOf([
    { name: from.name, block: is.value.block },
    { name: to.name, block: wanted.value.block },
  ]);
  if (!rule) return refused(refusal('pattern', 'gradeKnee'));
  const pattern = gradedPattern(garment.value.block, rule, from.name, to.name, about);
  return pattern.ok ? good({ ...input, pattern: pattern.value }) : pattern;
}
