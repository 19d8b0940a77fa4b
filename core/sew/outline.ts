import type { Garment, Part, Seam } from '../garment/index.js';
import { edgeOf, partOf } from '../garment/index.js';
import {
  distance,
  pathBetweenPlaces,
  pathLength,
  placeAtLength,
  pointAt,
  type Path,
  type PathPlace,
  type Point,
} from '../geometry/index.js';

/** Where an edge is parted, in mm along it, both ends among them, and into how many steps each part. */
interface Parting {
  readonly at: readonly number[];
  readonly steps: readonly number[];
}

/** A part's outline as places, its darts cut out. Indices count round the outline. */
export interface SampledOutline {
  readonly part: Part;
  readonly places: readonly Point[];
  /** The places of each edge in the order of the outline, both ends among them; a waist without what its darts take. */
  readonly edges: ReadonlyMap<string, readonly number[]>;
  /** The runs of the waist between darts. */
  readonly waist: readonly (readonly number[])[];
  /** The two legs of each dart, place by place from the waist to the apex. */
  readonly darts: readonly (readonly [first: readonly number[], second: readonly number[]])[];
}

const stepsOf = (long: number, spacing: number): number => Math.max(1, Math.round(long / spacing));

const lengthTo = (path: Path, place: PathPlace): number =>
  pathLength(pathBetweenPlaces(path, { index: 0, t: 0 }, place));

/** The partings of both edges of a seam: as many steps on either between what is matched in it. */
function seamPartings(garment: Garment, seam: Seam, spacing: number): readonly [Parting, Parting] {
  const cutsOf = (which: 'first' | 'second'): number[] => {
    const { path } = edgeOf(partOf(garment, seam[which].part), seam[which].edge);
    const cuts = [0, ...seam.matches.map((m) => lengthTo(path, m[which])).sort((a, b) => a - b), pathLength(path)];
    return seam[which].backward ? cuts.reverse() : cuts;
  };
  const [first, second] = [cutsOf('first'), cutsOf('second')];
  const long = (cuts: readonly number[], i: number): number => Math.abs((cuts[i + 1] ?? 0) - (cuts[i] ?? 0));
  const steps = first.slice(1).map((_, i) => stepsOf(Math.max(long(first, i), long(second, i)), spacing));
  const inOrder = (cuts: number[], backward: boolean): Parting =>
    backward ? { at: [...cuts].reverse(), steps: [...steps].reverse() } : { at: cuts, steps };
  return [inOrder(first, seam.first.backward), inOrder(second, seam.second.backward)];
}

const evenly = (path: Path, from: number, to: number, steps: number): Point[] =>
  Array.from({ length: steps + 1 }, (_, i) => placeAtLength(path, from + ((to - from) * i) / steps)).map(
    ({ index, t }) => pointAt(path[index] as Path[number], t),
  );

const partedPlaces = (path: Path, { at, steps }: Parting): Point[] =>
  steps.flatMap((n, i) => evenly(path, at[i] as number, at[i + 1] as number, n).slice(i === 0 ? 0 : 1));

/** How fine an edge is searched for the foot of a dart, in mm. */
const SEARCH = 0.5;

/** The length along a path that is nearest to a place, in mm. */
function nearestLength(path: Path, to: Point): number {
  const long = pathLength(path);
  const count = Math.ceil(long / SEARCH);
  let [least, at] = [Infinity, 0];
  for (const [i, p] of evenly(path, 0, long, count).entries()) {
    const far = distance(p, to);
    if (far < least) [least, at] = [far, (long * i) / count];
  }
  return at;
}

/** The darts of a part by where they leave its waist, in mm along it. */
function dartsOf(part: Part, waist: Path): { from: number; to: number; first: Point; apex: Point; second: Point }[] {
  return part.marks
    .flatMap((mark) => {
      if (mark.kind !== 'line' || mark.meaning !== 'dart') return [];
      const [down, up] = [mark.path[0], mark.path[mark.path.length - 1]];
      if (!down || !up) return [];
      const ends = [down.p0, up.p3].map((p) => ({ p, at: nearestLength(waist, p) })).sort((a, b) => a.at - b.at);
      const [a, b] = ends as [(typeof ends)[number], (typeof ends)[number]];
      return [{ from: a.at, to: b.at, first: a.p, apex: down.p3, second: b.p }];
    })
    .sort((a, b) => a.from - b.from);
}

const between = (a: Point, b: Point, steps: number): Point[] =>
  Array.from({ length: steps + 1 }, (_, i) => ({
    x: a.x + ((b.x - a.x) * i) / steps,
    y: a.y + ((b.y - a.y) * i) / steps,
  }));

/**
 * The outlines of parts as places about `spacing` mm apart, as many on either side of a seam; darts are cut out, both
 * legs alike. What is sewn to the other leg has as many as that leg has, where it is another's.
 */
export function sampleOutlines(
  garment: Garment,
  parts: readonly Part[],
  spacing: number,
  otherLeg: Garment = garment,
): SampledOutline[] {
  const partings = new Map<string, Parting>();
  const key = (part: string, edge: string): string => `${part} ${edge}`;
  for (const seam of garment.seams) {
    if (seam.second.mirrored) {
      const { part, edge } = seam.first;
      const [own, others] = [garment, otherLeg].map((of) => pathLength(edgeOf(partOf(of, part), edge).path));
      if (own === undefined || others === undefined) continue;
      partings.set(key(part, edge), { at: [0, own], steps: [stepsOf(Math.max(own, others), spacing)] });
      continue;
    }
    const [first, second] = seamPartings(garment, seam, spacing);
    partings.set(key(seam.first.part, seam.first.edge), first);
    partings.set(key(seam.second.part, seam.second.edge), second);
  }
  return parts.map((part): SampledOutline => {
    const places: Point[] = [];
    const edges = new Map<string, number[]>();
    const waist: number[][] = [];
    const darts: [number[], number[]][] = [];
    /** Lays places on the outline; the first of them is the last of what was laid before. */
    const lay = (run: readonly Point[]): number[] => {
      const first = places.length === 0 ? 0 : places.length - 1;
      places.push(...(places.length === 0 ? run : run.slice(1)));
      return run.map((_, i) => first + i);
    };
    for (const { id, role, path } of part.edges) {
      const long = pathLength(path);
      const found = role === 'waist' ? dartsOf(part, path) : [];
      let from = 0;
      const own: number[] = [];
      for (const { from: mouth, to, first, apex, second } of found) {
        const run = lay([...evenly(path, from, mouth, stepsOf(mouth - from, spacing)).slice(0, -1), first]);
        waist.push(run);
        own.push(...run);
        const steps = stepsOf(Math.max(distance(first, apex), distance(second, apex)), spacing);
        const down = lay(between(first, apex, steps));
        const up = lay(between(apex, second, steps));
        darts.push([down, up.reverse()]);
        from = to;
      }
      const rest = lay(
        partings.has(key(part.id, id))
          ? partedPlaces(path, partings.get(key(part.id, id)) as Parting)
          : evenly(path, from, long, stepsOf(long - from, spacing)),
      );
      if (role === 'waist') waist.push(rest);
      edges.set(id, [...own, ...rest]);
    }
    // The outline ends where it began.
    const count = places.length - 1;
    places.pop();
    const closed = (run: readonly number[]): number[] => run.map((i) => i % count);
    return {
      part,
      places,
      edges: new Map([...edges].map(([id, run]) => [id, closed(run)])),
      waist: waist.map(closed),
      darts: darts.map(([a, b]) => [closed(a), closed(b)] as const),
    };
  });
}
