import { pathLength } from '../../geometry/index.js';
import { COMPONENT_LABELS, type Part } from '../../garment/index.js';
import { component, either, refuse } from '../component.js';
import type { Finding } from '../finding.js';
import { lineApart, partsByName, withParts, type Making } from '../making.js';
import { cutLine, leftOpen } from '../open-line.js';
import { runLength } from '../run.js';
import { SMALL, upright, uprightWords } from '../rectangle.js';

/** A zip ends this far below the hip line unless it is given otherwise, in mm. */
const BELOW_HIP = 10;
/** A seam keeps so much sewn below a zip, in mm. */
const LEAST_SEWN = 40;

/** How far below the waist the hip line lies along the seam a zip is set into, in mm. */
function toHip({ blocks }: Making, at: 'side' | 'back'): number {
  const { back } = blocks.left;
  if (at === 'side') return pathLength(back.edges.side.slice(0, back.joints.sideHip));
  const top = back.edges.rise.slice(back.joints.curveStart);
  return Math.min(
    pathLength(top),
    Math.hypot(
      back.points.centreWaist.x - back.points.centreHip.x,
      back.points.centreWaist.y - back.points.centreHip.y,
    ),
  );
}

/** A zip in the side or behind, plain or invisible (docs/trade/style.md). */
export const zip = component({
  id: 'zip',
  label: COMPONENT_LABELS.zip,
  group: 'closure',
  about:
    'In the left side or the centre behind, with its own allowance down to its end. Its length counts from the finished top edge, band included, and its end lies at or below the hip line.',
  fields: {
    at: {
      as: 'pick',
      label: 'Set into',
      options: [
        ['side', 'The left side'],
        ['back', 'The centre behind'],
      ],
      start: 'side',
    },
    kind: {
      as: 'pick',
      label: 'Kind',
      options: [
        ['plain', 'Plain'],
        ['invisible', 'Invisible'],
      ],
      start: 'plain',
    },
    length: { as: 'length', label: 'Down from the waist seam', least: 40, most: 400, start: () => undefined },
    allowance: { as: 'length', label: 'Allowance to its end', least: 5, most: 50, start: (c) => either(c, 2.5, 1) },
    lap: { as: 'length', label: 'Lap of the band', least: 0, most: 80, start: (c) => either(c, 3, 1) },
  },
  makes: [
    { id: 'back', edges: ['zipOpening'] },
    { id: 'front', edges: ['zipOpening'] },
    { id: 'zipShield', edges: ['start', 'lower', 'end', 'upper'] },
  ],
  not: ['fly', 'casing', 'onePiece'],
  make(making, { at, length: given, allowance, lap }, { child }) {
    const id = at === 'side' ? 'side' : 'backRise';
    const end = at === 'side' ? 'start' : 'end';
    const parts = partsByName(making);
    const leftLine = making.lines.find((l) => l.id === id || l.id === `${id}.left`);
    const whole = leftLine ? runLength(parts, leftLine.first) : 0;
    const length = given ?? toHip(making, at) + BELOW_HIP;
    if (length > whole - LEAST_SEWN) return refuse('length', 'zipTooLong', { most: Math.max(0, whole - LEAST_SEWN) });
    const open = { id: 'zipOpening', role: 'opening', allowance, notch: 'end of the zip' } as const;
    let next = making;
    if (at === 'back') {
      next = leftOpen(cutLine(next, id, end, length, open), id, end, 'zipOpening');
    } else {
      const both = next.lines.some((l) => l.id === 'side') ? ['side'] : ['side.left', 'side.right'];
      for (const one of both) next = cutLine(next, one, end, length, open);
      if (both.length === 1) next = lineApart(next, 'side');
      next = leftOpen(next, 'side.left', end, 'zipOpening');
    }
    const opening = { at, length, overlap: lap, over: 'left' } as const;
    return { ...(child ? shielded(next, length) : next), opening };
  },
  find(making, { at }, { child }): readonly Finding[] {
    const { opening, topAbove } = making;
    if (!opening) return [];
    const needed = toHip(making, at);
    return [
      {
        component: 'zip',
        code: 'zipLength',
        figures: { zip: opening.length + topAbove, below: opening.length, topAbove },
        weight: 'told',
      },
      ...(opening.length < needed - 1
        ? [
            {
              component: 'zip',
              code: 'zipShort',
              figures: { short: needed - opening.length, needed: needed + topAbove },
              weight: 'out',
            } as const,
          ]
        : []),
      ...(child ? [{ component: 'zip', code: 'zipChild', figures: {}, weight: 'caution' } as const] : []),
    ];
  },
  trimmings: ({ opening, topAbove }, { kind }) =>
    opening
      ? [{ kind: kind === 'invisible' ? 'invisibleZip' : 'zip', count: 1, length: opening.length + topAbove }]
      : [],
});

/** A shield behind the teeth of a child's zip. */
function shielded(making: Making, length: number): Making {
  const wide = 60;
  const part: Part = {
    ...SMALL,
    ...uprightWords(length, wide),
    id: 'zipShield',
    name: 'Shield behind the zip',
    leg: 'left',
    edges: upright(length, wide, {
      upper: ['upper', 'fold'],
      start: ['start', 'waist'],
      lower: ['lower', 'join'],
      end: ['end', 'opening'],
    }),
    marks: [],
    cloth: 'shell',
    cut: { count: 1, how: 'on the fold' },
  };
  return withParts(making, [part]);
}
