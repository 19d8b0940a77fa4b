import { measurementLabel, type Body, type MeasurementId } from '../measure/index.js';
import { good, refused, type Outcome, type Refusal } from '../refusal/index.js';
import { exactFigure, formatLength, tapeFor } from '../units/index.js';
import { parseFormula, type Node } from './formula.js';
import { evaluate } from './formula-value.js';
import { classEase, fitClass, fitClassById, KNIT_STRETCH, type Fit, type FitClass } from './fit.js';
import { refuseHand } from './hand-value.js';
import {
  isDartPlace,
  LEVELS,
  PANEL_PARAMETERS,
  PARAMETER_NAMES,
  type DartPlace,
  type Levels,
  type PanelName,
  type PanelParameters,
  type ParameterKind,
} from './panel-parameters.js';
import { formulaFor, lineKind, type Sheet } from './sheet.js';

/** What a maker gives a method beside the body: settings, choices, and lines set by hand. Lengths in mm. */
export interface MethodInput {
  /** Waist, hip, crotch depth and inseam at least. */
  readonly body: Body;
  readonly fit: Fit;
  readonly settings: Readonly<Record<string, number>>;
  readonly choices: Readonly<Record<string, string>>;
  readonly set: Readonly<Record<string, number | DartPlace>>;
}

/** Where a figure comes from. */
export type Source = 'sheet' | 'hand' | 'estimate';

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
  readonly ledger: ReadonlyMap<string, LedgerLine>;
  readonly levels: Levels;
  readonly front: PanelParameters;
  readonly back: PanelParameters;
  /** Names of the lines set by hand. */
  readonly byHand: ReadonlySet<string>;
  readonly warnings: readonly string[];
}

const parsedFormulas = new Map<string, ReturnType<typeof parseFormula>>();

function parsed(text: string): ReturnType<typeof parseFormula> {
  let found = parsedFormulas.get(text);
  if (!found) {
    found = parseFormula(text);
    if (parsedFormulas.size > 5000) parsedFormulas.clear();
    parsedFormulas.set(text, found);
  }
  return found;
}

/** What a line is called for the maker: `Back crotch extension`, `Knee girth`, `Hip line`. */
export function lineLabel(sheet: Sheet, name: string): string {
  const [panel, parameter] = name.split('.');
  const found = PARAMETER_NAMES.find((p) => p === parameter);
  if (found) return `${panel === 'front' ? 'Front' : 'Back'} ${PANEL_PARAMETERS[found].label.toLowerCase()}`;
  return (
    LEVELS.find(([level]) => level === name)?.[1] ??
    sheet.settings.find((s) => s.name === name)?.label ??
    measurementLabel(name as MeasurementId)
  );
}

/** The class a sheet drafts under the chosen values. */
export const fitClassOf = (sheet: Sheet, choices: Readonly<Record<string, string>>): FitClass => {
  const defaults = Object.fromEntries(sheet.choices.map((c) => [c.id, c.values[0]?.id ?? '']));
  return fitClass(formulaFor(sheet.fitClass, { ...defaults, ...choices }) ?? '');
};

function rangeWarnings(sheet: Sheet, body: Body): string[] {
  const { hip, drop, crotchDepth } = sheet.meantFor;
  const of = (id: MeasurementId): number => body.get(id)?.mm ?? NaN;
  const show = (mm: number): string => formatLength(mm, tapeFor('cm'));
  const outside = (label: string, value: number, [least, most]: readonly [number, number]): string[] =>
    value < least || value > most
      ? [
          `${label} ${show(value)} lies outside what “${sheet.name}” is meant for (${show(least)} to ${show(most)}). Check the draft with care.`,
        ]
      : [];
  return [
    ...outside('Hip', of('hip'), hip),
    ...outside('Hip less waist', of('hip') - of('waist'), drop),
    ...outside('Crotch depth', of('crotchDepth'), crotchDepth),
  ];
}

function knitWarnings({ fitClass: id, stretch }: Fit): string[] {
  if (id !== 'knit' || stretch >= KNIT_STRETCH) return [];
  return [
    `A knit fit wants cloth that stretches ${KNIT_STRETCH * 100} % and more; this one is put down with ${Math.round(stretch * 100)} %. Enter the stretch of the cloth, or choose another fit.`,
  ];
}

/**
 * Works a sheet out for a body (handbook 2, section 6): every setting and line with its formula, its result and
 * its source. A value set by hand stands in place of its formula and is used by the lines that follow.
 * Refuses values that no piece can have and formulas that give no figure.
 */
