import type { AdoptedPattern, AdoptedPiece, Block, EdgeName, Panel } from '../draft/index.js';
import {
  add,
  angleBetween,
  curvesOf,
  distance,
  endDirection,
  endOf,
  line,
  pathLength,
  placeAtLength,
  point,
  splineThrough,
  startDirection,
  startOf,
  subtract,
  unit,
  type Path,
  type Point,
} from '../geometry/index.js';
import { PANEL_NAMES } from '../method/index.js';
import { good, refusal, refused, type Outcome } from '../refusal/index.js';
import {
  gradeOrigin,
  inOneLine,
  placesAlong,
  placesOf,
  stretchesOf,
  type GradeStretch,
  type PlaceId,
} from './grade-places.js';
import { movesBetween, placesAt, type GradeRule } from './grade-rule.js';
import { moveThrough, type Station } from './move-through.js';

/** Figures of a graded line are kept to so many decimals of a mm. */
const DIGITS = 5;

/**
 * What the places of a piece move by from the size that the block is; and whether the block is the one that the rule was
 * written from, so that what lies between its corners and levels moves as it does there.
 */
interface Moves {
  readonly by: ReadonlyMap<PlaceId, Point>;
  readonly own: boolean;
}

/** A piece is one that a rule was written from where no place of it lies further off than this, in mm. */
const OWN = 25;

const FAR = point(Infinity, 0);

/** Whether both pieces of a block are those that a rule was written from: what is sewn to one another is graded alike. */
const isOwn = (block: Block, rule: GradeRule, from: string): boolean =>
  PANEL_NAMES.every((name) => {
    const ruled = placesAt(rule, name, from);
    return [...placesOf(block[name])].every(([id, at]) => distance(at, ruled.get(id) ?? FAR) < OWN);
  });

/** What the places of an edge move by, by its length along the whole edge, in its stretches. */
function stationsOf(parts: readonly GradeStretch[], { by, own }: Moves): readonly (readonly Station[])[] {
  let run = 0;
  return parts.map((part) => {
    const straightAfter = !own && inOneLine(pointsAlong(part));
    const stations = placesAlong(part).flatMap(([id, at]): Station[] => {
      const move = own || id === part.from || id === part.to ? by.get(id) : undefined;
      return move ? [{ at: run + at, move, straightAfter }] : [];
    });
    run += pathLength(part.path);
    return stations;
  });
}

const pointsAlong = (part: GradeStretch): readonly Point[] =>
  placesAlong(part).map(([, at]) => placeAtLength(part.path, at).at);

/** Two stretches that meet at less than this, in radians, are one bend. */
const ONE_BEND = 0.01;
/** And they meet within this, in mm: between the sections of a waist lies a dart. */
const ONE_PLACE = 1e-3;

/** A stretch with the points that it is drawn through once they are moved. */
interface Moved {
  readonly straight: boolean;
  readonly points: readonly Point[];
  /** Whether it goes on from the stretch before it in one bend. */
  readonly goesOn: boolean;
}

const directionOf = ([from, to]: readonly Point[]): Point | undefined => from && to && unit(subtract(to, from));

/** Stretches drawn anew: straights straight, bends that go on from one another as one curve, tangent to its straights. */
function drawn(parts: readonly Moved[]): readonly Path[] {
  const paths: Path[] = [];
  for (let i = 0; i < parts.length;) {
    const { straight, points } = parts[i] as Moved;
    if (straight) {
      paths.push([line(points[0] as Point, points.at(-1) as Point)]);
      i += 1;
      continue;
    }
    let to = i + 1;
    while (to < parts.length && !parts[to]?.straight && parts[to]?.goesOn) to += 1;
    const bends = parts.slice(i, to);
    const [before, after] = [parts[i - 1], parts[to]];
    const curve = splineThrough(
      bends.flatMap((bend, k) => bend.points.slice(k === 0 ? 0 : 1)),
      before?.straight && parts[i]?.goesOn ? directionOf(before.points) : undefined,
      after?.straight && after.goesOn ? directionOf(after.points) : undefined,
    );
    let run = 0;
    for (const bend of bends) {
      paths.push(curve.slice(run, run + bend.points.length - 1));
      run += bend.points.length - 1;
    }
    i = to;
  }
  return paths;
}

