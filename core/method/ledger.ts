import type { MethodWarning } from './warning.js';
import { measurementLabel, type Body, type Build, type Figure, type MeasurementId } from '../measure/index.js';
import type { Node } from './formula.js';
import { COMMON } from './common.js';
import { fitClass, type Fit, type FitClass } from './fit.js';
import {
  LEVELS,
  PANEL_PARAMETERS,
  panelLine,
  type DartPlace,
  type Levels,
  type PanelParameters,
  type ParameterKind,
} from './panel-parameters.js';
import type { Setting } from './setting.js';
import { formulaFor, settingsOf, type Sheet } from './sheet.js';

/** What a maker gives a method beside the body: settings, choices, and lines set by hand. Lengths in mm. */
export interface MethodInput {
  /** Waist, hip, crotch depth and inseam at least. */
  readonly body: Body;
  readonly figure: Figure;
  readonly build: Build;
  readonly fit: Fit;
  readonly settings: Readonly<Record<string, number>>;
  readonly choices: Readonly<Record<string, string>>;
  readonly set: Readonly<Record<string, number | DartPlace>>;
  /** Lines that were settled from a measured seam, in mm. */
  readonly solved?: Readonly<Record<string, number>>;
}

/** Where a figure comes from. */
export type Source = 'sheet' | 'hand' | 'estimate';

/** A term that was added to a line: build, a child, a leg shape, or a rise that was measured. Lengths in mm. */
export interface AddedTerm {
  readonly label: string;
  readonly node: Node | undefined;
  readonly from: number;
  readonly to: number;
  readonly reason: string;
}

/** One line worked out: its formula, its result and where it comes from. Lengths in mm. */
export interface LedgerLine {
  readonly name: string;
  readonly kind: ParameterKind;
  readonly source: Source;
  readonly value: number | DartPlace;
  /** What the sheet says, whether or not a hand has set it aside. */
  readonly sheetValue: number | DartPlace;
  readonly formula: string;
  readonly node: Node | undefined;
  /** What was added to the sheet's own figure, in order. */
  readonly terms: readonly AddedTerm[];
  /** What inches and centimetres of the formula are taken times; 1 but for a child. */
  readonly scale: number;
  readonly reason: string;
  readonly house: boolean;
  /** True where the line rests on an estimated measurement, directly or through other lines. */
  readonly restsOnEstimate: boolean;
}

/** A sheet worked out for one body. */
export interface Worked {
  readonly sheet: Sheet;
  readonly choices: Readonly<Record<string, string>>;
  readonly body: Body;
  /** The class chosen, or the sheet's own. */
  readonly fitClass: FitClass;
  /** How far the cloth stretches, as a share. */
  readonly stretch: number;
  readonly ledger: ReadonlyMap<string, LedgerLine>;
  readonly levels: Levels;
  readonly front: PanelParameters;
  readonly back: PanelParameters;
  /**
   * The same with a leg as long as the body's, where the piece's is not: nothing above the crotch depends on the
   * length.
   */
  readonly full:
    { readonly levels: Levels; readonly front: PanelParameters; readonly back: PanelParameters } | undefined;
  /** Names of the lines set by hand. */
  readonly byHand: ReadonlySet<string>;
  /** True where the waist passes over the hip without an opening. */
  readonly pullOn: boolean;
  /** True where a child is drafted for. */
  readonly child: boolean;
  /** What the lengths of a fair curve shrink by: 1 for an adult, hip over 90 cm for a child. */
  readonly size: number;
  /** Every setting that counts under the choices, in order. */
  readonly settings: readonly Setting[];
  readonly warnings: readonly MethodWarning[];
}

/** What a line is called for the maker: `Back crotch extension`, `Knee girth`, `Hip line`. */
export function lineLabel(sheet: Sheet, name: string): string {
  const line = panelLine(name);
  if (line) {
    return `${line.panel === 'front' ? 'Front' : 'Back'} ${PANEL_PARAMETERS[line.parameter].label.toLowerCase()}`;
  }
  return (
    LEVELS.find(([level]) => level === name)?.[1] ??
    settingsOf(sheet).find((s) => s.name === name)?.label ??
    measurementLabel(name as MeasurementId)
  );
}

/** The class a sheet drafts under the chosen values. */
export const fitClassOf = (sheet: Sheet, choices: Readonly<Record<string, string>>): FitClass => {
  const defaults = Object.fromEntries([...sheet.choices, ...COMMON.choices].map((c) => [c.id, c.values[0]?.id ?? '']));
  return fitClass(formulaFor(sheet.fitClass, { ...defaults, ...choices }) ?? '');
};
