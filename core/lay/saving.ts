import type { Alteration } from '../alter/index.js';
import { computeDraft, type DraftInput } from '../chain/index.js';
import { clothOf, laidWidth, shrinkageOf, type Cloths } from '../cloth/index.js';
import type { Cloth } from '../garment/index.js';
import { figuresOf } from '../measured/index.js';
import { grownGarment, piecesOf, type Allowances } from '../piece/index.js';
import { draftGarment, type Style } from '../style/index.js';
import { formatLength, tapeFor, toMm, type Unit } from '../units/index.js';
import type { LayCloth, LayShape } from './job.js';
import { shapesTogether, type LaidGarment } from './together.js';

/** A garment as it is laid: everything that its pieces and their cloth follow from. */
export interface LayOrder {
  readonly input: DraftInput;
  readonly style: Style;
  readonly allowances: Allowances;
  readonly cloths: Cloths | undefined;
  readonly unit: Unit;
}

/** Figures of a garment that a change to save cloth may cost, in mm. */
export interface SavingFigures {
  readonly hip: number;
  readonly thigh: number;
  readonly hem: number;
}

/** What of a garment is laid on one cloth. */
export interface OrderLaid {
  readonly shapes: readonly LayShape[];
  readonly cloth: LayCloth;
  readonly figures: SavingFigures;
}

/** The cloth that a lay is searched on, of what is known of it. */
export function layCloth(cloths: Cloths | undefined, kind: Cloth, unit: Unit): LayCloth {
  const cloth = clothOf(cloths, kind, unit);
  const { gap, flaws, barRepeat, stripeRepeat } = cloth;
  return { width: laidWidth(cloth), gap, flaws, barRepeat, stripeRepeat };
}

/** What lies on the same cloth: more of the garment itself, and others as they are. */
export interface LaidBeside {
  readonly count: number;
  readonly others: readonly LaidGarment[];
}

const ALONE: LaidBeside = { count: 1, others: [] };

/**
 * The shapes of a garment in one cloth, with what is laid beside it; nothing where it cannot be drafted or a component of
 * it cannot be made.
 */
export function orderLaid(
  { input, style, allowances, cloths, unit }: LayOrder,
  kind: Cloth,
  { count, others }: LaidBeside = ALONE,
): OrderLaid | undefined {
  const draft = computeDraft(input);
  if (!draft.ok) return undefined;
  const made = draftGarment(draft.value, style, unit);
  if (made.told.some((t) => t.refusal)) return undefined;
  const garment = grownGarment(made.garment, (cloth) => shrinkageOf(cloths, cloth));
  const { nap, fold } = clothOf(cloths, kind, unit);
  const { hip, thigh, hem } = figuresOf(made.legs.left);
  return {
    shapes: shapesTogether([{ pieces: piecesOf(garment, allowances), count }, ...others], kind, nap, fold),
    cloth: layCloth(cloths, kind, unit),
    figures: { hip, thigh, hem },
  };
}

/** What is changed of a garment to save cloth. */
export type SavingChange = Partial<Pick<LayOrder, 'style' | 'allowances' | 'cloths'>> & {
  readonly alterations?: readonly Alteration[];
};

/** A way to need less cloth: what is done, what it costs besides figures, and what is changed. */
export interface Saving {
  readonly id: string;
  readonly label: string;
  readonly costs: string;
  readonly change: SavingChange;
}

/** An order with a change taken. */
export const withSaving = (order: LayOrder, { alterations, ...rest }: SavingChange): LayOrder => ({
  ...order,
  ...rest,
  input: { ...order.input, alterations: [...order.input.alterations, ...(alterations ?? [])] },
});

/** An amount by its unit: so many centimetres, or inches. */
const own = (unit: Unit, cm: number, inches: number): number => (unit === 'in' ? toMm(inches, 'in') : toMm(cm, 'cm'));

/** A seam is not made narrower than this for want of cloth, in mm. */
const LEAST_SEAM = 8;

/** Above the hip it runs out over so much, in mm. */
const RUNS_OUT = 120;

/** The side of both panels in by an amount, from the hip to the hem. */
const sideIn = (by: number): readonly Alteration[] => [
  {
    id: 'saving-side',
    on: true,
    note: 'To save cloth',
    work: {
      kind: 'seam',
      panel: 'both',
      seam: 'side',
      by: -by,
      from: { line: 'hipLevel', by: 0 },
      to: { line: 'hemLevel', by: 0 },
      runOut: RUNS_OUT,
    },
  },
];

