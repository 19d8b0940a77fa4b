import { useMemo } from 'react';
import {
  cutListOf,
  grownGarment,
  piecesOf,
  proofOf,
  type CutListCloth,
  type Piece,
  type Proof,
} from '../../core/piece/index.js';
import type { Draft } from '../../core/chain/index.js';
import { refusalSentence } from '../../core/refusal/index.js';
import { draftGarment, NO_STYLE, type Style, type Styled } from '../../core/style/index.js';
import { readerIn, type Unit } from '../../core/units/index.js';
import { useShrinkage } from '../shared/use-shrinkage.js';
import { changeStyle } from '../store/work-changes.js';
import { useChange, useComputed, useUnit, useWork } from '../store/work-context.js';
import { useFinish } from './finish-store.js';

/** A draft with its finish: the garment, and its pieces as they are cut. */
export interface Finished {
  readonly styled: Styled;
  readonly pieces: readonly Piece[];
}

/** Garments that were made, by the style that they were made to: what a hand tries is drawn as it was judged. */
const made = new WeakMap<Style, { readonly draft: Draft; readonly unit: Unit; readonly styled: Styled }>();

function garmentOf(draft: Draft, style: Style, unit: Unit): Styled {
  const known = made.get(style);
  if (known?.draft === draft && known.unit === unit) return known.styled;
  const styled = draftGarment(draft, style, unit);
  made.set(style, { draft, unit, styled });
  return styled;
}

/** The garment of the open draft, as it is kept or as a hand tries it; nothing until there is a draft. */
export function useGarment(): Finished | undefined {
  const draft = useComputed((c) => c.draft);
  const kept = useWork(({ work }) => work.draft.style) ?? NO_STYLE;
  const trial = useFinish((f) => f.trial);
  const allowances = useWork(({ work }) => work.draft.allowances);
  const shrinkage = useShrinkage();
  const unit = useUnit();
  const style = trial ?? kept;
  return useMemo(() => {
    if (!draft) return undefined;
    const styled = garmentOf(draft, style, unit);
    const garment = grownGarment(styled.garment, shrinkage);
    return { styled, pieces: piecesOf(garment, allowances) };
  }, [draft, style, unit, allowances, shrinkage]);
}

/** What is to be cut. */
export const useCutList = (finished: Finished | undefined): readonly CutListCloth[] =>
  useMemo(() => (finished ? cutListOf(finished.pieces) : []), [finished]);

/** The proof of the allowances of the open draft. */
export function useProof(finished: Finished | undefined): Proof | undefined {
  const allowances = useWork(({ work }) => work.draft.allowances);
  return useMemo(() => finished && proofOf(finished.styled.legs, allowances), [finished, allowances]);
}

/**
 * Takes a style for the open draft, or tells why it cannot be made: a component that this change made impossible, in a
 * sentence with the way out; the last good garment stays then.
 */
export function useStyle(): {
  readonly style: Style;
  readonly take: (next: Style, id: string) => string | undefined;
  readonly tryOn: (next: Style | undefined) => void;
} {
  const style = useWork(({ work }) => work.draft.style) ?? NO_STYLE;
  const draft = useComputed((c) => c.draft);
  const change = useChange();
  const unit = useUnit();
  const set = useFinish((f) => f.set);
  const fault = (next: Style): string | undefined => {
    if (!draft) return undefined;
    const was = new Set(
      garmentOf(draft, style, unit)
        .told.filter((t) => t.refusal)
        .map((t) => t.component),
    );
    const told = garmentOf(draft, next, unit).told.find((t) => t.refusal && !was.has(t.component));
    return told?.refusal && refusalSentence(told.refusal, readerIn(unit));
  };
  return {
    style,
    take: (next, id) => {
      const said = fault(next);
      // What was already left out may be changed until it can be made; nothing else may be made worse.
      if (said !== undefined && next.some((item) => item.id === id)) {
        set({ trial: undefined, refused: said });
        return said;
      }
      set({ trial: undefined, refused: undefined });
      change(changeStyle(next));
      return undefined;
    },
    tryOn: (next) => {
      if (next === undefined) {
        set({ trial: undefined, refused: undefined });
        return;
      }
      const said = fault(next);
      set(said === undefined ? { trial: next, refused: undefined } : { refused: said });
    },
  };
}
