import { describe, expect, it } from 'vitest';
import { plausibleBody, seeded } from '../../bench/random-body.js';
import { bodyFrom, contourAt } from '../../core/body/index.js';
import { BODY_IDS, completeBody, SHIPPED_CHARTS, type Measured } from '../../core/measure/index.js';
import { bodyShape, bodyToDraw, smoothLine, type BodyLevel, type BodyShape } from './body-shape.js';
import { tapePlaces } from './tape-places.js';

const draw = (values: Measured): BodyShape => bodyShape(bodyToDraw(values, 'unknown', {}));
const depth = (shape: BodyShape, at: BodyLevel): number => shape.profile(at)[1] - shape.profile(at)[0];
const four = { waist: 780, hip: 1000, crotchDepth: 272, inseam: 780 };

describe('the drawn body', () => {
  it('has its levels where the figures put them', () => {
    const { level } = draw({ ...four, hipDepth: 200, kneeDepth: 600 });
    expect(level).toMatchObject({ waist: 0, hip: 200, crotch: 272, knee: 600, floor: 1052 });
    expect(draw({ waist: 780, hip: 1000, crotchDepth: 272, outseam: 1060 }).level.floor).toBe(1060);
  });

  it.each<readonly [keyof Measured, BodyLevel]>([
    ['waist', 'waist'],
    ['hip', 'hip'],
    ['thigh', 'crotch'],
    ['knee', 'knee'],
    ['calf', 'calf'],
    ['ankle', 'ankle'],
  ])('grows wider and deeper with the %s', (id, at) => {
    const full = { ...four, thigh: 580, knee: 370, calf: 370, ankle: 230 };
    const figure = (full as Record<string, number>)[id] ?? NaN;
    const [slim, wide] = [draw(full), draw({ ...full, [id]: figure * 1.06 })];
    // Half the width and half the depth of an oval grow as its girth does; where legs and trunk join, more or less.
    const grown = wide.half(at) + depth(wide, at) / 2 - slim.half(at) - depth(slim, at) / 2;
    expect(grown).toBeGreaterThan((0.6 * 0.06 * figure) / Math.PI);
    expect(grown).toBeLessThan((1.4 * 0.06 * figure) / Math.PI);
  });

  it('is as wide and as deep as the body that a draft is hung on, to a few millimetres, with rises measured or not', () => {
    const random = seeded(11);
    for (let i = 0; i < 12; i++) {
      const body = plausibleBody(random);
      const rise = 2 * body.crotchDepth + (0.12 + 0.08 * random()) * body.hip;
      const measured = i % 2 ? body : { ...body, frontRise: 0.44 * rise, backRise: 0.56 * rise };
      const [shape, solid] = [draw(measured), bodyFrom(completeBody(measured, 'unknown'))];
      for (const at of ['waist', 'hip', 'midThigh', 'calf'] as const) {
        const { places } = contourAt(solid, solid.heights.waist - shape.level[at]);
        const [xs, zs] = [places.map(([x]) => x), places.map(([, z]) => z)];
        const wide = at === 'waist' || at === 'hip' ? Math.max(...xs) : (Math.max(...xs) - Math.min(...xs)) / 2;
        expect(Math.abs(shape.half(at) - wide)).toBeLessThan(5);
        expect(Math.abs(shape.profile(at)[0] + Math.max(...zs))).toBeLessThan(8);
        expect(Math.abs(shape.profile(at)[1] + Math.min(...zs))).toBeLessThan(8);
      }
    }
  });

  it('has the tape between the legs as long as the rises that were measured', () => {
    const shape = draw({ ...four, frontRise: 300, backRise: 380 });
    const long = (places: readonly (readonly [number, number])[]): number =>
      places.slice(1).reduce((sum, [x, y], i) => {
        const [px, py] = places[i] ?? [0, 0];
        return sum + Math.hypot(x - px, y - py);
      }, 0);
    expect(Math.abs(long(shape.under.front) - 300)).toBeLessThan(4);
    expect(Math.abs(long(shape.under.back) - 380)).toBeLessThan(6);
    expect(shape.under.front.at(-1)).toEqual(shape.under.back[0]);
  });

  it('leaves out of the drawing what no draft takes', () => {
    expect(draw({ ...four, hip: 4 }).half('hip')).toBe(draw({ waist: 780, crotchDepth: 272, inseam: 780 }).half('hip'));
  });

  it('is drawn from nothing at all, and stands on its feet for every size of every chart', () => {
    for (const values of [{}, { waist: 700 }, ...SHIPPED_CHARTS.flatMap((c) => c.sizes.map((s) => s.values))]) {
      const shape = draw(values);
      const levels = Object.values(shape.level);
      expect(levels).toEqual([...levels].sort((a, b) => a - b));
      for (const [x, y] of [...shape.frontOutline, ...shape.sideOutline]) {
        expect(Number.isFinite(x) && Number.isFinite(y)).toBe(true);
        expect(y).toBeLessThanOrEqual(shape.level.floor + 1e-9);
      }
      expect(smoothLine(shape.frontOutline)).toMatch(/^M[-\d. C]+$/);
    }
  });

  it('shows the tape for everything that is taken from a body', () => {
    const shape = draw(four);
    for (const id of BODY_IDS) expect([id, Object.keys(tapePlaces(shape, id)).length > 0]).toEqual([id, true]);
    const depth = tapePlaces(shape, 'crotchDepth').seated;
    expect(depth).toEqual({
      kind: 'line',
      places: [
        [0, 0],
        [0, 272],
      ],
    });
    expect(tapePlaces(shape, 'hip').front).toMatchObject({ kind: 'girth', middle: [0, shape.level.hip] });
  });

  it('is drawn with smooth lines through every place, and corners where they are asked for', () => {
    const places = [
      [0, 0],
      [10, 0],
      [10, 10],
    ] as const;
    expect(smoothLine(places)).toMatch(/^M0\.0 0\.0C.* 10\.0 0\.0C.* 10\.0 10\.0$/);
    expect(smoothLine(places, () => true)).not.toBe(smoothLine(places));
  });
});
