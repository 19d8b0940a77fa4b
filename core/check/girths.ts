import { girthLevels, levelSpan, type Block, type Panel } from '../draft/index.js';
import { measurementLabel, type GirthAtHeight, type MeasurementId } from '../measure/index.js';
import { LEVELS, type FitClass, type Levels, type Worked } from '../method/index.js';
import { formatLength, tapeFor, type Unit } from '../units/index.js';
import { verdictOf, type Check } from './check.js';

/** How much over the leg a close and an easier trouser must be, in mm (docs/trade/truing.md). */
const CLOSE_OVER = 20;
const EASY_OVER = 60;
/** The hip, in mm, from which these hold in full; a child's leg asks for less by its hip. */
const FULL_HIP = 900;
/** How far below the waist line the high hip is taken, in mm, and at most how much of the hip's depth that is. */
const HIGH_HIP_DEPTH = 90;
const HIGH_HIP_SHARE = 0.5;

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

interface GirthCheck {
  readonly id: 'midThigh' | 'knee' | 'calf' | 'highHip';
  readonly worked: Worked;
  readonly value: number;
  readonly at: number;
  readonly low: (girth: number) => number;
  readonly compares: string;
}

function girthCheck({ id, worked, value, at, low, compares }: GirthCheck): Check {
  const known = worked.body.get(id);
  const label = measurementLabel(id);
  const base = { id, label, against: 'body', kind: 'length', value, compares, about: { edges: [], at } } as const;
  if (!known) {
    const wants = label.toLowerCase();
    return { ...base, low: undefined, high: undefined, verdict: 'unknown', wants, restsOnEstimate: false };
  }
  const least = low(known.mm);
  const verdict = verdictOf(value, least, Infinity);
  return { ...base, low: least, high: Infinity, verdict, restsOnEstimate: known.source === 'estimate' };
}

/** Where the high hip of a block lies, in mm below the waist line. */
const highHipLevel = (block: Block): number => Math.min(HIGH_HIP_DEPTH, HIGH_HIP_SHARE * block.levels.hipLevel);

/** Both panels' widths, darts closed, at a level of the block; a piece that was lengthened is read at its own. */
const acrossAt =
  (block: Block) =>
  (y: number): number =>
    [block.front, block.back].reduce((sum, panel) => sum + closedWidth(panel, ownLevel(panel, block, y)), 0);

/** The level of a piece that stands for a level of the block: moved where the piece's lines have moved. */
function ownLevel(panel: Panel, { levels }: Block, y: number): number {
  const lines = LEVELS.map(([name]) => name).filter((name) => levels[name] <= y + 1e-6);
  const last = lines[lines.length - 1];
  return last === undefined ? y : y + panel.levels[last] - levels[last];
}

/** The width of a panel at a level with its darts closed, in mm: what an open dart takes there is not cloth. */
function closedWidth(panel: Panel, y: number): number {
  const span = levelSpan(panel, y);
  if (!span) return NaN;
  const open = panel.darts.reduce((sum, { apex, centreLeg, sideLeg }) => {
    const top = (centreLeg.y + sideLeg.y) / 2;
    const left = (apex.y - y) / (apex.y - top);
    return sum + Math.abs(sideLeg.x - centreLeg.x) * Math.min(1, Math.max(0, left));
  }, 0);
  return span[1] - span[0] - open;
}

const legOver = (fit: FitClass): number =>
  fit.id === 'close-contoured' || fit.id === 'close-relaxed' ? CLOSE_OVER : EASY_OVER;

/**
 * The garment's girths down the leg, and at the high hip, against the body's (docs/trade/truing.md): a leg at least 2 cm
 * over a close one and 6 cm over any other, a knit what its stretch allows; the high hip at least the body's with an ease
 * that slides from the waist's to the hip's, and so every girth measured at a height. Levels below the hem are left out.
 */
export function checkGirths(
  worked: Worked,
  block: Block,
  heights: readonly GirthAtHeight[] = [],
  unit: Unit = 'cm',
): Check[] {
  const { fitClass, stretch } = worked;
  const mm = (id: MeasurementId): number => worked.body.get(id)?.mm ?? NaN;
  const setting = (name: string): number => Number(worked.ledger.get(name)?.value ?? 0);
  const over = legOver(fitClass) * Math.min(1, mm('hip') / FULL_HIP);
  const across = acrossAt(block);
  const legs = girthLevels(block.levels).flatMap(([id, at]): Check[] => {
    if (id === 'thigh' || at > block.levels.hemLevel - 1) return [];
    return [
      girthCheck({
        id,
        worked,
        value: across(at),
        at,
        low: (girth) => (fitClass.byShare ? girth / (1 + stretch) : girth + over),
        compares: `Both panels across at the ${measurementLabel(id).toLowerCase()} with the girth of the body there.`,
      }),
    ];
  });
  const thighAt = block.levels.thighLevel;
  const thighLine = ((): Check[] => {
    if (thighAt > block.levels.hemLevel - 1 || worked.sheet.id === 'finished-pair') return [];
    const girth = legGirthAt(worked, block.levels, thighAt);
    const [least, most] = [fitClass.thighLeast ?? fitClass.thighEase[0], fitClass.thighEase[1]];
    const value = across(thighAt);
    const [low, high] = [girth * (1 + least), girth * (1 + most)];
    // The leg is as wide as its shape makes it: a wider one is told as near, not as a fault of the fit.
    const verdict = verdictOf(value, low, high);
    return [
      {
        id: 'thighLine',
        label: 'Thigh line',
        against: 'body',
        kind: 'length',
        value,
        low,
        high,
        verdict: value > high && verdict === 'out' ? 'near' : verdict,
        compares: 'Both panels across a hand below the crotch line with the leg there and the ease of the thigh.',
        restsOnEstimate: ['thigh', 'midThigh', 'knee'].some(
          (id) => worked.body.get(id as MeasurementId)?.source === 'estimate',
        ),
        about: { edges: [], level: 'thighLevel' },
      },
    ];
  })();
  const at = highHipLevel(block);
  const easeAt = (y: number): number => {
    const share = Math.min(1, Math.max(0, y / block.levels.hipLevel));
    return worked.pullOn ? 0 : setting('waistEase') + share * (setting('hipEase') - setting('waistEase'));
  };
  const ease = easeAt(at);
  return [
    ...thighLine,
    ...legs,
    girthCheck({
      id: 'highHip',
      worked,
      value: 2 * across(at),
      at,
      low: (girth) => girth + ease,
      compares:
        'The finished girth at the high hip, darts closed, with the high hip and an ease between waist and hip.',
    }),
    ...heights.flatMap(({ height, girth }): Check[] => {
      const y = block.levels.crotchLevel - height;
      const value = 2 * across(y);
      if (!Number.isFinite(value) || height <= 0) return [];
      const low = girth + easeAt(y);
      return [
        {
          id: `height.${Math.round(height)}`,
          label: `At ${formatLength(height, tapeFor(unit))}`,
          against: 'body',
          kind: 'length',
          value,
          low,
          high: Infinity,
          verdict: verdictOf(value, low, Infinity),
          compares: `The finished girth ${formatLength(height, tapeFor(unit))} above the crotch line, darts closed, with the body's there and its ease.`,
          restsOnEstimate: false,
          about: { edges: [], at: y },
        },
      ];
    }),
  ];
}
