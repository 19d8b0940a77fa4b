import type { EdgeRole, Garment } from '../garment/index.js';
import { distance, type Point } from '../geometry/index.js';
import type { PartMesh } from './mesh.js';

/** One triangle of cloth at rest: how its sides pull along and across, for lengths in metres. */
export interface Triangles {
  /** Three particles each. */
  readonly corners: Int32Array;
  /** How each corner moves the weft and the warp direction, in 1/m: six a triangle. */
  readonly pulls: Float64Array;
  /** In square metres. */
  readonly area: Float64Array;
}

/** Where two triangles meet: four particles, the weights of their bend, and the sum of both areas in square metres. */
export interface Bends {
  readonly corners: Int32Array;
  readonly weights: Float64Array;
  readonly area: Float64Array;
  /** One where the fourth is the third seen in the mirror. */
  readonly mirrored: Uint8Array;
}

/** A garment sewn together, one half of it: places of parts that come together in a seam are one particle. */
export interface Assembly {
  readonly meshes: readonly PartMesh[];
  readonly count: number;
  /** The particle of each place of each mesh. */
  readonly particles: readonly Int32Array[];
  /** One where a particle lies in the middle of the body. */
  readonly onMiddle: Uint8Array;
  readonly triangles: Triangles;
  /** Which mesh each triangle is of. */
  readonly meshOf: Uint8Array;
  readonly bends: Bends;
  /** Particles along the waist, from the middle in front to the middle behind. */
  readonly waist: readonly number[];
  /** The length of the waist between each of them and the next, in metres. */
  readonly waistSteps: readonly number[];
  /** Area of cloth that hangs on each particle, in square metres. */
  readonly share: Float64Array;
}

const MM = 1000;

/** Places that are one, by the place each stands for. */
class Together {
  private readonly of: Int32Array;
  constructor(count: number) {
    this.of = Int32Array.from({ length: count }, (_, i) => i);
  }
  root(i: number): number {
    let at = i;
    while ((this.of[at] as number) !== at) at = this.of[at] as number;
    return at;
  }
  join(a: number, b: number): void {
    const [x, y] = [this.root(a), this.root(b)];
    this.of[Math.max(x, y)] = Math.min(x, y);
  }
}

/** Sews meshes together: seams and darts become one, rises lie in the middle. */
export function sewUp(garment: Garment, meshes: readonly PartMesh[]): Assembly {
  const starts = meshes.map((_, m) => meshes.slice(0, m).reduce((sum, { places }) => sum + places.length, 0));
  const all = meshes.reduce((sum, { places }) => sum + places.length, 0);
  const meshAt = new Map(meshes.map(({ outline }, m) => [outline.part.id, m]));
  const together = new Together(all);
  const runOf = (part: string, edge: string): number[] | undefined => {
    const m = meshAt.get(part);
    if (m === undefined) return undefined;
    return meshes[m]?.outline.edges.get(edge)?.map((i) => (starts[m] as number) + i);
  };
  for (const { first, second } of garment.seams) {
    if (second.mirrored) continue;
    const [a, b] = [runOf(first.part, first.edge), runOf(second.part, second.edge)];
    if (!a || !b) continue;
    const turned = first.backward === second.backward ? b : [...b].reverse();
    a.forEach((i, k) => {
      together.join(i, turned[k] as number);
    });
  }
  meshes.forEach(({ outline }, m) => {
    const start = starts[m] as number;
    for (const [a, b] of outline.darts) a.forEach((i, k) => together.join(start + i, start + (b[k] as number)));
  });
  const number = new Map<number, number>();
  const particles = meshes.map(({ places }, m) =>
    Int32Array.from(places, (_, i) => {
      const root = together.root((starts[m] as number) + i);
      const known = number.get(root) ?? number.size;
      number.set(root, known);
      return known;
    }),
  );
  const count = number.size;
  const onMiddle = new Uint8Array(count);
  for (const { first, second } of garment.seams) {
    const m = meshAt.get(first.part);
    if (!second.mirrored || m === undefined) continue;
    for (const i of meshes[m]?.outline.edges.get(first.edge) ?? []) onMiddle[particles[m]?.[i] as number] = 1;
  }
  const flat = meshes.map(flatten);
  const { triangles, meshOf, share } = trianglesOf(meshes, flat, particles, count);
  return {
    meshes,
    count,
    particles,
    onMiddle,
    triangles,
    meshOf,
    bends: bendsOf(meshes, flat, particles, onMiddle),
    ...waistOf(meshes, particles),
    share,
  };
}

/** The places of a mesh across and along the warp, in metres. */
function flatten({ places, warp }: PartMesh): Point[] {
  return places.map(({ x, y }) => ({ x: (x * warp.y - y * warp.x) / MM, y: (x * warp.x + y * warp.y) / MM }));
}

