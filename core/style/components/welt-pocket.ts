import { line, point, type Point } from '../../geometry/index.js';
import { COMPONENT_LABELS, type Part, type PartMark } from '../../garment/index.js';
import { component, either, isRefused, refuse, sized, type Refused } from '../component.js';
import { carriers, panelOf, withPart, withParts, type Making } from '../making.js';
import { SMALL, upright, uprightWords } from '../rectangle.js';
import { fittedAcross, liesWithin, placement, topLineAt } from '../placed.js';

/** A welt pocket behind: its place on the back, placket, welt and bags (docs/trade/style.md). */
export const weltPocket = component({
  id: 'weltPocket',
  label: COMPONENT_LABELS.weltPocket,
  group: 'pockets',
  about: 'Its place lies by the dart, parallel to the waist. A placket makes the welt; two bags hang behind it.',
  fields: {
    below: { as: 'length', label: 'Below the waist', least: 20, most: 200, start: (c) => sized(c, 7, 2.75) },
    width: { as: 'length', label: 'Width of the opening', least: 60, most: 220, start: (c) => sized(c, 13, 5.25) },
    welt: { as: 'length', label: 'Depth of the welt', least: 5, most: 40, start: (c) => either(c, 1.2, 0.5) },
    bag: { as: 'length', label: 'Depth of the bag', least: 80, most: 350, start: (c) => sized(c, 18, 7) },
    on: {
      as: 'pick',
      label: 'On',
      options: [
        ['both', 'Both sides'],
        ['right', 'The right'],
        ['left', 'The left'],
      ],
      start: 'both',
    },
  },
  makes: [
    { id: 'welt', edges: ['start', 'lower', 'end', 'upper'] },
    { id: 'weltBag', edges: ['start', 'lower', 'end', 'upper'] },
  ],
  not: ['onePiece'],
  make(making, { below, width, welt, bag, on }) {
    let next = making;
    for (const back of carriers(making, 'back')) {
      if (on !== 'both' && back.leg !== 'both' && back.leg !== on) continue;
      const done = marked(next, back, below, width, welt, on);
      if (isRefused(done)) return done;
      next = done;
    }
    const count = on === 'both' ? 2 : 1;
    const wide = width + 45;
    const deep = welt * 4 + 40;
    const leg = on === 'both' ? 'both' : on;
    const part = (
      id: string,
      name: string,
      long: number,
      across: number,
      cloth: Part['cloth'],
      times: number,
    ): Part => ({
      ...SMALL,
      ...uprightWords(long, across),
      id,
      name,
      leg,
      edges: upright(long, across, {
        upper: ['upper', 'join'],
        start: ['start', 'join'],
        lower: ['lower', 'join'],
        end: ['end', 'join'],
      }),
      marks: [],
      cloth,
      cut: { count: count * times, how: 'alike' },
    });
    return withParts(next, [
      part('welt', 'Welt and placket', deep, wide, 'shell', 1),
      part('weltBag', 'Welt pocket bag', bag, wide, 'pocketing', 2),
    ]);
  },
});

/** The place of a welt drawn on a back: its box and the ends of its slash. */
function marked(making: Making, back: Part, below: number, width: number, welt: number, on: string): Making | Refused {
  const panel = panelOf(making, 'back', back);
  const x = fittedAcross(back, panel.darts[0]?.apex.x ?? panel.crease, width, below);
  const top = topLineAt(back, x);
  if (!top) return refuse('width', 'noDartForWelt');
  const at = (along: number, down: number): Point =>
    point(
      top.at.x + top.d.x * along + top.down.x * (below + down),
      top.at.y + top.d.y * along + top.down.y * (below + down),
    );
  const half = width / 2;
  const box = [at(-half, 0), at(half, 0), at(half, welt), at(-half, welt)];
  if (!liesWithin(back, box)) return refuse('width', 'noDartForWelt');
  const label = on === 'both' ? 'welt pocket' : `welt pocket, ${on} only`;
  const marks: PartMark[] = [
    placement(box, label),
    {
      kind: 'line',
      meaning: 'placement',
      label: `${label}, slash`,
      path: [line(at(-half, welt / 2), at(half, welt / 2))],
    },
    { kind: 'drill', label: 'end of the welt', at: at(-half + 5, welt / 2) },
    { kind: 'drill', label: 'end of the welt', at: at(half - 5, welt / 2) },
  ];
  return withPart(making, { ...back, marks: [...back.marks, ...marks] });
}
