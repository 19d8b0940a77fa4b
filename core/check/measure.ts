import type { PanelName } from '../method/index.js';

/** One of several measures that a check rests on; an open end is left out. */
export interface Measure {
  readonly id: string;
  /** The panel it is about; nothing where it is about both together. */
  readonly panel: PanelName | undefined;
  readonly value: number;
  readonly low: number | undefined;
  readonly high: number | undefined;
  readonly unit: 'mm' | 'deg' | 'share';
  /** Where on its line it was found, in mm, where that is told. */
  readonly at?: number;
}
