/** How close a trouser is meant to fit (docs/trade/fit.md). */
export type FitClassId = 'knit' | 'close-contoured' | 'close-relaxed' | 'regular' | 'loose' | 'skirt-like';

type Span = readonly [low: number, high: number];

/** A fit class: eases of whole finished girths, in mm or as a share of the body's girth. No upper end: Infinity. */
export interface FitClass {
  readonly id: FitClassId;
  readonly label: string;
  /** Hip ease in mm, or as a share of the hip where `byShare` is true. */
  readonly hipEase: Span;
  /** Waist ease in mm, or as a share of the waist where `byShare` is true; nothing where it goes by the style. */
  readonly waistEase: Span | undefined;
  /** Thigh ease at the crotch line, as a share of the thigh girth. */
  readonly thighEase: Span;
  /** The least at the crotch line, where that is less than the class aims at. */
  readonly thighLeast?: number;
  /** Crotch depth ease in mm. */
  readonly crotchEase: Span;
  readonly byShare: boolean;
}

const INCH = 25.4;

/** The classes, closest first. */
export const FIT_CLASSES: readonly FitClass[] = [
  {
    id: 'knit',
    label: 'Knit',
    hipEase: [-0.1, 0],
    waistEase: [-0.1, 0],
    thighEase: [0.1, 0.17],
    thighLeast: -0.12,
    crotchEase: [0, 0],
    byShare: true,
  },
  {
    id: 'close-contoured',
    label: 'Close, contoured',
    hipEase: [0, 20],
    waistEase: [0, 10],
    thighEase: [0.04, 0.06],
    crotchEase: [INCH / 2, INCH / 2],
    byShare: false,
  },
  {
    id: 'close-relaxed',
    label: 'Close, relaxed',
    hipEase: [0, 30],
    waistEase: [0, 10],
    thighEase: [0.06, 0.12],
    crotchEase: [INCH / 2, INCH / 2],
    byShare: false,
  },
  {
    id: 'regular',
    label: 'Regular',
    hipEase: [20, 50],
    waistEase: [0, 20],
    thighEase: [0.1, 0.17],
    crotchEase: [0, INCH / 4],
    byShare: false,
  },
  {
    id: 'loose',
    label: 'Loose',
    hipEase: [20, 80],
    waistEase: [0, 20],
    thighEase: [0.15, 0.25],
    crotchEase: [0, INCH / 4],
    byShare: false,
  },
  {
    id: 'skirt-like',
    label: 'Skirt-like',
    hipEase: [20, Infinity],
    waistEase: undefined,
    thighEase: [0.24, Infinity],
    crotchEase: [INCH / 2, (3 / 4) * INCH],
    byShare: false,
  },
];

/** The class with an id, if there is one. */
export const fitClassById = (id: string): FitClass | undefined => FIT_CLASSES.find((c) => c.id === id);

/** The class with an id; an unknown id gives the loose class, which every classic sheet is drafted in. */
export function fitClass(id: string): FitClass {
  const found = fitClassById(id) ?? fitClassById('loose');
  if (!found) throw new Error('The fit classes have no loose class');
  return found;
}

/** How close a trouser is meant to be and of what cloth. */
export interface Fit {
  /** A class chosen in place of the sheet's own eases; nothing leaves the sheet's. */
  readonly fitClass?: FitClassId | undefined;
  /** How far the cloth stretches, as a share: 0.4 for 40 %. */
  readonly stretch: number;
}

/** No class chosen and a cloth that does not stretch. */
export const SHEETS_OWN_FIT: Fit = { stretch: 0 };

/** The stretch under which a knit is not made smaller than the body. */
export const KNIT_STRETCH = 0.4;

/**
 * How much smaller a knit is made than the body: 0 at 40 % stretch, 5 % at 50 %, 10 % from 70 % (docs/trade/fit.md).
 */
export function knitReduction(stretch: number): number {
  if (stretch <= KNIT_STRETCH) return 0;
  if (stretch <= 0.5) return 0.5 * (stretch - KNIT_STRETCH);
  return Math.min(0.1, 0.05 + 0.25 * (stretch - 0.5));
}

/** The middle of a span; of an open one, its low end. */
const middle = ([low, high]: Span): number => (Number.isFinite(high) ? (low + high) / 2 : low);

/** An ease that a class puts in the place of the sheet's: its formula, and why. */
export interface ClassEase {
  readonly formula: string;
  readonly reason: string;
}

const cm = (mm: number): string => `${Number((mm / 10).toFixed(4))} cm`;
const percent = (share: number): string => `${Number((share * 100).toFixed(2))} %`;

function girthEase(c: FitClass, span: Span, girth: string, stretch: number): ClassEase {
  if (c.byShare) {
    const reduction = knitReduction(stretch);
    return {
      formula: reduction === 0 ? '0 cm' : `-${Number(reduction.toFixed(4))} * ${girth}`,
      reason: `${c.label}: by the stretch of the cloth, ${percent(stretch)}.`,
    };
  }
  const [low, high] = span;
  const told = Number.isFinite(high) ? `the middle of ${cm(low)} to ${cm(high)}` : `${cm(low)} and more`;
  return { formula: cm(middle(span)), reason: `${c.label}: ${told}.` };
}

/**
 * What a class puts in the place of a sheet's own ease (docs/trade/fit.md): the class's middle, as a formula and
 * its reason. Nothing where the class leaves that ease to the sheet.
 */
export function classEase(c: FitClass, setting: string, stretch: number): ClassEase | undefined {
  switch (setting) {
    case 'hipEase':
      return girthEase(c, c.hipEase, 'hip', stretch);
    case 'waistEase':
      return c.waistEase && girthEase(c, c.waistEase, 'waist', stretch);
    case 'crotchEase':
      return { formula: cm(middle(c.crotchEase)), reason: `${c.label}: crotch depth ease of the class.` };
    case 'thighEase': {
      const [low, high] = c.thighEase;
      const told = Number.isFinite(high) ? `the middle of ${percent(low)} to ${percent(high)}` : `from ${percent(low)}`;
      return {
        formula: `${Number(middle(c.thighEase).toFixed(4))} * thigh`,
        reason: `${c.label}: ${told} of the thigh.`,
      };
    }
    default:
      return undefined;
  }
}
