import type { Panel } from '../../draft/index.js';
import { along, endDirection, endOf, line, pathLength, point, startOf } from '../../geometry/index.js';
import { COMPONENT_LABELS, edgeOf } from '../../garment/index.js';
import { component, either, eachPanel, sized, type StyleContext } from '../component.js';
import type { Finding } from '../finding.js';
import { edgesInstead, partsByName, withPart, withParts, type Making } from '../making.js';
import { runLength, type SeamLine } from '../run.js';
import { openingTight } from '../opening-tight.js';
import { SMALL, upright, uprightWords } from '../rectangle.js';
import { onceRound } from '../round.js';

/** How much more than the elastic's width a casing has between its fold and its stitching, in mm. */
const CASING_CLEAR = 2;
/** What an elastic is shorter than the waist, in mm, for an adult. */
const ELASTIC_SHORTER = 22.5;
/** How far its ends lap, in mm: 1/2 in. */
const ELASTIC_LAPS = 12.7;
/** 1/2 in, in mm: what is turned under below a folded casing. */
const TURNED_UNDER = 12.7;

/**
 * A panel whose top is drawn for a casing: no darts, the side straight up from the hip width, the waist straight, both
 * seams longer by `up` mm; its side may lean out by `out` mm, so that it passes over the hips.
 */
export function straightTop(panel: Panel, up: number, out = 0): Panel {
  const { edges, joints, points } = panel;
  const long = pathLength(edges.side.slice(0, joints.sideHip)) + up;
  const way = Math.sign(points.sideHip.x - points.centreHip.x);
  const sideTop = point(
    points.sideHip.x + way * out,
    points.sideHip.y - Math.sqrt(Math.max(1, long * long - out * out)),
  );
  const centreTop = along(endOf(edges.rise), endDirection(edges.rise), up);
  const waist = [line(centreTop, sideTop)];
  const side = [line(sideTop, points.sideHip), ...edges.side.slice(joints.sideHip)];
  const rise = up > 0 ? [...edges.rise, line(endOf(edges.rise), centreTop)] : edges.rise;
  const fewer = joints.sideHip - 1;
  return {
    ...panel,
    edges: { ...edges, waist, side, rise },
    joints: {
      ...joints,
      sideHip: 1,
      sideCrotch: joints.sideCrotch - fewer,
      sideKnee: joints.sideKnee - fewer,
    },
    points: { ...points, centreWaist: centreTop, sideWaist: sideTop },
    darts: [],
    waistSections: [waist],
    closedWaist: waist,
    closedSideUp: point(0, -1),
  };
}

/** How long an elastic is once its ends are lapped, in mm. */
const elasticOf = ({ waist, size }: StyleContext): number => waist - ELASTIC_SHORTER * size;

/** What a top is wider than what it must pass over, in mm. */
const PASSES = 4;
/** A side leans out by no more than this above the hip, in mm. */
const MOST_OUT = 30;

/** How deep a casing of a kind lies from its fold to its stitching, in mm. */
const deep = (kind: 'grownOn' | 'folded' | 'applied', elastic: number): number =>
  kind === 'folded' ? elastic + TURNED_UNDER : elastic + CASING_CLEAR;

/** A casing for elastic or cord: grown on, folded over, or applied (docs/trade/style.md). */
export const casing = component({
  id: 'casing',
  label: COMPONENT_LABELS.casing,
  group: 'top',
  about:
    'The waist goes straight up from the hip width, so that it passes over the hips. Grown on: twice the elastic and a little; folded over: the elastic and what is turned under; applied: a strip of its own.',
  fields: {
    kind: {
      as: 'pick',
      label: 'Made',
      options: [
        ['grownOn', 'Grown on'],
        ['folded', 'Folded over'],
        ['applied', 'Applied'],
      ],
      start: 'grownOn',
    },
    elastic: { as: 'length', label: 'Width of the elastic', least: 5, most: 100, start: (c) => sized(c, 3, 1.25) },
  },
  makes: [{ id: 'casing', edges: ['start', 'lower', 'end', 'upper'] }],
  not: ['band', 'shapedBand', 'waistFacing', 'yoke', 'pleats'],
  shape(block, { kind, elastic }, { hip, stretch }) {
    const up = kind === 'grownOn' ? deep(kind, elastic) : 0;
    const round = 2 * [block.front, block.back].reduce((sum, p) => sum + pathLength(straightTop(p, up).closedWaist), 0);
    const out = Math.max(0, hip / (1 + stretch) + PASSES - round) / 4;
    return eachPanel(block, (panel) => straightTop(panel, up, Math.min(out, MOST_OUT)));
  },
  make(making, { kind, elastic }) {
    if (kind === 'applied') return applied(making, elastic);
    const depth = deep(kind, elastic);
    let next = making;
    for (const { part, edge } of onceRound(making)) {
      const on = next.parts.find((p) => p.id === part);
      if (on) next = withPart(next, edgesInstead(on, edge, [{ ...edgeOf(on, edge), turned: [depth] }]));
    }
    // Where the elastic ends is notched at the sides and down the centres.
    const lines = next.lines.map((l): SeamLine => {
      const parts = partsByName(next);
      const of = l.like ?? l.id;
      if (of === 'side') {
        return { ...l, matches: [{ label: 'elastic', first: depth, second: depth }, ...l.matches] };
      }
      if (of !== 'frontRise' && of !== 'backRise') return l;
      const at = [runLength(parts, l.first) - depth, runLength(parts, l.second) - depth] as const;
      return { ...l, matches: [...l.matches, { label: 'elastic', first: at[0], second: at[1] }] };
    });
    return { ...next, lines, topAbove: next.topAbove + (kind === 'grownOn' ? depth : 0) };
  },
  find(making, _, context): readonly Finding[] {
    const length = elasticOf(context);
    return [
      { component: 'casing', code: 'elasticLength', figures: { length, quarter: length / 4 }, weight: 'told' },
      ...openingTight('casing', making, context),
    ];
  },
  trimmings: (_, { elastic }, context) => [
    { kind: 'elastic', count: 1, length: elasticOf(context) + ELASTIC_LAPS, width: elastic },
  ],
});

