import { FIT_MAPS, type FitMapId, type HungLeg } from '../../core/sew/index.js';

/** A colour as red, green and blue from nought to one. */
export type Rgb = readonly [red: number, green: number, blue: number];

/** Cloth where nothing is to be told, less than before, and more. */
export const WORN_COLOURS = {
  cloth: [0.85, 0.83, 0.77],
  less: [0.11, 0.31, 0.57],
  more: [0.62, 0.13, 0.08],
  body: [0.62, 0.57, 0.53],
  mark: [0.42, 0.17, 0.57],
} as const satisfies Readonly<Record<string, Rgb>>;

/** A difference so many times the noise has the full colour. */
const FULL = 4;

/** The difference that has the full colour, in the unit of the map. */
export const fullOf = (id: FitMapId): number => FULL * FIT_MAPS[id].noise;

/** The colour of a difference: nothing within the noise, then at once to be seen, full at four times the noise. */
export function colourOf(by: number, id: FitMapId): Rgb {
  if (by === 0) return WORN_COLOURS.cloth;
  const to = by > 0 ? WORN_COLOURS.more : WORN_COLOURS.less;
  const share = Math.min(1, 0.25 + (0.75 * Math.abs(by)) / fullOf(id));
  const mix = (a: number, b: number): number => a + (b - a) * share;
  return [mix(WORN_COLOURS.cloth[0], to[0]), mix(WORN_COLOURS.cloth[1], to[1]), mix(WORN_COLOURS.cloth[2], to[2])];
}

/** The colours of all places of one half of a garment, part by part; plain cloth where nothing is held against it. */
export const wornColours = (
  { parts }: HungLeg,
  differences: readonly Float32Array[] | undefined,
  id: FitMapId,
): Float32Array[] =>
  parts.map((part, m) => {
    const colours = new Float32Array(part.places.length);
    for (let i = 0; i < part.places.length / 3; i++) colours.set(colourOf(differences?.[m]?.[i] ?? 0, id), 3 * i);
    return colours;
  });
