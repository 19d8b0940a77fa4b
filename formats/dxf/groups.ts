import type { LineRole, Mark } from '../../core/drawing/index.js';

/** The layers of the file by what a line means, each with its colour number. */
export const LAYERS: Readonly<Record<LineRole, readonly [string, number]>> = {
  cut: ['CUT', 1],
  stitching: ['STITCHING', 7],
  notch: ['NOTCH', 3],
  grain: ['GRAIN', 5],
  dart: ['DART', 6],
  fold: ['FOLD', 4],
  placement: ['PLACEMENT', 30],
  crease: ['CREASE', 8],
  construction: ['FRAME', 9],
  square: ['TEST_SQUARE', 2],
};

/** The layer that a line stands on. */
export const layerOf = ({ role, layer }: Extract<Mark, { kind: 'line' }>): string => layer ?? LAYERS[role][0];

/** All layers of a drawing with their colour numbers: those of the meanings, those of its own, that of the words. */
export function layersOf(marks: readonly Mark[]): readonly (readonly [string, number])[] {
  const own = new Set(marks.flatMap((m) => (m.kind === 'line' && m.layer !== undefined ? [m.layer] : [])));
  const coloured = [...own].map((name, i) => [name, 1 + (i % COLOURS)] as const);
  return [...Object.values(LAYERS), ...coloured, TEXT_LAYER];
}

/** Colours of layers of a drawing's own run through the first few. */
const COLOURS = 6;

/** The layer of the words. */
export const TEXT_LAYER = ['TEXT', 7] as const;

/** A group of the file: its code and what stands under it. */
export type Group = readonly [number, string | number];

/** A figure as a file of this kind writes it, to a ten-thousandth. */
export const figure = (x: number): string => {
  const text = x.toFixed(4).replace(/\.?0+$/, '');
  return text === '-0' || text === '' ? '0' : text;
};

/** What a file of this kind can hold of a text: letters that it has no code for are written as their number. */
export const plain = (text: string): string =>
  [...text]
    .map((c) =>
      c < ' ' ? ' ' : c <= '~' ? c : `\\U+${(c.codePointAt(0) ?? 63).toString(16).toUpperCase().padStart(4, '0')}`,
    )
    .join('');

/** Groups as the text of a file. */
export const written = (groups: readonly Group[]): string =>
  `${groups.map(([code, value]) => `${String(code).padStart(3)}\n${value}`).join('\n')}\n`;
