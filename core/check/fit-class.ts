/** How close a trouser is meant to fit (handbook 2, section 3). */
export type FitClassId = 'close-contoured' | 'close-relaxed' | 'regular' | 'loose' | 'skirt-like';

/** A fit class: hip ease in mm, thigh ease at the crotch line as a share of the thigh girth. No upper end: Infinity. */
export interface FitClass {
  readonly id: FitClassId;
  readonly label: string;
  readonly hipEase: readonly [number, number];
  readonly thighEase: readonly [number, number];
}

/** The classes for woven cloth, closest first. */
export const FIT_CLASSES: readonly FitClass[] = [
  { id: 'close-contoured', label: 'Close, contoured', hipEase: [0, 20], thighEase: [0.04, 0.06] },
  { id: 'close-relaxed', label: 'Close, relaxed', hipEase: [0, 30], thighEase: [0.06, 0.12] },
  { id: 'regular', label: 'Regular', hipEase: [20, 50], thighEase: [0.1, 0.17] },
  { id: 'loose', label: 'Loose', hipEase: [20, 80], thighEase: [0.15, 0.25] },
  { id: 'skirt-like', label: 'Skirt-like', hipEase: [20, Infinity], thighEase: [0.24, Infinity] },
];

/** The class with an id; an unknown id gives the loose class, which every classic sheet is drafted in. */
export function fitClass(id: string): FitClass {
  const found = FIT_CLASSES.find((c) => c.id === id) ?? FIT_CLASSES.find((c) => c.id === 'loose');
  if (!found) throw new Error('The fit classes have no loose class');
  return found;
}

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

/** Which class a draft is by its extensions, whatever was chosen (handbook 2, section 3). */
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
  by === 'close' ? chosen === 'close-contoured' || chosen === 'close-relaxed' : by === chosen;

/** The classes whose thigh band holds a thigh ease given as a share of the thigh girth. */
export const classesByThigh = (share: number): FitClass[] =>
  FIT_CLASSES.filter((c) => share >= c.thighEase[0] && share <= c.thighEase[1]);
