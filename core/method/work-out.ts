import { good, refusal, refused, type Outcome, type Refusal } from '../refusal/index.js';
import { parseFormula, type Node } from './formula.js';
import { choicesOf, COMMON, holds, termsFor } from './common.js';
import { evaluate, hasLength, namesIn } from './formula-value.js';
import { classEase, fitClassById, knitReduction } from './fit.js';
import { refuseHand } from './hand-value.js';
import { knitWarnings, rangeWarnings } from './warning.js';
import {
  isDartPlace,
  LEVELS,
  PARAMETER_NAMES,
  panelLine,
  type DartPlace,
  type Levels,
  type PanelName,
  type PanelParameters,
  type ParameterKind,
} from './panel-parameters.js';
import type { Setting } from './setting.js';
import {
  formulaFor,
  frontLine,
  partedGirth,
  isOptionalLine,
  lineKind,
  REDUCTION,
  settingsOf,
  type Sheet,
} from './sheet.js';
import { fitClassOf, lineLabel, type AddedTerm, type LedgerLine, type MethodInput, type Worked } from './ledger.js';

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

/**
 * The chosen values, the sheet's own and the common ones, with what follows from the person where nothing was chosen.
 */
function resolveChoices(sheet: Sheet, input: MethodInput, refusals: Refusal[]): Record<string, string> {
  const choices: Record<string, string> = {};
  const ofPerson = choicesOf(input.figure, input.build);
  for (const choice of [...sheet.choices, ...COMMON.choices]) {
    const wanted = input.choices[choice.id];
    const values = choice.values.map((v) => v.id);
    choices[choice.id] =
      [wanted, ofPerson[choice.id], values[0]].find((v) => v !== undefined && values.includes(v)) ?? '';
    if (wanted !== undefined && wanted !== choices[choice.id]) {
      refusals.push(refusal(choice.id, 'choiceUnknown', { label: choice.label, wanted, values }));
    }
  }
  return choices;
}

function refuseSetting({ name, kind, label, least, most }: Setting, value: number): Refusal | undefined {
  if (value >= least && value <= most) return undefined;
  const figures = { label, value, least, most };
  return kind === 'share' ? refusal(name, 'shareSettingOut', figures) : refusal(name, 'settingOut', figures);
}

/** A line on its way into the ledger. */
interface Entry {
  readonly name: string;
  readonly kind: ParameterKind;
  readonly text: string | undefined;
  readonly hand: number | DartPlace | undefined;
  readonly reason: string;
  readonly house: boolean;
  readonly shrinks: boolean;
}

/**
 * Works a sheet out for a body (docs/trade/methods.md): every setting and line with its formula, its result and
 * its source; build, children's rules and leg shape are added as terms of their own. A value set by hand stands in
 * place of its formula and is used by the lines that follow. Refuses values that no piece can have and formulas that
 * give no figure.
 */
