import type { FitClassId } from '../method/index.js';
import type { ExtensionClass } from './fit-class.js';
import type { Measure } from './measure.js';

/** The lines that are judged as an eye judges them. */
export type LineKind = 'rise' | 'side' | 'knee' | 'waist';

/** What a check found, where that is no single figure. */
export type Finding =
  /** A line, by the measure that it misses most; none where it is fair. */
  | { readonly of: 'line'; readonly line: LineKind; readonly worst: Measure | undefined }
  /** The class by the extensions and, where that is another, by the thigh. */
  | {
      readonly of: 'fitClass';
      readonly byExtensions: ExtensionClass;
      readonly byThigh: FitClassId | 'tighter' | 'between' | undefined;
    }
  | { readonly of: 'outline'; readonly sound: boolean }
  /** How the length of the rises is spread, and by how much the back is the longer, in mm. */
  | {
      readonly of: 'character';
      readonly front: 'deep' | 'even' | 'flat';
      readonly back: 'L' | 'between' | 'J';
      readonly backLonger: number;
    };
