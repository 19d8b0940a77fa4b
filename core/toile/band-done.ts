import { draftGarment, type Style } from '../style/index.js';
import type { Draft } from '../chain/index.js';
import { refusalSentence } from '../refusal/index.js';
import type { Part } from '../garment/index.js';
import { formatLength, readerIn, snapTo, tapeFor, toMm, type Unit } from '../units/index.js';

/** The strips of a band that are cut from the shell, by what they are like. */
const OF_BAND = new Set(['band', 'bandFront', 'bandBack']);
/** The components that make them. */
const BANDS = new Set(['band', 'shapedBand']);

/** A band before and after its top was taken in: its strips behind, and how it is done; or why it cannot be. */
export type BandDone =
  { readonly before: Part; readonly after: Part; readonly said: readonly string[] } | { readonly refused: string };

/** A slash is lapped by no more than this at the top, in mm; either half of the back has as many. */
const LAPPED = 3.2;
/** No half has more slashes than this where fewer would do by what the tape shows no more. */
const MOST_SLASHES = 6;

/** How often each half is slashed, so that a lap is one that the tape shows: as few times as can be. */
function slashesOf(half: number, unit: Unit): number {
  const step = unit === 'in' ? toMm(1 / 16, 'in') : 1;
  const least = Math.max(1, Math.ceil(half / LAPPED));
  const shown = (n: number): boolean => Math.abs(half / n - snapTo(half / n, step)) < 0.05;
  const ways = Array.from({ length: MOST_SLASHES }, (_, k) => least + k).filter((n) => n <= MOST_SLASHES && shown(n));
  return ways[0] ?? least;
}

/** The strip that lies at the centre behind: the back's where there is one, else the band's own. */
function behind(draft: Draft, style: Style, unit: Unit): Part | undefined {
  const strips = draftGarment(draft, style, unit).garment.parts.filter(
    (p) => OF_BAND.has(p.like ?? p.id) && p.cloth === 'shell',
  );
  return strips.find((p) => (p.like ?? p.id) === 'bandBack') ?? strips[0];
}

const folded = (part: Part): boolean => part.marks.some((m) => m.kind === 'line' && m.meaning === 'fold');

/**
 * What taking a band in by `by` mm at its top behind makes of it (docs/trade/toile.md): the strip before and after, and how it
 * is done on paper, in the maker's unit. A band that cannot be bent so far is refused, with the way out.
 */
export function bandDone(draft: Draft, style: Style, next: Style, by: number, unit: Unit): BandDone {
  const told = draftGarment(draft, next, unit).told.find((t) => t.refusal && BANDS.has(t.component));
  if (told?.refusal) return { refused: refusalSentence(told.refusal, readerIn(unit)) };
  const [before, after] = [behind(draft, style, unit), behind(draft, next, unit)];
  if (!before || !after) return { refused: 'The band cannot be made at Finish: mend it there first.' };
  const said = (mm: number): string => formatLength(mm, tapeFor(unit));
  const slashes = 2 * slashesOf(by / 2, unit);
  const shaped = next.some(({ id }) => id === 'shapedBand');
  return {
    before,
    after,
    said: [
      `${said(by)} shorter along its top behind; along its seam as long as before.`,
      shaped
        ? `On paper: at the centre behind mark ${said(by / 2)} in from the top of either half, and draw to nothing at its seam.`
        : `On paper: slash it behind in ${slashes} places, from its top to just above the stitching line, and lap each by ${said(by / slashes)} at the top.`,
      ...(folded(before) && !folded(after)
        ? ['Bent, it is not folded any more: an outer side and a facing are cut, and sewn together along the top.']
        : []),
    ],
  };
}
