import { LEGS, type Leg, type Panel } from '../../draft/index.js';
import {
  along,
  displacePath,
  endDirection,
  endOf,
  line,
  pathLength,
  placeAtLength,
  scale,
  splitPath,
  startDirection,
  startOf,
  subtract,
} from '../../geometry/index.js';
import { COMPONENT_LABELS, edgeOf, type Part } from '../../garment/index.js';
import { component, eachPanel, refuse, sized } from '../component.js';
import { waistCutDown } from '../closed-panel.js';
import { withParts, type Making } from '../making.js';
import { stripJoins, waistStrip } from '../strip.js';
import { fasteningOf } from '../fastening.js';
import { openingTight } from '../opening-tight.js';
import { ringWords } from '../ring.js';
import { SMALL } from '../rectangle.js';
import { topOf } from '../round.js';
import type { SeamLine } from '../run.js';
import { mostDrop } from './waist-drop.js';

/** What a fitting has taken in at the top of a band: at each side, and behind in all, in mm. */
interface Ins {
  readonly side: number;
  readonly behind: number;
}

/** The part of a shaped band that is cut from a panel: the pair's, or of a leg whose end laps or is lapped over. */
function bandPart(panel: Panel, depth: number, leg: Part['leg'], lap: number, ins: Ins): Part | undefined {
  const drawn = waistStrip(panel, depth, { waist: 'join', lower: 'waist' });
  if (!drawn) return undefined;
  const edges = inBehind(inAtSide(drawn, ins.side / 2), panel.name === 'back' ? ins.behind / 2 : 0);
  const id = panel.name === 'front' ? 'bandFront' : 'bandBack';
  const name = panel.name === 'front' ? 'front waistband' : 'back waistband';
  const single = leg !== 'both';
  const of = { both: '', left: 'Left ', right: 'Right ' }[leg];
  return {
    ...SMALL,
    ...ringWords(edges, panel.crease),
    id: single ? `${id}.${leg}` : id,
    ...(single ? { like: id } : {}),
    name: single ? `${of}${name}` : `${name.charAt(0).toUpperCase()}${name.slice(1)}`,
    leg,
    edges: lap > 0 ? withLap(edges, lap) : edges,
    marks: lap > 0 ? [{ kind: 'line', meaning: 'placement', label: 'centre front', path: edges[3]?.path ?? [] }] : [],
    cloth: 'shell',
    // Outer and inner side, laid on one another.
    cut: { count: single ? 2 : 4, how: 'mirrored' },
  };
}

/** The same in interfacing, without allowance. */
const fusedOf = (part: Part): Part => ({
  ...part,
  id: part.like ? `${part.like}Interfacing.${part.leg}` : `${part.id}Interfacing`,
  ...(part.like ? { like: `${part.like}Interfacing` } : {}),
  name: `${part.name}, interfacing`,
  edges: part.edges.map((e) => ({ ...e, allowance: 0 })),
  cloth: 'interfacing',
  cut: part.leg === 'both' ? { count: 2, how: 'mirrored' } : { count: 1, how: 'alike' },
});

/** A strip taken in at the top of its side, to nothing at the stitching line below: by a fitting, in mm. */
function inAtSide(edges: Part['edges'], by: number): Part['edges'] {
  const [upper, side, lower, centre] = edges;
  if (by === 0 || !upper || !side || !lower || !centre) return edges;
  const [kept] = splitPath(upper.path, placeAtLength(upper.path, pathLength(upper.path) - by));
  const moved = subtract(endOf(kept), endOf(upper.path));
  const long = pathLength(side.path);
  const { path } = displacePath(side.path, (s) => scale(moved, 1 - s / long));
  return [{ ...upper, path: kept }, { ...side, path }, lower, centre];
}

/** The same at its centre behind. */
function inBehind(edges: Part['edges'], by: number): Part['edges'] {
  const [upper, side, lower, centre] = edges;
  if (by === 0 || !upper || !side || !lower || !centre) return edges;
  const [, kept] = splitPath(upper.path, placeAtLength(upper.path, by));
  const moved = subtract(startOf(kept), startOf(upper.path));
  const long = pathLength(centre.path);
  const { path } = displacePath(centre.path, (s) => scale(moved, s / long));
  return [{ ...upper, path: kept }, side, lower, { ...centre, path }];
}

/** A front band with its lap beyond the centre line: waist and lower edge run on straight. */
function withLap(edges: Part['edges'], lap: number): Part['edges'] {
  const [upper, side, lower, centre] = edges;
  if (!upper || !side || !lower || !centre) return edges;
  const [top, foot] = [startOf(upper.path), endOf(lower.path)];
  const a = along(top, startDirection(upper.path), -lap);
  const b = along(foot, endDirection(lower.path), lap);
  return [
    { ...upper, path: [line(a, top), ...upper.path] },
    side,
    { ...lower, path: [...lower.path, line(foot, b)] },
    { ...centre, role: 'join', path: [line(b, a)] },
  ];
}

