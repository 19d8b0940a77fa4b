import { MEASUREMENT_IDS, type MeasurementId } from '../measure/index.js';
import { parseFormula, type Kind } from './formula.js';
import { COMMON, termsFor } from './common.js';
import type { Choice, FormulaText, Setting } from './setting.js';
import { checkFormula, namesIn } from './formula-value.js';
import {
  isDartPlace,
  LEVELS,
  OPTIONAL_PARAMETERS,
  PANEL_NAMES,
  PANEL_PARAMETERS,
  PARAMETER_NAMES,
  panelLine,
  type PanelName,
  type ParameterKind,
} from './panel-parameters.js';

/** One line of a sheet: a level or a panel parameter, with its formula and the reason for it. */
export interface Line {
  readonly name: string;
  readonly formula: FormulaText;
  readonly reason: string;
  /** True where the line was filled by the house and is not part of the method as taught. */
  readonly house?: boolean;
}

/** A line that is moved until a rise is as long as it was measured. Limits in mm. */
export interface Solving {
  readonly line: 'front.centreLift' | 'back.centreLift';
  readonly measure: 'frontRise' | 'backRise';
  readonly least: number;
  readonly most: number;
}

/** The body range, in mm, for which a sheet is meant. */
export interface BodyRange {
  readonly hip: readonly [number, number];
  readonly drop: readonly [number, number];
  readonly crotchDepth: readonly [number, number];
}

/** A method of drafting as data (docs/trade/methods.md). */
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
  /** The sheet that a maker's own was copied from. */
  readonly basedOn?: string;
  /** The panel that its makers draw first; the front where nothing is said. */
  readonly first?: PanelName;
  /** How the two panels are laid out to each other (`laid-out.ts`); apart where nothing is said. */
  readonly laidOut?: FormulaText;
  /** The line that is only cut when the back has been cut from the front: `front.centreLift`. */
  readonly keptLast?: FormulaText;
  /** `pull-on` where the waist passes over the hip without an opening; it may rest on a choice. */
  readonly closing?: FormulaText;
  /** True where the side is one straight vertical from which the leg's widths are laid off. */
  readonly straightSide?: boolean;
  /** The panel whose side stands straight above the hip: what is left of the surplus leaves at the centre. */
  readonly uprightSide?: FormulaText;
  /** True where the leg falls plumb from the hip and the crotch point, like a skirt. */
  readonly plumbLeg?: boolean;
  /** `own` where the makers place the surplus of hip over waist themselves; by the plan otherwise. */
  readonly surplus?: FormulaText;
  /** True where its figures hold for children as they stand. */
  readonly forChildren?: boolean;
  /** Lines that are settled so that a measured seam comes out, each within limits in mm. */
  readonly solves?: readonly Solving[];
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

/** How a line's result counts: by its parameter, or a length for levels and settings. */
export function lineKind(name: string): ParameterKind {
  const line = panelLine(name);
  return line ? PANEL_PARAMETERS[line.parameter].kind : 'length';
}

/** The formula that holds under the chosen values; nothing where a choice has none. */
export function formulaFor(text: FormulaText, choices: Readonly<Record<string, string>>): string | undefined {
  if (typeof text === 'string') return text;
  const value = choices[text.choice] ?? '';
  const next = Object.hasOwn(text.by, value) ? text.by[value] : undefined;
  return next === undefined ? undefined : formulaFor(next, choices);
}

/** True for a panel line that a sheet need not state, or states only in some of its ways. */
export function isOptionalLine(name: string): boolean {
  const line = panelLine(name);
  return line !== undefined && OPTIONAL_PARAMETERS.has(line.parameter);
}

/** The girth that front and back part between them, by the line of either: hip for `front.hipWidth`. */
export function partedGirth(name: string): MeasurementId | undefined {
  const parameter = panelLine(name)?.parameter;
  return parameter === 'hipWidth' ? 'hip' : parameter === 'waistWidth' ? 'waist' : undefined;
}

/** The front's line of the parameter that a line is about. */
export const frontLine = (sheet: Sheet, name: string): Sheet['lines'][number] | undefined =>
  sheet.lines.find((l) => l.name === `front.${panelLine(name)?.parameter ?? ''}`);

