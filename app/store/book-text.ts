import type { WorkbookContent } from '../../core/kept/index.js';
import { writeWorkbook } from '../../core/workbook/index.js';
import { roomPhotos } from './photo-store.js';
import type { RoomId } from './rooms.js';

/** A workbook as text, with the photos of a room where one is named. */
export async function bookText(content: WorkbookContent, photosOf: RoomId | undefined): Promise<string> {
  // What is shown can be saved even where nothing can be read any more.
  const photos = photosOf ? await roomPhotos(photosOf).catch(() => []) : [];
  return writeWorkbook({ ...content, ...(photos.length > 0 && { photos }) }, new Date());
}
