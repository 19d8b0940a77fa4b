import type { Making } from './making.js';

/** A band this deep is fastened twice, in mm. */
const FASTENED_TWICE = 50;

/** What closes a top where the garment opens: nothing on one that is pulled on. `depth` in mm. */
export const fasteningOf = ({ opening }: Making, depth: number): { kind: 'fastening'; count: number }[] =>
  opening ? [{ kind: 'fastening', count: depth > FASTENED_TWICE ? 2 : 1 }] : [];
