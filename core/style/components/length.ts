import { COMPONENT_LABELS } from '../../garment/index.js';
import { cutOff } from '../leg-ends.js';
import { component, either, refuse } from '../component.js';

/** A leg ends at least so far below the crotch line, in mm. */
const LEAST_INSIDE = 30;

/** A leg cut off shorter, its hem level when worn (docs/trade/style.md). */
export const shortLength = component({
  id: 'length',
  label: COMPONENT_LABELS.length,
  group: 'leg',
  about: 'The leg is cut off at an inside length; the inseam end may drop or rise so that the hem is level when worn.',
  fields: {
    inside: { as: 'length', label: 'Inside length', least: 30, most: 1200, start: (c) => either(c, 22, 9) },
    inseamDown: { as: 'length', label: 'Inseam end lower (−: higher)', least: -40, most: 40, start: () => 0 },
  },
  makes: [],
  shape(block, { inside, inseamDown }) {
    const front = block.front.points.crotchPoint.y;
    const hem = front + inside;
    const { hemLevel, crotchLevel } = block.front.levels;
    if (hem > hemLevel + 0.5) return refuse('inside', 'longerThanLeg', { most: hemLevel - front });
    const least =
      Math.max(block.back.points.crotchPoint.y, crotchLevel) - front + LEAST_INSIDE - Math.min(0, inseamDown);
    if (inside < least) return refuse('inside', 'cutAboveCrotch', { least });
    return cutOff(block, hem, inseamDown) ?? refuse('inside', 'cutAboveCrotch', { least });
  },
});
