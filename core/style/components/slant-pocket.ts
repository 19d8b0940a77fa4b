import {
  cubic,
  endOf,
  pathLength,
  placeAtLength,
  point,
  splitPath,
  startOf,
  type Path,
  type Point,
} from '../../geometry/index.js';
import { COMPONENT_LABELS, edgeOf, type Edge, type Part } from '../../garment/index.js';
import { component, isRefused, refuse, sized, type Refused } from '../component.js';
import type { Finding } from '../finding.js';
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
import { bagEdge, cornerOf, firstOf, freeWaist, lastOf, straight } from '../pocket-shape.js';
import { edgeCut } from '../open-line.js';
import { ringOf, ringWords } from '../ring.js';
import { SMALL } from '../rectangle.js';

/** The facing reaches so far under the front at the waist, and below the mouth down the side, in mm. */
const UNDER_WAIST = 30;
const UNDER_SIDE = 35;
/** The bag is sewn into the side so far below the mouth, in mm. */
const BAG_BELOW = 25;
/** A mouth longer than this, or one that reaches further along the waist, gapes; in mm for an adult. */
const LONG_MOUTH = 180;
const WIDE_MOUTH = 65;

interface SlantValues {
  readonly waist: number;
  readonly side: number;
  readonly depth: number;
  readonly wide: number | undefined;
  readonly curved: boolean;
}

/** A slant pocket: the front cut away, a facing that keeps its corner, two bags (docs/trade/style.md). */
export const slantPocket = component({
  id: 'slantPocket',
  label: COMPONENT_LABELS.slantPocket,
  group: 'pockets',
  about:
    'The front is cut away from the waist to the side; a facing keeps the corner, and the bags follow waist and side. A long or wide mouth gapes.',
  fields: {
    waist: { as: 'length', label: 'In at the waist', least: 15, most: 150, start: (c) => sized(c, 3.5, 1.5) },
    side: { as: 'length', label: 'Down the side', least: 60, most: 300, start: (c) => sized(c, 15, 6) },
    depth: { as: 'length', label: 'Depth of the bag', least: 100, most: 500, start: (c) => sized(c, 33, 13) },
    wide: { as: 'length', label: 'Width of the bag', least: 60, most: 300, start: () => undefined },
    curved: { as: 'tick', label: 'Mouth curved', start: false },
  },
  makes: [
    { id: 'front', edges: ['waist', 'pocketMouth', 'side', 'hem', 'inseam', 'rise'] },
    { id: 'pocketFacing', edges: ['waist', 'side', 'inner'] },
    { id: 'pocketBag', edges: ['waist', 'side', 'free'] },
    { id: 'pocketBagTop', edges: ['waist', 'mouth', 'side', 'free'] },
  ],
  not: ['onePiece'],
  make(making, values) {
    let next = making;
    for (const front of carriers(making, 'front')) {
      const done = pocketed(next, front, values);
      if (isRefused(done)) return done;
      next = done;
    }
    return next;
  },
  find(_, { waist, side }, { size }): readonly Finding[] {
    const mouth = Math.hypot(waist, side);
    if (mouth <= LONG_MOUTH * size && waist <= WIDE_MOUTH * size) return [];
    return [{ component: 'slantPocket', code: 'mouthGapes', figures: { mouth, waist }, weight: 'caution' }];
  },
});

