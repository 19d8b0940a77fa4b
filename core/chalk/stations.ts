import {
  angleBetween,
  boxOf,
  crossLine,
  distance,
  endDirection,
  flatten,
  isStraight,
  line,
  nearestPlace,
  pathBetweenPlaces,
  pathLength,
  placeAtLength,
  point,
  startDirection,
  type Cubic,
  type Path,
  type PathPlace,
  type Point,
} from '../geometry/index.js';
import { EDGE_WORDS, type Edge, type EdgeRole, type Part } from '../garment/index.js';

/** A place on a line where chalk is set: a corner, a level, or where a straight line begins to bend. */
export interface Station {
  /** The same on every draft: `waist.side`, `side@hip`. */
  readonly id: string;
  readonly label: string;
  readonly at: Point;
  /** The level it lies on, if it does. */
  readonly level?: string;
  /** What it is of a leg, whatever its corner is called. */
  readonly is?: 'centre waist' | 'side waist' | 'crotch point';
}

/** A stretch of the outline between two stations, in the order of the outline. */
export interface ChalkStretch {
  readonly from: Station;
  readonly to: Station;
  readonly path: Path;
  readonly straight: boolean;
  /** The edge of the part that it is the line of, or lies outside of. */
  readonly edge: Edge;
}

/** A level of a part: the word of its line without “line”, and where it lies. */
export interface ChalkLevel {
  readonly name: string;
  readonly y: number;
}

/** An outline that turns by more than this between two curves has a corner there, in radians. */
const CORNER = 0.12;
/** A straight stretch shorter than this is taken with the curve beside it, in mm. */
const LEAST_STRAIGHT = 45;
/** Stations nearer than this are one, in mm, by what they are: two corners only where they are as good as one. */
const APART: Readonly<Record<Found['kind'], number>> = { corner: 1.5, level: 15, bend: 110 };
/** The fold of a hem is set however near its corner lies; a crotch line beside the crotch point need not be. */
const LEVEL_APART: Readonly<Record<string, number>> = { hem: 3, crotch: 60 };
/** Where a rise, or the edge of a small part, leaves its straight line matters more than where another seam does. */
const NEAR_BEND = 25;

/** What edges of a leg that a style has cut are called. */
const CUT_EDGES: Readonly<Record<string, string>> = {
  flyOpening: 'fly',
  pocketMouth: 'pocket mouth',
  yokeLine: 'yoke line',
  zipOpening: 'zip opening',
  slit: 'slit',
};
/** A stretch within this of its chord is chalked straight, as a share of a step of the tape. */
const STRAIGHT = 0.25;
/** A corner this far from where two edges of the net line meet is named by it, in mm. */
const NAMED_WITHIN = 75;

/** What the corner of two edges of a leg is called, by their roles in the order of the outline. */
const CORNERS: readonly (readonly [EdgeRole, EdgeRole, string])[] = [
  ['rise', 'waist', 'centre waist'],
  ['waist', 'side', 'side waist'],
  ['side', 'hem', 'side hem'],
  ['hem', 'inseam', 'inseam hem'],
  ['inseam', 'rise', 'crotch point'],
];

/** What an edge is called within a sentence. */
export const edgeWords = ({ id, role, of }: Pick<Edge, 'id' | 'role' | 'of'>): string =>
  ofPanel(of, CUT_EDGES[id] ?? EDGE_WORDS[role]);

/** Words with the panel before them, where a part has edges of both. */
const ofPanel = (of: Edge['of'], words: string): string => (of === undefined ? words : `${of} ${words}`);

/** The level of the thigh is read from the piece, and not chalked. */
const NOT_CHALKED = 'thigh line';

/** The levels of a part that are chalked. */
export const levelsOf = ({ marks }: Part): readonly ChalkLevel[] =>
  marks
    .flatMap((m) =>
      m.kind === 'line' && m.meaning === 'level' && m.label !== NOT_CHALKED && m.path[0]
        ? [{ name: m.label.replace(/ line$/, ''), y: m.path[0].p0.y }]
        : [],
    )
    // Front and back of one piece have them both.
    .filter(({ name }, i, all) => all.findIndex((l) => l.name === name) === i);

/** A corner of the net line: between which edges, and where. */
interface NetCorner {
  readonly id: string;
  readonly label: string;
  readonly at: Point;
}

/** What the corner of two edges is called; a back that was turned over to its front has them the other way about. */
function cornerWords(edge: Edge, next: Edge): string | undefined {
  const of = edge.of ?? next.of;
  const found = CORNERS.find(
    ([a, b]) => (a === edge.role && b === next.role) || (of === 'back' && b === edge.role && a === next.role),
  );
  return found && ofPanel(of, found[2]);
}

