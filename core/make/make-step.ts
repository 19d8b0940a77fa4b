import type { Garment, Part, Seam } from '../garment/index.js';
import type { Style, StyleItem } from '../style/index.js';

/** The ways in which makers differ. */
export interface MakeChoice {
  /** Rises sewn panel to panel and inseams last, or each leg closed and one drawn into the other. */
  readonly inseams: 'last' | 'first';
  /** The hem is sewn after the try-on, or flat before the inseam is closed. */
  readonly hem: 'after' | 'before';
  /** The band goes on whole, or front and back by themselves with one side closed last. */
  readonly band: 'whole' | 'sideLast';
}

/** Inseams last, the hem after the try-on, the band whole. */
export const MAKE_HOUSE: MakeChoice = { inseams: 'last', hem: 'after', band: 'whole' };

/** A garment on its way through the workroom: what steps are made from. */
export interface Making {
  readonly garment: Garment;
  readonly style: Style;
  readonly child: boolean;
  readonly stretch: number;
  readonly choice: MakeChoice;
  /** True where it has a part by that name, or a leg's of it. */
  has(part: string): boolean;
  /** A component of the style. */
  item(component: string): StyleItem | undefined;
  /** Parts in a cloth. */
  of(cloth: Part['cloth']): readonly Part[];
}

/** A step of the work as it is listed: when it is done, what it says, which seams it closes. */
export interface StepRule {
  readonly id: string;
  /** Done where this holds. */
  readonly when: (making: Making) => boolean;
  readonly say: (making: Making) => string;
  readonly note?: (making: Making) => string;
  /** The seams that are closed in it. */
  readonly closes?: (seam: Seam, making: Making) => boolean;
  /** Steps that come before it, where they are done at all. */
  readonly after?: readonly string[];
}

/** A step of a garment, in the order of the work. */
export interface MakeStep {
  readonly id: string;
  readonly say: string;
  readonly note: string;
  /** The seams that it closes, by id. */
  readonly seams: readonly string[];
}

/** The seam that another is one leg's of, or itself. */
export const seamBase = ({ id, like }: Seam): string => like ?? id;

/** What steps are made from. */
export const makingOf = (
  garment: Garment,
  style: Style,
  { child, stretch }: { readonly child: boolean; readonly stretch: number },
  choice: MakeChoice,
): Making => ({
  garment,
  style,
  child,
  stretch,
  choice,
  has: (part) => garment.parts.some((p) => p.id === part || p.like === part || p.id.startsWith(`${part}.`)),
  item: (component) => style.find((s) => s.id === component),
  of: (cloth) => garment.parts.filter((p) => p.cloth === cloth),
});
