import { sayClash, type ActReader, type RecordChange } from '../../core/kept/index.js';

/** What of some changes no longer fits what is kept, in the reader's words. */
export const sayClashes = (clashes: readonly RecordChange[], reader: ActReader): string =>
  clashes.map((change) => sayClash(change, reader)).join('; ');
