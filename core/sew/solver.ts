import { distanceInto, type DistanceGrid } from '../body/index.js';
import type { Assembly } from './assembly.js';
import type { ClothMatter } from './cloth.js';

/** One step of time, in seconds. */
export const STEP = 4e-4;
/** Cloth lies so far off the body, in metres: half of two layers and their seams. */
export const THICK = 0.0015;
const GRAVITY = 9.81;
/** The inertia of every cloth, in kg for a square metre: its weight is its own, so that none is reckoned softer for it. */
const INERT = 0.2;
/** The waist is held to the body's waist line by this, in N/m for all of half the waist. */
const HOLD = 1500;
/** How hard the top edge is to stretch, as a band or a tape makes it, in N. */
const BAND = 1500;

/** The height, in metres, at which the waist of a body lies over a place on it. */
export type WaistHeight = (x: number, z: number) => number;

/** What a run of steps is done with. */
export interface Course {
  /** The inertia of cloth is multiplied by this; its weight stays. */
  readonly mass: number;
  /** Whether it weighs and whether it rubs. */
  readonly weighs: boolean;
  readonly rubs: boolean;
  /** How fast motion dies away, per second. */
  readonly calm: number;
}

/** Cloth in motion: positions and velocities in metres, three a particle. */
export class Cloth {
  readonly at: Float64Array;
  readonly velocity: Float64Array;
  /** How hard the body presses on each particle, in N, as a mean over the steps since it was set to naught. */
  readonly press: Float64Array;
  private readonly before: Float64Array;
  private readonly weights: Float64Array;
  private readonly found = new Float64Array(4);
  private readonly denominators: Float64Array;
  private readonly bendDenominators: Float64Array;
  private readonly holds: Float64Array;
  private readonly waistRests: Float64Array;
  private massNow = 0;
  private pressed = 0;

  constructor(
    private readonly assembly: Assembly,
    private readonly matter: ClothMatter,
    private readonly grid: DistanceGrid,
    private readonly waistAt: WaistHeight,
    at: Float64Array,
    /** Half the length that an elastic draws the waist in to, in metres; the waist as it is sewn without one. */
    gatheredTo: number | undefined,
  ) {
    this.at = Float64Array.from(at);
    this.before = Float64Array.from(at);
    this.velocity = new Float64Array(at.length);
    this.press = new Float64Array(assembly.count);
    this.weights = new Float64Array(assembly.count);
    this.denominators = new Float64Array(3 * assembly.triangles.area.length);
    this.bendDenominators = new Float64Array(assembly.bends.area.length);
    const { waist, waistSteps } = assembly;
    const long = waistSteps.reduce((sum, s) => sum + s, 0);
    const drawnIn = gatheredTo === undefined ? 1 : Math.min(1, gatheredTo / long);
    this.waistRests = Float64Array.from(waistSteps, (s) => s * drawnIn);
    this.holds = Float64Array.from(
      waist,
      (_, i) => (((waistSteps[i - 1] ?? 0) + (waistSteps[i] ?? 0)) / 2 / long) * HOLD,
    );
  }

  /** The force that holds each particle of the waist up, in N, from the middle in front to the middle behind. */
  holding(): number[] {
    const { waist } = this.assembly;
    return waist.map((p, i) => {
      const at = 3 * p;
      const over = this.waistAt(this.at[at] as number, this.at[at + 2] as number) - (this.at[at + 1] as number);
      return (this.holds[i] as number) * over;
    });
  }

  /** Forgets how hard the body pressed until now. */
  pressAnew(): void {
    this.press.fill(0);
    this.pressed = 0;
  }

  /** Does so many steps (extended position-based dynamics with one pass a step, Macklin et al.). */
  run(steps: number, course: Course): void {
    for (let i = 0; i < steps; i++) {
      this.move(course);
      this.keepToMiddle();
      this.rest();
    }
  }

