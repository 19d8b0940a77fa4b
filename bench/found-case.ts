import { computeDraft, EMPTY_INPUT, type DraftInput } from '../core/chain/index.js';
import type { Fold, Nap } from '../core/cloth/index.js';
import type { Cloth } from '../core/garment/index.js';
import { garmentShapes, type LayCloth, type LayShape } from '../core/lay/index.js';
import { HOUSE_ALLOWANCES, piecesOf } from '../core/piece/index.js';
import { SHEETS } from '../core/shipped/index.js';
import { draftGarment, type Style } from '../core/style/index.js';

/** A garment on a cloth, with how long a lay a search found for it, in mm. */
export interface FoundCase {
  readonly sheet: string;
  readonly input: Partial<Omit<DraftInput, 'sheet'>>;
  readonly style: Style;
  readonly kind: Cloth;
  readonly nap: Nap;
  readonly fold: Fold;
  readonly garments: number;
  readonly cloth: LayCloth;
  readonly length: number;
}

/** The shapes that are laid of such a garment. */
export function shapesOfFound({
  sheet: id,
  input,
  style,
  kind,
  nap,
  fold,
  garments,
}: Omit<FoundCase, 'length'>): readonly LayShape[] {
  const sheet = SHEETS.find((s) => s.id === id);
  const outcome = sheet && computeDraft({ ...EMPTY_INPUT, ...input, sheet });
  if (!outcome?.ok) throw new Error(`${id} must draft`);
  const { garment } = draftGarment(outcome.value, style, 'cm');
  return garmentShapes(piecesOf(garment, HOUSE_ALLOWANCES), kind, nap, fold, garments);
}
