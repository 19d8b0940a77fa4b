import type { AdoptedPattern, AdoptedPiece, Block, EdgeName, Panel } from '../draft/index.js';
import {
  between,
  curvesOf,
  distance,
  endOf,
  joinChains,
  nearestPlace,
  pathLength,
  placeAtLength,
  reversePath,
  splitPath,
  startOf,
  type Path,
  type Point,
} from '../geometry/index.js';
import { PANEL_NAMES, type PanelName } from '../method/index.js';
import { good, refusal, refused, type Outcome } from '../refusal/index.js';
import { fairRow } from './fair-row.js';
import { namedEdges } from './named-edges.js';
import { drawnDarts } from './outline-darts.js';
import { laidOutline, type LaidShape, type Reference } from './reference.js';

/** Ends within this of one another are one corner, in mm. */
const CORNER = 2;
/** Figures of an adopted line are kept to so many decimals of a mm. */
const DIGITS = 3;

/** A dart by its legs' ends on the waist and its apex. */
interface FoundDart {
  readonly ends: readonly [Point, Point];
  readonly apex: Point;
}

/** The lines of a name as chains, whichever way they run. */
const chainsOf = (outline: readonly LaidShape[], name: EdgeName | 'dart'): Path[] =>
  joinChains(
    outline.flatMap((shape) => shape.stretches.filter((s) => s.name === name && s.path.length > 0).map((s) => s.path)),
    CORNER,
  ).map(({ path }) => path);

/** The darts that are cut into the outline: each a chain of two legs from the waist to an apex and back. */
const cutDarts = (outline: readonly LaidShape[]): FoundDart[] =>
  chainsOf(outline, 'dart').map((path) => {
    const [from, to] = [startOf(path), endOf(path)];
    const middle = between(from, to, 0.5);
    const apex = path.map(({ p3 }) => p3).reduce((a, b) => (distance(b, middle) > distance(a, middle) ? b : a), from);
    return { ends: [from, to], apex };
  });

/** A section of waist parted where a dart is drawn on it: what lies between the legs is left away. */
function parted(section: Path, { ends: [from, to] }: FoundDart): readonly [Path, Path] | undefined {
  const [a, b] = [nearestPlace(section, from), nearestPlace(section, to)];
  const [first, last] = a.length < b.length ? [a, b] : [b, a];
  if (first.distance > CORNER || last.distance > CORNER) return undefined;
  const whole = pathLength(section);
  if (first.length <= 0 || last.length >= whole) return undefined;
  const [before] = splitPath(section, placeAtLength(section, first.length));
  const [, after] = splitPath(section, placeAtLength(section, last.length));
  return before.length > 0 && after.length > 0 ? [before, after] : undefined;
}

/** The waist from the centre to the side, in sections between its darts, with the apex between each two. */
function waistOf(
  chains: readonly Path[],
  centre: Point,
  cut: readonly FoundDart[],
  drawn: readonly FoundDart[],
): { readonly sections: Path[]; readonly apexes: Point[] } | undefined {
  const near = (path: Path): number => Math.min(distance(startOf(path), centre), distance(endOf(path), centre));
  let sections = [...chains]
    .sort((a, b) => near(a) - near(b))
    .map((path) => (distance(startOf(path), centre) > distance(endOf(path), centre) ? reversePath(path) : path));
  for (const dart of drawn) {
    const at = sections.findIndex((section) => parted(section, dart) !== undefined);
    const parts = sections[at] && parted(sections[at], dart);
    if (parts) sections = [...sections.slice(0, at), ...parts, ...sections.slice(at + 1)];
  }
  const apexes = sections.slice(1).map((section, i) => {
    const [left, right] = [endOf(sections[i] as Path), startOf(section)];
    const sits = ({ ends: [a, b] }: FoundDart): boolean =>
      Math.min(distance(a, left) + distance(b, right), distance(b, left) + distance(a, right)) < 2 * CORNER;
    return [...cut, ...drawn].find(sits)?.apex;
  });
  return apexes.every((apex): apex is Point => apex !== undefined) ? { sections, apexes } : undefined;
}

/** A path with its ends moved onto the corners of the piece, which they nearly met. */
function cornered(path: Path, from: Point, to: Point): Path {
  return path.map((c, i) => ({
    ...c,
    ...(i === 0 && { p0: from }),
    ...(i === path.length - 1 && { p3: to }),
  }));
}

/** A piece taken over from an outline as it lies; nothing where a seam is missing, or is not one line. */
export function adoptedPiece(reference: Reference, name: PanelName, panel: Panel): AdoptedPiece | undefined {
  const outline = laidOutline(reference, name);
  const edges = namedEdges(outline, panel);
  const named = (edge: EdgeName): Path | undefined => edges.get(edge)?.path;
  const [side, hem, inseam, rise] = [named('side'), named('hem'), named('inseam'), named('rise')];
  const waist = edges.get('waist');
  if (!side || !hem || !inseam || !rise || !waist) return undefined;
  const drawn = drawnDarts(reference, name, waist).map(({ path, apex }): FoundDart => ({
    ends: [startOf(path), endOf(path)],
    apex,
  }));
  const centre = endOf(rise);
  const found = waistOf(chainsOf(outline, 'waist'), centre, cutDarts(outline), drawn);
  const [first, last] = [found?.sections[0], found?.sections[found.sections.length - 1]];
  if (!found || !first || !last) return undefined;
  const meets: readonly (readonly [Point, Point])[] = [
    [centre, startOf(first)],
    [endOf(last), startOf(side)],
    [endOf(side), startOf(hem)],
    [endOf(hem), startOf(inseam)],
    [endOf(inseam), startOf(rise)],
  ];
  if (meets.some(([a, b]) => distance(a, b) > CORNER)) return undefined;
  const [atCentre, atSide, sideHem, inseamHem, crotch] = meets.map(([a]) => a) as [Point, Point, Point, Point, Point];
  const kept = (path: Path, from: Point, to: Point): number[] => curvesOf(cornered(fairRow(path), from, to), DIGITS);
  const many = found.sections.length - 1;
  return {
    waist: found.sections.map((section, i) =>
      kept(section, i === 0 ? atCentre : startOf(section), i === many ? atSide : endOf(section)),
    ),
    side: kept(side, atSide, sideHem),
    hem: kept(hem, sideHem, inseamHem),
    inseam: kept(inseam, inseamHem, crotch),
    rise: kept(rise, crotch, atCentre),
    apexes: found.apexes,
  };
}

/** A front and a back together as the pattern that is adopted; refused where one is not there. */
export function adoptedFrom(
  name: string,
  date: string,
  { front, back }: Readonly<Record<PanelName, AdoptedPiece | undefined>>,
): Outcome<AdoptedPattern> {
  if (front && back) return good({ name, date, front, back });
  const missing = PANEL_NAMES.filter((panel) => (panel === 'front' ? front : back) === undefined);
  return refused(...missing.map((panel) => refusal('pattern', 'adoptedEdge', { panel })));
}

/**
 * An outline that is laid under a draft taken over as the block (docs/trade/truing.md). Refused where a piece has a seam
 * that is missing, or is not one line.
 */
export function adoptOutline(reference: Reference, block: Block, date: string): Outcome<AdoptedPattern> {
  const [front, back] = PANEL_NAMES.map((name) => adoptedPiece(reference, name, block[name]));
  return adoptedFrom(reference.name, date, { front, back });
}
