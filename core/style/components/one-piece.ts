import {
  endOf,
  isStraight,
  mirror,
  mapPath,
  pathLength,
  point,
  reversePath,
  startOf,
  type Path,
  type Point,
} from '../../geometry/index.js';
import { COMPONENT_LABELS, edgeOf, type Edge, type Part, type PartMark } from '../../garment/index.js';
import { component, refuse } from '../component.js';
import { endedAt, ringOf } from '../ring.js';
import { sewnInstead, type Making } from '../making.js';

/** Sides that differ by more than this, or are out of a line by more, in mm, cannot be joined. */
const ALIKE = 1;

/** True where a seam is one straight vertical line. */
const isVertical = (path: Path): boolean =>
  path.every((c) => isStraight(c) || Math.abs(c.p1.x - c.p0.x) + Math.abs(c.p2.x - c.p0.x) < ALIKE) &&
  Math.abs(startOf(path).x - endOf(path).x) < ALIKE;

/** Front and back joined at a straight side into one piece (docs/trade/style.md). */
export const onePiece = component({
  id: 'onePiece',
  label: COMPONENT_LABELS.onePiece,
  group: 'leg',
  about:
    'Where both sides are one straight vertical, as in a knit leg or a pull-on, front and back are joined there; notches stand where the side was.',
  fields: {},
  makes: [
    {
      id: 'leg',
      edges: ['waistFront', 'waistBack', 'riseBack', 'inseamBack', 'hem', 'inseamFront', 'riseFront'],
    },
  ],
  not: ['fly', 'yoke'],
  make(making) {
    const front = making.parts.find((p) => p.id === 'front');
    const back = making.parts.find((p) => p.id === 'back');
    if (!front || !back) return refuse('onePiece', 'sidesNotStraight');
    const [one, two] = [edgeOf(front, 'side').path, edgeOf(back, 'side').path];
    if (!isVertical(one) || !isVertical(two) || Math.abs(pathLength(one) - pathLength(two)) > ALIKE) {
      return refuse('onePiece', 'sidesNotStraight');
    }
    return joined(making, front, back);
  },
});

/** The creases of the two legs say nothing on a piece that has no side. */
const isKept = (mark: PartMark): boolean => mark.kind === 'drill' || mark.meaning !== 'crease';

function joined(making: Making, front: Part, back: Part): Making {
  const side = edgeOf(front, 'side').path;
  const top = startOf(side);
  const backTop = startOf(edgeOf(back, 'side').path);
  // The back is turned over at its side and laid to the front's.
  const move = (p: Point): Point => {
    const over = mirror(p, backTop, point(0, 1));
    return point(over.x - backTop.x + top.x, over.y - backTop.y + top.y);
  };
  const over = (id: string): Path => reversePath(mapPath(edgeOf(back, id).path, move));
  const overSewn = (id: string): Path | undefined => {
    const { sewn } = edgeOf(back, id);
    return sewn && reversePath(mapPath(sewn, move));
  };
  const hemBack = over('hem');
  const waistBack = edgeOf(back, 'waist');
  const sewnBack = overSewn('waist');
  const hem = edgeOf(front, 'hem');
  const ring: Edge[] = [
    { ...edgeOf(front, 'waist'), id: 'waistFront', of: 'front' },
    {
      ...waistBack,
      id: 'waistBack',
      of: 'back',
      path: over('waist'),
      ...(sewnBack ? { sewn: sewnBack } : {}),
    },
    { ...edgeOf(back, 'rise'), id: 'riseBack', of: 'back', path: over('rise') },
    { ...edgeOf(back, 'inseam'), id: 'inseamBack', of: 'back', path: over('inseam') },
    { ...hem, id: 'hem', path: [...endedAt(hemBack, startOf(hem.path)), ...hem.path] },
    { ...edgeOf(front, 'inseam'), id: 'inseamFront', of: 'front' },
    { ...edgeOf(front, 'rise'), id: 'riseFront', of: 'front' },
  ];
  const moved = (mark: PartMark): PartMark =>
    mark.kind === 'line' ? { ...mark, path: mapPath(mark.path, move) } : { ...mark, at: move(mark.at) };
  const leg: Part = {
    ...front,
    id: 'leg',
    name: 'Leg',
    edges: ringOf(ring),
    marks: [
      ...front.marks.filter(isKept),
      ...back.marks.filter(isKept).map(moved),
      { kind: 'line', meaning: 'crease', label: 'where the side was', path: side },
    ],
    notches: [
      { edge: 'waistBack', label: 'side', at: { index: 0, t: 0.001 }, count: 1 },
      { edge: 'hem', label: 'side', at: { index: hemBack.length, t: 0.001 }, count: 1 },
    ],
    onFrame: true,
  };
  let next: Making = {
    ...making,
    parts: making.parts.flatMap((p) => (p.id === 'front' ? [leg] : p.id === 'back' ? [] : [p])),
    lines: making.lines.filter((l) => l.id !== 'side'),
  };
  const to = (
    part: string,
    edge: string,
    id: string,
    backward: boolean,
    stretch?: { from: number; to: number },
  ): void => {
    next = sewnInstead(next, part, edge, [{ part: 'leg', edge: id, backward, ...stretch }]);
  };
  to('front', 'waist', 'waistFront', false);
  to('front', 'rise', 'riseFront', false);
  to('front', 'inseam', 'inseamFront', false);
  to('back', 'waist', 'waistBack', true);
  to('back', 'rise', 'riseBack', true);
  to('back', 'inseam', 'inseamBack', true);
  // A facing along the hem was sewn to front and back: to the one hem's two stretches now.
  const [behind, ahead] = [pathLength(hemBack), pathLength(hem.path)];
  to('front', 'hem', 'hem', false, { from: behind, to: behind + ahead });
  to('back', 'hem', 'hem', true, { from: 0, to: behind });
  return next;
}
