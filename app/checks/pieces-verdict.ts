import type { Draft } from '../../core/chain/index.js';
import { draftGarment, garmentVerdict, type GarmentVerdict, type Style } from '../../core/style/index.js';
import type { Unit } from '../../core/units/index.js';

/** How the pieces of a draft's garment stand. Fetched only where a draft has a style. */
export const piecesVerdict = (draft: Draft, style: Style, unit: Unit): GarmentVerdict =>
  garmentVerdict(draftGarment(draft, style, unit));
