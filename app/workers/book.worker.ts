import { expose } from 'comlink';
import {
  mergeWorkbooks,
  planMerge,
  type Decisions,
  type Merge,
  type Workbook,
  type WorkbookContent,
} from '../../core/kept/index.js';
import type { FileRefusal } from '../../core/refusal/index.js';
import { readWorkbook } from '../../core/workbook/index.js';

let theirs: Workbook | undefined;
let mine: WorkbookContent | undefined;

/** What reading a file came to: what merging it would ask, or why it was refused. */
export type Opened =
  { readonly ok: true; readonly merge: Merge } | { readonly ok: false; readonly refusals: readonly FileRefusal[] };

const reader = {
  /** Reads a file and holds it against what is here; nothing is changed. */
  async read(file: File, here: WorkbookContent, onProgress: (share: number) => void): Promise<Opened> {
    const read = readWorkbook(await file.text(), (share) => {
      onProgress(share);
    });
    if (!read.ok) return read;
    theirs = read.value;
    mine = here;
    return { ok: true, merge: planMerge(here, read.value) };
  },
  /** What has to be put on the shelf once the conflicts are decided. */
  merged(decisions: Decisions): WorkbookContent {
    if (!theirs || !mine) return { people: [], drafts: [], charts: [], practice: [] };
    return mergeWorkbooks(mine, theirs, decisions, () => crypto.randomUUID());
  },
};

/** What the worker that opens workbooks does. */
export type BookReader = typeof reader;

expose(reader);
