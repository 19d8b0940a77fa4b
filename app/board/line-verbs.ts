import { EDGE_NAMES, type EdgeName } from '../../core/draft/index.js';
import { EDGE_WORDS } from '../../core/garment/index.js';
import { LEVELS, PANEL_NAMES, type Levels, type PanelName } from '../../core/method/index.js';

/** A line of the board that something can be done to: a seam of a piece, or a level of the frame. */
export type BoardLine =
  { readonly panel: PanelName; readonly edge: EdgeName } | { readonly level: keyof Levels | 'waistLevel' };

/** What can be done to a line: go to where it is done, measure from it, lay the level line there, tell what it is. */
export type LineVerb =
  | { readonly words: string; readonly to: string; readonly open?: readonly [bench: string, section: string] }
  | { readonly words: string; readonly does: 'measure' | 'level' }
  | { readonly words: string; readonly term: string };

const SEAM_TERMS: Readonly<Record<EdgeName, string>> = {
  waist: 'waist-line',
  side: 'side-seam',
  hem: 'hem-line',
  inseam: 'inseam',
  rise: 'rise',
};
const LEVEL_TERMS: Readonly<Record<keyof Levels | 'waistLevel', string>> = {
  waistLevel: 'waist-line',
  hipLevel: 'hip-line',
  crotchLevel: 'crotch-line',
  thighLevel: 'thigh-line',
  kneeLevel: 'knee-line',
  hemLevel: 'hem-line',
};

/** What a line is called. */
export const lineWords = (line: BoardLine): string =>
  'level' in line
    ? (LEVELS.find(([name]) => name === line.level)?.[1] ?? 'Waist line')
    : `${line.panel === 'front' ? 'Front' : 'Back'} ${EDGE_WORDS[line.edge]}`;

/** All lines of the board, the levels from the waist down and the seams piece by piece. */
export const BOARD_LINES: readonly BoardLine[] = [
  { level: 'waistLevel' },
  ...LEVELS.map(([level]) => ({ level })),
  ...PANEL_NAMES.flatMap((panel) => EDGE_NAMES.map((edge) => ({ panel, edge }))),
];

/** What can be done to a line of a draft whose stations stand under the path `draft`. */
export function verbsOf(line: BoardLine, draft: string): readonly LineVerb[] {
  if ('level' in line) {
    return [
      ...(line.level === 'waistLevel' ? [] : [{ words: 'Read across here', does: 'level' } as const]),
      { words: 'What it is', term: LEVEL_TERMS[line.level] },
    ];
  }
  return [
    { words: 'Measure from here', does: 'measure' },
    ...(line.edge === 'hem' ? [] : [{ words: 'Walk it', to: `${draft}/true/walk?seam=${line.edge}` }]),
    ...(line.edge === 'hem'
      ? []
      : [
          {
            words: line.edge === 'rise' ? 'Scoop it' : 'Move it',
            to: `${draft}/true?tool=${line.edge === 'rise' ? 'scoop' : 'seam'}`,
          },
        ]),
    { words: 'Its allowance', to: `${draft}/finish`, open: ['finish', 'edges'] },
    { words: 'What it is', term: SEAM_TERMS[line.edge] },
  ];
}
