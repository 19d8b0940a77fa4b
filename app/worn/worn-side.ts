import type { BodySurface } from '../../core/body/index.js';
import type { Hung } from '../../core/sew/index.js';
import type { Look, Pointed } from './hang-store.js';

/** A garment on its body with the colours of its places, part by part, and what it is called. */
export interface WornSide {
  readonly label: string;
  readonly hung: Hung;
  readonly body: BodySurface;
  readonly colours: readonly Float32Array[];
}

/** The middle of what is looked at and how far it reaches, in mm: the same for all sides of one body. */
export interface WornExtent {
  readonly middle: number;
  readonly reach: number;
}

/** How high a body stands and where its middle is. */
export function extentOf(sides: readonly WornSide[]): WornExtent {
  const [first] = sides;
  if (!first) return { middle: 0, reach: 1 };
  const { places } = first.body;
  const top = places[places.length - 2] ?? 1;
  return { middle: top / 2, reach: top / 2 };
}

/** What is seen of garments, and from where. */
export interface Seen {
  readonly sides: readonly WornSide[];
  readonly look: Look;
  readonly pointed: Pointed | undefined;
}

/** Where a place that one points at hangs, in mm. */
export function placeOf({ hung }: WornSide, pointed: Pointed | undefined): [number, number, number] | undefined {
  const part = hung.parts.find((p) => p.part === pointed?.part);
  if (!part || !pointed || 3 * pointed.place >= part.places.length) return undefined;
  const [x = 0, y = 0, z = 0] = part.places.subarray(3 * pointed.place, 3 * pointed.place + 3);
  return [x, y, z];
}
