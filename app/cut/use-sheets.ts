import { useMemo } from 'react';
import { chalkSheet, type ChalkSheet, type ChalkSource } from '../../core/chalk/index.js';
import type { Draft } from '../../core/chain/index.js';
import { grownGarment, piecesOf } from '../../core/piece/index.js';
import { draftGarment, NO_STYLE } from '../../core/style/index.js';
import { chalkChoiceOf } from '../shared/chalk-choice.js';
import { usePreferences } from '../store/preferences.js';
import { useShrinkage } from '../shared/use-shrinkage.js';
import { useComputed, useUnit, useWork } from '../store/work-context.js';

/** The open draft with its garment and pieces, as the sheets are made from it. */
export interface SheetSource extends ChalkSource {
  readonly draft: Draft;
}

/** What the sheets of the open draft are made from; nothing until there is a draft. */
export function useSheetSource(): SheetSource | undefined {
  const draft = useComputed((c) => c.draft);
  const style = useWork(({ work }) => work.draft.style) ?? NO_STYLE;
  const allowances = useWork(({ work }) => work.draft.allowances);
  const shrinkage = useShrinkage();
  const unit = useUnit();
  return useMemo(() => {
    if (!draft) return undefined;
    const made = draftGarment(draft, style, unit);
    const garment = grownGarment(made.garment, shrinkage);
    return { draft, styled: { ...made, garment }, pieces: piecesOf(garment, allowances), allowances, unit };
  }, [draft, style, allowances, shrinkage, unit]);
}

/** The chalk sheet of the open draft, as its maker chalks. */
export function useChalkSheet(source: SheetSource | undefined): ChalkSheet | undefined {
  const chalk = usePreferences((p) => p.chalk);
  return useMemo(() => source && chalkSheet(source, chalkChoiceOf(chalk, source.unit)), [source, chalk]);
}
