import { MEASUREMENT_IDS } from '../measure/index.js';
import type { FormulaText, Setting } from './setting.js';
import { checkSheet, formulaFor, lineKind, REDUCTION, settingsOf, type Line, type Sheet } from './sheet.js';

/** A maker's own copy of a sheet, under a name and an id of its own. */
export const ownCopy = (sheet: Sheet, id: string, name: string): Sheet => ({
  ...sheet,
  id,
  name,
  basedOn: sheet.basedOn ?? sheet.id,
});

function leafReplaced(text: FormulaText, choices: Readonly<Record<string, string>>, formula: string): FormulaText {
  if (typeof text === 'string') return formula;
  const value = choices[text.choice] ?? '';
  const inner = Object.hasOwn(text.by, value) ? text.by[value] : undefined;
  if (inner === undefined) return text;
  return { ...text, by: { ...text.by, [value]: leafReplaced(inner, choices, formula) } };
}

/**
 * The sheet with another formula for a line or setting, for the values that are chosen; other ways stay as they are.
 */
export function withFormula(
  sheet: Sheet,
  name: string,
  choices: Readonly<Record<string, string>>,
  formula: string,
): Sheet {
  return {
    ...sheet,
    lines: sheet.lines.map((l) => (l.name === name ? { ...l, formula: leafReplaced(l.formula, choices, formula) } : l)),
    settings: sheet.settings.map((s) =>
      s.name === name ? { ...s, formula: leafReplaced(s.formula ?? '', choices, formula) } : s,
    ),
  };
}

/** The sheet with other facts of a line: its reason. */
export const withReason = (sheet: Sheet, name: string, reason: string): Sheet => ({
  ...sheet,
  lines: sheet.lines.map((l): Line => (l.name === name ? { ...l, reason } : l)),
  settings: sheet.settings.map((s): Setting => (s.name === name ? { ...s, reason } : s)),
});

/** The sheet with a setting shown on the board as a slider, or no longer. */
export const withSlider = (sheet: Sheet, name: string, slider: boolean): Sheet => ({
  ...sheet,
  settings: sheet.settings.map((s): Setting => (s.name === name ? { ...s, slider } : s)),
});

/** Where a maker's own sheet differs from the one it was copied from, under the values chosen. */
export interface SheetDifference {
  readonly name: string;
  readonly was: string;
  readonly is: string;
}

const sameText = (a: FormulaText | undefined, b: FormulaText | undefined): boolean =>
  JSON.stringify(a) === JSON.stringify(b);

/** Lines and settings whose formula is not that of the original, with both as they hold under the choices. */
export function differences(own: Sheet, original: Sheet, choices: Readonly<Record<string, string>>): SheetDifference[] {
  const formulas = (sheet: Sheet): Map<string, FormulaText | undefined> =>
    new Map([...sheet.settings, ...sheet.lines].map((l) => [l.name, l.formula]));
  const was = formulas(original);
  const told = (text: FormulaText | undefined): string => (text === undefined ? '' : (formulaFor(text, choices) ?? ''));
  return [...formulas(own)]
    .filter(([name, text]) => !sameText(text, was.get(name)))
    .map(([name, text]) => ({ name, was: told(was.get(name)), is: told(text) }));
}

/**
 * A maker's own sheet that can be drafted: every line with a mistake has the formula of the original in its place, and
 * where that is not enough it is the original.
 */
export function mendedBy(own: Sheet, original: Sheet): Sheet {
  const faulty = new Set(checkSheet(own).map((fault) => fault.line));
  if (faulty.size === 0) return own;
  const formulas = new Map([...original.settings, ...original.lines].map((l) => [l.name, l.formula]));
  const mended: Sheet = {
    ...own,
    lines: own.lines.map((l) => (faulty.has(l.name) ? { ...l, formula: formulas.get(l.name) ?? l.formula } : l)),
    settings: own.settings.map((s): Setting => {
      const formula = formulas.get(s.name);
      return faulty.has(s.name) && formula !== undefined ? { ...s, formula } : s;
    }),
  };
  return checkSheet(mended).length === 0 ? mended : original;
}

/** What a formula in a line may name: measurements, settings and the lines before it; for completion as one types. */
export function namesBefore(sheet: Sheet, name: string): string[] {
  const settings = settingsOf(sheet).map((s) => s.name);
  if (settings.includes(name)) {
    return [...MEASUREMENT_IDS, REDUCTION, ...settings.slice(0, settings.indexOf(name))];
  }
  const lines = sheet.lines.map((l) => l.name);
  const at = lines.indexOf(name);
  const before = lines.slice(0, at === -1 ? 0 : at).filter((l) => lineKind(l) !== 'place');
  return [...MEASUREMENT_IDS, REDUCTION, ...settings, ...before];
}
