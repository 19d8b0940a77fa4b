import { z } from 'zod';
import { EMPTY_INPUT, type DraftInput } from '../core/chain/index.js';
import { HOUSE_RULES, WAIST_SCHOOLS, type DraftRules, type WaistSchool } from '../core/draft/index.js';
import { isMeasurementId, MEASUREMENT_IDS, measurementLabel, type MeasurementId } from '../core/measure/index.js';
import {
  FIT_CLASSES,
  fitClassById,
  isDartPlace,
  lineKind,
  COMMON,
  settingsOf,
  SHEETS_OWN_FIT,
  type DartPlace,
  type Fit,
  type Sheet,
} from '../core/method/index.js';
import { sheetById, SHEETS } from '../core/shipped/index.js';
import { good, orderRefusal, refusal, refused, type OrderRefusal, type Outcome } from '../core/refusal/index.js';
import { readLength, toMm, UNITS, type Unit } from '../core/units/index.js';
import type { Allowances } from '../core/piece/index.js';
import type { Style } from '../core/style/index.js';
import { orderedAlterations, readAlterations } from './alterations.js';
import { orderedAllowances, orderedStyle, readAllowances, readStyle } from './style.js';

const figure = z.union([z.number(), z.string()]);

/** An order for a draft, as the command line takes it. Lengths are in `unit` and may be written as strings. */
export const orderSchema = z.strictObject({
  measurements: z
    .object({
      unit: z.enum(['cm', 'in', 'mm']).default('cm'),
      figure: z.enum(['woman', 'man', 'child', 'unknown']).optional(),
    })
    .catchall(figure)
    .prefault({}),
  method: z.string().default('quarter-and-half'),
  settings: z.record(z.string(), z.union([figure, z.boolean()])).default({}),
  set: z.record(z.string(), figure).default({}),
  alterations: orderedAlterations,
  style: orderedStyle,
  allowances: orderedAllowances,
});

/** A draft input with the unit in which it was ordered. */
export interface Order {
  readonly unit: Unit;
  readonly input: DraftInput;
  readonly style: Style;
  readonly allowances: Allowances;
}

function lengthOf(field: string, label: string, value: number | string, unit: Unit): Outcome<number, OrderRefusal> {
  const read = typeof value === 'number' ? { ok: true as const, mm: toMm(value, unit) } : readLength(value, unit);
  if (read.ok) return good(read.mm);
  return refused(orderRefusal(field, 'orderLength', { label, fault: read.reason }));
}

/** The value of a line set by hand, by what kind of line it is. */
function handValue(name: string, value: number | string, unit: Unit): Outcome<number | DartPlace, OrderRefusal> {
  const kind = lineKind(name);
  if (kind === 'place' && isDartPlace(value)) return good(value);
  if (kind === 'length' || kind === 'place') return lengthOf(name, name, value, unit);
  const plain = Number(value);
  return Number.isFinite(plain) ? good(plain) : refused(orderRefusal(name, 'orderPlainNumber', { name }));
}

function zodRefusal(error: z.ZodError): OrderRefusal {
  const issue = error.issues[0];
  const field = issue?.path.join('.') ?? '';
  return orderRefusal(field || 'order', 'orderShape', { place: field || 'its top', fault: issue?.message });
}

interface Settings {
  fit: Fit;
  readonly settings: Record<string, number>;
  readonly choices: Record<string, string>;
  rules: DraftRules;
}

/** A school of the waist by its name; true and `darts` are older names of the plan. */
function schoolOf(value: number | string | boolean): WaistSchool | undefined {
  if (value === true || value === 'darts') return 'plan';
  if (value === false) return 'off';
  return WAIST_SCHOOLS.find((s) => s === value);
}

