import {
  between,
  distance,
  endOf,
  fairPath,
  line,
  mapPath,
  meetLines,
  pathLength,
  placeAtLength,
  quarterTurn,
  reversePath,
  splitPath,
  startOf,
  subtract,
  unit,
  type Path,
  type Point,
} from '../../geometry/index.js';
import { closeOver, type FlatDart } from '../../draft/index.js';
import { COMPONENT_LABELS, edgeOf, type Edge, type Part, type PartMark } from '../../garment/index.js';
import { component, isRefused, refuse, sized, type Refused } from '../component.js';
import { flatDart } from '../closed-panel.js';
import {
  carriers,
  cutLike,
  edgesInstead,
  named,
  panelOf,
  sewnInstead,
  withPart,
  withParts,
  type Making,
} from '../making.js';
import { SMALL } from '../rectangle.js';
import { ringOf, ringWords } from '../ring.js';

/** A yoke keeps so far above hip and curve, in mm. */
const CLEAR = 10;

/** The pieces of a path carried to where they lie with the darts before them closed. */
const closedPieces = (pieces: readonly Path[], flat: readonly FlatDart[]): Path =>
  pieces.flatMap((piece, k) => mapPath(piece, (p) => closeOver(p, flat, k)));

/** The last point of one curve is the first of the next, to the last digit. */
const tied = (path: Path): Path =>
  path.map((c, i) => {
    const before = path[i - 1];
    return before ? { ...c, p0: before.p3 } : c;
  });

const fair = (path: Path): Path => fairPath(tied(path)).path;

/** A yoke behind: a line across the back, into which the darts are turned (docs/trade/style.md). */
export const yoke = component({
  id: 'yoke',
  label: COMPONENT_LABELS.yoke,
  group: 'top',
  about:
    'A line across the back. The darts are drawn to end on it and closed in the yoke: their intake lies in its seam.',
  fields: {
    side: { as: 'length', label: 'Down the side', least: 15, most: 200, start: (c) => sized(c, 4, 1.5) },
    centre: { as: 'length', label: 'Down the centre', least: 15, most: 200, start: (c) => sized(c, 7.5, 3) },
  },
  makes: [{ id: 'yoke', edges: ['waist', 'side', 'lower', 'centre'] }],
  make(making, { side, centre }) {
    let next = making;
    for (const back of carriers(making, 'back')) {
      const done = yoked(next, back, side, centre);
      if (isRefused(done)) return done;
      next = done;
    }
    return next;
  },
});

function yoked(making: Making, back: Part, down: number, centre: number): Making | Refused {
  const panel = panelOf(making, 'back', back);
  const { joints, edges } = panel;
  const most =
    Math.min(pathLength(edges.side.slice(0, joints.sideHip)), pathLength(edges.rise.slice(joints.curveStart))) - CLEAR;
  if (Math.max(down, centre) > most) {
    return refuse(down > centre ? 'side' : 'centre', 'yokeOffPiece', { most: Math.max(0, most) });
  }
  const sidePath = edgeOf(back, 'side').path;
  const risePath = edgeOf(back, 'rise').path;
  const [sideTop, sideRest] = splitPath(sidePath, placeAtLength(sidePath, down));
  const [riseRest, riseTop] = splitPath(risePath, placeAtLength(risePath, pathLength(risePath) - centre));
  const [a, b] = [startOf(riseTop), endOf(sideTop)];
  const flat: FlatDart[] = [];
  const stops: Point[] = [];
  for (const dart of panel.darts) {
    const middle = between(dart.centreLeg, dart.sideLeg, 0.5);
    const axis = quarterTurn(unit(subtract(dart.sideLeg, dart.centreLeg)));
    const hit = meetLines(middle, axis, a, unit(subtract(b, a)));
    if (!hit || hit.alongSecond <= 1 || hit.alongSecond >= distance(a, b) - 1) {
      return refuse('side', 'yokeOffPiece', { most: Math.max(0, most) });
    }
    stops.push(hit.at);
    flat.push(flatDart({ ...dart, apex: hit.at }));
  }
  const bounds = [a, ...stops, b];
  const lowerPieces = bounds.slice(0, -1).map((p, i): Path => [line(p, bounds[i + 1] ?? b)]);
  const waist = fair(closedPieces(panel.waistSections, flat));
  const lower = fair(closedPieces(lowerPieces, flat));
  const side = mapPath(sideTop, (p) => closeOver(p, flat, flat.length));
  const ring: Edge[] = [
    { id: 'waist', role: 'waist', path: waist },
    { id: 'side', role: 'side', path: side },
    { id: 'lower', role: 'join', path: reversePath(lower) },
    { id: 'centre', role: 'rise', path: riseTop },
  ];
  const closed = ringOf(ring);
  const id = named('yoke', back);
  const part: Part = {
    ...SMALL,
    ...ringWords(closed, panel.crease),
    ...cutLike(back),
    id,
    name: back.leg === 'both' ? 'Back yoke' : `${back.leg === 'left' ? 'Left' : 'Right'} back yoke`,
    ...(back.like ? { like: 'yoke' } : {}),
    edges: closed,
    marks: [],
    cloth: 'shell',
  };
  // The crease begins below the yoke's line.
  const fromYoke = (m: PartMark): PartMark => {
    const [c] = m.kind === 'line' && m.meaning === 'crease' ? m.path : [];
    if (!c || m.kind !== 'line') return m;
    const share = Math.abs(b.x - a.x) < 1e-6 ? 0 : (c.p0.x - a.x) / (b.x - a.x);
    return { ...m, path: [line({ x: c.p0.x, y: a.y + share * (b.y - a.y) + CLEAR }, c.p3)] };
  };
  const below: Part = {
    ...edgesInstead(
      edgesInstead(edgesInstead(back, 'waist', [{ id: 'yokeLine', role: 'join', path: [line(a, b)] }]), 'side', [
        { ...edgeOf(back, 'side'), path: sideRest },
      ]),
      'rise',
      [{ ...edgeOf(back, 'rise'), path: riseRest }],
    ),
    marks: back.marks.filter((m) => !(m.kind === 'drill' || m.meaning === 'dart')).map(fromYoke),
  };
  let next = withPart(making, below);
  next = sewnInstead(next, back.id, 'waist', [{ part: id, edge: 'waist', backward: false }]);
  next = sewnInstead(next, back.id, 'side', [
    { part: id, edge: 'side', backward: false },
    { part: back.id, edge: 'side', backward: false },
  ]);
  next = sewnInstead(next, back.id, 'rise', [
    { part: back.id, edge: 'rise', backward: false },
    { part: id, edge: 'centre', backward: false },
  ]);
  return withParts(
    next,
    [part],
    [
      {
        id: named('yoke', back),
        label: 'Yoke to back',
        first: [{ part: back.id, edge: 'yokeLine', backward: false }],
        second: [{ part: id, edge: 'lower', backward: true }],
        ease: undefined,
        matches: [],
        cuts: [2, 2],
        start: 'centre back',
        end: 'side',
      },
    ],
  );
}