  /** Everything that depends on mass alone. */
  private weighOut(mass: number): void {
    if (mass === this.massNow) return;
    this.massNow = mass;
    const { assembly, matter, weights } = this;
    for (let p = 0; p < assembly.count; p++)
      weights[p] = 1 / Math.max(1e-9, (assembly.share[p] as number) * INERT * mass);
    const { corners, pulls, area } = assembly.triangles;
    const still = 1 / (STEP * STEP);
    for (let t = 0; t < area.length; t++) {
      let [weft, warp, askew] = [0, 0, 0];
      for (let k = 0; k < 3; k++) {
        const w = weights[corners[3 * t + k] as number] as number;
        const [bu, bv] = [pulls[6 * t + 2 * k] as number, pulls[6 * t + 2 * k + 1] as number];
        weft += w * bu * bu;
        warp += w * bv * bv;
        askew += w * (bu * bu + bv * bv);
      }
      const a = area[t] as number;
      this.denominators[3 * t] = 1 / (weft + still / (matter.weft * a));
      this.denominators[3 * t + 1] = 1 / (warp + still / (matter.warp * a));
      this.denominators[3 * t + 2] = 1 / (askew + still / (matter.shear * a));
    }
    const { bends } = assembly;
    for (let b = 0; b < bends.area.length; b++) {
      let sum = 0;
      for (let k = 0; k < 4; k++)
        sum += (weights[bends.corners[4 * b + k] as number] as number) * (bends.weights[4 * b + k] as number) ** 2;
      this.bendDenominators[b] = 1 / (sum + (still * (bends.area[b] as number)) / (3 * matter.bending));
    }
  }

  /** The first part of a step: it goes on as it moves, and everything that pulls at it moves it back. */
  move({ weighs, rubs, calm, mass }: Course): void {
    this.weighOut(mass);
    const { at, before, velocity, assembly } = this;
    const { count } = assembly;
    const fall = weighs ? ((GRAVITY * this.matter.weight) / (INERT * mass)) * STEP : 0;
    const keep = Math.max(0, 1 - calm * STEP);
    for (let p = 0; p < count; p++) {
      const i = 3 * p;
      for (let k = 0; k < 3; k++) {
        const v = (velocity[i + k] as number) * keep - (k === 1 ? fall : 0);
        before[i + k] = at[i + k] as number;
        at[i + k] = (at[i + k] as number) + v * STEP;
      }
    }
    this.stretch();
    this.bend();
    this.holdWaist();
    this.meetBody(rubs);
  }

  /** What lies in the middle of the body stays there, and nothing goes beyond it: the other leg is the same in the mirror. */
  private keepToMiddle(): void {
    const { at, assembly } = this;
    for (let p = 0; p < assembly.count; p++) if (assembly.onMiddle[p] === 1 || (at[3 * p] as number) < 0) at[3 * p] = 0;
  }

  /** The last part of a step: how fast it moves is how far it came. */
  rest(): void {
    const { at, before, velocity } = this;
    for (let i = 0; i < at.length; i++) velocity[i] = ((at[i] as number) - (before[i] as number)) / STEP;
  }

