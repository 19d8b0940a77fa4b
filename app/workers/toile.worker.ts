import { expose } from 'comlink';
import type { Assumed } from '../../core/body/index.js';
import { bodyOf, drawDraft, type DraftInput } from '../../core/chain/index.js';
import { garmentOf } from '../../core/garment/index.js';
import { CLOTH_MATTER, wear, type Wearing } from '../../core/sew/index.js';

/** What is hung on whose body: the draft, whose figures the body is made from, what is set of it, and the cloth. */
export interface HangOrder {
  readonly input: DraftInput;
  readonly wearer: Pick<DraftInput, 'sheet' | 'measured' | 'figure' | 'adopted'>;
  readonly assumed: Partial<Assumed>;
  readonly cloth: string;
}

const hanger = {
  /** Hangs a draft on a body and tells how far it is; false where the draft cannot be drawn. */
  hang: ({ input, wearer, assumed, cloth }: HangOrder, tell: (wearing: Wearing) => void): boolean => {
    const outcome = drawDraft(input);
    const matter = CLOTH_MATTER.find((c) => c.id === cloth) ?? CLOTH_MATTER[0];
    if (!outcome.ok || !matter) return false;
    const body = bodyOf(wearer);
    const { block, legs, worked } = outcome.value;
    const elastic = worked.pullOn ? body.get('waist')?.mm : undefined;
    const garment = garmentOf(legs?.left ?? block);
    const rightLeg = legs && garmentOf(legs.right);
    for (const wearing of wear({ garment, rightLeg, elastic }, body, assumed, matter)) tell(wearing);
    return true;
  },
};

/** What the worker of the virtual toile does. */
export type Hanger = typeof hanger;

expose(hanger);
