import { laidUnder, layAreaOf, type LastLay } from './estimate.js';
import type { LayCloth, LayShape, Placed } from './job.js';
import type { FoundLay } from './search.js';

/** Where one copy lies in a lay that is kept. */
export interface KeptPlace {
  readonly x: number;
  readonly y: number;
  readonly turn: 0 | 180;
  readonly flipped: boolean;
  readonly locked?: boolean | undefined;
}

/** A lay as it is kept with its garment: how long its cloth is, and where each copy lies, by part and number. */
export interface KeptLay {
  readonly length: number;
  /** Net area of all its copies, in mm². */
  readonly area: number;
  /** The terms that it was laid under, as a text. */
  readonly under: string;
  readonly placed: Readonly<Record<string, KeptPlace>>;
}

/** The name of a copy in a lay that is kept. */
export const copyName = ({ id, copy }: Pick<Placed, 'id' | 'copy'>): string => `${id} ${copy}`;

/** A lay to be kept, with the copies that are locked in it. */
export const keptLay = (
  { length, placed }: Pick<FoundLay, 'length' | 'placed'>,
  { area, under }: Pick<LastLay, 'area' | 'under'>,
  locked: ReadonlySet<string>,
): KeptLay => ({
  length,
  area,
  under,
  placed: Object.fromEntries(
    placed.map((p): [string, KeptPlace] => [
      copyName(p),
      {
        x: p.x,
        y: p.y,
        turn: p.turn,
        flipped: p.flipped,
        ...(locked.has(copyName(p)) ? { locked: true } : {}),
      },
    ]),
  ),
});

/** Where the copies of shapes lie in a lay that was kept; a copy that it does not tell of is left out. */
export const placesIn = (lay: KeptLay | undefined, shapes: readonly LayShape[]): readonly Placed[] =>
  shapes.flatMap(({ id, count }) =>
    Array.from({ length: count }, (_, copy) => copy).flatMap((copy): Placed[] => {
      const place = lay?.placed[copyName({ id, copy })];
      return place ? [{ id, copy, x: place.x, y: place.y, turn: place.turn, flipped: place.flipped }] : [];
    }),
  );

/** The copies that are locked in a lay that was kept. */
export const lockedIn = (lay: KeptLay | undefined): ReadonlySet<string> =>
  new Set(Object.entries(lay?.placed ?? {}).flatMap(([name, { locked }]) => (locked ? [name] : [])));

/** Where all copies lie in a lay that was kept, where neither the cloth nor a piece has changed since; else nothing. */
export function unchangedLay(
  lay: KeptLay | undefined,
  shapes: readonly LayShape[],
  cloth: LayCloth,
): readonly Placed[] | undefined {
  if (lay?.under !== laidUnder(shapes, cloth) || Math.abs(layAreaOf(shapes) / lay.area - 1) > 1e-6) return undefined;
  const placed = placesIn(lay, shapes);
  return placed.length === shapes.reduce((sum, { count }) => sum + count, 0) ? placed : undefined;
}
