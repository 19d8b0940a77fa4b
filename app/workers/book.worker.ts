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
import { bookText } from '../store/book-text.js';
import { putBookPhotos } from '../store/photo-store.js';
import type { RoomId } from '../store/rooms.js';

let theirs: Workbook | undefined;
let mine: WorkbookContent | undefined;

/** What reading a file came to: what merging it would ask, or why it was refused. */
export type Opened =
  { readonly ok: true; readonly merge: Merge } | { readonly ok: false; readonly refusals: readonly FileRefusal[] };

const keeper = {
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
  /** What has to be put on the shelf once the conflicts are decided; its photos are put there already. */
  async merged(decisions: Decisions, room: RoomId): Promise<WorkbookContent> {
    if (!theirs || !mine) return { people: [], drafts: [], charts: [], practice: [], styles: [] };
    const { photos, ...rest } = mergeWorkbooks(mine, theirs, decisions, () => crypto.randomUUID());
    if (photos) await putBookPhotos(room, { photos });
    return rest;
  },
  /** A workbook as a file, with the photos of a room where one is named. */
  async write(content: WorkbookContent, photosOf: RoomId | undefined): Promise<Blob> {
    return new Blob([await bookText(content, photosOf)], { type: 'application/json' });
  },
};

/** What the worker that opens and writes workbooks does. */
export type BookKeeper = typeof keeper;

expose(keeper);
