import { MEASUREMENT_IDS, type Measured, type MeasurementId } from './vocabulary.js';

/** A figure in two sets: before and after, in mm, and the change as a share of before. */
export interface FigureChange {
  readonly id: MeasurementId;
  readonly before: number | undefined;
  readonly after: number | undefined;
  /** After less before in mm; nothing where one is missing. */
  readonly by: number | undefined;
  /** The change as a share of the figure before; nothing where one is missing or before is nought. */
  readonly share: number | undefined;
}

/** Every figure that at least one of two sets has, with what changed, in the order of the vocabulary. */
export function compareSets(before: Measured, after: Measured): FigureChange[] {
  return MEASUREMENT_IDS.flatMap((id) => {
    const [was, is] = [before[id], after[id]];
    if (was === undefined && is === undefined) return [];
    const by = was === undefined || is === undefined ? undefined : is - was;
    return [{ id, before: was, after: is, by, share: by === undefined || !was ? undefined : by / was }];
  });
}