export function workOut(sheet: Sheet, input: MethodInput): Outcome<Worked> {
  const refusals: Refusal[] = [];
  const { body, fit } = input;
  const chosenClass = fit.fitClass && fitClassById(fit.fitClass);
  const choices = resolveChoices(sheet, input, refusals);
  const child = !sheet.forChildren && holds(COMMON.scale.when, choices);
  const ledger = new Map<string, LedgerLine>();
  const numbers = new Map<string, number>([
    [REDUCTION, knitReduction(fit.stretch)],
    ['pairBand', 0],
  ]);
  const shaky = new Set<string>();

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
        terms: [],
        scale: 1,
        reason: known.adopted ? 'Not measured: by the rule that was adopted.' : 'Not measured: estimated.',
        house: false,
        restsOnEstimate: true,
      });
    }
  }

  let rests = false;
  const look = (n: string): number | undefined => {
    if (shaky.has(n)) rests = true;
    return numbers.get(n);
  };
  const nodeOf = (text: string): Node | undefined => {
    const found = parsed(text);
    return found.ok ? found.node : undefined;
  };
  const scaleNode = child ? nodeOf(COMMON.scale.formula) : undefined;
  const scale = scaleNode ? evaluate(scaleNode, (n) => numbers.get(n)) : 1;

  /** True where the sheet makes the front's line of the same name from the girth that a measured front is a part of. */
  const splitsGirth = (name: string): boolean => {
    const girth = partedGirth(name);
    const front = girth && frontLine(sheet, name);
    const text = front && formulaFor(front.formula, choices);
    const node = text === undefined ? undefined : nodeOf(text);
    return girth !== undefined && node !== undefined && namesIn(node).includes(girth);
  };

  const addTerms = (name: string, first: number): { terms: AddedTerm[]; value: number } => {
    const terms: AddedTerm[] = [];
    let value = first;
    for (const { when, label, measured, formula, reason } of termsFor(name)) {
      if (!holds(when, choices) || (sheet.forChildren && 'age' in when)) continue;
      if (measured && !(numbers.has(measured) && splitsGirth(name))) continue;
      numbers.set('value', value);
      const node = nodeOf(formula);
      const next = node ? evaluate(node, look) : NaN;
      terms.push({ label, node, from: value, to: next, reason });
      value = next;
    }
    const solved = input.solved?.[name];
    if (solved !== undefined) {
      terms.push({ label: 'From the measured rise', node: undefined, from: value, to: solved, reason: SOLVED_REASON });
      value = solved;
    }
    return { terms, value };
  };

  const enter = ({ name, kind, text, hand, reason, house, shrinks }: Entry): void => {
    const node = text === undefined || isDartPlace(text) ? undefined : nodeOf(text);
    const times = shrinks && node && hasLength(node) ? scale : 1;
    let sheetValue: number | DartPlace = isDartPlace(text) ? text : NaN;
    let terms: readonly AddedTerm[] = [];
    rests = false;
    if (node) {
      const added = addTerms(name, evaluate(node, look, times));
      sheetValue = added.value;
      terms = added.terms;
    }
    const value = hand ?? sheetValue;
    if (hand !== undefined) {
      const fault = refuseHand(name, lineLabel(sheet, name), kind, hand);
      if (fault) refusals.push(fault);
    } else if (kind !== 'place' && !Number.isFinite(value)) {
      refusals.push(refusal(name, 'lineWithoutFigure', { label: lineLabel(sheet, name), formula: text ?? '' }));
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
      terms,
      scale: times,
      reason,
      house,
      restsOnEstimate: hand === undefined && rests,
    });
  };

  const settings = settingsOf(sheet).filter((s) => holds(s.when, choices));
  for (const setting of settings) {
    const hand = input.settings[setting.name];
    const ofClass = chosenClass && classEase(chosenClass, setting.name, fit.stretch);
    const text = ofClass?.formula ?? (setting.formula === undefined ? undefined : formulaFor(setting.formula, choices));
    const fault = hand === undefined ? undefined : refuseSetting(setting, hand);
    if (fault) refusals.push(fault);
    if (hand === undefined && text === undefined) continue;
    const kind = setting.kind ?? 'length';
    const reason = ofClass?.reason ?? setting.reason;
    enter({ name: setting.name, kind, text, hand, reason, house: false, shrinks: setting.shrinks ?? false });
  }
  if (input.settings['waistToHem'] !== undefined && input.settings['insideLength'] !== undefined) {
    refusals.push(refusal('waistToHem', 'lengthTwice'));
  }
  const everySetting = new Set(settingsOf(sheet).map((s) => s.name));
  for (const name of Object.keys(input.settings)) {
    if (everySetting.has(name)) continue;
    refusals.push(refusal(name, 'notASetting', { name, sheet: sheet.name, known: [...everySetting] }));
  }
  for (const { name, formula, reason, house = false } of sheet.lines) {
    if (panelLine(name)?.parameter === 'hipWidth' && choices[LENGTH] === undefined)
      choices[LENGTH] = lengthOf(numbers, input);
    const text = name === 'hemLevel' && numbers.has('waistToHem') ? 'waistToHem' : formulaFor(formula, choices);
    if (text === undefined && isOptionalLine(name)) continue;
    enter({
      name,
      kind: lineKind(name),
      text,
      hand: input.set[name],
      reason,
      house,
      shrinks: panelLine(name) !== undefined,
    });
  }
  for (const [name, value] of Object.entries(input.set)) {
    if (isOptionalLine(name) && !sheet.lines.some((l) => l.name === name)) {
      enter({ name, kind: lineKind(name), text: undefined, hand: value, reason: '', house: false, shrinks: false });
    } else if (!sheet.lines.some((l) => l.name === name)) {
      refusals.push(refusal(name, 'notALine', { name, sheet: sheet.name }));
    }
  }
  if (refusals.length > 0) return refused(...refusals);

  const panel = (name: PanelName): PanelParameters =>
    Object.fromEntries(
      PARAMETER_NAMES.map((p) => [p, ledger.get(`${name}.${p}`)?.value]),
    ) as unknown as PanelParameters;
  const meant = chosenClass ?? fitClassOf(sheet, choices);
  const levels = Object.fromEntries(LEVELS.map(([name]) => [name, numbers.get(name)])) as unknown as Levels;
  const full = fullLength(sheet, input, levels);
  if (full && !full.ok) return full;
  return good({
    sheet,
    choices,
    body,
    fitClass: meant,
    stretch: fit.stretch,
    ledger,
    levels,
    full: full?.value,
    front: panel('front'),
    back: panel('back'),
    byHand: new Set(Object.keys(input.set)),
    pullOn: sheet.closing !== undefined && formulaFor(sheet.closing, choices) === 'pull-on',
    child,
    size: choices['age'] === 'child' ? Math.min(1, Math.max(0.5, (body.get('hip')?.mm ?? CHILD_HIP) / CHILD_HIP)) : 1,
    settings,
    warnings: [...rangeWarnings(sheet, body), ...knitWarnings(meant.id, fit)],
  });
}

