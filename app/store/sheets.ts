import { useQuery } from '@tanstack/react-query';
import type { DraftInput } from '../../core/chain/index.js';
import type { Leg } from '../../core/draft/index.js';
import { inputOf, type KeptDraft, type Work } from '../../core/kept/index.js';
import { DEFAULT_SHEET, loadSheet, SHEET_LIST, type Sheet } from '../../core/method/index.js';

/** What of a draft says by which sheet it is made. */
type Method = Pick<KeptDraft, 'method' | 'sheet'>;

/** The shipped sheets that were fetched so far; a page fetches only those it draws by. */
const fetched = new Map<string, Sheet>([[DEFAULT_SHEET.id, DEFAULT_SHEET]]);

/** Puts shipped sheets within reach. */
export function putSheets(sheets: readonly Sheet[]): void {
  for (const sheet of sheets) fetched.set(sheet.id, sheet);
}

/** The sheet of a draft, where it is its own or was fetched. */
const sheetAtHand = ({ method, sheet }: Method): Sheet | undefined => sheet ?? fetched.get(method);

/** The sheet of a draft that is open: opening it waits for its sheet, so that a missing one is a bug. */
export function sheetOf(draft: Method): Sheet {
  const sheet = sheetAtHand(draft);
  if (!sheet) throw new Error(`The sheet ${draft.method} was not fetched`);
  return sheet;
}

/** The input of the chain for work whose sheet is at hand, as the leg looked at has it. */
export const inputNow = (work: Work, leg?: Leg): DraftInput => inputOf(work, sheetOf(work.draft), leg);

/** The shipped sheet by which a draft is made, or from which its own was copied. */
const shippedId = ({ method, sheet }: Method): string => sheet?.basedOn ?? method;

/** The sheet from which a draft's own was copied, where it was fetched. */
export const originalOf = (draft: Method): Sheet | undefined => fetched.get(shippedId(draft));

/**
 * Fetches the sheet of a draft, with the one that its own was copied from; nothing where this version lacks its method.
 */
async function fetchSheet(draft: Method): Promise<Sheet | null> {
  const shipped = await loadSheet(shippedId(draft));
  if (shipped) putSheets([shipped]);
  return draft.sheet ?? shipped ?? null;
}

/** The sheet of a draft: undefined while it is fetched, null where this version does not have its method. */
export function useSheet(draft: Method | undefined): Sheet | null | undefined {
  const ready = draft !== undefined && fetched.has(shippedId(draft));
  const query = useQuery({
    queryKey: ['sheet', draft && shippedId(draft)],
    queryFn: () => (draft ? fetchSheet(draft) : null),
    enabled: draft !== undefined && !ready,
  });
  if (!draft) return undefined;
  if (ready) return sheetAtHand(draft);
  return query.isSuccess ? (draft.sheet ?? query.data) : query.isError ? null : undefined;
}

/** What the method of a draft is called. */
export const methodName = ({ method, sheet }: Method): string =>
  sheet?.name ?? SHEET_LIST.find(([id]) => id === method)?.[1] ?? method;