export function workOut(sheet: Sheet, input: MethodInput): Outcome<Worked> {
  const refusals: Refusal[] = [];
  const { body, fit } = input;
  const chosenClass = fit.fitClass && fitClassById(fit.fitClass);
  const ledger = new Map<string, LedgerLine>();
  const numbers = new Map<string, number>();
  const shaky = new Set<string>();
  const choices: Record<string, string> = {};
  for (const choice of sheet.choices) {
    const wanted = input.choices[choice.id];
    choices[choice.id] = choice.values.find((v) => v.id === wanted)?.id ?? choice.values[0]?.id ?? '';
    if (wanted !== undefined && wanted !== choices[choice.id]) {
      refusals.push({
        field: choice.id,
        value: wanted,
        reason: `${choice.label} cannot be “${wanted}”.`,
        wayOut: `Choose ${choice.values.map((v) => v.id).join(' or ')}.`,
      });
    }
  }

  for (const [id, known] of body) {
    numbers.set(id, known.mm);
    if (known.source === 'estimate') {
      shaky.add(id);
      ledger.set(id, {
        name: id,
        kind: 'length',
        source: 'estimate',
        value: known.mm,
        sheetValue: known.mm,
        formula: known.rule.rule,
        node: undefined,
        reason: known.adopted ? 'Not measured: by the rule that was adopted.' : 'Not measured: estimated.',
        house: false,
        restsOnEstimate: true,
      });
    }
  }

  const enter = (
    name: string,
    text: string | undefined,
    hand: number | DartPlace | undefined,
    reason: string,
    house: boolean,
  ): void => {
    const kind = lineKind(name);
    const formula = text === undefined ? undefined : kind === 'place' ? undefined : parsed(text);
    const node = formula?.ok === true ? formula.node : undefined;
    let sheetValue: number | DartPlace = isDartPlace(text) ? text : NaN;
    let rests = false;
    if (node) {
      sheetValue = evaluate(node, (n) => {
        if (shaky.has(n)) rests = true;
        return numbers.get(n);
      });
    }
    const value = hand ?? sheetValue;
    if (hand !== undefined) {
      const refusal = refuseHand(name, lineLabel(sheet, name), kind, hand);
      if (refusal) refusals.push(refusal);
    } else if (kind !== 'place' && !Number.isFinite(value)) {
      refusals.push({
        field: name,
        value: text ?? '',
        reason: `${lineLabel(sheet, name)} comes out without a figure: “${text ?? ''}”.`,
        wayOut: 'Check the measurements it uses, or set it by hand.',
      });
    }
    if (typeof value === 'number') numbers.set(name, value);
    if (hand === undefined && rests) shaky.add(name);
    ledger.set(name, {
      name,
      kind,
      source: hand === undefined ? 'sheet' : 'hand',
      value,
      sheetValue,
      formula: text ?? '',
      node,
      reason,
      house,
      restsOnEstimate: hand === undefined && rests,
    });
  };

  const known = new Set<string>();
  for (const setting of sheet.settings) {
    known.add(setting.name);
    const hand = input.settings[setting.name];
    const ofClass = chosenClass && classEase(chosenClass, setting.name, fit.stretch);
    const text = ofClass?.formula ?? (setting.formula === undefined ? undefined : formulaFor(setting.formula, choices));
    if (hand !== undefined && !(hand >= setting.least && hand <= setting.most)) {
      const show = (mm: number): string => `${exactFigure(mm, 'cm')} cm`;
      refusals.push({
        field: setting.name,
        value: String(hand),
        reason: `${setting.label} ${show(hand)} cannot be drafted.`,
        wayOut: `Enter ${show(setting.least)} to ${show(setting.most)}, or check the unit.`,
      });
    }
    if (hand !== undefined || text !== undefined)
      enter(setting.name, text, hand, ofClass?.reason ?? setting.reason, false);
  }
  for (const name of Object.keys(input.settings)) {
    if (!known.has(name)) {
      refusals.push({
        field: name,
        value: '',
        reason: `“${name}” is not a setting of “${sheet.name}”.`,
        wayOut: `Its settings are ${[...known].join(', ')}.`,
      });
    }
  }
  for (const line of sheet.lines) {
    known.add(line.name);
    enter(line.name, formulaFor(line.formula, choices), input.set[line.name], line.reason, line.house ?? false);
  }
  for (const name of Object.keys(input.set)) {
    if (!sheet.lines.some((l) => l.name === name)) {
      refusals.push({
        field: name,
        value: '',
        reason: `“${name}” is not a line of “${sheet.name}”.`,
        wayOut: 'Use a line of the sheet, such as back.extension.',
      });
    }
  }
  if (refusals.length > 0) return refused(...refusals);

  const panel = (name: PanelName): PanelParameters =>
    Object.fromEntries(
      PARAMETER_NAMES.map((p) => [p, ledger.get(`${name}.${p}`)?.value]),
    ) as unknown as PanelParameters;
  return good({
    sheet,
    choices,
    body,
    fitClass: chosenClass ?? fitClassOf(sheet, choices),
    ledger,
    levels: Object.fromEntries(LEVELS.map(([name]) => [name, numbers.get(name)])) as unknown as Levels,
    front: panel('front'),
    back: panel('back'),
    byHand: new Set(Object.keys(input.set)),
    warnings: [...rangeWarnings(sheet, body), ...knitWarnings(fit)],
  });
}
