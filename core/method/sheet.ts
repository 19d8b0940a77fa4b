import { MEASUREMENT_IDS } from '../measure/index.js';
import { parseFormula, type Kind } from './formula.js';
import { checkFormula } from './formula-value.js';
import {
  isDartPlace,
  LEVELS,
  PANEL_NAMES,
  PANEL_PARAMETERS,
  PARAMETER_NAMES,
  type ParameterKind,
} from './panel-parameters.js';

/** A formula, or one formula for each value of a choice. */
export type FormulaText = string | { readonly choice: string; readonly by: Readonly<Record<string, string>> };

/** A named choice with a few values; the first is the default. */
export interface Choice {
  readonly id: string;
  readonly label: string;
  readonly values: readonly { readonly id: string; readonly label: string; readonly about: string }[];
}

/** A figure that a maker may set for a draft. Without a formula it counts only where it is set by hand. */
export interface Setting {
  readonly name: string;
  readonly label: string;
  readonly formula?: FormulaText;
  readonly reason: string;
  /** The figures within which the setting makes sense, in mm. */
  readonly least: number;
  readonly most: number;
}

/** One line of a sheet: a level or a panel parameter, with its formula and the reason for it. */
export interface Line {
  readonly name: string;
  readonly formula: FormulaText;
  readonly reason: string;
  /** True where the line was filled by the house and is not part of the method as taught. */
  readonly house?: boolean;
}

/** The body range, in mm, for which a sheet is meant. */
export interface BodyRange {
  readonly hip: readonly [number, number];
  readonly drop: readonly [number, number];
  readonly crotchDepth: readonly [number, number];
}

/** A method of drafting as data (handbook 2, section 6). */
export interface Sheet {
  readonly id: string;
  readonly name: string;
  readonly suits: string;
  /** The fit class it drafts where none is chosen. */
  readonly fitClass: string;
  readonly meantFor: BodyRange;
  readonly choices: readonly Choice[];
  readonly settings: readonly Setting[];
  readonly lines: readonly Line[];
}

/** What is wrong with a sheet: the line, the place in its formula, and a sentence. */
export interface SheetFault {
  readonly line: string;
  readonly at: number;
  readonly sentence: string;
}

const PARAMETER_KINDS = new Map<string, ParameterKind>(
  PANEL_NAMES.flatMap((panel) => PARAMETER_NAMES.map((p) => [`${panel}.${p}`, PANEL_PARAMETERS[p].kind] as const)),
);

/** How a line's result counts: by its parameter, or a length for levels and settings. */
export const lineKind = (name: string): ParameterKind => PARAMETER_KINDS.get(name) ?? 'length';

/** The formula that holds under the chosen values; nothing where the choice has none. */
export function formulaFor(text: FormulaText, choices: Readonly<Record<string, string>>): string | undefined {
  return typeof text === 'string' ? text : text.by[choices[text.choice] ?? ''];
}

/** Every line a complete sheet must have. */
export const REQUIRED_LINES: readonly string[] = [
  ...LEVELS.map(([name]) => name),
  ...PANEL_NAMES.flatMap((panel) => PARAMETER_NAMES.map((p) => `${panel}.${p}`)),
];

function checkText(sheet: Sheet, name: string, text: FormulaText, kinds: ReadonlyMap<string, Kind>): SheetFault[] {
  const variants: [string, string | undefined][] = [];
  if (typeof text === 'string') variants.push(['', text]);
  else {
    const choice = sheet.choices.find((c) => c.id === text.choice);
    if (!choice)
      return [
        { line: name, at: 0, sentence: `“${name}” depends on a choice “${text.choice}” that the sheet does not have.` },
      ];
    for (const value of choice.values) variants.push([value.id, text.by[value.id]]);
  }
  return variants.flatMap(([value, formula]): SheetFault[] => {
    const where = value === '' ? `“${name}”` : `“${name}” (${value})`;
    if (formula === undefined) return [{ line: name, at: 0, sentence: `${where} has no formula.` }];
    const kind = lineKind(name);
    if (kind === 'place') {
      if (isDartPlace(formula)) return [];
      return [{ line: name, at: 0, sentence: `${where} must be crease, midway or apexSpan, not “${formula}”.` }];
    }
    const parsed = parseFormula(formula);
    if (!parsed.ok) return [{ line: name, at: parsed.error.at, sentence: `${where}: ${parsed.error.sentence}` }];
    const checked = checkFormula(parsed.node, (n) => kinds.get(n));
    if (!checked.ok) {
      const unknown = /“([\w.]+)” is not known here/.exec(checked.error.sentence)?.[1];
      const later = unknown !== undefined && (sheet.lines.some((l) => l.name === unknown) || unknown === name);
      const sentence = later
        ? `${where} uses “${unknown}”, which is worked out later or from this very line. Move that line up, or use another name.`
        : `${where}: ${checked.error.sentence}`;
      return [{ line: name, at: checked.error.at, sentence }];
    }
    const wanted: Kind = kind === 'length' ? 'length' : 'number';
    if (checked.kind === wanted) return [];
    const said =
      wanted === 'length'
        ? 'must come out as a length: give it a unit, such as cm or in'
        : 'must come out as a plain number, without a unit';
    return [{ line: name, at: 0, sentence: `${where} ${said}.` }];
  });
}

/**
 * Checks a whole sheet: unknown names, a line used before it is worked out (which takes in every cycle), wrong
 * units, missing lines and missing variants. Each fault is a sentence with its place. An empty list: the sheet is good.
 */
export function checkSheet(sheet: Sheet): SheetFault[] {
  const kinds = new Map<string, Kind>(MEASUREMENT_IDS.map((id) => [id, 'length']));
  const faults: SheetFault[] = [];
  for (const setting of sheet.settings) {
    if (setting.formula !== undefined) faults.push(...checkText(sheet, setting.name, setting.formula, kinds));
    kinds.set(setting.name, 'length');
  }
  for (const line of sheet.lines) {
    faults.push(...checkText(sheet, line.name, line.formula, kinds));
    const kind = lineKind(line.name);
    if (kind !== 'place') kinds.set(line.name, kind === 'length' ? 'length' : 'number');
  }
  for (const name of REQUIRED_LINES) {
    if (!sheet.lines.some((l) => l.name === name)) {
      faults.push({ line: name, at: 0, sentence: `The line “${name}” is missing.` });
    }
  }
  return faults;
}
