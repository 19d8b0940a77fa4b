import { describe, expect, it } from 'vitest';
import { BODY_IDS, SHIPPED_CHARTS, type Measured } from '../../core/measure/index.js';
import { bodyShape, drawnFigures, smoothLine, type BodyLevel, type BodyShape } from './body-shape.js';
import { tapePlaces } from './tape-places.js';

const draw = (values: Measured): BodyShape => bodyShape(drawnFigures(values, 'unknown', {}));
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
    const [slim, wide] = [draw(full), draw({ ...full, [id]: ((full as Record<string, number>)[id] ?? NaN) * 1.1 })];
    expect(wide.half(at)).toBeCloseTo(slim.half(at) * 1.1, 6);
    const depth = (s: BodyShape): number => s.profile(at)[1] - s.profile(at)[0];
    expect(depth(wide)).toBeCloseTo(depth(slim) * 1.1, 6);
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
