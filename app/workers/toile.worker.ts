import { expose } from 'comlink';
import type { Assumed } from '../../core/body/index.js';
import { bodyOf, drawDraft, type DraftInput } from '../../core/chain/index.js';
import type { Style } from '../../core/style/index.js';
import type { Unit } from '../../core/units/index.js';
import { CLOTH_MATTER, sewnOf, wear, type Wearing } from '../../core/sew/index.js';

/** A draft to be hung: what it is computed from, and its style with the unit whose house figures stand for what it leaves open. */
export interface HungDraft {
  readonly input: DraftInput;
  readonly style: Style;
  readonly unit: Unit;
}

/** What is hung on whose body: the draft, whose figures the body is made from, what is set of it, and the cloth. */
export interface HangOrder extends HungDraft {
  readonly wearer: Pick<DraftInput, 'sheet' | 'measured' | 'figure' | 'adopted'>;
  readonly assumed: Partial<Assumed>;
  readonly cloth: string;
}

const hanger = {
  /** Hangs a draft on a body and tells how far it is; false where the draft cannot be drawn. */
  hang: ({ input, style, unit, wearer, assumed, cloth }: HangOrder, tell: (wearing: Wearing) => void): boolean => {
    const outcome = drawDraft(input);
    const matter = CLOTH_MATTER.find((c) => c.id === cloth) ?? CLOTH_MATTER[0];
    if (!outcome.ok || !matter) return false;
    for (const wearing of wear(sewnOf(outcome.value, style, unit), bodyOf(wearer), assumed, matter)) tell(wearing);
    return true;
  },
};

/** What the worker of the virtual toile does. */
export type Hanger = typeof hanger;

expose(hanger);
