import { riseOf } from '../alter/index.js';
import { riseLimits, type Panel } from '../draft/index.js';
import {
  dot,
  evenBend,
  line,
  point,
  reversePath,
  scale,
  startDirection,
  subtract,
  type BendGive,
  type Point,
} from '../geometry/index.js';

/** How far up and down the centre line the curve may begin when a rise is drawn anew, in mm. */
const UP = 60;
const DOWN = 60;
/** What gives way: the hollow before the start; the centre line and the crotch point stay. */
const GIVE: BendGive = { through: 1, start: 0.006, startUp: UP, startDown: DOWN, lean: 0, end: 0 };
/** Steps by which the start is sought further up where no fair curve begins near it, in mm. */
const STEPS = [0, 40, 80, 120];

/**
 * A rise drawn anew as one fair bend from the straight centre line to the crotch point, through its hollow or as near
 * to it as is fair; as the points of a lent rise. `size` shrinks the limits for a child. Nothing where there is none.
 */
export function fairRise(panel: Panel, size: number): Point[] | undefined {
  const { centreWaist, curveStart, corner, crotchPoint } = panel.points;
  const down = panel.centreDown;
  const reach = dot(subtract(curveStart, centreWaist), down);
  for (const step of STEPS) {
    const begin = reach - step;
    if (begin < UP / 2) break;
    const start = point(centreWaist.x + down.x * begin, centreWaist.y + down.y * begin);
    const bend = evenBend({
      start,
      leaving: down,
      pivot: panel.points.tiltPoint,
      end: crotchPoint,
      arriving: scale(startDirection(panel.edges.rise), -1),
      outward: point(1, 0),
      corner,
      diagonal: { x: Math.SQRT1_2, y: -Math.SQRT1_2 },
      hollow: panel.hollow,
      limits: riseLimits(panel.name, size),
      give: { ...GIVE, startUp: Math.min(UP, begin - 10) },
    });
    if (bend) return riseOf([...reversePath(bend.path), line(bend.start, centreWaist)]);
  }
  return undefined;
}
