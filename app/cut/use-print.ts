import { useMemo } from 'react';
import type { Draft } from '../../core/chain/index.js';
import type { Drawing, SheetChoice } from '../../core/drawing/index.js';
import { PAPERS, planTiles, smallDrawing, type Paper, type TilePlan } from '../../formats/index.js';
import { usePreferences } from '../store/preferences.js';
import { useComputed, useWork } from '../store/work-context.js';
import { printDrawing, tiledDrawing } from './print.js';
import { shareOf, type PrintSize } from './print-size.js';

/** A print as it will come out: its drawing, and the pages it is cut into. */
export interface Print {
  readonly draft: Draft | undefined;
  readonly drawing: Drawing | undefined;
  readonly plan: TilePlan | undefined;
  /** Pages in all, the overview included. */
  readonly pages: number;
  /** How many pages fewer than as the pieces lie. */
  readonly saved: number;
  readonly paper: Paper | undefined;
}

/** The print of the open draft on the paper in hand, all of it or one part. */
export function usePrint(choice: SheetChoice, part: string | undefined, size: PrintSize): Print {
  const draft = useComputed((c) => c.draft);
  const work = useWork((s) => s.work);
  const paperId = usePreferences((p) => p.paper);
  const rollWidth = usePreferences((p) => p.rollWidth);
  const { allowances } = work.draft;
  const paper = PAPERS.find((p) => p.id === paperId);
  const share = shareOf(size);
  const laid = useMemo(() => {
    if (!draft) return undefined;
    if (share !== undefined) {
      const full = printDrawing(draft, work, allowances, choice, Infinity, part);
      return { drawing: smallDrawing(full, share), saved: 0 };
    }
    return paper
      ? tiledDrawing(draft, work, allowances, choice, paper, part)
      : { drawing: printDrawing(draft, work, allowances, choice, rollWidth, part), saved: 0 };
  }, [draft, work, allowances, choice, paper, rollWidth, part, share]);
  const plan = useMemo(() => (laid && paper ? planTiles(laid.drawing, paper) : undefined), [laid, paper]);
  return {
    draft,
    drawing: laid?.drawing,
    plan,
    pages: plan ? plan.tiles.length + 1 : 1,
    saved: laid?.saved ?? 0,
    paper,
  };
}