function trianglesOf(
  meshes: readonly PartMesh[],
  flat: readonly (readonly Point[])[],
  particles: readonly Int32Array[],
  count: number,
): { triangles: Triangles; meshOf: Uint8Array; share: Float64Array } {
  const total = meshes.reduce((sum, { triangles }) => sum + triangles.length, 0);
  const corners = new Int32Array(3 * total);
  const pulls = new Float64Array(6 * total);
  const area = new Float64Array(total);
  const meshOf = new Uint8Array(total);
  const share = new Float64Array(count);
  let t = 0;
  meshes.forEach(({ triangles }, m) => {
    const of = flat[m] as readonly Point[];
    for (const triangle of triangles) {
      const [a, b, c] = triangle.map((i) => of[i] as Point) as [Point, Point, Point];
      const twice = (b.x - a.x) * (c.y - a.y) - (c.x - a.x) * (b.y - a.y);
      // The slopes of the three corners' shares over the triangle.
      const slopes = [b.y - c.y, c.x - b.x, c.y - a.y, a.x - c.x, a.y - b.y, b.x - a.x];
      slopes.forEach((s, k) => (pulls[6 * t + k] = s / twice));
      area[t] = Math.abs(twice) / 2;
      meshOf[t] = m;
      triangle.forEach((i, k) => {
        const p = particles[m]?.[i] as number;
        corners[3 * t + k] = p;
        share[p] = (share[p] as number) + Math.abs(twice) / 6;
      });
      t++;
    }
  });
  return { triangles: { corners, pulls, area }, meshOf, share };
}

/** The cotangent of the angle at `at` between two other places. */
function cotangent(at: Point, p: Point, q: Point): number {
  const [ux, uy, vx, vy] = [p.x - at.x, p.y - at.y, q.x - at.x, q.y - at.y];
  return (ux * vx + uy * vy) / Math.max(1e-12, Math.abs(ux * vy - uy * vx));
}

interface Side {
  readonly third: number;
  /** The cotangents at the edge's two ends, and the area. */
  readonly cots: readonly [number, number];
  readonly area: number;
}

/** Every place where two triangles meet, across seams and across the middle too (Bergou et al., isometric bending). */
function bendsOf(
  meshes: readonly PartMesh[],
  flat: readonly (readonly Point[])[],
  particles: readonly Int32Array[],
  onMiddle: Uint8Array,
): Bends {
  const sides = new Map<number, Side[]>();
  const key = (a: number, b: number): number => Math.min(a, b) * 1_000_000 + Math.max(a, b);
  meshes.forEach(({ triangles }, m) => {
    const of = flat[m] as readonly Point[];
    const particle = (i: number): number => particles[m]?.[i] as number;
    for (const triangle of triangles) {
      for (let k = 0; k < 3; k++) {
        const [i, j, o] = [triangle[k], triangle[(k + 1) % 3], triangle[(k + 2) % 3]] as [number, number, number];
        const [p, q, r] = [of[i], of[j], of[o]] as [Point, Point, Point];
        const [a, b] = [particle(i), particle(j)];
        const area = Math.abs((q.x - p.x) * (r.y - p.y) - (r.x - p.x) * (q.y - p.y)) / 2;
        const cots: [number, number] = [cotangent(p, q, r), cotangent(q, p, r)];
        const side: Side = { third: particle(o), cots: a < b ? cots : [cots[1], cots[0]], area };
        const found = sides.get(key(a, b));
        if (found) found.push(side);
        else sides.set(key(a, b), [side]);
      }
    }
  });
  const corners: number[] = [];
  const weights: number[] = [];
  const area: number[] = [];
  const mirrored: number[] = [];
  for (const [at, [one, other]] of sides) {
    const [a, b] = [Math.floor(at / 1_000_000), at % 1_000_000];
    if (!one) continue;
    const mirror = !other && onMiddle[a] === 1 && onMiddle[b] === 1;
    const second = other ?? (mirror ? one : undefined);
    if (!second) continue;
    corners.push(a, b, one.third, second.third);
    // c03 + c04, c01 + c02, and less both of either triangle.
    weights.push(
      one.cots[1] + second.cots[1],
      one.cots[0] + second.cots[0],
      -one.cots[0] - one.cots[1],
      -second.cots[0] - second.cots[1],
    );
    area.push(one.area + second.area);
    mirrored.push(mirror ? 1 : 0);
  }
  return {
    corners: Int32Array.from(corners),
    weights: Float64Array.from(weights),
    area: Float64Array.from(area),
    mirrored: Uint8Array.from(mirrored),
  };
}

/** The waist from the middle in front round the side to the middle behind, as it is sewn. */
function waistOf(
  meshes: readonly PartMesh[],
  particles: readonly Int32Array[],
): Pick<Assembly, 'waist' | 'waistSteps'> {
  const waist: number[] = [];
  const waistSteps: number[] = [];
  meshes.forEach(({ outline, places }, m) => {
    // A part's waist runs from its middle to its side; what comes after the first is taken from the side.
    const runs = m === 0 ? outline.waist : [...outline.waist].reverse().map((run) => [...run].reverse());
    for (const run of runs)
      run.forEach((i, k) => {
        const p = particles[m]?.[i] as number;
        if (waist[waist.length - 1] === p) return;
        const before = run[k - 1];
        if (before !== undefined) waistSteps.push(distance(places[before] as Point, places[i] as Point) / MM);
        waist.push(p);
      });
  });
  return { waist, waistSteps };
}

/** The particles along all edges of a role, in the order of the outlines, none twice. */
export const particlesOf = ({ meshes, particles }: Assembly, role: EdgeRole): number[] => [
  ...new Set(
    meshes.flatMap(({ outline }, m) =>
      outline.part.edges
        .filter((e) => e.role === role)
        .flatMap((e) => (outline.edges.get(e.id) ?? []).map((i) => particles[m]?.[i] as number)),
    ),
  ),
];