  /** Warp, weft and shear of every triangle. */
  private stretch(): void {
    const { at, weights, denominators } = this;
    const { corners, pulls, area } = this.assembly.triangles;
    for (let t = 0; t < area.length; t++) {
      const a = corners[3 * t] as number;
      const b = corners[3 * t + 1] as number;
      const c = corners[3 * t + 2] as number;
      const ia = 3 * a;
      const ib = 3 * b;
      const ic = 3 * c;
      const wa = weights[a] as number;
      const wb = weights[b] as number;
      const wc = weights[c] as number;
      const au = pulls[6 * t] as number;
      const av = pulls[6 * t + 1] as number;
      const bu = pulls[6 * t + 2] as number;
      const bv = pulls[6 * t + 3] as number;
      const cu = pulls[6 * t + 4] as number;
      const cv = pulls[6 * t + 5] as number;
      let ax = at[ia] as number;
      let ay = at[ia + 1] as number;
      let az = at[ia + 2] as number;
      let bx = at[ib] as number;
      let by = at[ib + 1] as number;
      let bz = at[ib + 2] as number;
      let cx = at[ic] as number;
      let cy = at[ic + 1] as number;
      let cz = at[ic + 2] as number;
      // Across.
      let ux = ax * au + bx * bu + cx * cu;
      let uy = ay * au + by * bu + cy * cu;
      let uz = az * au + bz * bu + cz * cu;
      let long = Math.sqrt(ux * ux + uy * uy + uz * uz) || 1e-9;
      let by1 = (-(long - 1) * (denominators[3 * t] as number)) / long;
      let fa = by1 * wa * au;
      let fb = by1 * wb * bu;
      let fc = by1 * wc * cu;
      ax += fa * ux;
      ay += fa * uy;
      az += fa * uz;
      bx += fb * ux;
      by += fb * uy;
      bz += fb * uz;
      cx += fc * ux;
      cy += fc * uy;
      cz += fc * uz;
      // Along.
      let vx = ax * av + bx * bv + cx * cv;
      let vy = ay * av + by * bv + cy * cv;
      let vz = az * av + bz * bv + cz * cv;
      long = Math.sqrt(vx * vx + vy * vy + vz * vz) || 1e-9;
      by1 = (-(long - 1) * (denominators[3 * t + 1] as number)) / long;
      fa = by1 * wa * av;
      fb = by1 * wb * bv;
      fc = by1 * wc * cv;
      ax += fa * vx;
      ay += fa * vy;
      az += fa * vz;
      bx += fb * vx;
      by += fb * vy;
      bz += fb * vz;
      cx += fc * vx;
      cy += fc * vy;
      cz += fc * vz;
      // Askew.
      ux = ax * au + bx * bu + cx * cu;
      uy = ay * au + by * bu + cy * cu;
      uz = az * au + bz * bu + cz * cu;
      vx = ax * av + bx * bv + cx * cv;
      vy = ay * av + by * bv + cy * cv;
      vz = az * av + bz * bv + cz * cv;
      // Both directions at length one, so that what stands below the line stays what it was at rest.
      const lu = 1 / (Math.sqrt(ux * ux + uy * uy + uz * uz) || 1e-9);
      const lv = 1 / (Math.sqrt(vx * vx + vy * vy + vz * vz) || 1e-9);
      ux *= lu;
      uy *= lu;
      uz *= lu;
      vx *= lv;
      vy *= lv;
      vz *= lv;
      const by2 = -(ux * vx + uy * vy + uz * vz) * (denominators[3 * t + 2] as number);
      fa = by2 * wa;
      fb = by2 * wb;
      fc = by2 * wc;
      at[ia] = ax + fa * (au * vx + av * ux);
      at[ia + 1] = ay + fa * (au * vy + av * uy);
      at[ia + 2] = az + fa * (au * vz + av * uz);
      at[ib] = bx + fb * (bu * vx + bv * ux);
      at[ib + 1] = by + fb * (bu * vy + bv * uy);
      at[ib + 2] = bz + fb * (bu * vz + bv * uz);
      at[ic] = cx + fc * (cu * vx + cv * ux);
      at[ic + 1] = cy + fc * (cu * vy + cv * uy);
      at[ic + 2] = cz + fc * (cu * vz + cv * uz);
    }
  }

  /** The bend where two triangles meet; seen in the mirror, the fourth place is the third with its x turned. */
  private bend(): void {
    const { at, weights, bendDenominators } = this;
    const { corners, weights: ws, mirrored, area } = this.assembly.bends;
    for (let e = 0; e < area.length; e++) {
      const a = corners[4 * e] as number;
      const b = corners[4 * e + 1] as number;
      const c = corners[4 * e + 2] as number;
      const d = corners[4 * e + 3] as number;
      const ka = ws[4 * e] as number;
      const kb = ws[4 * e + 1] as number;
      const kc = ws[4 * e + 2] as number;
      const kd = ws[4 * e + 3] as number;
      const fa = (weights[a] as number) * ka;
      const fb = (weights[b] as number) * kb;
      const fc = (weights[c] as number) * kc;
      const fd = (weights[d] as number) * kd;
      const by = bendDenominators[e] as number;
      const turned = mirrored[e] === 1;
      // Along x the two sides of the mirror make each other even.
      for (let k = turned ? 1 : 0; k < 3; k++) {
        const ia = 3 * a + k;
        const ib = 3 * b + k;
        const ic = 3 * c + k;
        const id = 3 * d + k;
        const xa = at[ia] as number;
        const xb = at[ib] as number;
        const xc = at[ic] as number;
        const xd = at[id] as number;
        const f = -(ka * xa + kb * xb + kc * xc + kd * xd) * by;
        at[ia] = xa + f * fa;
        at[ib] = xb + f * fb;
        at[ic] = xc + f * fc;
        if (!turned) at[id] = xd + f * fd;
      }
    }
  }

