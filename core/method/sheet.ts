import { MEASUREMENT_IDS, type MeasurementId } from '../measure/index.js';
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

/** A formula, or one for each value of a choice, which may rest on a further choice. */
export type FormulaText = string | { readonly choice: string; readonly by: Readonly<Record<string, FormulaText>> };

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
  /** Where in the trade it comes from, in general terms. */
  readonly origin: string;
  /** Where it is known to fall short. */
  readonly weak: string;
  /** What wants to be measured beyond the four. */
  readonly needs: readonly MeasurementId[];
  /** Its own rules for figures that were not measured, by the rule's name. */
  readonly estimates?: Readonly<Partial<Record<MeasurementId, string>>>;
  /** The fit class it drafts where none is chosen; it may rest on a choice. */
  readonly fitClass: FormulaText;
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

/** The formula that holds under the chosen values; nothing where a choice has none. */
export function formulaFor(text: FormulaText, choices: Readonly<Record<string, string>>): string | undefined {
  if (typeof text === 'string') return text;
  const next = text.by[choices[text.choice] ?? ''];
  return next === undefined ? undefined : formulaFor(next, choices);
}

/** Every line a complete sheet must have. */
export const REQUIRED_LINES: readonly string[] = [
  ...LEVELS.map(([name]) => name),
  ...PANEL_NAMES.flatMap((panel) => PARAMETER_NAMES.map((p) => `${panel}.${p}`)),
];

interface Variant {
  /** The chosen values under which the formula holds. */
  readonly values: readonly string[];
  readonly formula: string | undefined;
}

/** Every formula of a text with the values it holds for, or the fault of a choice that the sheet does not have. */
function variantsOf(
  sheet: Sheet,
  name: string,
  text: FormulaText | undefined,
  values: string[],
): Variant[] | SheetFault {
  if (text === undefined || typeof text === 'string') return [{ values, formula: text }];
  const choice = sheet.choices.find((c) => c.id === text.choice);
  if (!choice) {
    const sentence = `“${name}” depends on a choice “${text.choice}” that the sheet does not have.`;
    return { line: name, at: 0, sentence };
  }
  const found: Variant[] = [];
  for (const value of choice.values) {
    const inner = variantsOf(sheet, name, text.by[value.id], [...values, value.id]);
    if (!Array.isArray(inner)) return inner;
    found.push(...inner);
  }
  return found;
}

function checkText(sheet: Sheet, name: string, text: FormulaText, kinds: ReadonlyMap<string, Kind>): SheetFault[] {
  const variants = variantsOf(sheet, name, text, []);
  if (!Array.isArray(variants)) return [variants];
  return variants.flatMap(({ values, formula }): SheetFault[] => {
    const where = values.length === 0 ? `“${name}”` : `“${name}” (${values.join(', ')})`;
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