function pocketed(
  making: Making,
  front: Part,
  { waist: inWaist, side: down, depth, wide, curved }: SlantValues,
): Making | Refused {
  const panel = panelOf(making, 'front', front);
  const corner = cornerOf(front);
  const { waist, side, toCentre } = corner;
  const [longWaist, longSide] = [pathLength(waist), pathLength(side)];
  const free = freeWaist(front, panel);
  const most = Math.min(free - 5, longWaist - 20);
  if (inWaist > most) return refuse('waist', 'pocketMeetsDart', { most: Math.max(0, most) });
  if (down + UNDER_SIDE > longSide - 20) return refuse('side', 'pocketTooDeep', { most: longSide - UNDER_SIDE - 20 });
  const top = endOf(waist).y;
  const lowest = Math.min(panel.levels.hemLevel, panel.points.sideHem.y) - 20;
  if (top + depth > lowest || depth < down + BAG_BELOW) {
    const limit = Math.max(0, lowest - top);
    return depth < down + BAG_BELOW
      ? refuse('depth', 'outOfRange', { value: depth, least: down + BAG_BELOW, most: limit })
      : refuse('depth', 'pocketTooDeep', { most: limit });
  }
  // The front, cut away.
  const [keptWaist] = edgeCut(edgeOf(front, 'waist'), longWaist - inWaist);
  const [sideTop, sideRest] = splitPath(side, placeAtLength(side, down));
  const [a, b] = [endOf(keptWaist.path), endOf(sideTop)];
  const mouth = curved ? hollow(a, b, toCentre) : straight(a, b);
  const cut = edgesInstead(
    edgesInstead(front, 'waist', [keptWaist, { id: 'pocketMouth', role: 'opening', path: mouth }]),
    'side',
    [{ ...edgeOf(front, 'side'), path: sideRest }],
  );
  // The facing keeps the corner.
  const under = Math.min(UNDER_WAIST, free - inWaist - 3, longWaist - inWaist - 5);
  const facingWaist = lastOf(waist, inWaist + under);
  const facingSide = firstOf(side, down + UNDER_SIDE);
  const facing = ringOf([
    { id: 'waist', role: 'waist', path: facingWaist },
    { id: 'side', role: 'side', path: facingSide },
    { id: 'inner', role: 'join', path: straight(endOf(facingSide), startOf(facingWaist)), allowance: 0 },
  ]);
  // Two bags share their free edge.
  const bagWide = Math.min(wide ?? longWaist * 0.7, free - 4, longWaist - 10);
  const bagWaist = lastOf(waist, Math.max(bagWide, inWaist + under));
  const bagSide = firstOf(side, down + BAG_BELOW);
  const across = Math.max(wide ?? 0, bagWide, Math.min(longWaist * 0.75, inWaist + 110));
  const edge = bagEdge(endOf(bagSide), startOf(bagWaist), top + depth, across, toCentre);
  const bag = ringOf([
    { id: 'waist', role: 'waist', path: bagWaist },
    { id: 'side', role: 'side', path: bagSide },
    { id: 'free', role: 'join', path: edge },
  ]);
  const bagTop = ringOf([
    { id: 'waist', role: 'waist', path: firstOf(bagWaist, pathLength(bagWaist) - inWaist) },
    { id: 'mouth', role: 'join', path: mouth },
    { id: 'side', role: 'side', path: splitPath(bagSide, placeAtLength(bagSide, down))[1] },
    { id: 'free', role: 'join', path: edge },
  ]);
  const like = cutLike(front);
  const part = (id: string, name: string, edges: Edge[], cloth: Part['cloth']): Part => ({
    ...SMALL,
    ...ringWords(edges, (a.x + b.x) / 2),
    ...like,
    id: named(id, front),
    ...(front.like ? { like: id } : {}),
    name: front.leg === 'both' ? name : `${front.leg === 'left' ? 'Left' : 'Right'} ${name.toLowerCase()}`,
    edges,
    marks: [],
    cloth,
  });
  const [facingId, bagId, topId] = [
    named('pocketFacing', front),
    named('pocketBag', front),
    named('pocketBagTop', front),
  ];
  let next = withPart(making, cut);
  next = sewnInstead(next, front.id, 'waist', [
    { part: front.id, edge: 'waist', backward: false },
    { part: facingId, edge: 'waist', backward: false, from: under, to: under + inWaist },
  ]);
  next = sewnInstead(next, front.id, 'side', [
    { part: facingId, edge: 'side', backward: false, from: 0, to: down },
    { part: front.id, edge: 'side', backward: false },
  ]);
  const plain = { ease: undefined, matches: [], cuts: [1, 1] as const };
  return withParts(
    next,
    [
      part('pocketFacing', 'Pocket facing', facing, 'shell'),
      part('pocketBag', 'Pocket bag, under', bag, 'pocketing'),
      part('pocketBagTop', 'Pocket bag, upper', bagTop, 'pocketing'),
    ],
    [
      {
        ...plain,
        id: named('pocketMouth', front),
        label: 'Pocket mouth',
        first: [{ part: front.id, edge: 'pocketMouth', backward: false }],
        second: [{ part: topId, edge: 'mouth', backward: false }],
        start: 'waist',
        end: 'side',
      },
      {
        ...plain,
        id: named('pocketBag', front),
        label: 'Pocket bags',
        first: [{ part: bagId, edge: 'free', backward: false }],
        second: [{ part: topId, edge: 'free', backward: false }],
        start: 'side',
        end: 'waist',
      },
    ],
  );
}

/** A mouth that is hollowed toward the centre. */
const hollow = (a: Point, b: Point, toCentre: number): Path => {
  const deep = Math.hypot(b.x - a.x, b.y - a.y) * 0.12 * toCentre;
  return [
    cubic(
      a,
      point(a.x + deep * 0.4, a.y + (b.y - a.y) * 0.4),
      point(b.x + (a.x - b.x) * 0.6 + deep * 0.3, b.y - (b.y - a.y) * 0.12),
      b,
    ),
  ];
};
