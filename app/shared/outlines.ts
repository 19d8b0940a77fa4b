import { outlineOf, type Block } from '../../core/draft/index.js';
import type { Path } from '../../core/geometry/index.js';

/** The outlines of both pieces, in panel coordinates, mm. */
export type Outlines = Readonly<Record<'front' | 'back', Path>>;

/** The outlines of a block. */
export const outlinesOf = ({ front, back }: Block): Outlines => ({ front: outlineOf(front), back: outlineOf(back) });
