import { COMPONENT_LABELS, legs as legParts } from '../../garment/index.js';
import type { Part } from '../../garment/index.js';
import { component, either, refuse } from '../component.js';
import { cutOff } from '../leg-ends.js';
import { withParts } from '../making.js';
import { runOfStretch, type SeamLine } from '../run.js';

/** A lining's leg is at least so long below the crotch line, in mm. */
const LEAST_LEG = 30;

/** A lining: the legs once more in lining cloth, to the knee or in full, darts laid as pleats (docs/trade/style.md). */
export const lining = component({
  id: 'lining',
  fromOneLeg: true,
  label: COMPONENT_LABELS.lining,
  group: 'small',
  about:
    'The legs once more in lining cloth, in full and a little shorter, or to below the knee; the darts are laid as pleats.',
  fields: {
    to: {
      as: 'pick',
      label: 'Reaches',
      options: [
        ['full', 'The hem'],
        ['knee', 'Below the knee'],
      ],
      start: 'full',
    },
    shorter: { as: 'length', label: 'Shorter than the leg', least: 0, most: 80, start: (c) => either(c, 2.5, 1) },
    belowKnee: { as: 'length', label: 'Below the knee', least: 0, most: 200, start: (c) => either(c, 8, 3) },
  },
  makes: [
    { id: 'liningFront', edges: ['waist', 'side', 'hem', 'inseam', 'rise'] },
    { id: 'liningBack', edges: ['waist', 'side', 'hem', 'inseam', 'rise'] },
  ],
  make(making, { to, shorter, belowKnee }) {
    const { left } = making.blocks;
    const { hemLevel, kneeLevel, crotchLevel } = left.front.levels;
    const level = to === 'knee' ? Math.min(kneeLevel + belowKnee, hemLevel) : hemLevel - shorter;
    const cut = level < crotchLevel + LEAST_LEG ? undefined : cutOff(left, level);
    if (!cut) return refuse('shorter', 'longerThanLeg', { most: Math.max(0, hemLevel - crotchLevel - LEAST_LEG) });
    const garment = legParts(cut);
    const renamed = (id: string): string => (id === 'front' ? 'liningFront' : 'liningBack');
    const parts = garment.parts.map((p): Part => ({
      ...p,
      id: renamed(p.id),
      name: `${p.name} lining`,
      cloth: 'lining',
      onFrame: false,
      marks: p.marks
        .filter((m) => m.kind === 'line' && m.meaning !== 'level')
        .map((m) => (m.kind === 'line' && m.meaning === 'dart' ? { ...m, label: 'laid as a pleat' } : m)),
    }));
    const lines = garment.seams.map((seam): SeamLine => ({
      id: `lining${seam.id.charAt(0).toUpperCase()}${seam.id.slice(1)}`,
      like: seam.id,
      label: `${seam.label}, lining`,
      first: [{ ...runOfStretch(seam.first), part: renamed(seam.first.part) }],
      second: [{ ...runOfStretch(seam.second), part: renamed(seam.second.part) }],
      ease: seam.ease,
      matches: [],
      cuts: seam.cuts,
      start: seam.start,
      end: seam.end,
    }));
    return withParts(making, parts, lines);
  },
});
