import type { Block } from '../draft/index.js';
import type { StyleFault } from '../refusal/index.js';
import type { Unit } from '../units/index.js';
import type { Finding } from './finding.js';
import type { Making } from './making.js';
import type { Trimming } from './trimming.js';

/** What the defaults of a style are taken from. Lengths in mm. */
export interface StyleContext {
  readonly unit: Unit;
  readonly child: boolean;
  /** 1 for an adult, hip over 90 cm for a child. */
  readonly size: number;
  /** The body's girths, where they are known. */
  readonly waist: number;
  readonly hip: number;
  /** The body's girths from the waist down to the hip, by how far below the waist they are, in mm; rising. */
  readonly girths: readonly { readonly below: number; readonly girth: number }[];
  /** The girth that the hem must pass, where it was measured: heel, else ankle. */
  readonly heel: number | undefined;
  /** How far the cloth stretches, as a share. */
  readonly stretch: number;
  /** The depth of a band that the method has already taken off the levels; 0 where it counts none. */
  readonly bandCounted: number;
}

/** A figure by the maker's unit, in mm: round on either tape. */
export const either = ({ unit }: Pick<StyleContext, 'unit'>, cm: number, inches: number): number =>
  unit === 'in' ? inches * 25.4 : cm * 10;

/** The same, smaller for a child, on half centimetres or quarter inches. */
export function sized(context: StyleContext, cm: number, inches: number): number {
  const step = context.unit === 'in' ? 25.4 / 4 : 5;
  const full = either(context, cm, inches);
  return context.size >= 1 ? full : Math.max(step, Math.round((full * context.size) / step) * step);
}

/** One choice within a component. */
export type Field =
  | {
      readonly as: 'length';
      readonly label: string;
      readonly least: number;
      readonly most: number;
      /** In mm; nothing where the component works it out from the piece. */
      readonly start: (context: StyleContext) => number | undefined;
    }
  | {
      readonly as: 'count';
      readonly label: string;
      readonly least: number;
      readonly most: number;
      readonly start: number;
    }
  | { readonly as: 'tick'; readonly label: string; readonly start: boolean }
  | {
      readonly as: 'pick';
      readonly label: string;
      readonly options: readonly (readonly [string, string])[];
      readonly start: string;
    };

/** The choices of a component, in the order in which a maker thinks of them. */
export type Fields = Readonly<Record<string, Field>>;

/** The values of a component's choices; a length that the piece decides may be left open. */
export type ValuesOf<F extends Fields> = {
  readonly [N in keyof F]: F[N] extends { as: 'length'; start: () => undefined }
    ? number | undefined
    : F[N] extends { as: 'length' }
      ? number
      : F[N] extends { as: 'count' }
        ? number
        : F[N] extends { as: 'tick' }
          ? boolean
          : F[N] extends { as: 'pick'; options: readonly (readonly [infer V, string])[] }
            ? V
            : never;
};

/** What a component refuses: which of its fields, and why. */
export interface Refused {
  readonly field: string;
  readonly fault: StyleFault;
  readonly figures?: Readonly<Record<string, number>>;
}

/** True for what a component gave up. */
export const isRefused = (x: object): x is Refused => 'fault' in x;

/** The parts of the work that components belong to, in the order of work. */
export const GROUPS = [
  ['leg', 'Leg'],
  ['top', 'Waist'],
  ['closure', 'Closure'],
  ['pockets', 'Pockets'],
  ['small', 'Small pieces'],
] as const;

/** A part of the work. */
export type Group = (typeof GROUPS)[number][0];

/** A component of a style: everything about it but the list it stands in. */
export interface Component<Id extends string, F extends Fields> {
  readonly id: Id;
  readonly label: string;
  readonly group: Group;
  /** What it does and why its defaults are what they are. */
  readonly about: string;
  readonly fields: F;
  /** The parts that it makes, by name, with their edges. */
  readonly makes: readonly { readonly id: string; readonly edges: readonly string[] }[];
  /** It cannot be with these. */
  readonly not?: readonly string[];
  /** It cannot be without this one. */
  readonly needs?: { readonly component: string; readonly fault: StyleFault };
  /** Whether it takes room for a band off the top: two that do, or one beside a method that has, count it twice. */
  takesTop?(values: ValuesOf<F>): boolean;
  /** True where it is drawn from the left leg's panels and cut for both. */
  readonly fromOneLeg?: true;
  /** Cuts the block itself: the leg, or the top. */
  shape?(block: Block, values: ValuesOf<F>, context: StyleContext): Block | Refused;
  /** Makes parts, or changes those made before. */
  make?(making: Making, values: ValuesOf<F>, context: StyleContext): Making | Refused;
  /** What it finds on the finished garment. */
  find?(making: Making, values: ValuesOf<F>, context: StyleContext): readonly Finding[];
  /** What it takes beside cloth. */
  trimmings?(making: Making, values: ValuesOf<F>, context: StyleContext): readonly Omit<Trimming, 'component'>[];
}

/** Any component. */
export type AnyComponent = Component<string, Fields>;

/** Makes a component; the type of its values follows from its fields. */
export const component = <const Id extends string, const F extends Fields>(c: Component<Id, F>): Component<Id, F> => c;

/** A refusal of a component's field. */
export const refuse = (field: string, fault: StyleFault, figures: Readonly<Record<string, number>> = {}): Refused => ({
  field,
  fault,
  figures,
});

/** Does the same to both panels; the first refusal stands. */
export function eachPanel(block: Block, change: (panel: Block['front']) => Block['front'] | Refused): Block | Refused {
  const front = change(block.front);
  if (isRefused(front)) return front;
  const back = change(block.back);
  if (isRefused(back)) return back;
  return { levels: { ...block.levels, hemLevel: front.levels.hemLevel }, front, back };
}
