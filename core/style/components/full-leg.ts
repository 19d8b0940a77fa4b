import { COMPONENT_LABELS } from '../../garment/index.js';
import { BEND, legFrom, placeAtLevel, walkedLegs } from '../leg-ends.js';
import { component, eachPanel, refuse, isRefused } from '../component.js';
import {
  along,
  directionAtPlace,
  point,
  pointAtPlace,
  scale,
  type Path,
  type PathPlace,
  type Point,
} from '../../geometry/index.js';

/** A leg that falls plumb from the thigh line (docs/trade/style.md). */
export const fullLeg = component({
  id: 'fullLeg',
  label: COMPONENT_LABELS.fullLeg,
  group: 'leg',
  about: 'From the thigh line side and inseam fall plumb to the hem, wider still where it is wanted.',
  fields: {
    by: { as: 'length', label: 'Out at the hem, each side', least: 0, most: 400, start: () => 0 },
  },
  makes: [],
  not: ['flare', 'taper'],
  shape(block, { by }) {
    const cut = eachPanel(block, (panel) => {
      const { levels, points, edges } = panel;
      const level = Math.max(levels.thighLevel, points.crotchPoint.y + 1);
      const [side, inseam] = [placeAtLevel(edges.side, level), placeAtLevel(edges.inseam, level)];
      if (!side || !inseam || level > levels.hemLevel - 20) return refuse('by', 'startBelowHem');
      // Where the bend below the line has turned plumb.
      const turned = (path: Path, place: PathPlace, way0: 1 | -1): Point =>
        along(pointAtPlace(path, place), scale(directionAtPlace(path, place), way0), BEND);
      const [a, b] = [turned(edges.side, side, 1), turned(edges.inseam, inseam, -1)];
      const way = Math.sign(b.x - a.x);
      const ends = {
        side: point(a.x - way * by, points.sideHem.y),
        inseam: point(b.x + way * by, points.inseamHem.y),
      };
      return legFrom(panel, level, ends) ?? refuse('by', 'startBelowHem');
    });
    return isRefused(cut) ? cut : walkedLegs(cut, block);
  },
});
