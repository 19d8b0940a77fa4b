import { describe, expect, it } from 'vitest';
import { plausibleBody, seeded, wideBody } from '../../bench/random-body.js';
import { completeBody, type Measured } from '../measure/index.js';
import { ASSUMED, bodyFrom, contourAt, distanceInto, gridOf, type SolidBody } from './index.js';

const plain: Measured = { waist: 780, hip: 1000, crotchDepth: 272, inseam: 780 };
const whole: Measured = { ...plain, frontRise: 296, backRise: 388, backWaistHeight: 12, frontWaistHeight: -6 };
const bodyOf = (measured: Measured, set = {}): SolidBody => bodyFrom(completeBody(measured, 'unknown'), set);
const off = ({ residuals }: SolidBody): number =>
  Math.max(...residuals.map(({ measured, tape }) => Math.abs(tape - measured)));

/** A tape round the whole trunk by other arithmetic: the places where the lattice of distances changes sign, hulled by turning. */
function girthOnLattice(body: SolidBody, y: number): number {
  const grid = gridOf(body.form, y - 30, y + 30, 4);
  const out = new Float64Array(4);
  const places: [number, number][] = [];
  for (let i = 0; i < 720; i++) {
    const angle = (i * Math.PI) / 360;
    let [inside, outside] = [0, 700];
    for (let k = 0; k < 40; k++) {
      const t = (inside + outside) / 2;
      distanceInto(grid, Math.abs(t * Math.cos(angle)), y, t * Math.sin(angle), out);
      if ((out[0] as number) < 0) inside = t;
      else outside = t;
    }
    places.push([inside * Math.cos(angle), inside * Math.sin(angle)]);
  }
  // Gift wrapping from the outermost place.
  let at = places.reduce((far, p, i) => (p[0] > (places[far] as [number, number])[0] ? i : far), 0);
  const start = at;
  let long = 0;
  do {
    const from = places[at] as [number, number];
    let next = (at + 1) % places.length;
    for (const [i, p] of places.entries()) {
      const q = places[next] as [number, number];
      if ((q[0] - from[0]) * (p[1] - from[1]) - (q[1] - from[1]) * (p[0] - from[0]) < 0) next = i;
    }
    const to = places[next] as [number, number];
    long += Math.hypot(to[0] - from[0], to[1] - from[1]);
    at = next;
  } while (at !== start && long < 5000);
  return long;
}

