import type { LayShape } from '../core/lay/index.js';

/** A box as a shape to be laid, `long` along the cloth and `wide` across it, in mm. */
export const box = (id: string, long: number, wide: number, count = 1, more: Partial<LayShape> = {}): LayShape => ({
  id,
  outline: [
    [0, 0],
    [long, 0],
    [long, wide],
    [0, wide],
  ],
  count,
  turns: [0],
  mirrored: false,
  ...more,
});
