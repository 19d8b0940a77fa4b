import type { BodySurface } from '../../core/body/index.js';
import type { Leg } from '../../core/draft/index.js';
import { hungLeg, mapDifference, type FitMapId, type Hung, type HungLeg } from '../../core/sew/index.js';
import type { Look, Pointed } from './look.js';
import { wornColours } from './worn-colours.js';

/** One half of a garment, x outward, with the colours of its places, part by part. */
export interface WornHalf {
  readonly hung: HungLeg;
  /** How far the map that is shown differs from that of what it is held against, place by place. */
  readonly differences: readonly Float32Array[] | undefined;
  readonly colours: readonly Float32Array[];
}

/** A garment on its body, each leg with its colours, and what it is called. */
export interface WornSide {
  readonly label: string;
  readonly body: BodySurface;
  readonly halves: Readonly<Record<Leg, WornHalf>>;
}

/** A garment in the colours of what it is held against, leg by leg; where both are alike, one is seen in the mirror. */
export function wornSide(
  label: string,
  body: BodySurface,
  hung: Hung,
  against: Hung | undefined,
  map: FitMapId,
): WornSide {
  const half = (leg: Leg): WornHalf => {
    const own = hungLeg(hung, leg);
    const differences = against && mapDifference(own, hungLeg(against, leg), map);
    return { hung: own, differences, colours: wornColours(own, differences, map) };
  };
  const left = half('left');
  const alike = !hung.rightLeg && !against?.rightLeg;
  return { label, body, halves: { left, right: alike ? left : half('right') } };
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

/** Where a place that one points at hangs, in mm: x to the wearer's left. */
export function placeOf({ halves }: WornSide, pointed: Pointed | undefined): [number, number, number] | undefined {
  const part = pointed && halves[pointed.leg].hung.parts.find((p) => p.part === pointed.part);
  if (!part || 3 * pointed.place >= part.places.length) return undefined;
  const [x = 0, y = 0, z = 0] = part.places.subarray(3 * pointed.place, 3 * pointed.place + 3);
  return [pointed.leg === 'right' ? -x : x, y, z];
}
