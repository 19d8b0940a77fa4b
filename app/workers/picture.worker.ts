import { expose } from 'comlink';
import { computeDraft, type DraftInput } from '../../core/chain/index.js';
import { outlineOf } from '../../core/draft/index.js';
import type { Path } from '../../core/geometry/index.js';

const painter = {
  /** The outlines of both pieces of a draft, in panel coordinates, mm; nothing where it cannot be drawn. */
  outlines: (input: DraftInput): { readonly front: Path; readonly back: Path } | undefined => {
    const outcome = computeDraft(input);
    if (!outcome.ok) return undefined;
    const { front, back } = outcome.value.block;
    return { front: outlineOf(front), back: outlineOf(back) };
  },
};

/** What the worker of the shelf's pictures does. */
export type Painter = typeof painter;

expose(painter);