  /** The waist is held to the height of the body's waist, and its edge keeps its length. */
  private holdWaist(): void {
    const { at, weights, holds, waistAt, waistRests } = this;
    const { waist } = this.assembly;
    const still = 1 / (STEP * STEP);
    for (let i = 0; i < waist.length; i++) {
      const p = waist[i] as number;
      const w = weights[p] as number;
      const over = waistAt(at[3 * p] as number, at[3 * p + 2] as number) - (at[3 * p + 1] as number);
      at[3 * p + 1] = (at[3 * p + 1] as number) + (over * w) / (w + still / (holds[i] as number));
      const q = waist[i + 1];
      const rest = waistRests[i];
      if (q === undefined || rest === undefined) continue;
      const dx = (at[3 * q] as number) - (at[3 * p] as number);
      const dy = (at[3 * q + 1] as number) - (at[3 * p + 1] as number);
      const dz = (at[3 * q + 2] as number) - (at[3 * p + 2] as number);
      const long = Math.sqrt(dx * dx + dy * dy + dz * dz) || 1e-9;
      const w2 = weights[q] as number;
      const f = (long - rest) / (w + w2 + (still * rest) / BAND) / long;
      at[3 * p] = (at[3 * p] as number) + f * w * dx;
      at[3 * p + 1] = (at[3 * p + 1] as number) + f * w * dy;
      at[3 * p + 2] = (at[3 * p + 2] as number) + f * w * dz;
      at[3 * q] = (at[3 * q] as number) - f * w2 * dx;
      at[3 * q + 1] = (at[3 * q + 1] as number) - f * w2 * dy;
      at[3 * q + 2] = (at[3 * q + 2] as number) - f * w2 * dz;
    }
  }

  /** No place of the cloth is within the body; where it lies on it, it may rub. */
  private meetBody(rubs: boolean): void {
    const { at, before, weights, found, grid, press, matter } = this;
    this.pressed++;
    for (let p = 0; p < this.assembly.count; p++) {
      const i = 3 * p;
      distanceInto(grid, (at[i] as number) * 1000, (at[i + 1] as number) * 1000, (at[i + 2] as number) * 1000, found);
      const deep = THICK - (found[0] as number) / 1000;
      if (deep <= 0) {
        if (press[p]) press[p] = (press[p] as number) * (1 - 1 / this.pressed);
        continue;
      }
      const nx = found[1] as number;
      const ny = found[2] as number;
      const nz = found[3] as number;
      const long = Math.sqrt(nx * nx + ny * ny + nz * nz) || 1;
      const f = deep / long;
      at[i] = (at[i] as number) + f * nx;
      at[i + 1] = (at[i + 1] as number) + f * ny;
      at[i + 2] = (at[i + 2] as number) + f * nz;
      const force = deep / (STEP * STEP * (weights[p] as number));
      press[p] = (press[p] as number) + (force - (press[p] as number)) / this.pressed;
      if (!rubs) continue;
      const mx = at[i] - (before[i] as number);
      const my = (at[i + 1] as number) - (before[i + 1] as number);
      const mz = (at[i + 2] as number) - (before[i + 2] as number);
      const along = (mx * nx + my * ny + mz * nz) / (long * long);
      const tx = mx - along * nx;
      const ty = my - along * ny;
      const tz = mz - along * nz;
      const slid = Math.sqrt(tx * tx + ty * ty + tz * tz);
      if (slid < 1e-12) continue;
      const back = Math.min(1, (matter.friction * deep) / slid);
      at[i] = at[i] - back * tx;
      at[i + 1] = (at[i + 1] as number) - back * ty;
      at[i + 2] = (at[i + 2] as number) - back * tz;
    }
  }
}