function readSettings(
  sheet: Sheet,
  given: Readonly<Record<string, number | string | boolean>>,
  unit: Unit,
): Outcome<Settings, OrderRefusal> {
  const found: Settings = { fit: SHEETS_OWN_FIT, settings: {}, choices: {}, rules: { ...HOUSE_RULES } };
  const refusals: OrderRefusal[] = [];
  const settings = settingsOf(sheet);
  const choices = [...sheet.choices, ...COMMON.choices];
  for (const [name, value] of Object.entries(given)) {
    if (name === 'waistPlan') {
      const school = schoolOf(value);
      if (school) found.rules = { ...found.rules, waistPlan: school };
      else {
        const asked = { what: 'waist plan', name: String(value), known: WAIST_SCHOOLS };
        refusals.push(orderRefusal(name, 'orderUnknown', asked));
      }
    } else if (name in HOUSE_RULES) {
      if (typeof value === 'boolean') found.rules = { ...found.rules, [name]: value };
      else refusals.push(orderRefusal(name, 'orderOnOff', { name }));
    } else if (name === 'fitClass') {
      const chosen = fitClassById(String(value));
      const known = FIT_CLASSES.map((c) => c.id);
      if (chosen) found.fit = { ...found.fit, fitClass: chosen.id };
      else refusals.push(orderRefusal(name, 'orderUnknown', { what: 'fit class', name: String(value), known }));
    } else if (name === 'stretch') {
      const stretch = Number(value);
      if (stretch >= 0 && stretch <= 3) found.fit = { ...found.fit, stretch };
      else refusals.push(orderRefusal(name, 'orderStretch'));
    } else if (choices.some((c) => c.id === name)) {
      found.choices[name] = typeof value === 'boolean' ? (value ? 'yes' : 'no') : String(value);
    } else if (typeof value === 'boolean') {
      refusals.push(orderRefusal(name, 'orderNeedsLength', { name }));
    } else if (!settings.some((s) => s.name === name)) {
      const known = [...settings.map((s) => s.name), ...choices.map((c) => c.id)];
      refusals.push(refusal(name, 'notASetting', { name, sheet: sheet.id, known }));
    } else if (settings.some((s) => s.name === name && s.kind === 'share')) {
      const share = Number(value);
      if (Number.isFinite(share)) found.settings[name] = share;
      else refusals.push(orderRefusal(name, 'orderShare', { name }));
    } else {
      const length = lengthOf(name, name, value, unit);
      if (length.ok) found.settings[name] = length.value;
      else refusals.push(...length.refusals);
    }
  }
  return refusals.length > 0 ? refused(...refusals) : good(found);
}

/** Reads an order from parsed JSON. Every mistake is a refusal with its field and the way out. */
export function readOrder(json: unknown): Outcome<Order, OrderRefusal> {
  const parsed = orderSchema.safeParse(json);
  if (!parsed.success) return refused(zodRefusal(parsed.error));
  const { measurements, method, settings, set, alterations: listed } = parsed.data;
  const { unit, figure: body, ...figures } = measurements;
  const sheet = sheetById(method);
  if (!sheet) {
    const known = SHEETS.map((s) => s.id);
    return refused(orderRefusal('method', 'orderUnknown', { what: 'method', name: method, known }));
  }
  const refusals: OrderRefusal[] = [];
  const measured: Partial<Record<MeasurementId, number>> = {};
  for (const [id, value] of Object.entries(figures)) {
    if (!isMeasurementId(id)) {
      refusals.push(orderRefusal(id, 'orderMeasurement', { name: id, known: MEASUREMENT_IDS }));
      continue;
    }
    const length = lengthOf(id, measurementLabel(id), value, unit);
    if (length.ok) measured[id] = length.value;
    else refusals.push(...length.refusals);
  }
  const hand: Record<string, number | DartPlace> = {};
  for (const [name, value] of Object.entries(set)) {
    const read = handValue(name, value, unit);
    if (read.ok) hand[name] = read.value;
    else refusals.push(...read.refusals);
  }
  const chosen = readSettings(sheet, settings, unit);
  if (!chosen.ok) refusals.push(...chosen.refusals);
  const alterations = readAlterations(listed, unit);
  if (!alterations.ok) refusals.push(...alterations.refusals);
  const style = readStyle(parsed.data.style, unit);
  if (!style.ok) refusals.push(...style.refusals);
  const allowances = readAllowances(parsed.data.allowances, unit);
  if (!allowances.ok) refusals.push(...allowances.refusals);
  if (refusals.length > 0 || !chosen.ok || !alterations.ok || !style.ok || !allowances.ok) return refused(...refusals);
  const input: DraftInput = {
    ...EMPTY_INPUT,
    sheet,
    figure: body ?? 'unknown',
    measured,
    ...chosen.value,
    set: hand,
    alterations: alterations.value,
  };
  return good({
    unit: UNITS.includes(unit) ? unit : 'cm',
    input,
    style: style.value,
    allowances: allowances.value,
  });
}
