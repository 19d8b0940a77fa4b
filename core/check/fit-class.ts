import { FIT_CLASSES, type FitClass, type FitClassId } from '../method/index.js';

/** What the extensions say a draft is. Close has no finer grade by the extensions. */
export type ExtensionClass = 'close' | 'regular' | 'loose' | 'skirt-like';

/** The figures that decide the class, in mm. */
export interface ClassFigures {
  readonly frontExtension: number;
  readonly backExtension: number;
  readonly frontHipWidth: number;
  readonly backHipWidth: number;
  readonly hip: number;
}

/** Which class a draft is by its extensions, whatever was chosen (docs/trade/fit.md). */
export function classByExtensions(f: ClassFigures): ExtensionClass {
  const front = f.frontExtension / f.hip;
  const back = f.backExtension / f.hip;
  if (front < 0.055 && back < 0.1) return 'close';
  if (f.frontExtension >= 0.4 * f.frontHipWidth && f.backExtension >= 0.4 * f.backHipWidth) return 'skirt-like';
  // A hair's breadth under the limit is on it: a sixteenth of the hip must count as loose however it was rounded.
  if (front >= 0.06 - 1e-9 && back >= 0.1 - 1e-9) return 'loose';
  return 'regular';
}

/** True where an extension class and a chosen fit class name the same fit. */
export const sameClass = (by: ExtensionClass, chosen: FitClassId): boolean =>
  by === 'close' ? chosen === 'close-contoured' || chosen === 'close-relaxed' || chosen === 'knit' : by === chosen;

const GRADES: Readonly<Record<ExtensionClass | FitClassId, number>> = {
  knit: 0,
  close: 0,
  'close-contoured': 0,
  'close-relaxed': 0,
  regular: 1,
  loose: 2,
  'skirt-like': 3,
};

/** True where two classes are next to one another, close fits counting as one. */
export const beside = (a: ExtensionClass | FitClassId, b: ExtensionClass | FitClassId): boolean =>
  Math.abs(GRADES[a] - GRADES[b]) === 1;

/** The classes for woven cloth whose thigh band holds a thigh ease given as a share of the thigh girth. */
export const classesByThigh = (share: number): FitClass[] =>
  FIT_CLASSES.filter((c) => !c.byShare && share >= c.thighEase[0] && share <= c.thighEase[1]);
