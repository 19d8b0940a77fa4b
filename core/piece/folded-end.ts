import {
  crossLine,
  dot,
  endDirection,
  endOf,
  line,
  mapPath,
  reversePath,
  splitPath,
  startOf,
  subtract,
  type Path,
  type Point,
} from '../geometry/index.js';

/** A straight line that cloth is folded along. */
export interface Fold {
  readonly at: Point;
  /** Unit direction along it. */
  readonly across: Point;
  /** Unit direction out of the piece. */
  readonly outward: Point;
}

/** The stretch of a seam's cut line between two depths inside a fold, run inward; `seam` starts on the fold. */
function between(seam: Path, { at, across, outward }: Fold, from: number, to: number): Path {
  const line0 = (depth: number): Point => ({ x: at.x - outward.x * depth, y: at.y - outward.y * depth });
  const cut = (path: Path, depth: number): readonly [Path, Path] => {
    if (depth <= 1e-9) return [[], path];
    const hit = crossLine(path, line0(depth), across)[0];
    return hit ? splitPath(path, hit) : [path, []];
  };
  const [head] = cut(seam, to);
  const [, tail] = cut(head, from);
  return tail;
}

/** A seam that is too short to be mirrored is carried on straight. */
function reaching(seam: Path, { at, outward }: Fold, depth: number): Path {
  const end = endOf(seam);
  const inside = -dot(subtract(end, at), outward);
  if (inside >= depth) return seam;
  const d = endDirection(seam);
  const step = -dot(d, outward);
  if (step < 0.05) return seam;
  const on = (depth - inside) / step + 1;
  return [...seam, line(end, { x: end.x + d.x * on, y: end.y + d.y * on })];
}

/**
 * The end of an allowance that is folded back and forth along a straight line: each zone runs as the mirror image of
 * the one before, so that, folded, all lie on the piece (docs/trade/pieces.md). `seam` is the cut line of the seam that
 * meets the fold, run toward it; the path runs on from there to the outer edge. Nothing where the seam does not reach
 * the fold.
 */
export function foldedEnd(seam: Path, fold: Fold, folds: readonly number[]): Path | undefined {
  const { at, across, outward } = fold;
  const reach = dot(subtract(endOf(seam), at), outward);
  const inward = reversePath(seam);
  const onFold = Math.abs(reach) < 1e-6 ? inward : toFold(inward, fold, reach);
  if (!onFold) return undefined;
  const long = reaching(onFold, fold, Math.max(0, ...folds));
  const found: Path[number][] = onFold === inward ? [] : [line(endOf(seam), startOf(onFold))];
  let base = 0;
  for (const [i, depth] of folds.entries()) {
    if (depth <= 1e-9) continue;
    const before = folds[i - 1] ?? depth;
    // Odd zones run inward along the seam, even ones back outward from as deep as the fold before them lies.
    const inwardZone = i % 2 === 0;
    const [from, to] = inwardZone ? [0, depth] : [Math.max(0, before - depth), before];
    const profile = between(long, fold, from, to);
    if (profile.length === 0) return undefined;
    const start = base;
    const place = (p: Point): Point => {
      const w = subtract(p, at);
      const inside = -dot(w, outward);
      const lateral = dot(w, across);
      const out = inwardZone ? start + inside : start + before - inside;
      return { x: at.x + across.x * lateral + outward.x * out, y: at.y + across.y * lateral + outward.y * out };
    };
    const zone = mapPath(profile, place);
    found.push(...(inwardZone ? zone : reversePath(zone)));
    base += depth;
  }
  return found;
}

/** A seam that ends short of the fold, carried on straight to it; `inward` is run away from the fold. */
function toFold(inward: Path, { outward }: Fold, reach: number): Path | undefined {
  const start = startOf(inward);
  const first = inward[0];
  if (!first) return undefined;
  const d = endDirection(reversePath(inward));
  const step = dot(d, outward);
  if (step < 0.05 || reach > 0) return undefined;
  const on = -reach / step;
  const foot = { x: start.x + d.x * on, y: start.y + d.y * on };
  return [line(foot, start), ...inward];
}
