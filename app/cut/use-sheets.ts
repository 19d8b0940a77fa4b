import { useMemo } from 'react';
import { CHALK_HOUSE, chalkSheet, type ChalkSheet, type ChalkSource } from '../../core/chalk/index.js';
import type { Draft } from '../../core/chain/index.js';
import { setOf } from '../../core/kept/index.js';
import { grownGarment, piecesOf } from '../../core/piece/index.js';
import { draftGarment, NO_STYLE } from '../../core/style/index.js';
import type { PdfHead } from '../../formats/pdf.js';
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
  const { line, back, in: inches, cm } = usePreferences((p) => p.chalk);
  return useMemo(() => {
    if (!source) return undefined;
    return chalkSheet(source, { ...CHALK_HOUSE, line, back, tape: source.unit === 'in' ? inches : cm });
  }, [source, line, back, inches, cm]);
}

/** What stands at the head of a sheet of the open draft. */
export function useSheetHead(): PdfHead {
  const work = useWork((s) => s.work);
  const name = useComputed((c) => c.draft?.worked.sheet.name ?? '');
  return {
    title: work.draft.name,
    lines: [`${work.person.name}, measured ${setOf(work).date}`, name],
    date: new Date(work.draft.changed),
  };
}

const NONE: readonly string[] = [];

/** What was ticked off on a sheet of the open draft, and the way to tick and untick. */
export function useTicks(sheet: string): {
  readonly done: ReadonlySet<string>;
  readonly tick: (ids: readonly string[], on: boolean) => void;
} {
  const draft = useWork(({ work }) => work.draft.id);
  const key = `${draft} ${sheet}`;
  const kept = usePreferences((p) => p.ticked[key]) ?? NONE;
  const set = usePreferences((p) => p.set);
  const done = useMemo(() => new Set(kept), [kept]);
  const tick = (ids: readonly string[], on: boolean): void => {
    const rest = kept.filter((id) => !ids.includes(id));
    const { ticked } = usePreferences.getState();
    set({ ticked: { ...ticked, [key]: on ? [...rest, ...ids] : rest } });
  };
  return { done, tick };
}
