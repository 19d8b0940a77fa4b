import {
  along,
  cubic,
  distance,
  endOf,
  line,
  mirror,
  offsetPath,
  pathLength,
  placeAtLength,
  point,
  quarterTurn,
  splitPath,
  startOf,
  subtract,
  unit,
  type Path,
} from '../../geometry/index.js';
import type { Leg } from '../../draft/index.js';
import { COMPONENT_LABELS, edgeOf, type Edge, type Part, type PartMark } from '../../garment/index.js';
import { component, either, refuse, sized, type StyleContext } from '../component.js';
import {
  carrierOf,
  carriers,
  edgesInstead,
  notchedAt,
  pairApart,
  panelOf,
  partsByName,
  sewnInstead,
  withPart,
  withParts,
  type Making,
} from '../making.js';
import { cutLine, edgeCut, leftOpen } from '../open-line.js';
import { runLength, type SeamLine } from '../run.js';
import { ringWords } from '../ring.js';
import { SMALL, upright, uprightWords } from '../rectangle.js';

import { placeAtLevel } from '../leg-ends.js';

/** A fly ends at least so far above the crotch point, in mm along the rise. */
const LEAST_BELOW = 30;
/** A zip is so much shorter than its opening, in mm. */
const ZIP_SHORTER = 5;

/** How long the zip of an opening is, from the finished top edge, in mm. */
const zipOf = ({ opening, topAbove }: Making): number => (opening?.length ?? 0) + topAbove - ZIP_SHORTER;

/** How long the opening is, from the waist down the rise, in mm: as given, or down to its height above the crotch. */
function openingOf(making: Making, context: StyleContext, given: number | undefined): { length: number; rise: number } {
  const front = carrierOf(making, 'front', 'left');
  const { path } = edgeOf(front, 'rise');
  const rise = pathLength(path);
  if (given !== undefined) return { length: given, rise };
  const stop = sized(context, 5, 2.5);
  const place = placeAtLevel(path, panelOf(making, 'front', front).levels.crotchLevel - stop);
  return { length: place ? rise - pathLength(splitPath(path, place)[0]) : rise * 0.7, rise };
}

/** What a fly adds beyond the centre line: its outer edge from the stop up, and its top, run as the outline does. */
function extension(open: Path, waist: Path, wide: number): { outer: Path; top: Path } {
  const [stop, centre] = [startOf(open), endOf(open)];
  const up = unit(subtract(centre, stop));
  const out = quarterTurn(up);
  // The top is the mirror image of the waist beside it, so that, folded, it lies on it.
  const along0 = placeAtLength(waist, wide).at;
  const corner = mirror(along0, centre, up);
  const reach = Math.min(wide * 1.2, distance(stop, centre) * 0.6);
  const turn = along(along(stop, out, wide), up, reach);
  const curve = cubic(stop, along(stop, out, wide * 0.7), along(turn, up, -reach * 0.6), turn);
  return { outer: [curve, line(turn, corner)], top: [line(corner, centre)] };
}

/** A J-shaped facing as it lies behind the front: opening, top, curved edge. */
function facingEdges(open: Path, waist: Path, wide: number): Edge[] {
  const stop = startOf(open);
  const centre = endOf(open);
  const [top] = splitPath(waist, placeAtLength(waist, wide));
  const corner = endOf(top);
  const down = unit(subtract(stop, centre));
  const inward = unit(subtract(corner, centre));
  const reach = Math.min(wide * 1.3, distance(stop, centre) * 0.6);
  const turn = along(corner, down, Math.max(10, distance(centre, stop) - reach));
  const curve = cubic(turn, along(turn, down, reach * 0.6), along(stop, inward, wide * 0.6), stop);
  return [
    { id: 'centre', role: 'join', path: open },
    { id: 'top', role: 'waist', path: top },
    { id: 'curve', role: 'opening', path: [line(corner, turn), curve], allowance: 0 },
  ];
}

/** The line of topstitching beside a fly. */
function topstitch(open: Path, away: number): PartMark {
  const inner = offsetPath(open, -away);
  const stop = startOf(open);
  const from = placeAtLength(inner, Math.min(away, pathLength(inner) * 0.4));
  const [, rest] = splitPath(inner, from);
  const d = unit(subtract(endOf(rest), startOf(rest)));
  const reach = Math.max(8, distance(stop, startOf(rest)) * 0.5);
  const curve = cubic(
    stop,
    along(stop, unit(subtract(startOf(inner), stop)), reach),
    along(startOf(rest), d, -reach),
    startOf(rest),
  );
  return { kind: 'line', meaning: 'placement', label: 'topstitching', path: [curve, ...rest] };
}

