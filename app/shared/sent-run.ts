import type { Run } from '../../core/kept/index.js';

/** Who a garment is to be applied to, sent along to its view: people chosen at Crew, or the sizes of a chart. */
export interface SentRun {
  readonly run?: { readonly name: string; readonly of: Run['of'] };
}
