import { COMPONENT_LABELS } from '../../garment/index.js';
import { legFrom, placeAtLevel, walkedLegs } from '../leg-ends.js';
import { component, either, eachPanel, refuse, isRefused } from '../component.js';
import { point, pointAtPlace } from '../../geometry/index.js';
import type { Finding } from '../finding.js';

/** A piece of the hem is not made narrower than this, in mm. */
const LEAST_HEM = 40;

/** A taper: the hem narrower by as much on all four seams, and the knee where that is wanted (docs/trade/style.md). */
export const taper = component({
  id: 'taper',
  label: COMPONENT_LABELS.taper,
  group: 'leg',
  about: 'Narrower to the hem by as much on every side of every piece. The hem must pass the heel.',
  fields: {
    by: { as: 'length', label: 'In at the hem, each side', least: 0, most: 150, start: (c) => either(c, 1, 0.5) },
    knee: { as: 'length', label: 'In at the knee, each side', least: 0, most: 100, start: () => 0 },
  },
  makes: [],
  not: ['flare', 'fullLeg'],
  shape(block, { by, knee }) {
    const cut = eachPanel(block, (panel) => {
      const { levels, points } = panel;
      const way = Math.sign(points.inseamHem.x - points.sideHem.x);
      const hem = Math.abs(points.inseamHem.x - points.sideHem.x) - 2 * by;
      if (hem < LEAST_HEM) return refuse('by', 'legTooNarrow', { hem, most: by + (hem - LEAST_HEM) / 2 });
      const ends = {
        side: point(points.sideHem.x + way * by, points.sideHem.y),
        inseam: point(points.inseamHem.x - way * by, points.inseamHem.y),
      };
      if (knee === 0 || !panel.kneeOnPiece) {
        const level = panel.kneeOnPiece ? levels.kneeLevel : levels.crotchLevel;
        return legFrom(panel, level, ends) ?? refuse('by', 'startBelowHem');
      }
      const side = placeAtLevel(panel.edges.side, levels.kneeLevel);
      const inseam = placeAtLevel(panel.edges.inseam, levels.kneeLevel);
      if (!side || !inseam) return refuse('knee', 'startBelowHem');
      const [a, b] = [pointAtPlace(panel.edges.side, side), pointAtPlace(panel.edges.inseam, inseam)];
      const narrowed = Math.abs(b.x - a.x) - 2 * knee;
      if (narrowed < LEAST_HEM) {
        return refuse('knee', 'legTooNarrow', { hem: narrowed, most: knee + (narrowed - LEAST_HEM) / 2 });
      }
      const at = { side: point(a.x + way * knee, a.y), inseam: point(b.x - way * knee, b.y) };
      return legFrom(panel, levels.crotchLevel, { ...ends, knee: at }) ?? refuse('knee', 'startBelowHem');
    });
    return isRefused(cut) ? cut : walkedLegs(cut, block);
  },
  find: ({ blocks }, _, { heel, stretch }): readonly Finding[] => hemFinding('taper', blocks.left, heel, stretch),
});

/** A hem that does not pass the heel, where the heel was measured. */
export function hemFinding(
  id: string,
  { front, back }: { readonly front: { points: HemPoints }; readonly back: { points: HemPoints } },
  heel: number | undefined,
  stretch: number,
): readonly Finding[] {
  const wide = (p: HemPoints): number => Math.abs(p.inseamHem.x - p.sideHem.x);
  const hem = wide(front.points) + wide(back.points);
  if (heel === undefined || hem * (1 + stretch) >= heel) return [];
  return [{ component: id, code: 'hemTight', figures: { hem, heel }, weight: 'out' }];
}

interface HemPoints {
  readonly sideHem: { readonly x: number };
  readonly inseamHem: { readonly x: number };
}
