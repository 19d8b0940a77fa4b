import type { Panel } from '../draft/index.js';
import type { Path } from '../geometry/index.js';
import { DEGREES, placesOf } from './line-places.js';

/** The bend into the lower leg: this far above and below the knee line, in mm. */
const ABOVE_KNEE = 120;
const BELOW_KNEE = 80;
/** A turn of less than this, in degrees, is no bend. */
const NO_TURN = 0.3;

/** The curves of a seam that reach between two levels. */
const reaching = (path: Path, from: number, to: number): Path =>
  path.filter(({ p0, p3 }) => Math.max(p0.y, p3.y) >= from && Math.min(p0.y, p3.y) <= to);

/**
 * How even the bend about the knee is: its least radius over the radius of the arc that makes the same turn evenly.
 * Nothing where the piece has no knee or does not turn there.
 */
export function kneeEvenness(panel: Panel, edge: 'side' | 'inseam'): number | undefined {
  if (!panel.kneeOnPiece) return undefined;
  const { kneeLevel } = panel.levels;
  const [from, to] = [kneeLevel - ABOVE_KNEE, kneeLevel + BELOW_KNEE];
  const run = placesOf(reaching(panel.edges[edge], from, to)).filter((p) => p.y >= from && p.y <= to);
  const [first, last] = [run[0], run[run.length - 1]];
  if (!first || !last) return undefined;
  const turn = Math.abs(last.angle - first.angle);
  if (turn * DEGREES < NO_TURN) return undefined;
  const sharpest = run.reduce((most, p) => Math.max(most, Math.abs(p.k)), 0);
  return turn / (ABOVE_KNEE + BELOW_KNEE) / sharpest;
}

/**
 * The tightest radius of an inseam above the bend about the knee, in mm; nothing on a leg without a knee, or where it
 * is quite straight.
 */
export function inseamTightest(panel: Panel): number | undefined {
  if (!panel.kneeOnPiece) return undefined;
  const bend = panel.levels.kneeLevel - ABOVE_KNEE;
  const run = placesOf(reaching(panel.edges.inseam, -Infinity, bend)).filter((p) => p.y < bend);
  const sharpest = run.reduce((most, p) => Math.max(most, Math.abs(p.k)), 0);
  return sharpest === 0 ? undefined : 1 / sharpest;
}
