import type { Run } from './monotone.js';

/**
 * How wide the join of trunk and leg is rounded where the legs part, in mm: nothing at the hip, where both lie in one
 * surface that a rounded join would bulge.
 */
const JOIN = 18;
/** Half the width, in mm, over which the trunk is hollow along its middle. */
const HOLLOW_WIDE = 26;

/**
 * A body as a solid, one half of it: x outward from the middle, y upward, z to the front, all in mm. Every section is a
 * superellipse with a depth of its own before and behind.
 */
export interface Form {
  readonly trunk: {
    readonly half: Run;
    readonly front: Run;
    readonly back: Run;
    /** How far the middle lies in behind what stands out on either side of it, before and behind, at full. */
    readonly hollow: { readonly front: number; readonly back: number };
    /** The hollow begins at this level and is full where the trunk begins to close. */
    readonly hollowFrom: number;
    /** The power of its sections: two is an ellipse, more is squarer. */
    readonly power: number;
    /** From this level down the trunk closes underneath, down to `bottom`; the power of that curve is `under`. */
    readonly closesFrom: number;
    readonly bottom: number;
    readonly under: number;
  };
  readonly leg: {
    readonly middle: Run;
    readonly half: Run;
    readonly front: Run;
    readonly back: Run;
    readonly power: number;
    /** A leg begins inside the trunk at this level. */
    readonly top: number;
  };
}

/** A form at one level: all that does not change within it. */
export interface Slice {
  readonly half: number;
  readonly front: number;
  readonly back: number;
  readonly frontHollow: number;
  readonly backHollow: number;
  readonly power: number;
  /** How far the trunk has closed at this level, its steepness per mm, and the power of it. */
  readonly u: number;
  readonly du: number;
  readonly under: number;
  readonly legMiddle: number;
  readonly legHalf: number;
  readonly legFront: number;
  readonly legBack: number;
  readonly legPower: number;
  readonly overLeg: number;
  readonly join: number;
}

/** A form at a level, in mm above where the inseam ends. */
export function sliceAt({ trunk, leg }: Form, y: number): Slice {
  const high = trunk.closesFrom - trunk.bottom;
  const deepens = Math.min(1, Math.max(0, (trunk.hollowFrom - y) / (trunk.hollowFrom - trunk.closesFrom)));
  const hollow = deepens * deepens * (3 - 2 * deepens);
  const u = Math.max(0, (trunk.closesFrom - y) / high);
  return {
    half: trunk.half(y),
    front: trunk.front(y),
    back: trunk.back(y),
    frontHollow: hollow * trunk.hollow.front,
    backHollow: hollow * trunk.hollow.back,
    power: trunk.power,
    u,
    du: 1 / high,
    under: trunk.under,
    legMiddle: leg.middle(y),
    legHalf: leg.half(y),
    legFront: leg.front(y),
    legBack: leg.back(y),
    legPower: leg.power,
    overLeg: y - leg.top,
    join: JOIN * Math.min(1, u) ** 2,
  };
}

/** How far a place of a level lies outside the trunk, in mm, to the first order; negative inside. */
function trunkValue(s: Slice, x: number, z: number): number {
  const inward = Math.exp(-((x / HOLLOW_WIDE) ** 2));
  const deep = z > 0 ? s.front - s.frontHollow * inward : s.back - s.backHollow * inward;
  const px = Math.abs(x) / s.half;
  const pz = Math.abs(z) / deep;
  const ax = px ** (s.power - 1);
  const az = pz ** (s.power - 1);
  const flat = (ax * px + az * pz) ** (1 / s.power);
  const rho = s.u > 0 ? (flat ** s.under + s.u ** s.under) ** (1 / s.under) : flat;
  if (rho < 1e-6 || flat < 1e-9) return s.u > 0 ? (s.u - 1) / s.du : -Math.min(s.half, deep);
  const carried = flat ** (1 - s.power) * (s.u > 0 ? (flat / rho) ** (s.under - 1) : 1);
  const gx = (carried * ax) / s.half;
  const gz = (carried * az) / deep;
  const gy = s.u > 0 ? (s.u / rho) ** (s.under - 1) * s.du : 0;
  return (rho - 1) / Math.sqrt(gx * gx + gy * gy + gz * gz);
}

/** How far a place of a level lies outside the leg, in mm, to the first order; negative inside. */
export function legValue(s: Slice, x: number, z: number): number {
  const deep = z > 0 ? s.legFront : s.legBack;
  const px = Math.abs(x - s.legMiddle) / s.legHalf;
  const pz = Math.abs(z) / deep;
  const ax = px ** (s.legPower - 1);
  const az = pz ** (s.legPower - 1);
  const rho = (ax * px + az * pz) ** (1 / s.legPower);
  const carried = rho ** (1 - s.legPower);
  const slope = Math.hypot((carried * ax) / s.legHalf, (carried * az) / deep);
  const section = rho < 1e-6 ? -Math.min(s.legHalf, deep) : (rho - 1) / slope;
  return Math.max(section, s.overLeg);
}

/** How far a place of a level lies outside the body, about, in mm; negative inside (polynomial smooth union, Quilez). */
export function valueIn(s: Slice, x: number, z: number): number {
  const [a, b] = [trunkValue(s, x, z), legValue(s, x, z)];
  if (s.join <= 0) return Math.min(a, b);
  const near = Math.max(s.join - Math.abs(a - b), 0) / s.join;
  return Math.min(a, b) - (near * near * s.join) / 4;
}
