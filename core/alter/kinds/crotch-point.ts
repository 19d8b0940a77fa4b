import {
  add,
  along,
  cross,
  displacePath,
  distance,
  endDirection,
  endOf,
  mapPath,
  pathLength,
  point,
  scale,
  smoothStep,
  startDirection,
  startOf,
  subtract,
  type Path,
  type Point,
} from '../../geometry/index.js';
import { alterationKind, ANY_PANEL } from '../kind.js';
import type { AlterationFault } from '../../refusal/index.js';
import { including, type Paper, type Scooped } from '../paper.js';
import { seamMark } from '../seam-work.js';
import { creaseMoved } from './crease.js';

/**
 * The map that leaves `fixed` and every point off it along `u` in place and carries `from` to `to`: what bends one way
 * bends that way still.
 */
function sheared(fixed: Point, u: Point, from: Point, to: Point): (p: Point) => Point {
  const reach = subtract(from, fixed);
  const off = cross(u, reach);
  const shift = subtract(to, from);
  return (p) => add(p, scale(shift, cross(u, subtract(p, fixed)) / off));
}

/** The path with its first handle turned so that it leaves along `d`. */
function leavingAlong(path: Path, d: Point): Path {
  const [first, ...rest] = path;
  if (!first) return path;
  return [{ ...first, p1: along(first.p0, d, distance(first.p0, first.p1)) }, ...rest];
}

/** A crotch curve carried with its crotch point, and where it was scooped to with it. */
export interface CarriedCurve {
  readonly curve: Path;
  readonly scooped: readonly Scooped[];
}

/**
 * The crotch curve run to a crotch point that was moved, from where it begins, at the angle at which it left the
 * inseam.
 */
export function crotchCurveTo({ runs, scooped }: Paper, to: Point): CarriedCurve | AlterationFault {
  const { crotchCurve, centre } = runs;
  const from = startOf(crotchCurve);
  const startOfCurve = endOf(crotchCurve);
  const u = centre.length > 0 ? startDirection(centre) : endDirection(crotchCurve);
  const reach = cross(u, subtract(from, startOfCurve));
  if (Math.abs(reach) < 10 || cross(u, subtract(to, startOfCurve)) / reach < 0.2) return 'tooMuch';
  const shear = sheared(startOfCurve, u, from, to);
  const curve = leavingAlong(mapPath(crotchCurve, shear), startDirection(crotchCurve));
  return { curve, scooped: scooped.map((s) => ({ ...s, at: shear(s.at) })) };
}

/**
 * The crotch point moved: the inseam is redrawn from the knee, the crotch curve from where it begins, and the two keep
 * their angle, so that the rises still run into one another.
 */
function crotchPointMoved(
  paper: Paper,
  { out, down, recentre }: { out: number; down: number; recentre: boolean },
  alteration: string,
): Paper | AlterationFault {
  const { crotchCurve, inseamThigh } = paper.runs;
  const carried = crotchCurveTo(paper, add(startOf(crotchCurve), point(out, down)));
  if (typeof carried === 'string') return carried;
  const thigh = pathLength(inseamThigh);
  const { path } = displacePath(inseamThigh, (s) => scale(point(out, down), smoothStep(s / thigh)));
  const moved: Paper = {
    ...paper,
    runs: { ...paper.runs, crotchCurve: carried.curve, inseamThigh: path },
    bent: including(paper.bent, 'rise', 'inseam'),
    scooped: carried.scooped,
    riseFree: true,
    marks: [...paper.marks, seamMark(alteration, [...inseamThigh, ...crotchCurve])],
  };
  return recentre && out !== 0 ? creaseMoved(moved, out / 2, alteration) : moved;
}

/**
 * The crotch point moved `out` (+) and `down` (+); `recentre`: the leg goes along, so that the crease halves the crotch
 * width again.
 */
export const crotchPoint = alterationKind({
  kind: 'crotchPoint',
  label: 'Move the crotch point',
  panels: ANY_PANEL,
  fields: {
    out: { as: 'length', label: 'Outward (+) or inward (−)' },
    down: { as: 'length', label: 'Down (+) or up (−)' },
    recentre: { as: 'tick', label: 'Recentre the crease' },
  },
  start: (panel) => ({ panel, out: 6, down: 0, recentre: true }),
  say({ out, down, recentre }, { mm }) {
    const moves = [
      ...(out === 0 ? [] : [`${mm(out)} ${out < 0 ? 'inward' : 'outward'}`]),
      ...(down === 0 ? [] : [`${mm(down)} ${down < 0 ? 'up' : 'down'}`]),
    ];
    return `crotch point ${moves.join(' and ') || 'kept'}${recentre && out !== 0 ? ', crease recentred' : ''}`;
  },
  apply: crotchPointMoved,
});
