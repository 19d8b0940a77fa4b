import { contourAt, placeOn, type Contour, type SolidBody } from '../body/index.js';
import type { Point } from '../geometry/index.js';
import type { Assembly } from './assembly.js';
import type { PartMesh } from './mesh.js';

/** Parts are laid so far off the body before they are sewn that they go round it as they are, within these, in mm. */
const OFF = { least: 6, most: 110 } as const;
/** Rows of a part are laid round the body at levels so many mm apart, and how far off is evened over so many rows. */
const ROW = 8;
const EVENED = 5;

/** Where a part lies at its levels: from its middle or inseam, how far to its side, in mm. */
interface Reach {
  readonly inner: number;
  readonly outer: number;
}

/** Both ends of a part at a level; what lies above all of its side is as wide as it is at its highest full level. */
function reachAt({ outline }: PartMesh, y: number): Reach | undefined {
  const crossings = (ids: readonly string[]): number[] => {
    const found: number[] = [];
    for (const id of ids) {
      const run = outline.edges.get(id) ?? [];
      for (let i = 1; i < run.length; i++) {
        const [a, b] = [outline.places[run[i - 1] as number], outline.places[run[i] as number]] as [Point, Point];
        if (a.y === b.y || (a.y - y) * (b.y - y) > 0) continue;
        found.push(a.x + ((b.x - a.x) * (y - a.y)) / (b.y - a.y));
      }
    }
    return found;
  };
  const roles = (...wanted: readonly string[]): string[] =>
    outline.part.edges.filter((e) => wanted.includes(e.role)).map((e) => e.id);
  const sides = crossings(roles('side'));
  const inners = crossings(roles('rise', 'inseam'));
  const [outer] = sides;
  if (outer === undefined || inners.length === 0) return undefined;
  // Where a level meets the rise and the inseam, the farther one is the edge of the leg.
  const inner = inners.reduce((far, x) => (Math.abs(x - outer) > Math.abs(far - outer) ? x : far));
  return { inner, outer };
}

/** The level of a part's waist at its side, and between which levels both its side and its middle or inseam reach. */
function levelsOf({ outline }: PartMesh): { readonly side: number; readonly top: number; readonly hem: number } {
  const of = (role: string): number[] =>
    outline.part.edges
      .filter((e) => e.role === role)
      .flatMap((e) => (outline.edges.get(e.id) ?? []).map((i) => (outline.places[i] as Point).y));
  const side = Math.min(...of('side'));
  return {
    side,
    top: Math.max(side, Math.min(...of('rise'))),
    hem: Math.min(Math.max(...of('side')), Math.max(...of('inseam'))),
  };
}

/**
 * Lays a sewn garment round a body, level by level: the side at its top so far above the body's side waist (mm), middles
 * in the middle, inseams between the legs. Positions in metres, three a particle.
 */
export function arrangeRound(assembly: Assembly, body: SolidBody, above = 0): Float64Array {
  const sums = new Float64Array(3 * assembly.count);
  const times = new Float64Array(assembly.count);
  const [front, back] = assembly.meshes;
  if (!front || !back) throw new Error('A garment to be worn has a front and a back');
  const levels = assembly.meshes.map(levelsOf);
  const known = assembly.meshes.map(() => new Map<number, Reach>());
  /** A part's reach at a level; beyond its highest or lowest full level, as it is there. */
  const reach = (m: number, y: number): Reach => {
    const { top, hem } = levels[m] as (typeof levels)[number];
    const level = Math.min(hem - 0.5, Math.max(top + 0.5, y));
    const found = known[m]?.get(level) ?? reachAt(assembly.meshes[m] as PartMesh, level) ?? { inner: 0, outer: 1 };
    known[m]?.set(level, found);
    return found;
  };
  const sideOf = (m: number): number => levels[m]?.side ?? 0;
  const wide = ({ inner, outer }: Reach): number => Math.abs(outer - inner);
  /** How far the cloth reaches round half the body at a row so far below the waist at the side. */
  const roundAt = (down: number): number => wide(reach(0, down + sideOf(0))) + wide(reach(1, down + sideOf(1)));
  const top = body.heights.waist + above;
  const rows = contoursRound(body, top, roundAt, Math.max(...levels.map((l) => l.hem - l.side)));
  assembly.meshes.forEach((mesh, m) => {
    mesh.places.forEach((p, i) => {
      const down = p.y - sideOf(m);
      const own = reach(m, p.y);
      const round = rows(down);
      const beyond = (p.x - own.inner) * (own.outer - own.inner) < 0;
      const from = beyond ? 0 : (Math.abs(p.x - own.inner) / roundAt(down)) * round.long;
      const [x, z] = placeOn(round, m === 0 ? from : round.long - from);
      const at = assembly.particles[m]?.[i] as number;
      sums[3 * at] = (sums[3 * at] as number) + x;
      sums[3 * at + 1] = (sums[3 * at + 1] as number) + top - down;
      sums[3 * at + 2] = (sums[3 * at + 2] as number) + z;
      times[at] = (times[at] as number) + 1;
    });
  });
  return sums.map((v, k) => {
    const particle = Math.floor(k / 3);
    return k % 3 === 0 && assembly.onMiddle[particle] === 1 ? 0 : v / (1000 * (times[particle] as number));
  });
}

/** Above the waist of the side, rows go up so far, in mm. */
const ABOVE = 120;

/** The outlines round a body on which the rows of a garment lie, by how far a row is below its top, which lies at `top`. */
function contoursRound(
  body: SolidBody,
  top: number,
  roundAt: (down: number) => number,
  hem: number,
): (down: number) => Contour {
  const downs = Array.from({ length: Math.ceil((hem + ABOVE) / ROW) + 2 }, (_, i) => i * ROW - ABOVE);
  const offs = downs.map((down) => {
    const wanted = roundAt(down);
    let [least, most]: [number, number] = [OFF.least, OFF.most];
    for (let i = 0; i < 6; i++) {
      const off = (least + most) / 2;
      if (contourAt(body, top - down, off).long < wanted) least = off;
      else most = off;
    }
    return (least + most) / 2;
  });
  const even = offs.map((_, i) => {
    const near = offs.slice(Math.max(0, i - EVENED), i + EVENED + 1);
    return near.reduce((sum, off) => sum + off, 0) / near.length;
  });
  const contours = downs.map((down, i) => contourAt(body, top - down, even[i] as number));
  return (down) => contours[Math.min(contours.length - 1, Math.max(0, Math.round((down + ABOVE) / ROW)))] as Contour;
}
