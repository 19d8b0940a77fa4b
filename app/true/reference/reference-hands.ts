import type { Block } from '../../../core/draft/index.js';
import { boxOf, contains, distance, flatten, subtract, type Point } from '../../../core/geometry/index.js';
import { PANEL_NAMES, type PanelName } from '../../../core/method/index.js';
import {
  alongOutline,
  carried,
  laidOutline,
  namedEdges,
  nearestOnOutline,
  pairedCorners,
  placed,
  turnedAbout,
  type LaidShape,
  type OutlinePlace,
  type Reference,
} from '../../../core/reference/index.js';
import { toBoard, toPanel, type Arranged } from '../../board/arrange.js';

/** What a hand on the outline does. */
export type OutlineTool = 'move' | 'turn' | 'measure' | 'divide';

/** A place on the outline of a piece. */
export interface OnOutline {
  readonly panel: PanelName;
  readonly place: OutlinePlace;
}

/** The outlines of both pieces as they lie on their panels. */
export type Outlines = Readonly<Record<PanelName, readonly LaidShape[]>>;

/** Lays both outlines. */
export const outlinesOf = (reference: Reference): Outlines => ({
  front: laidOutline(reference, 'front'),
  back: laidOutline(reference, 'back'),
});

/** The place on an outline nearest to a board point, within `reach` mm. */
export function onOutlineAt(outlines: Outlines, arranged: Arranged, at: Point, reach: number): OnOutline | undefined {
  let best: OnOutline | undefined;
  for (const panel of PANEL_NAMES) {
    const place = nearestOnOutline(outlines[panel], toPanel(at, arranged[panel]));
    if (place && place.distance <= reach && place.distance < (best?.place.distance ?? Infinity))
      best = { panel, place };
  }
  return best;
}

/** The piece whose outline is taken hold of at a board point: that on which it lies, or in which. */
export function outlineHeldAt(outlines: Outlines, arranged: Arranged, at: Point, reach: number): PanelName | undefined {
  const on = onOutlineAt(outlines, arranged, at, reach);
  if (on) return on.panel;
  return PANEL_NAMES.find((panel) =>
    outlines[panel].some(({ path, closed }) => closed && contains(flatten(path, 1), toPanel(at, arranged[panel]))),
  );
}

/** The middle of a laid outline, on its panel. */
export function middleOf(outline: readonly LaidShape[]): Point {
  const box = boxOf(outline.flatMap(({ path }) => flatten(path, 2)));
  return { x: (box.minX + box.maxX) / 2, y: (box.minY + box.maxY) / 2 };
}

/** The point about which a piece's outline is turned: its crotch point where its seams are named, else its middle. */
export function pivotOf(reference: Reference, panel: PanelName, block: Block): Point {
  const outline = laidOutline(reference, panel);
  const corners = pairedCorners(namedEdges(outline, block[panel]), block[panel]);
  return corners.find((c) => c.name === 'crotchPoint')?.outline ?? middleOf(outline);
}

/** The outline of a piece as a drag from one board point to another lays it: moved, or turned about its pivot. */
export function draggedReference(
  reference: Reference,
  tool: 'move' | 'turn',
  panel: PanelName,
  block: Block,
  arranged: Arranged,
  from: Point,
  to: Point,
): Reference {
  const [a, b] = [toPanel(from, arranged[panel]), toPanel(to, arranged[panel])];
  const place = reference.places[panel];
  if (tool === 'move') return placed(reference, panel, carried(place, subtract(b, a)));
  const pivot = pivotOf(reference, panel, block);
  const angle = Math.atan2(b.y - pivot.y, b.x - pivot.x) - Math.atan2(a.y - pivot.y, a.x - pivot.x);
  return placed(reference, panel, turnedAbout(place, pivot, angle));
}

/**
 * What lies between two places on outlines, in mm: straight on the board, and along the outline where both are on one.
 */
export function measured(
  outlines: Outlines,
  arranged: Arranged,
  a: OnOutline,
  b: OnOutline,
): { readonly straight: number; readonly along: number | undefined } {
  const [p, q] = [a, b].map(({ panel, place }) => toBoard(place.at, arranged[panel])) as [Point, Point];
  return {
    straight: distance(p, q),
    along: a.panel === b.panel ? alongOutline(outlines[a.panel], a.place, b.place) : undefined,
  };
}
