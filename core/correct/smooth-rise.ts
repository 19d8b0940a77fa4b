import { riseOf } from '../alter/index.js';
import { bendOf } from '../check/index.js';
import type { Panel } from '../draft/index.js';
import {
  along,
  cubic,
  distance,
  dot,
  flatten,
  line,
  meetLines,
  nearestPlace,
  placeAtLength,
  reversePath,
  scale,
  splineThrough,
  startDirection,
  subtract,
  type Cubic,
  type Point,
} from '../geometry/index.js';

/** How much of the way from the waist down to where the curve begins may be redrawn, in steps. */
const KEPT = [0.95, 0.85, 0.7, 0.55, 0.4, 0.25, 0.1];
/** The handles tried, as shares of the way to where the end directions meet: a curve with such handles has one bend. */
const HANDLES = [0.35, 0.45, 0.55, 0.65, 0.75, 0.85, 0.95];
/** How many places of the seam as it is the new curve is held against. */
const SAMPLES = 12;
/** So many of the nearest curves are tried from each place. */
const TRIED = 6;
/** A bend of a larger radius, in mm, counts as straight. */
const STRAIGHT = 450;
/** The redrawn curve keeps off the least radius by this factor: it is laid through points afterwards. */
const ROOM = 1.15;

/** One-bend curves from a place on the centre line to the crotch point, the nearest to the seam first. */
function oneBends(panel: Panel, begin: Point): Cubic[] {
  const { rise } = panel.edges;
  const { crotchPoint } = panel.points;
  const up = startDirection(rise);
  const meeting = meetLines(begin, panel.centreDown, crotchPoint, up);
  if (!meeting || meeting.alongFirst <= 0 || meeting.alongSecond <= 0) return [];
  const { alongFirst, alongSecond } = meeting;
  const from = nearestPlace(rise, begin).length;
  const places = Array.from({ length: SAMPLES }, (_, i) => placeAtLength(rise, (from * (i + 1)) / (SAMPLES + 1)).at);
  const found: { curve: Cubic; off: number }[] = [];
  for (const a of HANDLES) {
    for (const b of HANDLES) {
      const curve = cubic(
        begin,
        along(begin, panel.centreDown, a * alongFirst),
        along(crotchPoint, up, b * alongSecond),
        crotchPoint,
      );
      if (bendOf([curve]).leastRadius < 12 * ROOM) continue;
      const drawn = flatten([curve], 0.5);
      const off = places.reduce((sum, p) => sum + Math.min(...drawn.map((q) => distance(p, q))), 0);
      found.push({ curve, off });
    }
  }
  return found.sort((p, q) => p.off - q.off).map(({ curve }) => curve);
}

/**
 * A rise drawn anew as one smooth curve from the crotch point into the straight centre line, as near to the seam as it is
 * as one bend allows, keeping as much of the straight line as it can; as the points of a lent rise. Nothing where no
 * such curve is found.
 */
export function smoothRise(panel: Panel): Point[] | undefined {
  const { centreWaist, curveStart } = panel.points;
  const reach = dot(subtract(curveStart, centreWaist), panel.centreDown);
  for (const share of KEPT) {
    const begin = along(centreWaist, panel.centreDown, share * reach);
    for (const curve of oneBends(panel, begin).slice(0, TRIED)) {
      const points = riseOf([...reversePath([curve]), line(begin, centreWaist)]);
      // The alteration lays a spline through the points: that is what must bend but once.
      const laid = splineThrough(points, startDirection(panel.edges.rise), scale(panel.centreDown, -1));
      const { leastRadius, changesSign } = bendOf(laid, STRAIGHT);
      if (!changesSign && leastRadius > 12) return points;
    }
  }
  return undefined;
}
