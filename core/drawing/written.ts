import type { Drawing } from './drawing.js';

/** A row of a list: a number or none, what is said, what is added in small letters; with a box to tick by hand. */
export interface WrittenRow {
  readonly mark?: string;
  readonly words: string;
  readonly note?: string;
  readonly box?: boolean;
}

/** One thing on a written page. */
export type WrittenBlock =
  | { readonly as: 'heading'; readonly words: string }
  | { readonly as: 'paragraph'; readonly words: string }
  | { readonly as: 'list'; readonly rows: readonly WrittenRow[] }
  | { readonly as: 'table'; readonly head: readonly string[]; readonly rows: readonly (readonly string[])[] }
  | {
      readonly as: 'picture';
      /** A JPEG as base64, and its size in pixels. */
      readonly jpeg: string;
      readonly width: number;
      readonly height: number;
      readonly label: string;
    }
  | {
      readonly as: 'sketch';
      readonly drawing: Drawing;
      readonly label: string;
      /** How many millimetres of the piece one millimetre of the sketch is at least. */
      readonly scale: number;
    };

/** A page of words, figures and sketches, for the screen or for paper. */
export interface WrittenPage {
  readonly title: string;
  readonly columns: 1 | 2;
  readonly blocks: readonly WrittenBlock[];
}

/** All words of a page, for the letters that it wants. */
export const wordsOfPage = ({ title, blocks }: WrittenPage): string[] => [
  title,
  ...blocks.flatMap((b): string[] => {
    if (b.as === 'heading' || b.as === 'paragraph') return [b.words];
    if (b.as === 'list') return b.rows.flatMap(({ mark, words, note }) => [mark ?? '', words, note ?? '']);
    if (b.as === 'picture') return [b.label];
    if (b.as === 'table') return [...b.head, ...b.rows.flat()];
    return [b.label, ...b.drawing.marks.flatMap((m) => (m.kind === 'text' ? [m.text] : []))];
  }),
];
