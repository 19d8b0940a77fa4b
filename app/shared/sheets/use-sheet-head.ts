import { setOf } from '../../../core/kept/index.js';
import type { PdfHead } from '../../../formats/pdf.js';
import { useComputed, useWork } from '../../store/work-context.js';

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
