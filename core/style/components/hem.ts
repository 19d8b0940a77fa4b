import { cross, endOf, pathLength, startOf, subtract, unit, type Path } from '../../geometry/index.js';
import { COMPONENT_LABELS, edgeOf, type Part } from '../../garment/index.js';
import { component, either, refuse } from '../component.js';
import {
  carriers,
  cutLike,
  edgesInstead,
  named,
  panelOf,
  partsByName,
  withPart,
  withParts,
  type Making,
} from '../making.js';
import { cutLine, leftOpen } from '../open-line.js';
import { firstOf, lastOf, straight } from '../pocket-shape.js';
import { ringOf, ringWords } from '../ring.js';
import { SMALL } from '../rectangle.js';
import { runLength } from '../run.js';
import { hemFinding } from './taper.js';

/** How a hem is finished: folded once or twice, as a turn-up, or with a facing (docs/trade/style.md). */
export const hem = component({
  id: 'hem',
  label: COMPONENT_LABELS.hem,
  group: 'leg',
  about:
    'Folded once or twice, turned up, or faced. What is folded is cut as the mirror image of the leg above, so that it lies on it.',
  fields: {
    kind: {
      as: 'pick',
      label: 'Made',
      options: [
        ['single', 'Folded once'],
        ['double', 'Folded twice'],
        ['turnUp', 'Turn-up'],
        ['facing', 'Faced'],
      ],
      start: 'single',
    },
    depth: { as: 'length', label: 'Depth', least: 5, most: 120, start: (c) => either(c, 4, 1.5) },
    under: { as: 'length', label: 'Turned under', least: 0, most: 80, start: (c) => either(c, 1.5, 0.5) },
  },
  makes: [
    { id: 'hemFacingFront', edges: ['hem', 'inseam', 'upper', 'side'] },
    { id: 'hemFacingBack', edges: ['hem', 'inseam', 'upper', 'side'] },
  ],
  make(making, { kind, depth, under }) {
    if (kind === 'facing') return faced(making, depth);
    const turned = { single: [depth], double: [depth, Math.min(under, depth)], turnUp: [depth, depth, under] }[kind];
    let next = making;
    for (const name of ['front', 'back'] as const) {
      for (const part of carriers(next, name)) {
        const edge = edgeOf(part, 'hem');
        if (!isLine(edge.path)) return refuse('kind', 'hemCurved');
        const panel = panelOf(next, name, part);
        if (panel.levels.hemLevel - depth < panel.levels.crotchLevel + 20) {
          return refuse('depth', 'longerThanLeg', { most: panel.levels.hemLevel - panel.levels.crotchLevel - 20 });
        }
        next = withPart(next, edgesInstead(part, 'hem', [{ ...edge, turned: turned.filter((x) => x > 0) }]));
      }
    }
    return next;
  },
  find: ({ blocks }, _, { heel, stretch }) => hemFinding('hem', blocks.left, heel, stretch),
});

/** A hem that is one straight line, however many curves it has. */
function isLine(path: Path): boolean {
  const [a, b] = [startOf(path), endOf(path)];
  const d = unit(subtract(b, a));
  return path.every(({ p1, p2, p3 }) => [p1, p2, p3].every((p) => Math.abs(cross(d, subtract(p, a))) < STRAIGHT));
}

/** A hem that leaves its straight line by less, in mm, can be folded. */
const STRAIGHT = 0.5;

/** A facing along the hem of each leg: the leg's own foot, as deep as is wanted. */
function faced(making: Making, depth: number): Making {
  let next = making;
  for (const name of ['front', 'back'] as const) {
    for (const part of carriers(next, name)) {
      const at = part.edges.findIndex((e) => e.id === 'hem');
      const [side, hemEdge, inseam] = [part.edges[at - 1], part.edges[at], part.edges[at + 1]];
      if (!side || !hemEdge || !inseam) continue;
      // Beside a slit the facing ends with it.
      const sideFoot = lastOf(side.path, Math.min(depth, pathLength(side.path)));
      const inseamFoot = firstOf(inseam.path, Math.min(depth, pathLength(inseam.path)));
      const edges = ringOf([
        { id: 'side', role: 'side', path: sideFoot },
        { id: 'hem', role: 'join', path: hemEdge.path },
        { id: 'inseam', role: 'inseam', path: inseamFoot },
        { id: 'upper', role: 'join', path: straight(endOf(inseamFoot), startOf(sideFoot)), allowance: 0 },
      ]);
      const base = name === 'front' ? 'hemFacingFront' : 'hemFacingBack';
      const id = named(base, part);
      const facing: Part = {
        ...SMALL,
        ...cutLike(part),
        id,
        name: `${part.name}, hem facing`,
        edges,
        marks: [],
        ...ringWords(edges, panelOf(next, name, part).crease),
        cloth: 'shell',
      };
      next = withPart(next, edgesInstead(part, 'hem', [{ id: 'hem', role: 'join', path: hemEdge.path }]));
      next = withParts(
        next,
        [facing],
        [
          {
            id: named(name === 'front' ? 'hemFront' : 'hemBack', part),
            label: 'Hem facing',
            first: [{ part: part.id, edge: 'hem', backward: false }],
            second: [{ part: id, edge: 'hem', backward: false }],
            ease: undefined,
            matches: [],
            cuts: [1, 1],
            start: 'side',
            end: 'inseam',
          },
        ],
      );
    }
  }
  return next;
}

/** A slit at the hem, in the side or the inseam. */
export const slit = component({
  id: 'slit',
  label: COMPONENT_LABELS.slit,
  group: 'leg',
  about: 'The seam is left open above the hem; its allowance is turned back and stitched.',
  fields: {
    at: {
      as: 'pick',
      label: 'In',
      options: [
        ['side', 'The side'],
        ['inseam', 'The inseam'],
      ],
      start: 'side',
    },
    height: { as: 'length', label: 'Height', least: 10, most: 500, start: (c) => either(c, 6, 2.5) },
    allowance: { as: 'length', label: 'Allowance', least: 5, most: 60, start: (c) => either(c, 2.5, 1) },
  },
  makes: [
    { id: 'front', edges: ['slit'] },
    { id: 'back', edges: ['slit'] },
  ],
  not: ['onePiece'],
  make(making, { at, height, allowance }) {
    const parts = partsByName(making);
    const lines = making.lines.filter((l) => l.id === at || l.like === at);
    const shortest = Math.min(...lines.map((l) => Math.min(runLength(parts, l.first), runLength(parts, l.second))));
    const most = shortest * 0.45;
    if (height > most) return refuse('height', 'slitTooHigh', { most });
    let next = making;
    for (const { id } of lines) {
      next = leftOpen(
        cutLine(next, id, 'end', height, { id: 'slit', role: 'opening', allowance, notch: 'slit' }),
        id,
        'end',
        'slit',
      );
    }
    return next;
  },
});
