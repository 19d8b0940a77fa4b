import { alterLegs, type Alteration, type AlteredBlock } from '../alter/index.js';
import type { BodyTrace } from '../trace/index.js';
import {
  checkAgainstBody,
  checkAgainstItself,
  checkGirths,
  checkLines,
  checkRiseShape,
  legWalk,
  ofBothLegs,
  shown,
  wantedRise,
  type Check,
  type LineRules,
} from '../check/index.js';
import {
  drawAdopted,
  drawBlock,
  edgeLengths,
  HOUSE_RULES,
  otherLeg,
  parametersOf,
  type AdoptedPattern,
  type Block,
  type DraftRules,
  type Leg,
  type Legs,
} from '../draft/index.js';
import { figuresOf } from '../measured/index.js';
import {
  measurementLabel,
  completeBody,
  isGiven,
  isMeasured,
  REQUIRED_IDS,
  refuseMeasurement,
  AVERAGE_BUILD,
  type Adopted,
  type Body,
  type Build,
  type Figure,
  type GirthAtHeight,
  type Measured,
  type MeasurementId,
} from '../measure/index.js';
import {
  checkSheet,
  DEFAULT_SHEET,
  formulaFor,
  PANEL_NAMES,
  SHEETS_OWN_FIT,
  workOut,
  type DartPlace,
  type Fit,
  type Sheet,
  type Worked,
} from '../method/index.js';
import { good, refusal, refused, type Outcome, type Refusal } from '../refusal/index.js';

/** Everything a draft is computed from: what is stored is this, never a result. Lengths in mm. */
export interface DraftInput {
  readonly sheet: Sheet;
  readonly figure: Figure;
  readonly build: Build;
  readonly measured: Measured;
  /** Girths taken at heights above the crotch. */
  readonly heights: readonly GirthAtHeight[];
  /** The body's crotch curve, where one was taken. */
  readonly trace: BodyTrace | undefined;
  /** Rules adopted for figures that are missing. */
  readonly adopted: Adopted;
  readonly fit: Fit;
  readonly settings: Readonly<Record<string, number>>;
  readonly choices: Readonly<Record<string, string>>;
  readonly rules: DraftRules;
  readonly set: Readonly<Record<string, number | DartPlace>>;
  /** A pattern that was adopted as the block, in the place of what the sheet would draw. */
  readonly pattern: AdoptedPattern | undefined;
  /** Done one after the other on top of the block. */
  readonly alterations: readonly Alteration[];
  /** The leg that is looked at, where an alteration makes the two differ. */
  readonly leg: Leg;
}

/** A draft before it is judged: the sheet worked out, and both panels. */
export interface Drafted {
  readonly worked: Worked;
  /** Both panels as the sheet drafts them, before any alteration. */
  readonly drafted: Block;
  /** Both panels with the alterations done, as the leg looked at has them. */
  readonly block: Block;
  /** Both panels of each leg, where an alteration makes them differ. */
  readonly legs: Legs | undefined;
  /** What became of the alterations, and how they would be done on paper. */
  readonly altered: Pick<AlteredBlock, 'told' | 'marks'>;
}

/** A draft computed: the sheet worked out, both panels, and the checks. */
export interface Draft extends Drafted {
  readonly checks: readonly Check[];
}

/** An input with nothing measured and nothing set by hand, by the default method. */
export const EMPTY_INPUT: DraftInput = {
  sheet: DEFAULT_SHEET,
  figure: 'unknown',
  build: AVERAGE_BUILD,
  measured: {},
  heights: [],
  trace: undefined,
  adopted: {},
  fit: SHEETS_OWN_FIT,
  settings: {},
  choices: {},
  rules: HOUSE_RULES,
  set: {},
  pattern: undefined,
  alterations: [],
  leg: 'left',
};

/** What a body is completed from. */
type BodyInput = Pick<DraftInput, 'sheet' | 'measured' | 'figure' | 'adopted'>;

/** The input's body: measured, estimated and adopted figures. */
export const bodyOf = ({ sheet, measured, figure, adopted }: BodyInput): Body =>
  completeBody(measured, figure, { ...sheet.estimates, ...adopted });