function netCorners({ edges, onFrame }: Part): NetCorner[] {
  return edges.flatMap((edge, i) => {
    const next = edges[(i + 1) % edges.length];
    const at = edge.path.at(-1)?.p3;
    if (!next || !at) return [];
    const named = onFrame ? cornerWords(edge, next) : undefined;
    const words = onFrame ? `corner of ${edgeWords(edge)} and ${edgeWords(next)}` : 'corner';
    return [{ id: `${edge.id}.${next.id}`, label: named ?? words, at }];
  });
}

/** A station in the finding: where on the outline, and how much it weighs against one that lies close. */
interface Found {
  readonly place: PathPlace;
  readonly at: Point;
  readonly kind: 'corner' | 'level' | 'bend';
  readonly level?: ChalkLevel;
}

const place = (index: number, t: number): PathPlace => ({ index, t });

/** Places where the outline turns, or where a long straight line begins or ends. */
function cornersAndBends(outline: Path): Found[] {
  const long = (c: Cubic | undefined): boolean =>
    c !== undefined && isStraight(c) && distance(c.p0, c.p3) >= LEAST_STRAIGHT;
  return outline.flatMap((c, i): Found[] => {
    const before = outline[(i + outline.length - 1) % outline.length];
    if (!before) return [];
    const turn = angleBetween(endDirection([before]), startDirection([c]));
    if (turn > CORNER) return [{ place: place(i, 0), at: c.p0, kind: 'corner' }];
    if (long(c) !== long(before)) return [{ place: place(i, 0), at: c.p0, kind: 'bend' }];
    return [];
  });
}

/** The outermost places where a level crosses the outline. */
function crossings(outline: Path, level: ChalkLevel): Found[] {
  const hits = crossLine(outline, point(0, level.y), point(1, 0)).sort((a, b) => a.at.x - b.at.x);
  const [first, last] = [hits[0], hits.at(-1)];
  if (!first || !last || first === last) return [];
  return [first, last].map((hit) => ({ place: place(hit.index, hit.t), at: hit.at, kind: 'level', level }));
}

const WEIGHT = { corner: 0, level: 1, bend: 2 } as const;

/** All places, those that lie close taken as one: a corner before a level, a level before a bend. */
function thinned(part: Part, found: readonly Found[]): Found[] {
  const onRise = ({ at }: Found): boolean => edgeAt(part.edges, at).role === 'rise';
  const apartOf = (one: Found): number => {
    if (one.kind === 'bend' && (!part.onFrame || onRise(one))) return NEAR_BEND;
    return LEVEL_APART[one.level?.name ?? ''] ?? APART[one.kind];
  };
  const kept: Found[] = [];
  for (const one of [...found].sort((a, b) => WEIGHT[a.kind] - WEIGHT[b.kind])) {
    const apart = apartOf(one);
    const near = kept.findIndex((k) => distance(k.at, one.at) < apart);
    const there = kept[near];
    if (!there) kept.push(one);
    else if (one.level && !there.level) kept[near] = { ...there, level: one.level };
  }
  return kept.sort((a, b) => a.place.index - b.place.index || a.place.t - b.place.t);
}

/** The edge that a line lies on or outside of. */
function edgeAt(edges: readonly Edge[], at: Point): Edge {
  let best: { edge: Edge; away: number } | undefined;
  for (const edge of edges) {
    const away = nearestPlace(edge.path, at).distance;
    if (!best || away < best.away) best = { edge, away };
  }
  if (!best) throw new Error('A part without edges has no outline');
  return best.edge;
}

/** The corner of the net line that each corner of an outline belongs to: the nearest takes the name. */
function namedCorners(part: Part, corners: readonly Found[]): Map<Found, { id: string; label: string }> {
  const names = new Map<Found, { id: string; label: string }>();
  const taken = new Set<string>();
  const pairs = netCorners(part)
    .flatMap((net) => corners.map((corner) => ({ corner, net, away: distance(corner.at, net.at) })))
    .filter(({ away }) => away < NAMED_WITHIN)
    .sort((a, b) => a.away - b.away);
  for (const { corner, net } of pairs) {
    if (names.has(corner) || taken.has(net.id)) continue;
    names.set(corner, { id: net.id, label: net.label });
    taken.add(net.id);
  }
  for (const corner of corners) {
    if (names.has(corner)) continue;
    const edge = edgeAt(part.edges, corner.at);
    const darted = edge.role === 'waist' && part.marks.some((m) => m.kind === 'line' && m.meaning === 'dart');
    const label = darted ? 'top of the dart' : part.onFrame ? `corner of the ${edgeWords(edge)}` : 'corner';
    names.set(corner, { id: `${edge.id}#`, label });
  }
  return names;
}

