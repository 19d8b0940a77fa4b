import { checkAgainstBody, checkAgainstItself, type Check } from '../check/index.js';
import { drawBlock, HOUSE_RULES, type Block, type DraftRules } from '../draft/index.js';
import {
  measurementLabel,
  REQUIRED_IDS,
  refuseMeasurement,
  type Figure,
  type Measured,
  type MeasurementId,
  type Required,
} from '../measure/index.js';
import { sheetById, SHEETS, workOut, type DartPlace, type Worked } from '../method/index.js';
import { good, refused, type Outcome, type Refusal } from '../refusal/index.js';
import { exactFigure, type Unit } from '../units/index.js';

/** Everything a draft is computed from: what is stored is this, never a result. Lengths in mm. */
export interface DraftInput {
  readonly method: string;
  readonly figure: Figure;
  readonly measured: Measured;
  readonly settings: Readonly<Record<string, number>>;
  readonly choices: Readonly<Record<string, string>>;
  readonly rules: DraftRules;
  readonly set: Readonly<Record<string, number | DartPlace>>;
}

/** A draft computed: the sheet worked out, both panels, and the checks. */
export interface Draft {
  readonly worked: Worked;
  readonly block: Block;
  readonly checks: readonly Check[];
}

/** An input with nothing measured and nothing set by hand, by the default method. */
export const EMPTY_INPUT: DraftInput = {
  method: SHEETS[0]?.id ?? '',
  figure: 'unknown',
  measured: {},
  settings: {},
  choices: {},
  rules: HOUSE_RULES,
  set: {},
};

/** The required measurements that are not there yet. */
export const missingFigures = (measured: Measured): MeasurementId[] =>
  REQUIRED_IDS.filter((id) => measured[id] === undefined);

function requiredOf(measured: Measured, unit: Unit): Outcome<Measured & Required> {
  const refusals: Refusal[] = missingFigures(measured).map((id) => ({
    field: id,
    value: '',
    reason: `${measurementLabel(id)} is missing.`,
    wayOut: `Enter the ${measurementLabel(id).toLowerCase()}; without it nothing can be drafted.`,
  }));
  for (const [id, mm] of Object.entries(measured) as [MeasurementId, number | undefined][]) {
    const sentence = mm === undefined ? undefined : refuseMeasurement(id, mm, unit);
    if (sentence === undefined || mm === undefined) continue;
    const [reason = sentence, wayOut = ''] = sentence.split(/(?<=drafted\.) /);
    refusals.push({ field: id, value: Number.isFinite(mm) ? `${exactFigure(mm, unit)} ${unit}` : '', reason, wayOut });
  }
  return refusals.length > 0 ? refused(...refusals) : good(measured as Measured & Required);
}

/**
 * The whole chain, one way down (handbook 5, section 1): measurements to sheet to panels to checks. Pure; every
 * figure it cannot use comes back as a refusal with field, reason and way out in the reader's unit.
 */
export function computeDraft(input: DraftInput, unit: Unit = 'cm'): Outcome<Draft> {
  const sheet = sheetById(input.method);
  if (!sheet) {
    const known = SHEETS.map((s) => s.id).join(', ');
    return refused({
      field: 'method',
      value: input.method,
      reason: `There is no method “${input.method}”.`,
      wayOut: `Choose one of: ${known}.`,
    });
  }
  const measured = requiredOf(input.measured, unit);
  if (!measured.ok) return measured;
  const worked = workOut(sheet, { ...input, measured: measured.value });
  if (!worked.ok) return worked;
  const block = drawBlock(worked.value, input.rules);
  if (!block.ok) return block;
  return good({
    worked: worked.value,
    block: block.value,
    checks: [...checkAgainstBody(worked.value, block.value), ...checkAgainstItself(block.value)],
  });
}
