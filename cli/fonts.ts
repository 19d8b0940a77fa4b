import { readFile } from 'node:fs/promises';
import { createRequire } from 'node:module';
import type { LetterSource } from '../formats/pdf.js';

const require = createRequire(import.meta.url);

/** The letters for a PDF, read from the installed font package. */
export const letterFiles: LetterSource = async (alphabet) => {
  const file = (weight: number): Promise<Uint8Array> =>
    readFile(require.resolve(`@fontsource/source-sans-3/files/source-sans-3-${alphabet}-${weight}-normal.woff`));
  const [regular, bold] = await Promise.all([file(400), file(600)]);
  return { regular, bold };
};
