import Delaunator from 'delaunator';
import type { Garment, Part } from '../garment/index.js';
import { unit, subtract, type Point } from '../geometry/index.js';
import Constrainautor from './constrain.js';
import { sampleOutlines, type SampledOutline } from './outline.js';

/** A part as triangles: its outline first, then what lies within. Part coordinates, mm. */
export interface PartMesh {
  readonly outline: SampledOutline;
  readonly places: readonly Point[];
  readonly triangles: readonly (readonly [number, number, number])[];
  /** The direction of the warp, downward. */
  readonly warp: Point;
}

/** Places within keep this share of the spacing off the outline, and rows are this share of it apart. */
const CLEAR = 0.55;
const ROW = Math.sqrt(3) / 2;

/** A triangle with less than this share of the spacing's square, twice over, is flat. */
const FLAT = 0.02;

/** How near a place is to an outline, in mm. */
function nearness(outline: readonly Point[], p: Point): number {
  let least = Infinity;
  for (let i = 0; i < outline.length; i++) {
    const a = outline[i] as Point;
    const b = outline[(i + 1) % outline.length] as Point;
    const [dx, dy] = [b.x - a.x, b.y - a.y];
    const long = dx * dx + dy * dy;
    const t = long > 0 ? Math.min(1, Math.max(0, ((p.x - a.x) * dx + (p.y - a.y) * dy) / long)) : 0;
    const far = (p.x - a.x - t * dx) ** 2 + (p.y - a.y - t * dy) ** 2;
    if (far < least) least = far;
  }
  return Math.sqrt(least);
}

/** The even-odd rule for a place and a closed run of places. */
function within(outline: readonly Point[], { x, y }: Point): boolean {
  let inside = false;
  for (let i = 0, j = outline.length - 1; i < outline.length; j = i++) {
    const a = outline[i] as Point;
    const b = outline[j] as Point;
    if (a.y > y !== b.y > y && x < ((b.x - a.x) * (y - a.y)) / (b.y - a.y) + a.x) inside = !inside;
  }
  return inside;
}

/** Staggered rows of places within an outline, square to the warp. */
function rowsWithin(outline: readonly Point[], warp: Point, spacing: number): Point[] {
  const weft = { x: -warp.y, y: warp.x };
  const to = (p: Point): Point => ({ x: p.x * weft.x + p.y * weft.y, y: p.x * warp.x + p.y * warp.y });
  const back = (p: Point): Point => ({ x: p.x * weft.x + p.y * warp.x, y: p.x * weft.y + p.y * warp.y });
  const turned = outline.map(to);
  const xs = turned.map((p) => p.x);
  const ys = turned.map((p) => p.y);
  const [x0, x1, y0, y1] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
  const found: Point[] = [];
  for (let row = 1, y = y0 + spacing * ROW; y < y1; row++, y += spacing * ROW)
    for (let x = x0 + (row % 2 === 0 ? 0.5 : 1) * spacing; x < x1; x += spacing) {
      const p = { x, y };
      if (within(turned, p) && nearness(turned, p) > CLEAR * spacing) found.push(back(p));
    }
  return found;
}

/** The triangles of a part, about `spacing` mm a side (constrained Delaunay). */
function meshOutline(outline: SampledOutline, spacing: number): PartMesh {
  const [upper, lower] = outline.part.grain;
  const warp = unit(subtract(lower, upper));
  const places = [...outline.places, ...rowsWithin(outline.places, warp, spacing)];
  const delaunay = Delaunator.from(
    places,
    (p) => p.x,
    (p) => p.y,
  );
  const constrain = new Constrainautor(delaunay);
  const count = outline.places.length;
  for (let i = 0; i < count; i++) constrain.constrainOne(i, (i + 1) % count);
  const triangles: [number, number, number][] = [];
  const { triangles: corners } = delaunay;
  for (let t = 0; t < corners.length; t += 3) {
    const [a, b, c] = [corners[t], corners[t + 1], corners[t + 2]] as [number, number, number];
    const [p, q, r] = [places[a], places[b], places[c]] as [Point, Point, Point];
    const twice = Math.abs((q.x - p.x) * (r.y - p.y) - (r.x - p.x) * (q.y - p.y));
    // Along a straight edge its own places make triangles of no area.
    if (twice < FLAT * spacing * spacing) continue;
    if (within(outline.places, { x: (p.x + q.x + r.x) / 3, y: (p.y + q.y + r.y) / 3 })) triangles.push([a, b, c]);
  }
  return { outline, places, triangles, warp };
}

/** The parts of a garment that go round the body: in shell cloth, each with a rise, cut as a pair. */
export const wornParts = ({ parts }: Garment): Part[] =>
  parts.filter((p) => p.cloth === 'shell' && p.edges.some((e) => e.role === 'rise'));

/**
 * Those parts as triangles, with as many places on either side of every seam, and of what is sewn to the other leg
 * where that is another's. Spacing in mm.
 */
export const meshParts = (garment: Garment, spacing: number, otherLeg?: Garment): PartMesh[] =>
  sampleOutlines(garment, wornParts(garment), spacing, otherLeg).map((outline) => meshOutline(outline, spacing));