/** A band drawn from the pieces with the darts closed; the leg is shortened by it (docs/trade/style.md). */
export const shapedBand = component({
  id: 'shapedBand',
  fromOneLeg: true,
  label: COMPONENT_LABELS.shapedBand,
  group: 'top',
  about:
    'Drawn from the pieces with the darts closed, parallel to the waist; the leg is shortened by it. It lies flat where a straight band stands off.',
  fields: {
    depth: { as: 'length', label: 'Depth', least: 15, most: 150, start: (c) => sized(c, 4, 1.5) },
    darts: {
      as: 'pick',
      label: 'The darts',
      options: [
        ['closed', 'Closed for it'],
        ['open', 'Left open'],
      ],
      start: 'closed',
    },
    topIn: { as: 'length', label: 'In at its top, each side', least: 0, most: 30, start: () => 0 },
    topBack: { as: 'length', label: 'In at its top behind, in all', least: 0, most: 60, start: () => 0 },
    overlap: { as: 'length', label: 'Lap', least: 0, most: 120, start: () => undefined },
    interfacing: { as: 'tick', label: 'Interfaced', start: true },
  },
  makes: [
    { id: 'bandFront', edges: ['upper', 'side', 'lower', 'centre'] },
    { id: 'bandBack', edges: ['upper', 'side', 'lower', 'centre'] },
    { id: 'bandFrontInterfacing', edges: ['upper', 'side', 'lower', 'centre'] },
    { id: 'bandBackInterfacing', edges: ['upper', 'side', 'lower', 'centre'] },
  ],
  not: ['band', 'casing', 'waistFacing'],
  shape(block, { depth, darts }) {
    const any = block.front.darts.length + block.back.darts.length > 0;
    if (darts === 'open' && any) return refuse('darts', 'dartsOpen');
    return eachPanel(
      block,
      (panel) =>
        (depth <= mostDrop(panel) ? waistCutDown(panel, depth) : undefined) ??
        refuse('depth', 'dropBelowHip', {
          hip: Math.max(0, depth - mostDrop(panel)),
          most: Math.max(0, Math.min(mostDrop(block.front), mostDrop(block.back))),
        }),
    );
  },
  takesTop: () => true,
  find: (making, _, context) => openingTight('shapedBand', making, context),
  make(making, { depth, overlap, interfacing, topIn, topBack }) {
    const ins: Ins = { side: topIn, behind: topBack };
    const { front, back } = making.uncut.left;
    // A zip runs through the band to its top; a fly's band laps, on the end that comes under.
    const lap = making.opening?.at === 'front' ? (overlap ?? making.opening.overlap) : 0;
    const under = making.opening?.over === 'right' ? 'left' : 'right';
    const fronts =
      lap > 0
        ? LEGS.map((leg) => bandPart(front, depth, leg, leg === under ? lap : 0, ins))
        : [bandPart(front, depth, 'both', 0, ins)];
    const parts = [...fronts, bandPart(back, depth, 'both', 0, ins)].filter((p): p is Part => p !== undefined);
    if (parts.length <= fronts.length) return refuse('depth', 'dropBelowHip', { hip: 0, most: depth / 2 });
    const fused = interfacing ? parts.map(fusedOf) : [];
    const next: Making = { ...making, topAbove: making.topAbove + depth };
    return withParts(next, [...parts, ...fused], bandLines(making, parts, lap, under));
  },
  trimmings: (making, { depth }) => fasteningOf(making, depth),
});

/** The sewing of a shaped band: along the cut waist of each leg, and its strips to one another. */
function bandLines(making: Making, parts: readonly Part[], lap: number, under: Leg): SeamLine[] {
  const frontOf = (leg: Leg): Part => {
    const found = parts.find((p) => p.id === 'bandFront') ?? parts.find((p) => p.id === `bandFront.${leg}`);
    if (!found) throw new Error(`No waistband for the ${leg} front`);
    return found;
  };
  const alike = frontOf('left') === frontOf('right');
  const waist = (leg: Leg): SeamLine => {
    const front = frontOf(leg);
    const long = pathLength(edgeOf(front, 'lower').path);
    const laps = lap > 0 && leg === under;
    return {
      id: alike ? 'waist' : `waist.${leg}`,
      ...(alike ? {} : { like: 'waist' }),
      label: 'Waistband to the waist',
      first: [
        { part: front.id, edge: 'lower', backward: true, ...(laps ? { from: 0, to: long - lap } : {}) },
        { part: 'bandBack', edge: 'lower', backward: false, ...(leg === 'right' ? { mirrored: true } : {}) },
      ],
      second: topOf(making.top[leg]),
      ease: undefined,
      matches: [],
      cuts: [1, 1],
      start: 'centre front',
      end: 'centre back',
    };
  };
  return [
    ...(alike ? [waist('left')] : LEGS.map(waist)),
    ...stripJoins(
      { front: { left: frontOf('left').id, right: frontOf('right').id }, back: 'bandBack' },
      making.opening,
      'band',
      'Band',
    ),
  ];
}