/** Every line a complete sheet must have. */
export const REQUIRED_LINES: readonly string[] = [
  ...LEVELS.map(([name]) => name),
  ...PANEL_NAMES.flatMap((panel) =>
    PARAMETER_NAMES.filter((p) => !OPTIONAL_PARAMETERS.has(p)).map((p) => `${panel}.${p}`),
  ),
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
  const choice = [...sheet.choices, ...COMMON.choices].find((c) => c.id === text.choice);
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

/** True where a sheet makes the front's line from the girth that is parted, in at least one of its ways. */
function partsGirth(sheet: Sheet, name: string): boolean {
  const girth = partedGirth(name);
  const variants = variantsOf(sheet, name, frontLine(sheet, name)?.formula, []);
  return (
    girth !== undefined && Array.isArray(variants) && variants.some((v) => namesOf(v.formula ?? '').includes(girth))
  );
}

function checkText(
  sheet: Sheet,
  name: string,
  text: FormulaText,
  kinds: ReadonlyMap<string, Kind>,
  wanted: Kind,
): SheetFault[] {
  const variants = variantsOf(sheet, name, text, []);
  if (!Array.isArray(variants)) return [variants];
  return variants.flatMap(({ values, formula }): SheetFault[] => {
    const where = values.length === 0 ? `“${name}”` : `“${name}” (${values.join(', ')})`;
    if (formula === undefined && isOptionalLine(name)) return [];
    if (formula === undefined) return [{ line: name, at: 0, sentence: `${where} has no formula.` }];
    const kind = lineKind(name);
    if (kind === 'place' && isDartPlace(formula)) return [];
    const parsed = parseFormula(formula);
    if (!parsed.ok) return [{ line: name, at: parsed.error.at, sentence: `${where}: ${parsed.error.sentence}` }];
    const checked = checkFormula(parsed.node, (n) => kinds.get(n));
    if (kind === 'place' && !(checked.ok && checked.kind === 'length')) {
      const sentence = `${where} must be crease, midway or apexSpan, or a distance from the centre, not “${formula}”.`;
      return [{ line: name, at: 0, sentence }];
    }
    if (!checked.ok) {
      const { unknown } = checked.error;
      const later = unknown !== undefined && (sheet.lines.some((l) => l.name === unknown) || unknown === name);
      const sentence = later
        ? `${where} uses “${unknown}”, which is worked out later or from this very line. Move that line up, or use another name.`
        : `${where}: ${checked.error.sentence}`;
      return [{ line: name, at: checked.error.at, sentence }];
    }
    if (checked.kind === wanted) return [];
    const said =
      wanted === 'length'
        ? 'must come out as a length: give it a unit, such as cm or in'
        : 'must come out as a plain number, without a unit';
    return [{ line: name, at: 0, sentence: `${where} ${said}.` }];
  });
}

/** Names that every formula may use beside measurements, settings and earlier lines. */
export const REDUCTION = 'reduction';

/** Every setting that a sheet has: the common ones, but for those that it states itself, and its own. */
export const settingsOf = (sheet: Sheet): readonly Setting[] => [
  ...COMMON.settings.filter(({ name }) => !sheet.settings.some((s) => s.name === name)),
  ...sheet.settings,
];

const kindOfSetting = (setting: Setting): Kind => (setting.kind === 'share' ? 'number' : 'length');

function checkNames(sheet: Sheet): SheetFault[] {
  const faults: SheetFault[] = [];
  const seen = new Set<string>(MEASUREMENT_IDS);
  for (const { name } of [...sheet.settings, ...sheet.lines]) {
    if (seen.has(name))
      faults.push({ line: name, at: 0, sentence: `“${name}” is there twice: give one another name.` });
    seen.add(name);
  }
  for (const { name } of sheet.lines) {
    if (!REQUIRED_LINES.includes(name) && !isOptionalLine(name)) {
      faults.push({
        line: name,
        at: 0,
        sentence: `“${name}” is not a line that a piece is drawn from. Make it a setting.`,
      });
    }
  }
  return faults;
}

/**
 * Checks a whole sheet: unknown names, a line used before it is worked out (which takes in every cycle), wrong
 * units, missing lines and missing variants, names used twice. Each fault is a sentence with its place. An empty list:
 * the sheet is good.
 */
export function checkSheet(sheet: Sheet): SheetFault[] {
  const kinds = new Map<string, Kind>(MEASUREMENT_IDS.map((id) => [id, 'length']));
  kinds.set(REDUCTION, 'number');
  const faults = checkNames(sheet);
  for (const setting of settingsOf(sheet)) {
    const kind = kindOfSetting(setting);
    if (setting.formula !== undefined) faults.push(...checkText(sheet, setting.name, setting.formula, kinds, kind));
    kinds.set(setting.name, kind);
  }
  for (const line of sheet.lines) {
    const kind = lineKind(line.name);
    faults.push(
      ...checkText(sheet, line.name, line.formula, kinds, kind === 'length' || kind === 'place' ? 'length' : 'number'),
    );
    for (const term of termsFor(line.name)) {
      if (term.measured && !partsGirth(sheet, line.name)) continue;
      for (const wanted of namesOf(term.formula)) {
        if (wanted === 'value' || kinds.has(wanted)) continue;
        const sentence = `“${line.name}” must stand below “${wanted}”, which “${term.label.toLowerCase()}” needs.`;
        faults.push({ line: line.name, at: 0, sentence });
      }
    }
    if (kind !== 'place') kinds.set(line.name, kind === 'length' ? 'length' : 'number');
  }
  const stated = new Set(sheet.lines.map((l) => l.name));
  for (const name of REQUIRED_LINES) {
    // The bow of the inseam may be stated in mm in the place of its share.
    const line = panelLine(name);
    if (line?.parameter === 'inseamHollowShare' && stated.has(`${line.panel}.inseamHollow`)) continue;
    if (!sheet.lines.some((l) => l.name === name)) {
      faults.push({ line: name, at: 0, sentence: `The line “${name}” is missing.` });
    }
  }
  return faults;
}

function namesOf(formula: string): string[] {
  const parsed = parseFormula(formula);
  return parsed.ok ? namesIn(parsed.node) : [];
}