/** Which corner is what of a leg: the ends of its waist, and the crotch point. */
function rolesOf(part: Part, stations: readonly Station[]): Map<string, NonNullable<Station['is']>> {
  const found = new Map<string, NonNullable<Station['is']>>();
  if (!part.onFrame) return found;
  const waists = part.edges.filter((e) => e.role === 'waist').map((e) => e.id);
  const ends = stations
    .filter(({ id }) => waists.some((w) => id.startsWith(`${w}.`) || id.endsWith(`.${w}`)))
    .sort((a, b) => a.at.x - b.at.x);
  const [side, centre] = [ends[0], ends.at(-1)];
  if (side && centre && side !== centre) {
    found.set(side.id, 'side waist');
    found.set(centre.id, 'centre waist');
  }
  const crotch = stations.find(({ label }) => label === 'crotch point' || label === 'front crotch point');
  if (crotch) found.set(crotch.id, 'crotch point');
  return found;
}

const stretchStraight = (path: Path, step: number): boolean => {
  const points = flatten(path, 0.1);
  const [a, b] = [points[0], points.at(-1)];
  if (!a || !b || distance(a, b) < 1e-6) return false;
  const chord = [line(a, b)];
  return points.every((p) => nearestPlace(chord, p).distance < STRAIGHT * step);
};

/** A stretch of a closed path from one place to another, on over its start where need be. */
const around = (outline: Path, from: PathPlace, to: PathPlace): Path => {
  const last = place(outline.length - 1, 1);
  const runsOn = to.index < from.index || (to.index === from.index && to.t <= from.t);
  if (!runsOn) return pathBetweenPlaces(outline, from, to);
  const head = to.index === 0 && to.t === 0 ? [] : pathBetweenPlaces(outline, place(0, 0), to);
  return [...pathBetweenPlaces(outline, from, last), ...head];
};

/** x of the crease, or of the middle. */
function middleOf({ marks, edges }: Part): number {
  const crease = marks.find((m) => m.kind === 'line' && m.meaning === 'crease');
  if (crease?.kind === 'line' && crease.path[0]) return crease.path[0].p0.x;
  const { minX, maxX } = boxOf(edges.flatMap(({ path }) => flatten(path, 1)));
  return (minX + maxX) / 2;
}

/** What a place on a level is called: by the side of the piece on which it lies. */
function levelLabel(edge: Edge, level: string, onSide: boolean): string {
  const atSide = onSide && edge.of === undefined;
  if (level === 'hem') return `fold of the hem at the ${atSide ? 'side' : ofPanel(edge.of, 'inseam')}`;
  const words = atSide
    ? 'side'
    : edge.role === 'rise' || edge.role === 'opening'
      ? ofPanel(edge.of, 'centre')
      : edgeWords(edge);
  return `${words} at the ${level}`;
}

/** A smooth outline without a corner is begun where it lies furthest up, and parted where it lies furthest down. */
function ofSmooth(outline: Path): Found[] {
  const box = boxOf(flatten(outline, 0.1));
  return [box.minY, box.maxY].map((y) => {
    const { index, t, at } = nearestPlace(outline, point((box.minX + box.maxX) / 2, y));
    return { place: place(index, t), at, kind: 'corner' as const };
  });
}

/**
 * A closed outline of a part, net or cut, as stretches between stations: its corners, its levels, and where a straight
 * line begins to bend (docs/trade/chalk.md); `step` is the tape's, in mm. In the order of the outline, the last ending
 * where the first begins.
 */
export function stretchesOf(part: Part, outline: Path, step: number): readonly ChalkStretch[] {
  const found = thinned(part, [...cornersAndBends(outline), ...levelsOf(part).flatMap((l) => crossings(outline, l))]);
  const places = found.length > 1 ? found : ofSmooth(outline).sort((a, b) => a.place.index - b.place.index);
  const names = namedCorners(
    part,
    places.filter((f) => f.kind === 'corner'),
  );
  const used = new Map<string, number>();
  const middle = middleOf(part);
  const stations = places.map((f): Station => {
    const edge = edgeAt(part.edges, f.at);
    const own = names.get(f) ?? {
      id: f.level ? `${edge.id}@${f.level.name}` : `${edge.id}~`,
      label: f.level ? levelLabel(edge, f.level.name, f.at.x < middle) : `where the ${edgeWords(edge)} begins to bend`,
    };
    const count = (used.get(own.id) ?? 0) + 1;
    used.set(own.id, count);
    const level = f.level ? { level: f.level.name } : {};
    return { id: count === 1 ? own.id : `${own.id}${count}`, label: own.label, at: f.at, ...level };
  });
  const roles = rolesOf(part, stations);
  for (const [i, station] of stations.entries()) {
    const is = roles.get(station.id);
    if (is) stations[i] = { ...station, is };
  }
  return places.map((f, i): ChalkStretch => {
    const next = (i + 1) % places.length;
    const path = around(outline, f.place, places[next]?.place ?? f.place);
    return {
      from: stations[i] as Station,
      to: stations[next] as Station,
      path,
      straight: stretchStraight(path, step),
      edge: edgeAt(part.edges, placeAtLength(path, pathLength(path) / 2).at),
    };
  });
}
