import type { Panel } from '../draft/index.js';
import type { Point } from '../geometry/index.js';
import type { PanelName } from '../method/index.js';
import type { AlterationFault } from '../refusal/index.js';
import type { Paper } from './paper.js';
import type { LevelPlace, PanelChoice, SeamPlace } from './place.js';

/** Says of the figures of an alteration whether one of them has no meaning there. */
type Unless = (figures: Readonly<Record<string, unknown>>) => boolean;

/** One figure of an alteration: what it is and what it is called. Lengths in mm, shares from 0 to 1. */
export type Field =
  | { readonly as: 'length'; readonly label: string; readonly unless?: Unless }
  | { readonly as: 'share'; readonly label: string }
  /** Counted from nought, at most `most`. */
  | { readonly as: 'count'; readonly label: string; readonly most: number }
  /** `orOff`: it came later; a work that leaves it out has it off. */
  | { readonly as: 'tick'; readonly label: string; readonly unless?: Unless; readonly orOff?: true }
  | { readonly as: 'level'; readonly label: string }
  | { readonly as: 'place'; readonly label: string }
  | { readonly as: 'pick'; readonly label: string; readonly options: readonly (readonly [string, string])[] }
  /** A line taken from elsewhere; it is not entered. */
  | { readonly as: 'points'; readonly fewest: number; readonly most: number };

/** The figures of a kind, in the order in which a maker thinks of them. */
export type Fields = Readonly<Record<string, Field>>;

type ValueOf<F extends Field> = F extends { as: 'length' | 'share' | 'count' }
  ? number
  : F extends { as: 'tick' }
    ? boolean
    : F extends { as: 'level' }
      ? LevelPlace
      : F extends { as: 'place' }
        ? SeamPlace
        : F extends { as: 'pick'; options: readonly (readonly [infer V, string])[] }
          ? V
          : readonly Point[];

/** The work of an alteration: its kind, the pieces it is done to and its figures. */
export type Work<K extends string, P extends PanelChoice, F extends Fields> = {
  readonly kind: K;
  readonly panel: P;
} & { readonly [N in keyof F]: ValueOf<F[N]> };

/** The figures of an alteration in the reader's words. */
export interface Words {
  /** An amount, without its sign. */
  readonly mm: (amount: number) => string;
  /** “the hip line”, “3 cm above the crotch line”. */
  readonly level: (level: LevelPlace) => string;
  /** “side at the hip line”. */
  readonly place: (place: SeamPlace) => string;
}

/** A kind of alteration: everything about it but the list it stands in. */
export interface Kind<K extends string, P extends PanelChoice, F extends Fields> {
  readonly kind: K;
  readonly label: string;
  /** What it can be done to. */
  readonly panels: readonly P[];
  readonly fields: F;
  /** The amounts that a maker would begin with; none for what is taken from elsewhere. */
  start?(panel: PanelName): Omit<Work<K, P, F>, 'kind'>;
  /** What is done, as a maker would say it, without the piece. */
  say(work: Work<K, P, F>, words: Words): string;
  /** Does it to one piece of paper; `alteration` is the id that its marks bear. */
  apply(paper: Paper, work: Work<K, P, F>, alteration: string): Paper | AlterationFault;
  /** What of its amount `by` a piece has come to, in mm, where a fair line may fall short of it. */
  reached?(before: Panel, after: Panel, work: Work<K, P, F>): number | undefined;
}

/** Any kind of alteration. */
export type AnyKind = Kind<string, PanelChoice, Fields>;

/** The work of a kind. */
export type WorkOf<T> = T extends Kind<infer K, infer P, infer F> ? Work<K, P, F> : never;

/** Makes a kind of alteration; the type of its work follows from its fields. */
export const alterationKind = <const K extends string, const P extends PanelChoice, const F extends Fields>(
  kind: Kind<K, P, F>,
): Kind<K, P, F> => kind;

/** The panels to which most alterations can be done. */
export const ANY_PANEL = ['front', 'back', 'both'] as const satisfies readonly PanelChoice[];
