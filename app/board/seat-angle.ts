import { distance } from '../../core/geometry/index.js';
import { parametersOf, type Panel } from '../../core/draft/index.js';
import type { HandValues } from '../store/open-work.js';

/**
 * The lines set by hand that tilt a seat line to an angle in degrees, its length from the tilt point kept; none for an
 * outline that has no lines.
 */
export function anglePlaced(panel: Panel, degrees: number): HandValues {
  const parameters = parametersOf(panel);
  if (!parameters) return {};
  const { tiltPoint, centreWaist } = panel.points;
  const reach = distance(tiltPoint, centreWaist);
  const radians = (degrees * Math.PI) / 180;
  return {
    [`${panel.name}.centreIn`]: parameters.hipWidth - tiltPoint.x + reach * Math.sin(radians),
    [`${panel.name}.centreLift`]: reach * Math.cos(radians) - tiltPoint.y,
  };
}