const missingIn = (body: Body): MeasurementId[] => REQUIRED_IDS.filter((id) => !body.has(id));

/** The required measurements that are neither there nor to be had from others. */
export const missingFigures = (input: BodyInput): MeasurementId[] => missingIn(bodyOf(input));

function requiredBody(input: DraftInput): Outcome<Body> {
  const body = bodyOf(input);
  const refusals: Refusal[] = missingIn(body).map((id) =>
    id === 'inseam' ? refusal(id, 'inseamMissing') : refusal(id, 'missing', { label: measurementLabel(id) }),
  );
  for (const [id, known] of body) {
    if (!isMeasured(known) && !(REQUIRED_IDS as readonly string[]).includes(id)) continue;
    const fault = refuseMeasurement(id, input.measured[id] ?? known.mm);
    if (fault) refusals.push(fault);
  }
  return refusals.length > 0 ? refused(...refusals) : good(body);
}

const RISE_OF = { frontRise: 'front', backRise: 'back' } as const;
const SOLVED_TO = 0.2;
const SOLVING_ROUNDS = 4;

/** Works the sheet out and draws it, moving what it settles from measured seams until they are as long as measured. */
function drawn(input: DraftInput, body: Body): Outcome<{ worked: Worked; block: Block }> {
  const { sheet, fit, figure, build, settings, choices, set, pattern } = input;
  if (pattern) return drawnAsAdopted(input, body, pattern);
  const wishes = (sheet.solves ?? []).filter((s) => isGiven(body.get(s.measure)) && !(s.line in set));
  let solved: Record<string, number> = {};
  for (let round = 0; ; round++) {
    const worked = workOut(sheet, { body, figure, build, fit, settings, choices, set, solved });
    if (!worked.ok) return worked;
    const block = drawBlock(worked.value, input.rules);
    if (!block.ok) return block;
    let far = 0;
    const next: Record<string, number> = {};
    for (const { line, measure, least, most } of wishes) {
      const panel = RISE_OF[measure];
      const now = worked.value[panel].centreLift;
      const missing = (wantedRise(worked.value, measure) ?? NaN) - edgeLengths(block.value[panel]).rise;
      next[line] = Math.min(most, Math.max(least, now + missing));
      far = Math.max(far, Math.abs(next[line] - now));
    }
    if (far < SOLVED_TO || round === SOLVING_ROUNDS) return good({ worked: worked.value, block: block.value });
    solved = next;
  }
}

/** What the sheet wants of the body, with the adopted pattern in the place of what it would draw. */
function drawnAsAdopted(
  { sheet, fit, figure, build, settings, choices, set }: DraftInput,
  body: Body,
  pattern: AdoptedPattern,
): Outcome<{ worked: Worked; block: Block }> {
  const worked = workOut(sheet, { body, figure, build, fit, settings, choices, set, solved: {} });
  if (!worked.ok) return worked;
  const block = drawAdopted(pattern, worked.value);
  return block.ok ? good({ worked: worked.value, block: block.value }) : block;
}

/** What the lines of a draft are held to: a method or a rule that does not pair the sides leaves them apart. */
export function lineRulesOf({ sheet, choices, size }: Worked, { waistPlan, hipKept }: DraftRules): LineRules {
  const own = waistPlan === 'method' && sheet.surplus !== undefined && formulaFor(sheet.surplus, choices) === 'own';
  const planned = waistPlan === 'plan' || (waistPlan === 'method' && !own);
  return { size, sidesApart: !planned || !hipKept, straightSide: sheet.straightSide ?? false };
}

/** A sheet that states a crotch width has its extension settled on the piece as drawn: the ledger says so. */
function withSettledExtensions(worked: Worked, block: Block): Worked {
  let next = worked;
  for (const name of PANEL_NAMES) {
    const line = worked.ledger.get(`${name}.extension`);
    const { crotchWidth } = worked[name];
    if (
      !line ||
      crotchWidth === undefined ||
      !parametersOf(block[name]) ||
      line.source === 'hand' ||
      typeof line.value !== 'number'
    )
      continue;
    const to = block[name].points.crotchPoint.x - block[name].points.corner.x;
    const term = { label: 'To the crotch width', node: undefined, from: line.value, to, reason: CROTCH_WIDTH_REASON };
    const ledger = new Map(next.ledger);
    ledger.set(line.name, { ...line, value: to, sheetValue: to, terms: [...line.terms, term] });
    next = { ...next, ledger, [name]: { ...next[name], extension: to } };
  }
  return next;
}

