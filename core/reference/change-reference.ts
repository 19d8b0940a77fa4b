import { add, subtract, turn, type Point } from '../geometry/index.js';
import { PANEL_NAMES, type PanelName } from '../method/index.js';
import type { Block } from '../draft/index.js';
import { layNearest } from './lay-nearest.js';
import { asOutline } from './start-reference.js';
import {
  pathOfShape,
  type Reference,
  type ReferencePlace,
  type ReferenceShape,
  type StretchName,
} from './reference.js';

/** Two cuts nearer than this, as shares of the shape, are one. */
const SAME = 1e-4;

/** The reference with a stretch named. */
export const nameStretch = (reference: Reference, index: number, stretch: number, name: StretchName): Reference =>
  withShape(reference, index, (shape) => ({
    ...shape,
    marks: shape.marks.map((mark, i) => (i === stretch ? { ...mark, name } : mark)),
  }));

/**
 * The reference with a shape cut at a share of its length, not at its ends: the stretch there becomes two of its name.
 */
export const cutStretch = (reference: Reference, index: number, at: number): Reference =>
  withShape(reference, index, (shape) => {
    if (shape.marks.some((mark) => Math.abs(mark.at - at) < SAME) || !(at > SAME && at < 1 - SAME)) return shape;
    const before = shape.marks.filter((mark) => mark.at < at);
    const here = before[before.length - 1] ?? shape.marks[shape.marks.length - 1];
    const marks = [...before, { at, name: here?.name ?? 'none' }, ...shape.marks.slice(before.length)];
    return { ...shape, marks };
  });

/** The reference with a stretch joined to the one before it, whose name it takes; the last stretch stays. */
export const joinStretch = (reference: Reference, index: number, stretch: number): Reference =>
  withShape(reference, index, (shape) => {
    if (shape.marks.length < 2 || (!shape.closed && stretch === 0)) return shape;
    return { ...shape, marks: shape.marks.filter((_, i) => i !== stretch) };
  });

const withShape = (
  reference: Reference,
  index: number,
  make: (shape: ReferenceShape) => ReferenceShape,
): Reference => ({ ...reference, shapes: reference.shapes.map((s, i) => (i === index ? make(s) : s)) });

const withPlace = (reference: Reference, panel: PanelName, place: ReferencePlace): Reference => ({
  ...reference,
  places: { ...reference.places, [panel]: place },
});

/** The reference with a piece's lines laid elsewhere. */
export const placed = (reference: Reference, panel: PanelName, change: Partial<ReferencePlace>): Reference =>
  withPlace(reference, panel, { ...reference.places[panel], ...change });

/** The place carried by a vector on the panel, in mm. */
export const carried = (place: ReferencePlace, by: Point): ReferencePlace => ({ ...place, to: add(place.to, by) });

/** The place turned by `angle` radians, clockwise as seen with y down, about a point of the panel. */
export const turnedAbout = (place: ReferencePlace, about: Point, angle: number): ReferencePlace => {
  const sum = place.turn + angle;
  return {
    ...place,
    to: add(about, turn(subtract(place.to, about), angle)),
    turn: Math.atan2(Math.sin(sum), Math.cos(sum)),
  };
};

/** The place turned over, left for right as it lies, about its own pivot. */
export const turnedOver = (place: ReferencePlace): ReferencePlace => ({
  ...place,
  turn: -place.turn,
  mirrored: !place.mirrored,
});

/** A change of scale by more than this share lays and names an outline anew. */
const ANEW = 0.02;

/**
 * The reference scaled so that what measures `measured` mm now is `known` mm long. A small change keeps each piece's
 * pivot where it lies, a large one lays and names the outlines anew. Nothing changes for lengths that are no lengths.
 */
export function scaledByKnown(reference: Reference, measured: number, known: number, block: Block): Reference {
  if (!(measured > 0) || !(known > 0)) return reference;
  return inFileUnit(reference, (reference.mmPerUnit * known) / measured, block);
}

/** The reference with another length for the file's unit, in mm; see `scaledByKnown`. */
export function inFileUnit(reference: Reference, mmPerUnit: number, block: Block): Reference {
  if (!(mmPerUnit > 0) || !Number.isFinite(mmPerUnit)) return reference;
  const scaled: Reference = { ...reference, mmPerUnit, unitFrom: 'maker' };
  if (Math.abs(mmPerUnit / reference.mmPerUnit - 1) <= ANEW) return scaled;
  return PANEL_NAMES.reduce((made, panel) => laidAnew(made, panel, block), scaled);
}

/** The reference with a piece laid where its outline is nearest to the draft's, and its stretches named by that. */
export function laidAnew(reference: Reference, panel: PanelName, block: Block): Reference {
  const found = reference.shapes.flatMap((shape, i) => (shape.piece === panel ? [i] : []));
  const outline = found.flatMap((i) => pathOfShape(reference.shapes[i] ?? { curves: [] }));
  if (outline.length === 0) return reference;
  const { place } = layNearest(outline, block[panel], reference.mmPerUnit);
  return found.reduce((made, i) => asOutline(made, i, panel, block), placed(reference, panel, place));
}

/**
 * The reference with a line taken as a piece's outline, or as none's; the first of a piece is laid where it is nearest.
 */
export function takenAsOutline(
  reference: Reference,
  index: number,
  piece: PanelName | 'none',
  block: Block,
): Reference {
  const first = !reference.shapes.some((shape, i) => i !== index && shape.piece === piece);
  const taken = asOutline(reference, index, piece, block);
  return piece !== 'none' && first ? laidAnew(taken, piece, block) : taken;
}

/** The place carried so that one point of the panel comes to lie on another. */
export const broughtTo = (place: ReferencePlace, from: Point, to: Point): ReferencePlace =>
  carried(place, subtract(to, from));