describe('the body of measurements', () => {
  it('reads every measurement on its tapes, to a millimetre, on a hundred bodies, children too', () => {
    const random = seeded(23);
    for (let i = 0; i < 100; i++) {
      const four = i % 2 ? wideBody(random) : plausibleBody(random);
      const more =
        i % 3
          ? {}
          : {
              thigh: 0.58 * four.hip,
              knee: 0.37 * four.hip,
              calf: 0.36 * four.hip,
              highHip: 0.5 * (four.waist + four.hip),
            };
      const body = bodyOf({ ...four, ...more });
      expect([i, body.residuals.length >= 3, off(body) < 1]).toEqual([i, true, true]);
    }
  });

  it('is as large round as was measured when it is measured anew by other arithmetic', () => {
    for (const measured of [
      plain,
      { ...plain, waist: 1010 },
      { waist: 560, hip: 640, crotchDepth: 195, inseam: 450 },
    ]) {
      const body = bodyOf(measured);
      expect(Math.abs(girthOnLattice(body, body.heights.hip) - (measured.hip ?? 0))).toBeLessThan(1.5);
      expect(Math.abs(girthOnLattice(body, body.heights.waist) - (measured.waist ?? 0))).toBeLessThan(1.5);
    }
  });

  it('has rises as long as they were measured, and the pin where they part', () => {
    const random = seeded(4);
    for (let i = 0; i < 12; i++) {
      const four = plausibleBody(random);
      const rise = 2 * four.crotchDepth + (0.1 + 0.12 * random()) * four.hip;
      const body = bodyOf({
        ...four,
        frontRise: 0.44 * rise,
        backRise: 0.56 * rise,
        backWaistHeight: 8,
        frontWaistHeight: 0,
      });
      expect(off(body)).toBeLessThan(1);
      expect(body.crotchAt).toBeCloseTo(0.44 * rise, 0);
      expect(body.risesKnown).toBe(true);
    }
  });

  it('tells what no body can be: rises far too long for its depth', () => {
    const body = bodyOf({ ...whole, frontRise: 420, backRise: 520 });
    const rise = body.residuals.find((r) => r.id === 'crotchLength');
    expect(rise?.measured).toBe(940);
    expect((rise?.measured ?? 0) - (rise?.tape ?? 0)).toBeGreaterThan(50);
  });

  it('knows its rises only where both were measured, and both heights of the waist', () => {
    expect(bodyOf(whole).risesKnown).toBe(true);
    for (const left of ['frontRise', 'backRise', 'backWaistHeight', 'frontWaistHeight'] as const) {
      const { [left]: gone, ...rest } = whole;
      expect(gone).toBeDefined();
      expect([left, bodyOf(rest).risesKnown]).toEqual([left, false]);
    }
    // A whole rise and one part give the other as good as measured.
    const { backRise, ...rest } = whole;
    expect(bodyOf({ ...rest, crotchLength: 296 + (backRise ?? 0) }).risesKnown).toBe(true);
  });

  it('takes what is set in the place of what is assumed, and reads the same on its tapes', () => {
    const [usual, full] = [bodyOf(plain), bodyOf(plain, { seatShare: 0.64, hipDeep: 0.85 })];
    const behind = (body: SolidBody): number => Math.min(...contourAt(body, body.heights.hip).places.map(([, z]) => z));
    expect(behind(full)).toBeLessThan(behind(usual) - 20);
    expect(off(full)).toBeLessThan(1);
    expect(usual.assumed.hipDeep).toBe(ASSUMED.hipDeep.usual);
    expect(bodyOf(whole).assumedIds).not.toContain('backTilt');
    expect(usual.assumedIds).toContain('backTilt');
  });

  it('stands no part of itself out where the leg begins, and lies on the floor of its crotch where that was measured', () => {
    const body = bodyOf(plain);
    const wide = (y: number): number => Math.max(...contourAt(body, y).places.map(([x]) => x));
    for (let y = body.heights.midThigh; y < body.heights.waist; y += 5) {
      expect(Math.abs(wide(y + 5) - wide(y))).toBeLessThan(6);
    }
    expect(body.heights.waist - body.heights.crotch).toBe(272);
    expect(contourAt(body, body.heights.crotch + 3).places[0]?.[0]).toBe(0);
    expect(contourAt(body, body.heights.crotch - 6).places[0]?.[0]).toBeGreaterThan(1);
  });
});

describe('the lattice of distances', () => {
  it('is nought on the surface, and grows by as much as one goes away from it', () => {
    const body = bodyOf(plain);
    const grid = gridOf(body.form, 300, body.heights.waist + 20);
    const out = new Float64Array(4);
    for (const y of [500, body.heights.crotch - 40, body.heights.hip, body.heights.waist]) {
      const { places } = contourAt(body, y);
      // Outside alone: ten millimetres inward from the one leg lies the other.
      for (const [x, z] of places.filter(([at], i) => at > 60 && i % 5 === 2)) {
        distanceInto(grid, x, y, z, out);
        expect(Math.abs(out[0] as number)).toBeLessThan(0.6);
        const [nx, ny, nz] = [out[1] as number, out[2] as number, out[3] as number];
        const long = Math.hypot(nx, ny, nz);
        distanceInto(grid, x + (10 * nx) / long, y + (10 * ny) / long, z + (10 * nz) / long, out);
        expect(Math.abs((out[0] as number) - 10)).toBeLessThan(1.5);
      }
    }
  });
});
