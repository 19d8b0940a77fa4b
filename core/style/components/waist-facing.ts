import { pathLength } from '../../geometry/index.js';
import { COMPONENT_LABELS, type Part } from '../../garment/index.js';
import { component, refuse, sized } from '../component.js';
import { withParts } from '../making.js';
import { fasteningOf } from '../fastening.js';
import { openingTight } from '../opening-tight.js';
import { ringWords } from '../ring.js';
import { SMALL } from '../rectangle.js';
import { stripJoins, waistStrip } from '../strip.js';
import { topOf } from '../round.js';
import type { SeamLine } from '../run.js';

/** A facing inside the waist, drawn from the pieces with the darts closed (docs/trade/style.md). */
export const waistFacing = component({
  id: 'waistFacing',
  fromOneLeg: true,
  label: COMPONENT_LABELS.waistFacing,
  group: 'top',
  about:
    'Drawn from the pieces with the darts closed; the leg keeps its length. Cut it only once the darts are settled.',
  fields: { depth: { as: 'length', label: 'Depth', least: 20, most: 150, start: (c) => sized(c, 5, 2) } },
  makes: [
    { id: 'facingFront', edges: ['upper', 'side', 'lower', 'centre'] },
    { id: 'facingBack', edges: ['upper', 'side', 'lower', 'centre'] },
  ],
  not: ['band', 'shapedBand', 'casing'],
  find: (making, _, context) => openingTight('waistFacing', making, context),
  make(making, { depth }) {
    const made = (['front', 'back'] as const).map((name): Part | undefined => {
      const panel = making.blocks.left[name];
      const edges = waistStrip(panel, depth, { waist: 'waist', lower: 'join' });
      return (
        edges && {
          ...SMALL,
          ...ringWords(edges, panel.crease),
          id: name === 'front' ? 'facingFront' : 'facingBack',
          name: name === 'front' ? 'Front waist facing' : 'Back waist facing',
          edges: edges.map((e) => (e.id === 'lower' ? { ...e, allowance: 0 } : e)),
          marks: [],
          cloth: 'shell',
          cut: { count: 2, how: 'mirrored' },
        }
      );
    });
    const [front, back] = made;
    if (!front || !back) {
      const most = pathLength(making.blocks.left.front.edges.side.slice(0, making.blocks.left.front.joints.sideHip));
      return refuse('depth', 'dropBelowHip', { hip: 0, most: Math.max(0, most - 15) });
    }
    const plain = { ease: undefined, matches: [], cuts: [1, 1] as const };
    const lines: SeamLine[] = [
      {
        ...plain,
        id: 'waist',
        label: 'Facing to the waist',
        first: [
          { part: 'facingFront', edge: 'upper', backward: false },
          { part: 'facingBack', edge: 'upper', backward: true },
        ],
        second: topOf(making.top.left),
        start: 'centre front',
        end: 'centre back',
      },
      ...stripJoins(
        { front: { left: 'facingFront', right: 'facingFront' }, back: 'facingBack' },
        making.opening,
        'facing',
        'Facing',
      ),
    ];
    return withParts(making, [front, back], lines);
  },
  trimmings: (making) => fasteningOf(making, 0),
});
