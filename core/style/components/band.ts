import { line, placeAtLength, point } from '../../geometry/index.js';
import { COMPONENT_LABELS, type Ease, type OwnNotch, type Part } from '../../garment/index.js';
import { bentStrip, type Stretch } from '../bent-strip.js';
import { component, refuse, sized } from '../component.js';
import { partsByName, withParts, type Making } from '../making.js';
import { onceRound, quartersOf, type Quarter } from '../round.js';
import { runLength, type RunPiece, type SeamLine } from '../run.js';
import { fasteningOf } from '../fastening.js';
import { openingTight } from '../opening-tight.js';
import { SMALL, upright, uprightWords, type RectangleEdges } from '../rectangle.js';

/** A band shorter than the waist by more than this share cannot be eased in. */
const MOST_EASED = 0.05;
/** The top of a band is taken in by no more than so many times its depth: each half turns by less than thirty degrees. */
const MOST_BENT = 1;

const EDGES: RectangleEdges = {
  upper: ['upper', 'join'],
  start: ['start', 'join'],
  lower: ['lower', 'waist'],
  end: ['end', 'join'],
};

/** One strip of a band, in the order once round: what it is sewn to, and what laps beyond that at either end, in mm. */
interface Strip {
  readonly id: string;
  readonly name: string;
  readonly like?: string;
  readonly leg: Part['leg'];
  readonly quarters: readonly Quarter[];
  readonly before: number;
  readonly after: number;
}

/** What tells one strip from the next: nothing, the leg, or front and back. */
const DIVIDED: Readonly<Record<'whole' | 'halves' | 'frontBack', (q: Quarter) => string>> = {
  whole: () => '',
  halves: ({ leg }) => leg,
  frontBack: ({ panel }) => panel,
};

const STRIP_NAMES = { front: 'Front waistband', back: 'Back waistband', band: 'Waistband' } as const;

/** The strips of a band, from where the garment opens to the right; the lap lies on the end that comes under. */
function stripsOf(making: Making, cutAs: keyof typeof DIVIDED, lap: number): Strip[] {
  const groups: Quarter[][] = [];
  for (const quarter of quartersOf(making.top, making.opening)) {
    const last = groups[groups.length - 1];
    const before = last?.[0];
    if (last && before && DIVIDED[cutAs](before) === DIVIDED[cutAs](quarter)) last.push(quarter);
    else groups.push([quarter]);
  }
  const lapFirst = making.opening?.over === 'right';
  return groups.map((quarters, i): Strip => {
    const panel = cutAs === 'frontBack' ? (quarters[0]?.panel ?? 'front') : 'band';
    const legs = new Set(quarters.map((q) => q.leg));
    const leg = legs.size === 1 && cutAs !== 'whole' ? (quarters[0]?.leg ?? 'both') : 'both';
    const base = { front: 'bandFront', back: 'bandBack', band: 'band' }[panel];
    const name = STRIP_NAMES[panel];
    const [under, over] = [lapFirst && i === 0, !lapFirst && i === groups.length - 1];
    return {
      id: leg === 'both' ? base : `${base}.${leg}`,
      ...(leg === 'both' ? {} : { like: base }),
      name: leg === 'both' ? name : `${leg === 'left' ? 'Left' : 'Right'} ${name.toLowerCase()}`,
      leg,
      quarters,
      before: under ? lap : 0,
      after: over ? lap : 0,
    };
  });
}

/**
 * A straight band: a strip along the grain, as long as the closed waist it is sewn to; bent behind where a fitting has taken
 * its top in (docs/trade/style.md).
 */
export const band = component({
  id: 'band',
  label: COMPONENT_LABELS.band,
  group: 'top',
  about:
    'As long as the waist it is sewn to with its darts closed, and what laps over; folded along its middle, or single with a facing. Cut along the grain. Taken in at its top it is bent behind, and needs a facing.',
  fields: {
    depth: { as: 'length', label: 'Finished depth', least: 10, most: 150, start: (c) => sized(c, 4, 1.5) },
    fold: {
      as: 'pick',
      label: 'Made of',
      options: [
        ['double', 'One, folded'],
        ['single', 'Two, one a facing'],
      ],
      start: 'double',
    },
    parts: {
      as: 'pick',
      label: 'Cut as',
      options: [
        ['whole', 'One whole'],
        ['halves', 'Two halves'],
        ['frontBack', 'Front and back'],
      ],
      start: 'whole',
    },
    topIn: { as: 'length', label: 'In at its top behind, in all', least: 0, most: 60, start: () => 0 },
    length: { as: 'length', label: 'Length once round', least: 200, most: 2500, start: () => undefined },
    overlap: { as: 'length', label: 'Lap', least: 0, most: 120, start: () => undefined },
    interfacing: { as: 'tick', label: 'Interfaced', start: true },
  },
  makes: [
    { id: 'band', edges: ['start', 'upper', 'end', 'lower'] },
    { id: 'bandFront', edges: ['start', 'upper', 'end', 'lower'] },
    { id: 'bandBack', edges: ['start', 'upper', 'end', 'lower'] },
    { id: 'bandInterfacing', edges: ['start', 'upper', 'end', 'lower'] },
    { id: 'bandFrontInterfacing', edges: ['start', 'upper', 'end', 'lower'] },
    { id: 'bandBackInterfacing', edges: ['start', 'upper', 'end', 'lower'] },
  ],
  not: ['shapedBand', 'casing', 'waistFacing'],
  make(making, { depth, fold, parts: cutAs, topIn, length, overlap, interfacing }) {
    const parts = partsByName(making);
    const waist = runLength(parts, onceRound(making));
    const short = length === undefined ? 0 : waist - length;
    if (short > waist * MOST_EASED) {
      return refuse('length', 'bandTooShort', { short, least: waist * (1 - MOST_EASED) });
    }
    const share = length === undefined ? 1 : length / waist;
    if (cutAs === 'halves' && making.opening?.at === 'side') return refuse('parts', 'halvesAtSide');
    if (topIn > depth * MOST_BENT) return refuse('topIn', 'bandTooBent', { most: depth * MOST_BENT });
    const lap = overlap ?? making.opening?.overlap ?? 0;
    const strips = stripsOf(making, cutAs, lap);
    // What is bent cannot be folded along its middle.
    const doubled = fold === 'double' && topIn === 0;
    const behind = quartersOf(making.top, making.opening)
      .filter((q) => q.panel === 'back')
      .reduce((sum, { run }) => sum + runLength(parts, run), 0);
    let next: Making = { ...making, topAbove: making.topAbove + depth };
    for (const strip of strips) {
      const stretches = strip.quarters.map(({ panel, run }): Stretch => {
        const along = runLength(parts, run);
        return { long: along * share, takenIn: panel === 'back' ? (topIn * along) / behind : 0 };
      });
      next = withStrip(next, strip, stretches, share, { depth, doubled, interfacing });
    }
    return withParts(next, [], joins(strips, making.opening === undefined && lap === 0));
  },
  find(making, { length }, context) {
    const tight = openingTight('band', making, context);
    if (length === undefined) return tight;
    const waist = runLength(partsByName(making), onceRound(making));
    const differ = waist - length;
    if (Math.abs(differ) < 1) return tight;
    return [
      ...tight,
      {
        component: 'band',
        code: differ > 0 ? 'bandShort' : 'bandLong',
        figures: { waist, length, differ: Math.abs(differ) },
        weight: differ > 0 && differ < waist * 0.03 ? 'told' : 'caution',
      },
    ];
  },
  trimmings: (making, { depth }) => fasteningOf(making, depth),
});

