import { endOf, pathLength } from '../../geometry/index.js';
import { COMPONENT_LABELS, type Part } from '../../garment/index.js';
import { component, refuse, sized } from '../component.js';
import { carriers, panelOf, partsByName, withParts, type Making } from '../making.js';
import { bagEdge, cornerOf, firstOf, freeWaist, lastOf } from '../pocket-shape.js';
import { runBetween, runLength, type SeamLine } from '../run.js';
import { ringOf, ringWords } from '../ring.js';
import { SMALL } from '../rectangle.js';

/** A pocket in the side seam: four bean-shaped bags, the opening notched (docs/trade/style.md). */
export const inSeamPocket = component({
  id: 'inSeamPocket',
  label: COMPONENT_LABELS.inSeamPocket,
  group: 'pockets',
  about: 'A bean-shaped bag for the hand with room all round, set into the side seam and held up at the waist.',
  fields: {
    below: { as: 'length', label: 'Opens below the waist', least: 15, most: 200, start: (c) => sized(c, 4, 1.5) },
    opening: { as: 'length', label: 'Opening', least: 80, most: 250, start: (c) => sized(c, 16, 6.5) },
    depth: { as: 'length', label: 'Depth of the bag', least: 100, most: 450, start: (c) => sized(c, 30, 12) },
    wide: { as: 'length', label: 'Width of the bag', least: 60, most: 250, start: (c) => sized(c, 15, 6) },
  },
  makes: [{ id: 'inSeamBag', edges: ['waist', 'side', 'free'] }],
  not: ['slantPocket', 'onePiece'],
  make(making, { below, opening, depth, wide }) {
    const [front] = carriers(making, 'front');
    if (!front) return making;
    const panel = panelOf(making, 'front', front);
    const { waist, side, toCentre } = cornerOf(front);
    const held = Math.min(45, freeWaist(front, panel) - 4, pathLength(waist) - 10);
    const top = endOf(waist).y;
    const lowest = panel.points.sideHem.y - 20;
    if (top + depth > lowest) return refuse('depth', 'pocketTooDeep', { most: Math.max(0, lowest - top) });
    const long = below + opening + 15;
    if (long > pathLength(side) - 30)
      return refuse('opening', 'pocketTooDeep', { most: pathLength(side) - 45 - below });
    if (depth < long)
      return refuse('depth', 'outOfRange', { value: depth, least: long, most: Math.max(0, lowest - top) });
    const bagWaist = lastOf(waist, Math.max(10, held));
    const bagSide = firstOf(side, long);
    const edges = ringOf([
      { id: 'waist', role: 'waist', path: bagWaist },
      { id: 'side', role: 'side', path: bagSide },
      {
        id: 'free',
        role: 'join',
        path: bagEdge(endOf(bagSide), bagWaist[0]?.p0 ?? endOf(bagSide), top + depth, wide, toCentre),
      },
    ]);
    const bag: Part = {
      ...SMALL,
      ...ringWords(edges, endOf(waist).x + toCentre * wide * 0.4),
      id: 'inSeamBag',
      name: 'Pocket bag',
      edges,
      marks: [],
      cloth: 'pocketing',
      cut: { count: 4, how: 'mirrored' },
    };
    return sewnIn(withParts(making, [bag]), below, opening);
  },
});

/** The bags sewn to either side of their opening, which is notched on the side. */
function sewnIn(making: Making, below: number, opening: number): Making {
  const parts = partsByName(making);
  const added: SeamLine[] = [];
  const lines = making.lines.map((l): SeamLine => {
    if (l.id !== 'side' && l.like !== 'side') return l;
    const end = below + opening;
    if (runLength(parts, l.first) < end) return l;
    const of = (on: 'first' | 'second', which: string): SeamLine => ({
      id: `${l.id.replace('side', 'inSeamBag')}.${which}`,
      label: `Pocket bag to ${which}`,
      first: [{ part: 'inSeamBag', edge: 'side', backward: false, from: below, to: end }],
      second: runBetween(parts, l[on], below, end),
      ease: undefined,
      matches: [],
      cuts: [1, 1],
      start: 'upper end of the opening',
      end: 'lower end of the opening',
    });
    added.push(of('first', 'front'), of('second', 'back'));
    return {
      ...l,
      matches: [
        { label: 'pocket', first: below, second: below },
        { label: 'pocket', first: end, second: end },
        ...l.matches,
      ].sort((a, b) => a.first - b.first),
    };
  });
  const free: SeamLine = {
    id: 'inSeamBag',
    label: 'Pocket bags',
    first: [{ part: 'inSeamBag', edge: 'free', backward: false }],
    second: [{ part: 'inSeamBag', edge: 'free', backward: false, mirrored: true }],
    ease: undefined,
    matches: [],
    cuts: [1, 1],
    start: 'side',
    end: 'waist',
  };
  return { ...making, lines: [...lines, ...added, free] };
}
