import { alteredInTurn, type AlterationWork, type LevelPlace } from '../core/alter/index.js';
import { computeDraft, EMPTY_INPUT, spoiltLines, type Draft } from '../core/chain/index.js';
import type { CheckId } from '../core/check/index.js';
import { SHEETS } from '../core/shipped/index.js';
import { judgeDraft } from './judged.js';
import { inputFor, isMeantFor, plausibleBody, seeded, waysOf } from './random-body.js';

/** What became of the lines of drafts that were altered once each. */
export interface AlteredLines {
  readonly kind: string;
  readonly done: number;
  readonly refused: number;
  /** Those that left a line worse than they found it, and which lines, by how often. */
  readonly spoilt: number;
  readonly lines: Readonly<Partial<Record<CheckId, number>>>;
  /**
   * Those in which the judge of this bench, with arithmetic of its own, sees a rise, side or inseam newly missed that
   * no check names.
   */
  readonly unseen: number;
}

const HIP: LevelPlace = { line: 'hipLevel', by: 0 };
/** So low that both sides reach it. */
const BELOW_WAIST: LevelPlace = { line: 'waistLine', by: 12 };

/** Kinds of everyday alterations, each with any figures that a fitter would give. */
export const EVERYDAY = ['wedge', 'close', 'scoop', 'fill', 'tilt', 'crotchPoint', 'across', 'side', 'inseam'] as const;

function everyday(kind: (typeof EVERYDAY)[number], { block }: Draft, random: () => number): AlterationWork {
  const between = (low: number, high: number): number => Math.round(2 * (low + (high - low) * random())) / 2;
  const panel = random() < 0.5 ? 'front' : 'back';
  const sign = random() < 0.5 ? -1 : 1;
  const third: LevelPlace = { line: 'crotchLevel', by: -Math.round(block.levels.crotchLevel / 3) };
  const from = { edge: 'rise', level: random() < 0.5 ? HIP : third } as const;
  const hinge = { edge: 'side', level: HIP } as const;
  switch (kind) {
    case 'wedge':
      return { kind: 'wedge', panel, from, hinge, by: between(3, 50) };
    case 'close':
      return { kind: 'wedge', panel, from, hinge, by: -between(3, 20) };
    case 'scoop':
    case 'fill': {
      const by = (kind === 'fill' ? -1 : 1) * between(2, 9.5);
      return { kind: 'scoop', panel, at: 0.3 + 0.4 * random(), by, keepLength: random() < 0.5 };
    }
    case 'tilt':
      return { kind: 'tilt', panel, above: 60 * random(), by: sign * between(2, 15), giveBack: random() < 0.7 };
    case 'crotchPoint': {
      const down = random() < 0.5 ? 0 : sign * between(1, 10);
      return { kind: 'crotchPoint', panel, out: sign * between(2, 20), down, recentre: random() < 0.7 };
    }
    case 'side': {
      const places: readonly (readonly [LevelPlace, LevelPlace])[] = [
        [HIP, { line: 'crotchLevel', by: 0 }],
        [HIP, HIP],
        [BELOW_WAIST, BELOW_WAIST],
        [BELOW_WAIST, { line: 'hemLevel', by: 0 }],
        [
          { line: 'kneeLevel', by: 0 },
          { line: 'hemLevel', by: 0 },
        ],
      ];
      const [from, to] = places[Math.floor(places.length * random())] ?? [HIP, HIP];
      const by = sign * between(2, 12);
      return { kind: 'seam', panel: 'both', seam: 'side', by, from, to, runOut: between(120, 180) };
    }
    case 'inseam': {
      const from: LevelPlace = random() < 0.5 ? { line: 'kneeLevel', by: 0 } : { line: 'thighLevel', by: 0 };
      const to: LevelPlace = { line: 'hemLevel', by: 0 };
      const by = sign * between(2, 10);
      return { kind: 'seam', panel: 'both', seam: 'inseam', by, from, to, runOut: between(120, 180) };
    }
    case 'across': {
      const line = (['hipLevel', 'crotchLevel', 'kneeLevel'] as const)[Math.floor(3 * random())] ?? 'kneeLevel';
      return { kind: 'across', panel: 'both', level: { line, by: 30 * sign }, by: sign * between(5, 25) };
    }
  }
}

/**
 * True where a rise, side or inseam misses a measure that it met before; a pull-on’s leg need not hang plumb any more.
 */
function newlyMissed(before: Draft, after: Draft): boolean {
  const [was, is] = [judgeDraft(before), judgeDraft(after)];
  return (['front', 'back'] as const).some((name) =>
    is[name].some(
      ({ id }) => /\.(rise|side|inseam)\./.test(id) && !id.endsWith('plumbLeg') && !was[name].some((m) => m.id === id),
    ),
  );
}

/**
 * Alters so many drafts of random bodies by random methods, each once by one kind, and sees what it left of the lines.
 */
export function alteredLines(kind: (typeof EVERYDAY)[number], count: number, seed: number): AlteredLines {
  const random = seeded(seed);
  const lines: Partial<Record<CheckId, number>> = {};
  let [done, refused, spoilt, unseen] = [0, 0, 0, 0];
  while (done + refused < count) {
    const sheet = SHEETS[Math.floor(SHEETS.length * random())] ?? SHEETS[0];
    const body = plausibleBody(random);
    if (!sheet || !isMeantFor(sheet, body)) continue;
    const ways = waysOf(sheet);
    const choices = ways[Math.floor(ways.length * random())] ?? {};
    const outcome = computeDraft({ ...EMPTY_INPUT, ...inputFor(sheet, body), choices });
    if (!outcome.ok) continue;
    const alterations = [{ id: 'a', on: true, note: '', work: everyday(kind, outcome.value, random) }];
    const after = computeDraft({ ...EMPTY_INPUT, ...inputFor(sheet, body), choices, alterations });
    if (!after.ok || !after.value.altered.told[0]?.done) {
      refused += 1;
      continue;
    }
    done += 1;
    const { drafted, altered } = after.value;
    const steps = alteredInTurn(drafted, alterations, altered.told);
    const worse = spoiltLines(after.value, EMPTY_INPUT.rules, steps).get('a') ?? [];
    spoilt += Number(worse.length > 0);
    for (const { id } of worse) lines[id] = (lines[id] ?? 0) + 1;
    if (worse.length === 0 && newlyMissed(outcome.value, after.value)) unseen += 1;
  }
  return { kind, done, refused, spoilt, lines, unseen };
}

/** Prints for each everyday kind how many leave every line as fair as they found it. */
export function reportAlteredLines(each = 300): void {
  for (const kind of EVERYDAY) {
    const { done, refused, spoilt, lines, unseen } = alteredLines(kind, each, 5);
    const share = ((100 * (done - spoilt)) / done).toFixed(1);
    console.log(
      `${done} × ${kind}: ${share} % leave every line as fair; ${refused} refused; ${JSON.stringify(lines)}; unseen ${unseen}`,
    );
  }
}
