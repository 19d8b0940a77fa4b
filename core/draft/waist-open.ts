import {
  along,
  directionAt,
  distance,
  line,
  mapPath,
  meetLines,
  mirror,
  pathBetweenPlaces,
  pointAt,
  scale,
  subtract,
  unit,
  type Cubic,
  type Path,
  type PathPlace,
  type Point,
} from '../geometry/index.js';
import { open, type FlatDart } from './flat-dart.js';
import type { Dart } from './panel.js';
import type { ClosedWaist } from './waist-over.js';

/** The waist opened again for cutting. */
export interface OpenWaist {
  readonly edge: Path;
  readonly sections: readonly Path[];
  readonly darts: readonly Dart[];
}

/** The tip between the legs: the waist on the centre's side, folded back over the leg, meets the dart's fold there. */
function peakOf(apex: Point, centreLeg: Point, sideLeg: Point, waistward: Point): Point {
  const legUp = unit(subtract(centreLeg, apex));
  const folded = subtract(mirror(along(centreLeg, waistward, 1), centreLeg, legUp), centreLeg);
  const foldUp = unit(subtract(scale({ x: centreLeg.x + sideLeg.x, y: centreLeg.y + sideLeg.y }, 0.5), apex));
  const meeting = meetLines(apex, foldUp, centreLeg, folded);
  return meeting?.at ?? along(apex, foldUp, distance(apex, centreLeg));
}

const at = (path: Path, { index, t }: PathPlace): Point => pointAt(path[index] as Cubic, t);

/** Opens a closed waist again: sections between the darts, legs of equal length, the mouths peaked. */
export function openWaist({ path, cuts }: Pick<ClosedWaist, 'path' | 'cuts'>, flat: readonly FlatDart[]): OpenWaist {
  const start: PathPlace = { index: 0, t: 0 };
  const end: PathPlace = { index: path.length - 1, t: 1 };
  const bounds = [start, ...cuts, end];
  const sections = bounds.slice(0, -1).map((place, k): Path => {
    return mapPath(pathBetweenPlaces(path, place, bounds[k + 1] ?? end), (p) => open(p, flat, k));
  });
  const darts = flat.map((d, k): Dart => {
    const here = at(path, cuts[k] ?? start);
    const centreLeg = open(here, flat, k);
    const sideLeg = open(here, flat, k + 1);
    const before = sections[k]?.[(sections[k]?.length ?? 1) - 1];
    const toCentre = before ? scale(directionAt(before, 1), -1) : unit(subtract(at(path, start), centreLeg));
    return {
      apex: d.apex,
      centreLeg,
      sideLeg,
      peak: peakOf(d.apex, centreLeg, sideLeg, toCentre),
      intake: distance(centreLeg, sideLeg),
      length: distance(d.apex, centreLeg),
    };
  });
  const edge = sections.flatMap((section, k): Path => {
    const d = darts[k];
    return d ? [...section, line(d.centreLeg, d.peak), line(d.peak, d.sideLeg)] : section;
  });
  return { edge, sections, darts };
}