/** An edge with each of its stretches moved: what was one bend stays one, and straights stay straight. */
function movedEdge(parts: readonly GradeStretch[], moves: Moves): readonly Path[] {
  const stations = stationsOf(parts, moves);
  // A waist with darts is moved section by section, or as one line where the rule does not have the same darts.
  const bySection =
    parts.some(({ from }) => from.startsWith('dart')) && parts.every((p) => moves.by.has(p.from) && moves.by.has(p.to));
  let run = 0;
  return drawn(
    parts.map((part, i): Moved => {
      const by = moveThrough(bySection ? (stations[i] ?? []) : stations.flat(), moves.own);
      const begin = run;
      run += pathLength(part.path);
      const before = parts[i - 1];
      const was = pointsAlong(part);
      const points = placesAlong(part).map(([, at], k) => add(was[k] as Point, by(begin + at)));
      return {
        straight: inOneLine(points),
        points,
        goesOn:
          before !== undefined &&
          distance(endOf(before.path), startOf(part.path)) < ONE_PLACE &&
          angleBetween(endDirection(before.path), startDirection(part.path)) < ONE_BEND,
      };
    }),
  );
}

function gradedPiece(panel: Panel, moves: Moves): AdoptedPiece {
  const moved = (edge: EdgeName): readonly Path[] => movedEdge(stretchesOf(panel, edge), moves);
  const numbers = (parts: readonly Path[]): number[] => curvesOf(parts.flat(), DIGITS);
  const waist = moved('waist');
  return {
    waist: waist.map((section) => curvesOf(section, DIGITS)),
    side: numbers(moved('side')),
    hem: numbers(moved('hem')),
    inseam: numbers(moved('inseam')),
    rise: numbers(moved('rise')),
    apexes: panel.darts.map(({ apex, centreLeg, sideLeg }, i) => {
      const own = moves.by.get(`dart${i + 1}.apex`);
      if (own && panel.darts.length === waist.length - 1) return add(apex, own);
      // Carried as the middle of its mouth is.
      const [a, b] = [endOf(waist[i] ?? []), startOf(waist[i + 1] ?? [])];
      return add(apex, point((a.x + b.x - centreLeg.x - sideLeg.x) / 2, (a.y + b.y - centreLeg.y - sideLeg.y) / 2));
    }),
  };
}

/**
 * The block of a garment in another size of a grade rule: every place moved by what the rule says from the size that the
 * block is to the other, what lies between them moved with them (docs/trade/sizes.md). Levels and crease go with it. Refused
 * where the rule lacks a size, or where it was written of pieces that end above the knee and these do not, or the
 * other way round.
 */
export function gradedPattern(
  block: Block,
  rule: GradeRule,
  from: string,
  to: string,
  about: { readonly name: string; readonly date: string },
): Outcome<AdoptedPattern> {
  if (PANEL_NAMES.some((name) => block[name].kneeOnPiece !== rule.kneeOnPiece))
    return refused(refusal('pattern', 'gradeKnee'));
  const missing = [from, to].find((size) => !rule.sizes.includes(size));
  if (missing !== undefined) return refused(refusal('pattern', 'gradeSize', { size: missing }));
  const own = isOwn(block, rule, from);
  const [front, back]: readonly [Moves, Moves] = [
    { by: movesBetween(rule, 'front', from, to), own },
    { by: movesBetween(rule, 'back', from, to), own },
  ];
  const { crease, levels } = block.front;
  const by = (id: PlaceId): Point => front.by.get(id) ?? point(0, 0);
  const origin = gradeOrigin(block.front);
  const hemMiddle = ({ points }: Panel, moves: Moves): number =>
    (points.sideHem.x + points.inseamHem.x + (moves.by.get('sideHem')?.x ?? 0) + (moves.by.get('inseamHem')?.x ?? 0)) /
    2;
  return good({
    ...about,
    front: gradedPiece(block.front, front),
    back: gradedPiece(block.back, back),
    hipAbove: origin.y - levels.hipLevel - by('sideHip').y + by('crotchPoint').y,
    kneeBelow: levels.kneeLevel - origin.y + by('sideKnee').y - by('crotchPoint').y,
    // The crease is what the places are counted from: it stays.
    creaseOff: crease - hemMiddle(block.front, front),
    creaseOffBack: block.back.crease - hemMiddle(block.back, back),
  });
}