/** A fly: grown on to one front, separate with a facing and a shield, or mock (docs/trade/style.md). */
export const fly = component({
  id: 'fly',
  label: COMPONENT_LABELS.fly,
  group: 'closure',
  about:
    'The rise is left open from the waist to a stop above the crotch. Grown on to one front, or separate: a curved facing on one side, a folded shield on the other; or mock, stitched shut.',
  fields: {
    kind: {
      as: 'pick',
      label: 'Made',
      options: [
        ['separate', 'Separate'],
        ['grownOn', 'Grown on'],
        ['mock', 'Mock'],
      ],
      start: 'separate',
    },
    over: {
      as: 'pick',
      label: 'Laps',
      options: [
        ['left', 'Left over right'],
        ['right', 'Right over left'],
      ],
      start: 'left',
    },
    length: { as: 'length', label: 'Opening from the waist', least: 30, most: 400, start: () => undefined },
    width: { as: 'length', label: 'Width of the facing', least: 20, most: 80, start: (c) => sized(c, 4, 1.75) },
    shield: { as: 'length', label: 'Width of the shield', least: 20, most: 100, start: (c) => sized(c, 5, 2) },
    topstitch: { as: 'length', label: 'Topstitched at', least: 10, most: 70, start: (c) => either(c, 3, 1.25) },
  },
  makes: [
    { id: 'flyFacing', edges: ['centre', 'top', 'curve'] },
    { id: 'flyShield', edges: ['start', 'lower', 'end', 'upper'] },
    { id: 'front', edges: ['flyOpening', 'flyEdge', 'flyTop'] },
  ],
  not: ['zip', 'casing'],
  make(making, { kind, over, length: given, width, shield, topstitch: away }, context) {
    const { length, rise } = openingOf(making, context, given);
    if (length > rise - LEAST_BELOW) {
      return refuse('length', 'flyTooLong', { rise, most: Math.max(0, rise - LEAST_BELOW) });
    }
    const waistWide = Math.min(
      ...carriers(making, 'front').map(({ edges }) => pathLength(edges.find((e) => e.id === 'waist')?.path ?? [])),
    );
    const wide = Math.min(width, waistWide * 0.8);
    const next =
      kind === 'mock'
        ? mock(making, length, wide, away)
        : kind === 'separate'
          ? separate(making, length, wide, away, over)
          : grownOn(making, length, wide, away, over);
    if (kind === 'mock') return next;
    return {
      ...withShield(next, shield, over),
      opening: { at: 'front', length, overlap: shield, over },
    };
  },
  find(making, { kind }) {
    const { opening, topAbove } = making;
    if (kind === 'mock' || !opening) return [];
    const zip = zipOf(making);
    return [{ component: 'fly', code: 'zipLength', figures: { zip, below: opening.length, topAbove }, weight: 'told' }];
  },
  trimmings: (making, { kind }) =>
    kind === 'mock' || !making.opening ? [] : [{ kind: 'zip', count: 1, length: zipOf(making) }],
});

/** A front with the extension of a fly beyond its opening; its rise ends at the stop. */
function extended(front: Part, length: number, wide: number, openRole: 'fold' | 'seam'): { part: Part; open: Path } {
  const rise = edgeOf(front, 'rise');
  const [below, open] = edgeCut(rise, pathLength(rise.path) - length);
  const { outer, top } = extension(open.path, edgeOf(front, 'waist').path, wide);
  const straight = line(startOf(open.path), endOf(open.path));
  const part = edgesInstead(front, 'rise', [
    below,
    { id: 'flyEdge', role: openRole === 'seam' ? 'join' : 'opening', path: outer },
    { id: 'flyTop', role: 'waist', path: top },
  ]);
  return {
    part: {
      ...part,
      marks: [...part.marks, { kind: 'line', meaning: 'fold', label: 'centre front, fold', path: [straight] }],
    },
    open: open.path,
  };
}

