import { seeded } from '../geometry/index.js';
import { findDoubts, type Measured, type MeasurementId, type REQUIRED_IDS } from '../measure/index.js';
import { fromMm, snapTo, toMm, type Unit } from '../units/index.js';

/** How hard the figures of a body are, from whole inches on. */
export const LEVELS_OF_FIGURES = ['whole', 'eighths', 'odd', 'halves'] as const;

/** The name of a level. */
export type FigureLevel = (typeof LEVELS_OF_FIGURES)[number];

/** What each level is called. */
export const LEVEL_LABELS: Readonly<Record<FigureLevel, string>> = {
  whole: 'Whole inches',
  eighths: 'Halves, quarters and eighths',
  odd: 'Odd eighths',
  halves: 'Centimetres with halves',
};

/** The unit of each level. */
export const unitOfLevel = (level: FigureLevel): Unit => (level === 'halves' ? 'cm' : 'in');

/** Figures with the required four among them, in mm. */
export type PracticeBody = Measured & Readonly<Record<(typeof REQUIRED_IDS)[number], number>>;

/** A figure as that level has it, near to what it is, in mm. */
function asLevel(mm: number, level: FigureLevel, random: () => number): number {
  if (level === 'whole') return toMm(Math.round(fromMm(mm, 'in')), 'in');
  if (level === 'eighths') {
    const parts = [2, 4, 4, 8][Math.floor(random() * 4)] ?? 4;
    return snapTo(mm, toMm(1 / parts, 'in'));
  }
  if (level === 'odd') return toMm(Math.floor(fromMm(mm, 'in')) + (1 + 2 * Math.floor(random() * 4)) / 8, 'in');
  return snapTo(mm, 5);
}

interface Ranges {
  readonly hip: readonly [number, number];
  readonly drop: readonly [number, number];
  readonly crotchDepth: readonly [number, number];
}

/** Grown-up bodies, in mm. */
const GROWN: Ranges = { hip: [820, 1280], drop: [60, 300], crotchDepth: [200, 340] };

const overlap = ([a, b]: readonly [number, number], [c, d]: readonly [number, number]): readonly [number, number] => {
  const [low, high] = [Math.max(a, c), Math.min(b, d)];
  return low <= high ? [low, high] : [a, b];
};

/**
 * A plausible body by a seed: no two of its figures disagree by the checks of measuring, and a method that is meant for
 * certain bodies gets one of them. Figures in mm, as fine as the level has them.
 */
export function practiceBody(seed: number, level: FigureLevel, meantFor: Ranges = GROWN): PracticeBody {
  const random = seeded(seed);
  const between = ([low, high]: readonly [number, number]): number => low + (high - low) * random();
  for (;;) {
    const hip = between(overlap(GROWN.hip, meantFor.hip));
    const waist = Math.max(0.6 * hip, hip - between(overlap(GROWN.drop, meantFor.drop)));
    const crotchDepth = Math.min(hip / 4 + 25, 185 + 0.09 * hip) + between([-20, 30]);
    const inseam = between([2.6, 3.05]) * crotchDepth;
    const outseam = inseam + crotchDepth;
    const exact: PracticeBody = {
      waist,
      hip,
      crotchDepth,
      inseam,
      hipDepth: between([0.68, 0.8]) * crotchDepth,
      kneeDepth: outseam - inseam * between([0.52, 0.56]),
      outseam,
      thigh: hip * between([0.57, 0.62]),
      knee: hip * between([0.37, 0.41]),
      ankle: hip * between([0.23, 0.26]),
    };
    const figures = Object.fromEntries(
      Object.entries(exact).map(([id, mm]) => [id, asLevel(mm, level, random)]),
    ) as PracticeBody;
    if (findDoubts(figures, unitOfLevel(level)).length === 0) return figures;
  }
}

/** A table of figures of which one was taken or written wrong. */
export interface WrongTape {
  readonly figures: PracticeBody;
  readonly wrong: MeasurementId;
  readonly was: number;
  /** How it went wrong, in a sentence. */
  readonly said: string;
  /** What shows it, in a sentence. */
  readonly shows: string;
}

type Fault = readonly [said: string, change: (mm: number, unit: Unit, id: MeasurementId) => number | undefined];

const GIRTHS: ReadonlySet<MeasurementId> = new Set(['waist', 'hip', 'thigh', 'knee', 'ankle']);

const HALF_A_GIRTH: Fault = [
  'Half the girth was written down, across in the place of around.',
  (mm, _, id) => (GIRTHS.has(id) ? mm / 2 : undefined),
];

const FAULTS: readonly Fault[] = [
  [
    'Two digits were swapped in writing it down.',
    (mm, unit) => {
      const digits = [...String(Math.floor(fromMm(mm, unit)))];
      if (digits.length < 2 || digits[0] === digits[1] || digits[1] === '0') return undefined;
      const other = Number([digits[1], digits[0], ...digits.slice(2)].join(''));
      return toMm(other, unit) + (mm - toMm(Math.floor(fromMm(mm, unit)), unit));
    },
  ],
  [
    'The tape was read from its other side, in the other unit.',
    (mm, unit) => (unit === 'in' ? toMm(fromMm(mm, 'cm'), 'in') : toMm(fromMm(mm, 'in'), 'cm')),
  ],
  HALF_A_GIRTH,
  ['A ten was dropped from the tape.', (mm, unit) => mm - toMm(10, unit)],
];

/**
 * Figures of a body of which one is wrong, by a seed: one that the others give away, so that it can be found, and the
 * only one that is in doubt.
 */
export function wrongTape(seed: number, level: FigureLevel): WrongTape {
  const random = seeded(seed);
  const unit = unitOfLevel(level);
  for (let tries = 0; ; tries += 1) {
    const body = practiceBody(seed + tries * 7919, level);
    const ids = Object.keys(body) as (keyof PracticeBody)[];
    const wrong = ids[Math.floor(random() * ids.length)] ?? 'waist';
    const [said, change] = FAULTS[Math.floor(random() * FAULTS.length)] ?? HALF_A_GIRTH;
    const was = body[wrong] ?? 0;
    const mm = change(was, unit, wrong);
    if (mm === undefined || mm <= 0 || Math.abs(mm - was) < 0.04 * was) continue;
    const figures: PracticeBody = { ...body, [wrong]: mm };
    const doubts = findDoubts(figures, unit);
    const [first] = doubts;
    if (first && doubts.every((d) => d.field === wrong)) return { figures, wrong, was, said, shows: first.sentence };
  }
}
