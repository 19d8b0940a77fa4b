import { computeDraft, type Draft, type DraftInput } from '../chain/index.js';
import { checkLabel, classByExtensions, type CheckId } from '../check/index.js';
import { edgeLengths } from '../draft/index.js';
import { isMeasured, measurementLabel, type MeasurementId } from '../measure/index.js';
import { fitClassById, warningSentence, type FitClassId, type Sheet } from '../method/index.js';
import { refusalWords } from '../refusal/index.js';
import { formatLength, readerIn, tapeFor, type Unit } from '../units/index.js';
import table from './uses.json' with { type: 'json' };

/** What trousers may be for. */
export type UseId = keyof typeof table.uses;

/** What they may be made of. */
export type ClothId = keyof typeof table.cloths;

/** What trousers may be for, and of what, with the words for them. */
export const USES = Object.entries(table.uses).map(([id, { label }]) => [id as UseId, label] as const);
export const CLOTHS = Object.entries(table.cloths).map(([id, { label }]) => [id as ClothId, label] as const);

/** What a maker wants of a method; nothing said counts for nothing. */
export interface Wish {
  readonly use: UseId | undefined;
  readonly cloth: ClothId | undefined;
  readonly fit: FitClassId | undefined;
  /** True where the figures are those of a finished pair. */
  readonly fromPair: boolean;
}

/** What a method gives on this body, in mm and degrees. */
export interface Gives {
  readonly fitClass: string;
  readonly frontExtension: number;
  readonly backExtension: number;
  readonly seatAngle: number;
  readonly frontRise: number;
  readonly backRise: number;
  /** Rise less what was measured; nothing where it was not. */
  readonly frontRiseOver: number | undefined;
  readonly backRiseOver: number | undefined;
  readonly thighEase: number;
}

/** A method as advised: how well it goes with what is wanted, why, and what it gives. */
export interface Advice {
  readonly sheet: Sheet;
  readonly score: number;
  readonly speaksFor: readonly string[];
  readonly speaksAgainst: readonly string[];
  readonly draft: Draft | undefined;
  readonly gives: Gives | undefined;
}

function givesOf(draft: Draft, input: DraftInput): Gives {
  const { block, worked } = draft;
  const hip = worked.body.get('hip')?.mm ?? NaN;
  const [f, b] = [edgeLengths(block.front), edgeLengths(block.back)];
  const over = (id: MeasurementId, rise: number): number | undefined => {
    const measured = input.measured[id];
    return measured === undefined ? undefined : rise - measured;
  };
  return {
    fitClass: classByExtensions({
      frontExtension: worked.front.extension,
      backExtension: worked.back.extension,
      frontHipWidth: worked.front.hipWidth,
      backHipWidth: worked.back.hipWidth,
      hip,
    }),
    frontExtension: worked.front.extension,
    backExtension: worked.back.extension,
    seatAngle: (block.back.seatAngle * 180) / Math.PI,
    frontRise: f.rise,
    backRise: b.rise,
    frontRiseOver: over('frontRise', f.rise),
    backRiseOver: over('backRise', b.rise),
    thighEase: block.front.crotchWidth + block.back.crotchWidth - (worked.body.get('thigh')?.mm ?? NaN),
  };
}

/** A rise this near to the measured one, in mm, speaks for a method; one further off than the second against it. */
const RISE_NEAR = 12;
const RISE_FAR = 30;

/** What speaks for a method and against it, each with its weight. */
class Reasons {
  score = 0;
  readonly pro: string[] = [];
  readonly contra: string[] = [];
  add(weight: number, words: string): void {
    this.score += weight;
    (weight > 0 ? this.pro : this.contra).push(words);
  }
}

function byWish(sheet: Sheet, wish: Wish, reasons: Reasons): void {
  const id = sheet.basedOn ?? sheet.id;
  if (wish.use) {
    const { label, methods } = table.uses[wish.use] as { label: string; methods: Record<string, number> };
    const weight = methods[id] ?? 0;
    if (weight > 0) reasons.add(weight, `Suits ${label.toLowerCase()}.`);
  }
  if (wish.cloth) {
    const { label, methods } = table.cloths[wish.cloth] as { label: string; methods: Record<string, number> };
    const weight = methods[id] ?? 0;
    if (weight !== 0) {
      reasons.add(
        weight,
        weight > 0 ? `Goes with ${label.toLowerCase()}.` : `Does not go with ${label.toLowerCase()}.`,
      );
    }
  }
  if (id === 'finished-pair') {
    if (wish.fromPair) reasons.add(5, 'The figures are those of a finished pair.');
    else reasons.add(-4, 'The figures are a body’s, not a finished pair’s.');
  }
}

