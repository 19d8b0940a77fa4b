import { girthLevels, type Block } from '../draft/index.js';
import type { GirthAtHeight, MeasurementId } from '../measure/index.js';
import { acrossAt, highHipLevel } from '../measured/index.js';
import type { FitClass, Levels, Worked } from '../method/index.js';
import { judged, unjudged, type Check } from './check.js';
import type { Comparison } from './comparison.js';
import { copiesPair } from './pair.js';

/** How much over the leg a close and an easier trouser must be, in mm (docs/trade/truing.md). */
const CLOSE_OVER = 20;
const EASY_OVER = 60;
/** The hip, in mm, from which these hold in full; a child's leg asks for less by its hip. */
const FULL_HIP = 900;
/**
 * The leg's girth at a level, in mm: between thigh at the crotch line, mid-thigh where it was measured, and knee, in
 * proportion to the way down.
 */
export function legGirthAt({ body }: Worked, { crotchLevel, kneeLevel }: Levels, y: number): number {
  const mm = (id: MeasurementId): number => body.get(id)?.mm ?? NaN;
  const middle = (crotchLevel + kneeLevel) / 2;
  const known = body.get('midThigh')?.mm;
  const rungs: [number, number][] = [
    [crotchLevel, mm('thigh')],
    ...(known === undefined ? [] : [[middle, known] as [number, number]]),
    [kneeLevel, mm('knee')],
  ];
  const below = rungs.findIndex(([level]) => level >= y);
  const [to, from] = [rungs[below === -1 ? rungs.length - 1 : below], rungs[Math.max(0, below - 1)]];
  if (!to || !from || to === from) return to?.[1] ?? NaN;
  return from[1] + ((to[1] - from[1]) * (y - from[0])) / (to[0] - from[0]);
}

interface Girth {
  readonly id: 'midThigh' | 'knee' | 'calf' | 'highHip';
  readonly value: number;
  readonly at: number;
  readonly low: (girth: number) => number;
  readonly compares: Comparison;
}

function girthCheck({ body }: Worked, { id, value, at, low, compares }: Girth): Check {
  const base = { id, against: 'body', value, compares, about: { edges: [], at } } as const;
  const known = body.get(id);
  if (!known) return unjudged(base, id);
  const restsOnEstimate = known.source === 'estimate';
  return judged({ ...base, low: low(known.mm), high: Infinity, restsOnEstimate });
}

const legOver = (fit: FitClass): number =>
  fit.id === 'close-contoured' || fit.id === 'close-relaxed' ? CLOSE_OVER : EASY_OVER;

/** The thigh where it was taken below the crotch line, and how far, in mm; nothing where it was taken at the crotch. */
function thighTaken({ body }: Worked): { readonly mm: number; readonly below: number } | undefined {
  const known = body.get('thigh');
  return known?.source === 'estimate' ? known.taken : undefined;
}

/**
 * Both panels across a hand below the crotch line, or where the thigh was taken below it, with the leg there and the
 * ease of the thigh.
 */
function thighLine(worked: Worked, block: Block): Check[] {
  const { levels } = block;
  const taken = thighTaken(worked);
  const at = taken ? levels.crotchLevel + taken.below : levels.thighLevel;
  if (at > levels.hemLevel - 1 || copiesPair(worked)) return [];
  const { thighLeast, thighEase } = worked.fitClass;
  const girth = taken?.mm ?? legGirthAt(worked, levels, at);
  const value = acrossAt(block, at);
  const [low, high] = [girth * (1 + (thighLeast ?? thighEase[0])), girth * (1 + thighEase[1])];
  const check = judged({
    id: 'thighLine',
    against: 'body',
    value,
    low,
    high,
    compares: taken ? { of: 'thighTaken', below: taken.below } : { of: 'thighLine' },
    restsOnEstimate:
      !taken && (['thigh', 'midThigh', 'knee'] as const).some((id) => worked.body.get(id)?.source === 'estimate'),
    about: taken ? { edges: [], at } : { edges: [], level: 'thighLevel' },
  });
  // The leg is as wide as its shape makes it: a wider one is told as near, not as a fault of the fit.
  return [value > high && check.verdict === 'out' ? { ...check, verdict: 'near' } : check];
}

/** Mid-thigh, knee and calf with the body's; levels below the hem are left out. */
function legChecks(worked: Worked, block: Block): Check[] {
  const { fitClass, stretch, body } = worked;
  const over = legOver(fitClass) * Math.min(1, (body.get('hip')?.mm ?? NaN) / FULL_HIP);
  return girthLevels(block.levels).flatMap(([id, at]): Check[] => {
    if (id === 'thigh' || at > block.levels.hemLevel - 1) return [];
    const low = (girth: number): number => (fitClass.byShare ? girth / (1 + stretch) : girth + over);
    return [girthCheck(worked, { id, value: acrossAt(block, at), at, low, compares: { of: 'girth', with: id } })];
  });
}

/**
 * The garment's girths down the leg, and at the high hip, against the body's (docs/trade/truing.md): a leg at least 2
 * cm over a close one and 6 cm over any other, a knit what its stretch allows; the high hip at least the body's with an
 * ease that slides from the waist's to the hip's, and so every girth measured at a height.
 */
export function checkGirths(worked: Worked, block: Block, heights: readonly GirthAtHeight[] = []): Check[] {
  const setting = (name: string): number => Number(worked.ledger.get(name)?.value ?? 0);
  const at = highHipLevel(block);
  const easeAt = (y: number): number => {
    const share = Math.min(1, Math.max(0, y / block.levels.hipLevel));
    return worked.pullOn ? 0 : setting('waistEase') + share * (setting('hipEase') - setting('waistEase'));
  };
  return [
    ...thighLine(worked, block),
    ...legChecks(worked, block),
    girthCheck(worked, {
      id: 'highHip',
      value: 2 * acrossAt(block, at),
      at,
      low: (girth) => girth + easeAt(at),
      compares: { of: 'highHip' },
    }),
    ...heights.flatMap(({ height, girth }): Check[] => {
      const y = block.levels.crotchLevel - height;
      const value = 2 * acrossAt(block, y);
      if (!Number.isFinite(value) || height <= 0) return [];
      return [
        judged({
          id: `height.${Math.round(height)}`,
          against: 'body',
          value,
          low: girth + easeAt(y),
          high: Infinity,
          compares: { of: 'height', above: height },
          about: { edges: [], at: y },
        }),
      ];
    }),
  ];
}