/** A strip of the band, bent where its top is taken in, and its interfacing; sewn to its share of the waist. */
function withStrip(
  making: Making,
  { id, name, like, leg, quarters, before, after }: Strip,
  stretches: readonly Stretch[],
  share: number,
  { depth, doubled, interfacing }: { readonly depth: number; readonly doubled: boolean; readonly interfacing: boolean },
): Making {
  const band = stretches.reduce((sum, s) => sum + s.long, 0);
  const along = band / share;
  const long = before + band + after;
  const wide = doubled ? 2 * depth : depth;
  const lap = (mm: number): Stretch[] => (mm > 0 ? [{ long: mm, takenIn: 0 }] : []);
  const bent = stretches.some((s) => s.takenIn > 0);
  const drawn = bent
    ? bentStrip([...lap(before), ...stretches, ...lap(after)], wide, EDGES)
    : { ...uprightWords(long, wide), edges: upright(long, wide, EDGES) };
  const { edges } = drawn;
  const endOfLap = (length: number): OwnNotch => ({
    edge: 'lower',
    label: 'end of the lap',
    at: placeAtLength(edges[1]?.path ?? [], length),
    count: 1,
  });
  const notches = [...(before > 0 ? [endOfLap(before)] : []), ...(after > 0 ? [endOfLap(before + band)] : [])];
  const part: Part = {
    ...SMALL,
    ...drawn,
    id,
    name,
    leg,
    ...(like ? { like } : {}),
    notches,
    marks: doubled
      ? [{ kind: 'line', meaning: 'fold', label: 'fold line', path: [line(point(depth, 0), point(depth, long))] }]
      : [],
    cloth: 'shell',
    cut: doubled ? { count: 1, how: 'alike' } : { count: 2, how: 'mirrored' },
  };
  const sewn: RunPiece = { part: id, edge: 'lower', backward: false, from: before, to: before + band };
  const ease: Ease | undefined =
    Math.abs(along - band) < 0.01
      ? undefined
      : along > band
        ? { on: 'second', how: 'eased', mm: along - band }
        : { on: 'first', how: 'eased', mm: band - along };
  const seam: SeamLine = {
    id: id === 'band' ? 'waist' : `waist.${id}`,
    ...(id === 'band' ? {} : { like: 'waist' }),
    label: `${name} to the waist`,
    first: [sewn],
    second: quarters.flatMap((q) => q.run),
    ease,
    matches: [],
    cuts: [1, 1],
    start: 'start of the band',
    end: 'end of the band',
  };
  const fused: Part[] = interfacing
    ? [
        {
          ...part,
          id: like ? `${like}Interfacing.${leg}` : `${id}Interfacing`,
          ...(like ? { like: `${like}Interfacing` } : {}),
          name: `${name}, interfacing`,
          edges: edges.map((e) => ({ ...e, allowance: 0 })),
          notches: [],
          cloth: 'interfacing',
          cut: { count: 1, how: 'alike' },
        },
      ]
    : [];
  return withParts(making, [part, ...fused], [seam]);
}

/** Each strip joined to the next at its end; the last to the first where the garment does not open. */
function joins(strips: readonly Strip[], closed: boolean): SeamLine[] {
  return strips.flatMap(({ id }, i): SeamLine[] => {
    const next = strips[i + 1] ?? (closed ? strips[0] : undefined);
    if (!next) return [];
    return [
      {
        id: i === 0 ? 'bandJoin' : `bandJoin.${i + 1}`,
        ...(i === 0 ? {} : { like: 'bandJoin' }),
        label: 'Ends of the band',
        first: [{ part: id, edge: 'end', backward: false }],
        second: [{ part: next.id, edge: 'start', backward: true }],
        ease: undefined,
        matches: [],
        cuts: [1, 1],
        start: 'lower edge',
        end: 'upper edge',
      },
    ];
  });
}