const CROTCH_WIDTH_REASON = 'Settled on the piece, so that side seam to crotch point is what the sheet states.';

/** A draft as its method has it, before any alteration. */
export type Unaltered = Pick<Drafted, 'worked' | 'drafted'>;

/** Measurements to sheet to panels, whatever alterations the input lists. Refusals as of `computeDraft`. */
export function drawUnaltered(input: DraftInput): Outcome<Unaltered> {
  const fault = faultOf(input.sheet);
  if (fault) return refused(fault);
  const body = requiredBody(input);
  if (!body.ok) return body;
  const done = drawn(input, body.value);
  if (!done.ok) return done;
  const { block: drafted } = done.value;
  return good({ worked: withSettledExtensions(done.value.worked, drafted), drafted });
}

/** A draft with the alterations of its input done. */
export function altered(unaltered: Unaltered, input: DraftInput, stop?: () => boolean): Drafted {
  const { block, legs, told, marks } = alterLegs(unaltered.drafted, input.alterations, input.leg, stop && { stop });
  return { ...unaltered, block, legs, altered: { told, marks } };
}

/**
 * Measurements to sheet to panels to alterations, without the checks: for what seeks a figure over many drafts.
 * Refusals as of `computeDraft`.
 */
export function drawDraft(input: DraftInput, stop?: () => boolean): Outcome<Drafted> {
  const unaltered = drawUnaltered(input);
  return unaltered.ok ? good(altered(unaltered.value, input, stop)) : unaltered;
}

/** Every check of a block: its figures held against the body, against one another and against the trade's lines. */
function checksOfBlock({ worked, drafted }: Drafted, block: Block, { heights, trace, rules }: DraftInput): Check[] {
  const figures = figuresOf(block);
  return [
    ...checkAgainstBody(worked, block, figures),
    ...checkGirths(worked, block, heights),
    ...checkRiseShape(block, trace),
    ...checkAgainstItself(block, figures, {
      knit: worked.fitClass.byShare ?? false,
      statedDrop: worked.back.crotchDrop !== 0,
      equalInseams: worked.choices['inseams'] === 'equal',
    }),
    ...checkLines(block, { ...lineRulesOf(worked, rules), drafted }),
  ];
}

/** Every check of a draft; those of the whole garment are of both legs, where they differ. */
function checksOf(draft: Drafted, input: DraftInput): Check[] {
  const { block, legs } = draft;
  const checks = checksOfBlock(draft, block, input);
  if (!legs) return checks.map(shown);
  const others = checksOfBlock(draft, legs[otherLeg(input.leg)], input);
  return [...ofBothLegs(checks, others), legWalk(legs)].map(shown);
}

/**
 * The whole chain, one way down (docs/architecture.md): measurements to sheet to panels to alterations to checks. Pure;
 * every figure it cannot use comes back as a refusal that names its field. Where `stop` says that it takes too long,
 * the alterations are left out and told.
 */
export function computeDraft(input: DraftInput, stop?: () => boolean): Outcome<Draft> {
  const drafted = drawDraft(input, stop);
  return drafted.ok ? good({ ...drafted.value, checks: checksOf(drafted.value, input) }) : drafted;
}

const faults = new WeakMap<Sheet, Refusal | null>();

/** What is wrong with a maker's own sheet, as a refusal on its line; the shipped ones are proved by tests. */
function faultOf(sheet: Sheet): Refusal | undefined {
  if (sheet.basedOn === undefined) return undefined;
  let found = faults.get(sheet);
  if (found === undefined) {
    const [first] = checkSheet(sheet);
    found = first ? refusal(first.line, 'sheetFault', { fault: first.sentence }) : null;
    faults.set(sheet, found);
  }
  return found ?? undefined;
}
