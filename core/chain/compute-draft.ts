import { checkAgainstBody, checkAgainstItself, type Check } from '../check/index.js';
import { drawBlock, HOUSE_RULES, type Block, type DraftRules } from '../draft/index.js';
import {
  measurementLabel,
  completeBody,
  REQUIRED_IDS,
  refuseMeasurement,
  type Adopted,
  type Body,
  type Figure,
  type Measured,
  type MeasurementId,
} from '../measure/index.js';
import { sheetById, SHEETS, SHEETS_OWN_FIT, workOut, type DartPlace, type Fit, type Worked } from '../method/index.js';
import { good, refused, type Outcome, type Refusal } from '../refusal/index.js';
import { exactFigure, type Unit } from '../units/index.js';

/** Everything a draft is computed from: what is stored is this, never a result. Lengths in mm. */
export interface DraftInput {
  readonly method: string;
  readonly figure: Figure;
  readonly measured: Measured;
  /** Rules adopted for figures that are missing. */
  readonly adopted: Adopted;
  readonly fit: Fit;
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
  adopted: {},
  fit: SHEETS_OWN_FIT,
  settings: {},
  choices: {},
  rules: HOUSE_RULES,
  set: {},
};

/** What a body is completed from. */
type BodyInput = Pick<DraftInput, 'method' | 'measured' | 'figure' | 'adopted'>;

/** The input's body: measured, estimated and adopted figures. */
export const bodyOf = ({ method, measured, figure, adopted }: BodyInput): Body =>
  completeBody(measured, figure, { ...sheetById(method)?.estimates, ...adopted });

const missingIn = (body: Body): MeasurementId[] => REQUIRED_IDS.filter((id) => !body.has(id));

/** The required measurements that are neither there nor to be had from others. */
export const missingFigures = (input: BodyInput): MeasurementId[] => missingIn(bodyOf(input));

function requiredBody(input: DraftInput, unit: Unit): Outcome<Body> {
  const body = bodyOf(input);
  const refusals: Refusal[] = missingIn(body).map((id) => ({
    field: id,
    value: '',
    reason: `${measurementLabel(id)} is missing.`,
    wayOut:
      id === 'inseam'
        ? 'Enter the inseam, or the outseam in its place; without either nothing can be drafted.'
        : `Enter the ${measurementLabel(id).toLowerCase()}; without it nothing can be drafted.`,
  }));
  for (const [id, { mm, source }] of body) {
    if (source === 'estimate' && !(REQUIRED_IDS as readonly string[]).includes(id)) continue;
    const sentence = refuseMeasurement(id, mm, unit);
    if (sentence === undefined) continue;
    const [reason = sentence, wayOut = ''] = sentence.split(/(?<=drafted\.) /);
    refusals.push({ field: id, value: Number.isFinite(mm) ? `${exactFigure(mm, unit)} ${unit}` : '', reason, wayOut });
  }
  return refusals.length > 0 ? refused(...refusals) : good(body);
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
  const body = requiredBody(input, unit);
  if (!body.ok) return body;
  const { fit, settings, choices, set } = input;
  const worked = workOut(sheet, { body: body.value, fit, settings, choices, set });
  if (!worked.ok) return worked;
  const block = drawBlock(worked.value, input.rules);
  if (!block.ok) return block;
  return good({
    worked: worked.value,
    block: block.value,
    checks: [...checkAgainstBody(worked.value, block.value), ...checkAgainstItself(block.value)],
  });
}