/** What the rises give is told with how far they are from the measured. */
const OF_RISES: ReadonlySet<CheckId> = new Set([
  'frontRise',
  'backRise',
  'wholeRise',
  'seatHeight',
  'frontRiseLine',
  'backRiseLine',
  'riseCharacter',
  'riseShape',
]);

function byDraft(draft: Draft, gives: Gives, wish: Wish, unit: Unit, reasons: Reasons): void {
  const show = (mm: number): string => formatLength(mm, tapeFor(unit));
  const { worked, checks } = draft;
  if (wish.fit) {
    const wanted = fitClassById(wish.fit);
    const share = gives.thighEase / (worked.body.get('thigh')?.mm ?? NaN);
    const [low, high] = [wanted?.thighLeast ?? wanted?.thighEase[0] ?? 0, wanted?.thighEase[1] ?? Infinity];
    if (share >= low && share <= high) reasons.add(3, `The thigh is ${wanted?.label.toLowerCase()} on this body.`);
    else {
      const words = share < low ? 'closer' : 'looser';
      reasons.add(-2, `The thigh comes out ${words} than ${wanted?.label.toLowerCase() ?? ''} on this body.`);
    }
  }
  const missing = worked.sheet.needs.filter((id) => !isMeasured(worked.body.get(id)));
  if (missing.length > 0) {
    const words = missing.map((id) => measurementLabel(id).toLowerCase()).join(' and ');
    reasons.add(-1.5, `Rests on the ${words}, which ${missing.length === 1 ? 'is' : 'are'} estimated.`);
  } else if (worked.sheet.needs.length > 0) {
    reasons.add(1.5, 'What it rests on was measured.');
  }
  for (const [words, over] of [
    ['front rise', gives.frontRiseOver],
    ['back rise', gives.backRiseOver],
  ] as const) {
    if (over === undefined) continue;
    const far = `The ${words} is ${show(Math.abs(over))} ${over < 0 ? 'short' : 'long'}.`;
    if (Math.abs(over) <= RISE_NEAR) reasons.add(1, `The ${words} is within ${show(RISE_NEAR)} of the measured.`);
    else reasons.add(Math.abs(over) > RISE_FAR ? -1.5 : -0.5, far);
  }
  for (const warning of worked.warnings) reasons.add(-2, warningSentence(warning, readerIn(unit)));
  const out = checks.filter((c) => c.verdict === 'out' && !OF_RISES.has(c.id));
  if (out.length > 0)
    reasons.add(
      -0.5 * out.length,
      `Out on this body: ${out.map((c) => checkLabel(c, unit).toLowerCase()).join(', ')}.`,
    );
}

/**
 * Ranks methods for a body by what is wanted, each drafted on it (docs/trade/fit.md): best first, with what
 * speaks for and against it. The weights are the house's, in `uses.json`.
 */
export function advise(inputs: readonly DraftInput[], wish: Wish, unit: Unit): Advice[] {
  return inputs
    .map((input): Advice => {
      const reasons = new Reasons();
      byWish(input.sheet, wish, reasons);
      const outcome = computeDraft(input);
      const draft = outcome.ok ? outcome.value : undefined;
      const gives = draft && givesOf(draft, input);
      if (draft && gives) byDraft(draft, gives, wish, unit, reasons);
      else if (!outcome.ok) {
        const [first] = outcome.refusals;
        reasons.add(-10, first ? refusalWords(first, readerIn(unit))[0] : 'Cannot be drafted on this body.');
      }
      const { score, pro, contra } = reasons;
      return { sheet: input.sheet, score, speaksFor: pro, speaksAgainst: contra, draft, gives };
    })
    .sort((a, b) => b.score - a.score);
}
