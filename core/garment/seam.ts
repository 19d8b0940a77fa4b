import { pathBetweenPlaces, pathLength, reversePath, type Path, type PathPlace } from '../geometry/index.js';
import { edgeOf, type Part } from './part.js';

/** A part's edge. */
export interface EdgeRef {
  readonly part: string;
  readonly edge: string;
}

/** A stretch of an edge as it is sewn. Places lie on the edge's path; a whole edge has none. */
export interface Stretch extends EdgeRef {
  /** True where sewing runs against the outline: from the crotch down an inseam. */
  readonly backward: boolean;
  readonly from?: PathPlace;
  readonly to?: PathPlace;
  /** True for the same edge of the part's mirror image: the two halves of a rise. */
  readonly mirrored?: boolean;
}

/**
 * How one stretch of a seam is made to fit the other: which is handled, how, and by how much its length changes, in mm.
 */
export interface Ease {
  readonly on: 'first' | 'second';
  readonly how: 'stretched' | 'eased' | 'gathered';
  readonly mm: number;
}

/** Two places that come together in a seam; each is notched. */
export interface Match {
  readonly label: string;
  readonly first: PathPlace;
  readonly second: PathPlace;
}

/** A seam: two stretches sewn together from where sewing starts, with what is matched on the way. */
export interface Seam {
  readonly id: string;
  /** The seam that it is one leg's of: what is given for that one holds for it too. */
  readonly like?: string;
  readonly label: string;
  readonly first: Stretch;
  readonly second: Stretch;
  readonly ease: Ease | undefined;
  readonly matches: readonly Match[];
  /** How many cuts a notch has on either stretch. */
  readonly cuts: readonly [1 | 2, 1 | 2];
  /** What the seam begins at, and what it ends at. */
  readonly start: string;
  readonly end: string;
}

/** All parts of a garment and the seams that join them. */
export interface Garment {
  readonly parts: readonly Part[];
  readonly seams: readonly Seam[];
}

/** A part by its name. Throws where the garment has none of that name, since that is a bug. */
export function partOf(garment: Garment, id: string): Part {
  const found = garment.parts.find((p) => p.id === id);
  if (!found) throw new Error(`The garment has no part ${id}`);
  return found;
}

/** A seam by its name. Throws where the garment has none of that name, since that is a bug. */
export function seamOf(garment: Garment, id: string): Seam {
  const found = garment.seams.find((s) => s.id === id);
  if (!found) throw new Error(`The garment has no seam ${id}`);
  return found;
}

const lengthBetween = (path: Path, from: PathPlace, to: PathPlace): number =>
  pathLength(pathBetweenPlaces(path, from, to));

const startOfEdge: PathPlace = { index: 0, t: 0 };
const endOfEdge = (path: Path): PathPlace => ({ index: path.length - 1, t: 1 });

/** The line of a stretch as it is sewn, run from where sewing starts. Part coordinates, mm. */
export function stretchPath(garment: Garment, stretch: Stretch): Path {
  const edge = edgeOf(partOf(garment, stretch.part), stretch.edge);
  const whole = !stretch.from && !stretch.to;
  const path = whole
    ? (edge.sewn ?? edge.path)
    : pathBetweenPlaces(edge.path, stretch.from ?? startOfEdge, stretch.to ?? endOfEdge(edge.path));
  return stretch.backward ? reversePath(path) : path;
}

/** How far along a stretch, from where sewing starts, a place on its edge lies, in mm. */
export function lengthAlong(garment: Garment, stretch: Stretch, place: PathPlace): number {
  const { path } = edgeOf(partOf(garment, stretch.part), stretch.edge);
  return stretch.backward
    ? lengthBetween(path, place, stretch.to ?? endOfEdge(path))
    : lengthBetween(path, stretch.from ?? startOfEdge, place);
}

/** By how much an ease lets the first stretch be longer than the second, in mm. */
export function easeAllows({ ease }: Pick<Seam, 'ease'>): number {
  if (!ease) return 0;
  const longer = ease.how === 'stretched' ? -ease.mm : ease.mm;
  return ease.on === 'first' ? longer : -longer;
}

/** By how much the first stretch of a seam is longer than the second, beyond what its ease takes up, in mm. */
export function seamDifference(garment: Garment, seam: Seam): number {
  const length = (stretch: Stretch): number => pathLength(stretchPath(garment, stretch));
  return length(seam.first) - length(seam.second) - easeAllows(seam);
}

/** The edge that an edge is sewn to, if it is sewn; itself, where it is sewn to its own mirror image. */
export function sewnTo(seams: readonly Pick<Seam, 'first' | 'second'>[], { part, edge }: EdgeRef): EdgeRef | undefined {
  const is = (s: Stretch): boolean => s.part === part && s.edge === edge;
  for (const { first, second } of seams) {
    if (is(first)) return { part: second.part, edge: second.edge };
    if (is(second)) return { part: first.part, edge: first.edge };
  }
  return undefined;
}