/**
 * What may be done where there is too little of a cloth, in the order in which a maker would think of it: first what costs
 * nothing but care, then seams and joins, then what is taken off the garment (docs/trade/lay.md).
 */
export function savingsFor({ style, allowances, cloths, unit }: LayOrder, kind: Cloth): readonly Saving[] {
  const cloth = clothOf(cloths, kind, unit);
  const say = (mm: number): string => formatLength(mm, tapeFor(unit));
  const clothWith = (facts: Partial<typeof cloth>): SavingChange => ({
    cloths: { ...cloths, [kind]: { ...cloth, ...facts } },
  });
  const item = (id: string): Style[number] | undefined => style.find((s) => s.id === id);
  const styleWith = (id: string, values: Style[number]['values']): SavingChange => ({
    style: item(id)
      ? style.map((s) => (s.id === id ? { ...s, values: { ...s.values, ...values } } : s))
      : [...style, { id, values }],
  });
  const found: (Saving | false)[] = [
    cloth.nap === 'one-way' && {
      id: 'eitherWay',
      label: 'Let parts lie either way',
      costs: 'Only where cloth has neither nap nor a pattern with a head and a foot.',
      change: clothWith({ nap: 'two-way' }),
    },
    cloth.fold === 'folded' && {
      id: 'open',
      label: 'Lay the cloth open',
      costs: 'Every piece of a pair is laid by itself, one turned over.',
      change: clothWith({ fold: 'open' }),
    },
    cloth.gap > 0 && {
      id: 'noGap',
      label: 'Lay parts edge to edge',
      costs: 'One cut parts two pieces: chalk thin, cut exactly.',
      change: clothWith({ gap: 0 }),
    },
  ];
  if (kind === 'shell') {
    const less = own(unit, 0.5, 1 / 4);
    const { side, inseam, hem } = allowances.profile;
    const narrow = Math.max(LEAST_SEAM, Math.min(side, inseam) - less);
    const shortHem = own(unit, 2, 3 / 4);
    const band = item('band');
    const taken = style.map((s) => s.id);
    const leg = own(unit, 1, 1 / 2);
    found.push(
      Math.min(side, inseam) > narrow + 1 && {
        id: 'seams',
        label: `Sides and inseams with seams of ${say(narrow)}`,
        costs: 'Less to let out later.',
        change: {
          allowances: {
            ...allowances,
            profile: { ...allowances.profile, side: Math.min(side, narrow), inseam: Math.min(inseam, narrow) },
          },
        },
      },
      hem > shortHem + 5 &&
        !item('hem') && {
          id: 'hem',
          label: `A hem of ${say(shortHem)}`,
          costs: 'Nothing to let down later.',
          change: { allowances: { ...allowances, profile: { ...allowances.profile, hem: shortHem } } },
        },
      band !== undefined &&
        (band.values['parts'] ?? 'whole') === 'whole' && {
          id: 'band',
          label: 'The band in two halves',
          costs: 'A join at the centre back.',
          change: styleWith('band', { parts: 'halves' }),
        },
      {
        id: 'side',
        label: `The side in by ${say(own(unit, 1, 1 / 2))} on front and back`,
        costs: '',
        change: { alterations: sideIn(own(unit, 1, 1 / 2)) },
      },
      {
        id: 'sideMore',
        label: `The side in by ${say(own(unit, 2, 3 / 4))} on front and back`,
        costs: '',
        change: { alterations: sideIn(own(unit, 2, 3 / 4)) },
      },
      !['taper', 'flare', 'fullLeg'].some((id) => taken.includes(id)) && {
        id: 'leg',
        label: `The leg narrower at the hem, ${say(leg)} on each seam`,
        costs: 'See that the hem passes the heel.',
        change: styleWith('taper', { by: leg }),
      },
    );
  }
  const bag = item('slantPocket');
  if (kind === 'pocketing' && bag) {
    const depth = own(unit, 26, 10);
    found.push({
      id: 'bag',
      label: `Pocket bags ${say(depth)} deep`,
      costs: 'The hand has less room.',
      change: styleWith('slantPocket', { depth }),
    });
  }
  return found.filter((s): s is Saving => s !== false);
}