/**
 * The name under which the terms of every sheet find whether a leg is short: `short` where its hem lies above the knee.
 */
const LENGTH = 'length';
/** A hem this close to the knee line, in mm, counts as above it. */
const NO_KNEE = 20;

/** A short leg whose hem was not given by hand hangs straight down from the crotch. */
function lengthOf(numbers: ReadonlyMap<string, number>, input: MethodInput): string {
  const short = (numbers.get('hemLevel') ?? 0) < (numbers.get('kneeLevel') ?? 0) + NO_KNEE;
  return short && input.settings['hemGirth'] === undefined ? 'short' : 'long';
}

/** What decides how long a leg is: left out, it is as long as the body's. */
const LENGTH_SETTINGS = ['insideLength', 'waistToHem'] as const;

/** The same sheet with a leg as long as the body's; nothing where it is so already. */
function fullLength(
  sheet: Sheet,
  input: MethodInput,
  levels: Levels,
): Outcome<NonNullable<Worked['full']>> | undefined {
  const shortened = LENGTH_SETTINGS.some((name) => name in input.settings) || 'hemLevel' in input.set;
  if (!shortened) return undefined;
  const settings = Object.fromEntries(
    Object.entries(input.settings).filter(([name]) => !(LENGTH_SETTINGS as readonly string[]).includes(name)),
  );
  const set = Object.fromEntries(Object.entries(input.set).filter(([name]) => name !== 'hemLevel'));
  const worked = workOut(sheet, { ...input, settings, set });
  if (!worked.ok) return worked;
  if (Math.abs(worked.value.levels.hemLevel - levels.hemLevel) < 0.01) return undefined;
  const { front, back } = worked.value;
  return good({ levels: worked.value.levels, front, back });
}

/** The hip, in mm, to which a child's is held. */
const CHILD_HIP = 900;

const SOLVED_REASON = 'Moved until the seam is as long as it was measured.';