function mock(making: Making, length: number, wide: number, away: number): Making {
  let next = making;
  for (const front of carriers(making, 'front')) {
    const { part, open } = extended(front, length, wide, 'seam');
    next = withPart(next, { ...part, marks: [...part.marks, topstitch(open, away)] });
    next = sewnInstead(next, front.id, 'rise', [
      { part: front.id, edge: 'rise', backward: false },
      { part: front.id, edge: 'flyEdge', backward: false },
    ]);
  }
  return next;
}

function separate(making: Making, length: number, wide: number, away: number, over: Leg): Making {
  const cut = cutLine(making, 'frontRise', 'end', length, { id: 'flyOpening', role: 'opening' });
  let next = leftOpen(cut, 'frontRise', 'end', 'flyOpening');
  const front = carrierOf(next, 'front', over);
  const open = edgeOf(front, 'flyOpening').path;
  for (const part of carriers(next, 'front')) {
    const on = notchedAt(part, 'flyOpening', 'start', 'stop of the fly');
    next = withPart(next, { ...on, marks: [...part.marks, topstitch(edgeOf(part, 'flyOpening').path, away)] });
  }
  const edges = facingEdges(open, edgeOf(front, 'waist').path, wide);
  const facing: Part = {
    ...SMALL,
    ...ringWords(edges, startOf(open).x),
    id: 'flyFacing',
    name: 'Fly facing',
    leg: over,
    edges,
    marks: [],
    cloth: 'shell',
    cut: { count: 1, how: 'alike' },
    // It lies behind its front, right side to the body: the mirror image of that front.
    up: over === 'left' ? 'right' : 'wrong',
  };
  const seam: SeamLine = {
    id: 'flyFacing',
    label: 'Fly facing to front',
    first: [{ part: 'flyFacing', edge: 'centre', backward: false }],
    second: [
      {
        part: front.id,
        edge: 'flyOpening',
        backward: false,
        ...(over === 'right' && front.leg === 'both' ? { mirrored: true } : {}),
      },
    ],
    ease: undefined,
    matches: [],
    cuts: [1, 1],
    start: 'stop of the fly',
    end: 'waist',
  };
  return withParts(next, [facing], [seam]);
}

function grownOn(making: Making, length: number, wide: number, away: number, over: Leg): Making {
  let next = pairApart(making, 'front');
  const under: Leg = over === 'left' ? 'right' : 'left';
  const top = carrierOf(next, 'front', over);
  const { part, open } = extended(top, length, wide, 'fold');
  next = withPart(next, { ...part, marks: [...part.marks, topstitch(open, away)] });
  const below = carrierOf(next, 'front', under);
  const rise = edgeOf(below, 'rise');
  const [seamed, left] = edgeCut(rise, pathLength(rise.path) - length);
  const opened = edgesInstead(below, 'rise', [seamed, { ...left, id: 'flyOpening', role: 'opening' }]);
  return withPart(next, notchedAt(opened, 'flyOpening', 'start', 'stop of the fly'));
}

/** The shield behind a fly: a strip folded along its middle, sewn to the front that lies under. */
function withShield(making: Making, wide: number, over: Leg): Making {
  const under: Leg = over === 'left' ? 'right' : 'left';
  const front = carrierOf(making, 'front', under);
  const long = runLength(partsByName(making), [{ part: front.id, edge: 'flyOpening', backward: true }]);
  const part: Part = {
    ...SMALL,
    ...uprightWords(long, 2 * wide),
    id: 'flyShield',
    name: 'Fly shield',
    leg: under,
    edges: upright(long, 2 * wide, {
      upper: ['upper', 'join'],
      start: ['start', 'waist'],
      lower: ['lower', 'join'],
      end: ['end', 'opening'],
    }),
    marks: [{ kind: 'line', meaning: 'fold', label: 'fold line', path: [line(point(wide, 0), point(wide, long))] }],
    cloth: 'shell',
    cut: { count: 1, how: 'alike' },
  };
  const seam: SeamLine = {
    id: 'flyShield',
    label: 'Fly shield to front',
    first: [{ part: 'flyShield', edge: 'lower', backward: false }],
    second: [
      {
        part: front.id,
        edge: 'flyOpening',
        backward: true,
        ...(under === 'right' && front.leg === 'both' ? { mirrored: true } : {}),
      },
    ],
    ease: undefined,
    matches: [],
    cuts: [1, 1],
    start: 'waist',
    end: 'stop of the fly',
  };
  return withParts(making, [part], [seam]);
}
