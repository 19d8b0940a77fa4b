import type { Figure, Measured, MeasurementId } from './vocabulary.js';

/** One size of a chart: its name and its figures in mm. */
export interface ChartSize {
  readonly name: string;
  readonly values: Measured;
}

/** A table of sizes (docs/trade/measuring.md). */
export interface SizeChart {
  readonly id: string;
  readonly name: string;
  readonly note: string;
  readonly figure: Figure;
  readonly sizes: readonly ChartSize[];
}

/** How much a difference in a figure counts when the nearest size is looked for: what cannot be altered counts most. */
const WEIGHT: Partial<Record<MeasurementId, number>> = {
  hip: 3,
  crotchDepth: 3,
  waist: 2,
  thigh: 1.5,
  inseam: 1,
  hipDepth: 1,
  kneeDepth: 0.5,
};

/** A size with how far a person's figures lie from it. */
export interface SizeDistance {
  readonly size: ChartSize;
  /** Weighted mean of the differences, each as a share of the size's figure. */
  readonly distance: number;
}

/** The sizes of a chart, nearest to a person's figures first. Sizes that share no weighed figure come last. */
export function nearestSizes(chart: SizeChart, measured: Measured): SizeDistance[] {
  const weighed = Object.entries(WEIGHT) as [MeasurementId, number][];
  return chart.sizes
    .map((size): SizeDistance => {
      let [sum, weight] = [0, 0];
      for (const [id, counts] of weighed) {
        const [have, want] = [measured[id], size.values[id]];
        if (have === undefined || want === undefined || want === 0) continue;
        sum += counts * ((have - want) / want) ** 2;
        weight += counts;
      }
      return { size, distance: weight === 0 ? Infinity : Math.sqrt(sum / weight) };
    })
    .sort((a, b) => a.distance - b.distance);
}
