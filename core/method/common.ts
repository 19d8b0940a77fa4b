import type { Build, Figure, MeasurementId } from '../measure/index.js';
import common from './common.json' with { type: 'json' };
import type { Choice, Setting } from './setting.js';

/** Choices under which something holds: every one named must have the value given. */
export type When = Readonly<Record<string, string>>;

/** One more, visible step on top of what a sheet says: `value` in its formula is the line's figure so far. */
export interface Term {
  readonly name: string;
  /** Why it is there, in a word or two: `Full seat`. */
  readonly label: string;
  readonly when: When;
  /**
   * The measurement without which it is not added; a sheet that takes the front's width from no girth leaves it out
   * too.
   */
  readonly measured?: MeasurementId;
  readonly formula: string;
  readonly reason: string;
}

/**
 * What holds for every method beside its sheet (docs/trade/methods.md): leg shape, build, children and the house's
 * limits.
 */
export interface Common {
  readonly choices: readonly Choice[];
  readonly settings: readonly Setting[];
  readonly terms: readonly Term[];
  /** How figures that a method states in inches or centimetres shrink. */
  readonly scale: { readonly when: When; readonly formula: string; readonly reason: string };
}

/** Leg shapes, build, children's rules and the house's limits, as data. */
export const COMMON: Common = common as unknown as Common;

/** True where the choices are those under which something holds. */
export const holds = (when: When | undefined, choices: Readonly<Record<string, string>>): boolean =>
  when === undefined || Object.entries(when).every(([id, value]) => choices[id] === value);

const TERMS_BY_NAME = new Map<string, Term[]>();
for (const term of COMMON.terms) TERMS_BY_NAME.set(term.name, [...(TERMS_BY_NAME.get(term.name) ?? []), term]);

/** The terms for a line, in the order in which they are added. */
export const termsFor = (name: string): readonly Term[] => TERMS_BY_NAME.get(name) ?? [];

/** Which of the common choices follow from the person: build, and whether a child is drafted for. */
export const choicesOf = (figure: Figure, build: Build): Record<string, string> => ({
  seat: build.seat,
  stomach: build.stomach,
  thighs: build.thigh,
  age: figure === 'child' ? 'child' : 'adult',
});