/** A casing as a strip of its own, sewn to the top edge and turned inward. */
function applied(making: Making, elastic: number): Making {
  const long = runLength(partsByName(making), onceRound(making));
  const wide = 2 * deep('applied', elastic);
  const edges = upright(long, wide, {
    upper: ['upper', 'join'],
    start: ['start', 'join'],
    lower: ['lower', 'waist'],
    end: ['end', 'join'],
  });
  return withParts(
    { ...making, topAbove: making.topAbove + wide / 2 },
    [
      {
        ...SMALL,
        ...uprightWords(long, wide),
        id: 'casing',
        name: 'Casing',
        edges,
        marks: [
          {
            kind: 'line',
            meaning: 'fold',
            label: 'fold line',
            path: [line(point(wide / 2, 0), point(wide / 2, long))],
          },
        ],
        cloth: 'shell',
        cut: { count: 1, how: 'alike' },
      },
    ],
    [
      {
        id: 'waist',
        label: 'Casing to the waist',
        first: [{ part: 'casing', edge: 'lower', backward: false }],
        second: onceRound(making),
        ease: undefined,
        matches: [],
        cuts: [1, 1],
        start: 'centre front',
        end: 'centre front',
      },
      {
        id: 'casingEnds',
        label: 'Casing, its ends',
        first: [{ part: 'casing', edge: 'start', backward: true }],
        second: [{ part: 'casing', edge: 'end', backward: false }],
        ease: undefined,
        matches: [],
        cuts: [1, 1],
        start: 'lower edge',
        end: 'upper edge',
      },
    ],
  );
}

/** How much of a cord hangs out to be tied, both ends together, in mm. */
const TO_TIE = 500;
/** The openings for a cord lie this far below the fold, in mm. */
const OPENING_BELOW = 15;

/** A cord in the casing, with its openings in front. */
export const drawstring = component({
  id: 'drawstring',
  needs: { component: 'casing', fault: 'needsCasing' },
  label: COMPONENT_LABELS.drawstring,
  group: 'top',
  about:
    'Two openings in front of the casing for a cord. Rules for cords on children’s wear are set by local product-safety law: look them up and follow them.',
  fields: {
    apart: { as: 'length', label: 'Openings apart', least: 10, most: 150, start: (c) => either(c, 4, 1.5) },
  },
  makes: [],
  make(making, { apart }) {
    const [first] = making.top.left.front;
    const front = making.parts.find((p) => p.id === first?.part);
    if (!first || !front) return making;
    const { path } = edgeOf(front, first.edge);
    const start = startOf(path);
    const toSide = Math.sign(endOf(path).x - start.x);
    const at = point(start.x + (toSide * apart) / 2, start.y + OPENING_BELOW);
    const fronts = new Set([first.part, making.top.right.front[0]?.part]);
    return {
      ...making,
      parts: making.parts.map((p) =>
        fronts.has(p.id) ? { ...p, marks: [...p.marks, { kind: 'drill', label: 'opening for the cord', at }] } : p,
      ),
    };
  },
  // How long a child's cord may be is set by law: none is told.
  trimmings: (making, _, { child }) => [
    {
      kind: 'cord',
      count: 1,
      ...(child ? {} : { length: runLength(partsByName(making), onceRound(making)) + TO_TIE }),
    },
    { kind: 'eyelets', count: 2 },
  ],
  find: (_, __, { child }) =>
    child ? [{ component: 'drawstring', code: 'cordChild', figures: {}, weight: 'caution' }] : [],
});
