import { line, point } from '../../geometry/index.js';
import { COMPONENT_LABELS, type Part } from '../../garment/index.js';
import { component, either } from '../component.js';
import { withFindings, withParts } from '../making.js';
import { SMALL, upright, uprightWords } from '../rectangle.js';

const PLAIN = {
  upper: ['upper', 'join'],
  start: ['start', 'join'],
  lower: ['lower', 'join'],
  end: ['end', 'join'],
} as const;

/** Belt loops, cut as one strip (docs/trade/style.md). */
export const loops = component({
  id: 'loops',
  label: COMPONENT_LABELS.loops,
  group: 'small',
  about: 'Cut as one strip and folded in three along its length. The strip holds its allowance.',
  fields: {
    count: { as: 'count', label: 'Loops', least: 1, most: 12, start: 6 },
    length: { as: 'length', label: 'Length of each', least: 30, most: 200, start: (c) => either(c, 10, 4) },
    width: { as: 'length', label: 'Width of the strip', least: 10, most: 80, start: (c) => either(c, 3.8, 1.5) },
  },
  makes: [{ id: 'loops', edges: ['start', 'lower', 'end', 'upper'] }],
  make(making, { count, length, width }) {
    const long = count * length;
    const part: Part = {
      ...SMALL,
      ...uprightWords(long, width),
      id: 'loops',
      name: 'Belt loops',
      edges: upright(long, width, PLAIN).map((e) => ({ ...e, allowance: 0 })),
      marks: Array.from({ length: count - 1 }, (_, i) => ({
        kind: 'line',
        meaning: 'placement',
        label: 'cut apart',
        path: [line(point(0, (i + 1) * length), point(width, (i + 1) * length))],
      })),
      cloth: 'shell',
      cut: { count: 1, how: 'alike' },
    };
    return withFindings(withParts(making, [part]), {
      component: 'loops',
      code: 'loopStrip',
      figures: { long, width, count },
      weight: 'told',
    });
  },
});

/** Side tabs. */
export const tabs = component({
  id: 'tabs',
  label: COMPONENT_LABELS.tabs,
  group: 'small',
  about: 'A tab at each side to draw the waist in; each is cut twice and turned.',
  fields: {
    length: { as: 'length', label: 'Length', least: 40, most: 250, start: (c) => either(c, 11, 4.5) },
    width: { as: 'length', label: 'Width', least: 15, most: 80, start: (c) => either(c, 3, 1.25) },
  },
  makes: [{ id: 'tab', edges: ['start', 'lower', 'end', 'upper'] }],
  make(making, { length, width }) {
    const part: Part = {
      ...SMALL,
      ...uprightWords(length, width),
      id: 'tab',
      name: 'Side tab',
      edges: upright(length, width, PLAIN),
      marks: [],
      cloth: 'shell',
      cut: { count: 4, how: 'mirrored' },
    };
    return withParts(making, [part]);
  },
});

/** Two panels of cloth for draping, torn to size from the boxes of the legs. */
export const draping = component({
  id: 'draping',
  label: COMPONENT_LABELS.draping,
  group: 'small',
  about:
    'Two panels torn to size with grain, crotch and hip lines, from the boxes of the pieces and what is added all round.',
  fields: { add: { as: 'length', label: 'Added all round', least: 0, most: 300, start: (c) => either(c, 10, 4) } },
  makes: [
    { id: 'drapeFront', edges: ['start', 'lower', 'end', 'upper'] },
    { id: 'drapeBack', edges: ['start', 'lower', 'end', 'upper'] },
  ],
  make(making, { add }) {
    const made = (['front', 'back'] as const).map((name): Part => {
      const panel = making.blocks.left[name];
      const { points, levels } = panel;
      const left = Math.min(points.sideHip.x, points.sideHem.x, points.sideCrotch.x) - add;
      const right = points.crotchPoint.x + add;
      const top = Math.min(points.centreWaist.y, points.sideWaist.y) - add;
      const wide = right - left;
      const long = Math.max(points.sideHem.y, points.inseamHem.y) + add - top;
      const level = (y: number, label: string): Part['marks'][number] => ({
        kind: 'line',
        meaning: 'placement',
        label,
        path: [line(point(0, y - top), point(wide, y - top))],
      });
      return {
        ...SMALL,
        id: name === 'front' ? 'drapeFront' : 'drapeBack',
        name: name === 'front' ? 'Front panel to drape' : 'Back panel to drape',
        edges: upright(long, wide, PLAIN).map((e) => ({ ...e, allowance: 0 })),
        marks: [level(levels.hipLevel, 'hip line'), level(levels.crotchLevel, 'crotch line')],
        grain: [point(panel.crease - left, long * 0.1), point(panel.crease - left, long * 0.5)],
        words: [point(20, long * 0.12), point(wide / 2, long * 0.12)],
        cloth: 'shell',
        cut: { count: 2, how: 'mirrored' },
      };
    });
    return withParts(making, made);
  },
});
