import { COMPONENT_LABELS } from '../../garment/index.js';
import { cutAtLevel, legFrom, walkedLegs } from '../leg-ends.js';
import { component, either, eachPanel, refuse, isRefused } from '../component.js';
import { endOf, point } from '../../geometry/index.js';

/** From where a flare may fall. */
const FROM = [
  ['knee', 'The knee'],
  ['aboveKnee', 'Above the knee'],
  ['crotch', 'The crotch line'],
] as const;

/** 3 in, in mm. */
const ABOVE_KNEE = 76.2;

/**
 * A flare: from its start on all four seams run straight to a wider hem; nothing above is touched
 * (docs/trade/style.md).
 */
export const flare = component({
  id: 'flare',
  label: COMPONENT_LABELS.flare,
  group: 'leg',
  about:
    'From its start all four seams run straight to a wider hem. A little makes a boot leg, two or three times as much a flare.',
  fields: {
    from: { as: 'pick', label: 'Begins at', options: FROM, start: 'knee' },
    by: { as: 'length', label: 'Out, each side', least: 0, most: 400, start: (c) => either(c, 3, 1.25) },
  },
  makes: [],
  not: ['taper', 'fullLeg'],
  shape(block, { from, by }) {
    const cut = eachPanel(block, (panel) => {
      const { levels, points } = panel;
      const level = {
        knee: levels.kneeLevel,
        aboveKnee: levels.kneeLevel - ABOVE_KNEE,
        crotch: levels.crotchLevel,
      }[from];
      if (level > levels.hemLevel - 20 || !cutAtLevel(panel.edges.side, level)) return refuse('from', 'startBelowHem');
      const way = Math.sign(points.inseamHem.x - points.sideHem.x);
      const out = (p: typeof points.sideHem, to: number): typeof p => point(p.x + to * by, p.y);
      const side = out(endOf(panel.edges.side), -way);
      return legFrom(panel, level, { side, inseam: out(points.inseamHem, way) }) ?? refuse('from', 'startBelowHem');
    });
    return isRefused(cut) ? cut : walkedLegs(cut, block);
  },
});
