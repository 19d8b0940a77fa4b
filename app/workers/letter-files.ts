import type { Alphabet } from '../../formats/index.js';
import type { LetterSource } from '../../formats/pdf.js';
import latinRegular from '@fontsource/source-sans-3/files/source-sans-3-latin-400-normal.woff?url';
import latinBold from '@fontsource/source-sans-3/files/source-sans-3-latin-600-normal.woff?url';
import latinExtRegular from '@fontsource/source-sans-3/files/source-sans-3-latin-ext-400-normal.woff?url';
import latinExtBold from '@fontsource/source-sans-3/files/source-sans-3-latin-ext-600-normal.woff?url';
import vietnameseRegular from '@fontsource/source-sans-3/files/source-sans-3-vietnamese-400-normal.woff?url';
import vietnameseBold from '@fontsource/source-sans-3/files/source-sans-3-vietnamese-600-normal.woff?url';
import greekRegular from '@fontsource/source-sans-3/files/source-sans-3-greek-400-normal.woff?url';
import greekBold from '@fontsource/source-sans-3/files/source-sans-3-greek-600-normal.woff?url';
import greekExtRegular from '@fontsource/source-sans-3/files/source-sans-3-greek-ext-400-normal.woff?url';
import greekExtBold from '@fontsource/source-sans-3/files/source-sans-3-greek-ext-600-normal.woff?url';
import cyrillicRegular from '@fontsource/source-sans-3/files/source-sans-3-cyrillic-400-normal.woff?url';
import cyrillicBold from '@fontsource/source-sans-3/files/source-sans-3-cyrillic-600-normal.woff?url';
import cyrillicExtRegular from '@fontsource/source-sans-3/files/source-sans-3-cyrillic-ext-400-normal.woff?url';
import cyrillicExtBold from '@fontsource/source-sans-3/files/source-sans-3-cyrillic-ext-600-normal.woff?url';

const URLS: Readonly<Record<Alphabet, { readonly regular: string; readonly bold: string }>> = {
  latin: { regular: latinRegular, bold: latinBold },
  'latin-ext': { regular: latinExtRegular, bold: latinExtBold },
  vietnamese: { regular: vietnameseRegular, bold: vietnameseBold },
  greek: { regular: greekRegular, bold: greekBold },
  'greek-ext': { regular: greekExtRegular, bold: greekExtBold },
  cyrillic: { regular: cyrillicRegular, bold: cyrillicBold },
  'cyrillic-ext': { regular: cyrillicExtRegular, bold: cyrillicExtBold },
};

async function file(url: string): Promise<Uint8Array> {
  const answer = await fetch(url);
  if (!answer.ok) throw new Error('The letters for the print could not be read');
  return new Uint8Array(await answer.arrayBuffer());
}

const read = new Map<Alphabet, ReturnType<LetterSource>>();

/** The letters for a print, each part of the face fetched from the application itself when a print first wants it. */
export const letterFiles: LetterSource = (alphabet) => {
  let found = read.get(alphabet);
  if (!found) {
    const { regular, bold } = URLS[alphabet];
    found = Promise.all([file(regular), file(bold)]).then(([thin, thick]) => ({ regular: thin, bold: thick }));
    // What could not be read once is tried again by the next print.
    found.catch(() => read.delete(alphabet));
    read.set(alphabet, found);
  }
  return found;
};
