import { line, point } from '../../geometry/index.js';
import { COMPONENT_LABELS, type PartMark } from '../../garment/index.js';
import { component, either, refuse } from '../component.js';
import { carriers, panelOf, withPart } from '../making.js';

/** Pleats: the front's dart intake let fall toward the crease (docs/trade/style.md). */
export const pleats = component({
  id: 'pleats',
  label: COMPONENT_LABELS.pleats,
  group: 'top',
  about:
    'What the front’s darts take in falls as a pleat instead, folded at the waist and stitched down as far as is wanted.',
  fields: {
    stitched: { as: 'length', label: 'Stitched down', least: 0, most: 150, start: (c) => either(c, 4, 1.5) },
    toward: {
      as: 'pick',
      label: 'Folded toward',
      options: [
        ['side', 'The side'],
        ['centre', 'The centre'],
      ],
      start: 'side',
    },
  },
  makes: [],
  make(making, { stitched, toward }) {
    let next = making;
    for (const front of carriers(making, 'front')) {
      const { darts } = panelOf(making, 'front', front);
      if (darts.length === 0) return refuse('stitched', 'noDartForPleat');
      const marks = darts.flatMap(({ centreLeg, sideLeg, length }): PartMark[] =>
        [centreLeg, sideLeg].map((p, i) => ({
          kind: 'line',
          meaning: 'placement',
          label: `pleat, ${i === 0 ? 'fold' : 'laid to'} ${toward}`,
          path: [line(p, point(p.x, p.y + Math.max(10, Math.min(length, Math.max(stitched, 40)))))],
        })),
      );
      const kept = front.marks.filter((m) => !(m.kind === 'drill' || m.meaning === 'dart'));
      next = withPart(next, { ...front, marks: [...kept, ...marks] });
    }
    return next;
  },
});
