import { describe, expect, it } from 'vitest';
import { seeded } from '../../bench/random-body.js';
import { line, pathLength, point, type Path } from '../geometry/index.js';
import { furthestApart, lineThrough, onMarks, throughPoints } from './chalk-curve.js';
import { shareOut, type Term } from './share.js';
import { chalkFigure, chalkTape, chalkTapesFor, CHALK_TAPES, isHalfStep, stepOf } from './tape.js';

const error = (terms: readonly Term[], chalked: readonly number[], already = 0): number =>
  terms.reduce((sum, { exact, weight }, i) => sum + weight * ((chalked[i] ?? NaN) - exact), already);

describe('rounding that is shared out', () => {
  it('leaves figures at their nearest marks where their sum is right', () => {
    const terms = [
      { exact: 10.4, weight: 1 },
      { exact: 20.6, weight: 1 },
    ];
    expect(shareOut(terms, 1, 0.5)).toEqual([10, 21]);
  });

  it('puts the one that lies furthest from its mark to the next, where all go the same way', () => {
    const terms = [0.45, 0.3, 0.3, 0.2].map((rest, i) => ({ exact: 10 * (i + 1) + rest, weight: 1 }));
    const chalked = shareOut(terms, 1, 0.5);
    expect(Math.abs(error(terms, chalked))).toBeLessThanOrEqual(0.5);
    expect(chalked).toEqual([11, 20, 30, 40]);
  });

  it('brings any four figures within half a step, none moved by a whole one, halves only where whole steps do not do', () => {
    const random = seeded(4);
    for (let i = 0; i < 3000; i++) {
      const terms = Array.from({ length: 4 }, (_, k) => ({ exact: 100 + 300 * random(), weight: k % 2 ? 1 : -1 }));
      const chalked = shareOut(terms, 2.5, 1.25);
      expect(Math.abs(error(terms, chalked))).toBeLessThanOrEqual(1.25 + 1e-9);
      chalked.forEach((mm, k) => {
        expect(Math.abs(mm - (terms[k]?.exact ?? 0))).toBeLessThan(2.5);
        expect(Math.abs(2 * (mm / 2.5) - Math.round(2 * (mm / 2.5)))).toBeLessThan(1e-9);
      });
    }
  });

  it('makes good what is off already', () => {
    const terms = [
      { exact: 50, weight: 1 },
      { exact: 80, weight: -1 },
    ];
    const chalked = shareOut(terms, 1, 0.5, 0.9);
    expect(Math.abs(error(terms, chalked, 0.9))).toBeLessThanOrEqual(0.5);
  });

  it('gives the nearest it found where nothing comes within', () => {
    const chalked = shareOut([{ exact: 10, weight: 1 }], 1, 0.1, 5);
    expect(chalked).toHaveLength(1);
    expect(Number.isFinite(chalked[0])).toBe(true);
  });
});

describe('the tape', () => {
  it('has the steps that makers chalk by, the usual one of each unit first', () => {
    expect(CHALK_TAPES.map((t) => stepOf(t.tape))).toEqual([3.175, 6.35, 2.5, 5]);
    expect(chalkTape('in')?.id).toBe('1/8');
    expect(chalkTape('cm')?.id).toBe('0.25');
    expect(chalkTapesFor('mm').map((t) => t.id)).toEqual(['0.25', '0.5']);
    expect(chalkTape('cm', '1/8')).toBeUndefined();
  });

  it('reads a figure, and says half a step in words', () => {
    const eighth = chalkTape('in')?.tape;
    const quarter = chalkTape('cm')?.tape;
    if (!eighth || !quarter) throw new Error('no tape');
    expect(chalkFigure(25.4 * 10.375, eighth)).toBe('10 3/8');
    expect(chalkFigure(25.4 * (10 + 7 / 16), eighth)).toBe('10 3/8 and half a step');
    expect(chalkFigure(25.4 / 16, eighth)).toBe('half a step');
    expect(chalkFigure(272.5, quarter)).toBe('27.25');
    expect(chalkFigure(271.25, quarter)).toBe('27.00 and half a step');
    expect(isHalfStep(271.25, quarter)).toBe(true);
    expect(isHalfStep(272.5, quarter)).toBe(false);
  });
});

describe('a curve that is chalked', () => {
  /** A quarter of a circle, as four cubics would draw one, in mm. */
  const round = (radius: number): Path => {
    const k = 0.5523 * radius;
    return [
      {
        p0: point(radius, 0),
        p1: point(radius, k),
        p2: point(k, radius),
        p3: point(0, radius),
      },
    ];
  };
  const grid = { x0: 3.3, y0: -7.1, step: 2.5 };

  it('goes through points on the marks of the tape, and is the curve within a step', () => {
    for (const radius of [60, 150, 400]) {
      const path = round(radius);
      const [from, to] = [onMarks(point(radius, 0), grid), onMarks(point(0, radius), grid)];
      const through = throughPoints(path, from, to, grid);
      for (const { x, y } of through) {
        expect(Math.abs((x - grid.x0) / grid.step - Math.round((x - grid.x0) / grid.step))).toBeLessThan(1e-9);
        expect(Math.abs((y - grid.y0) / grid.step - Math.round((y - grid.y0) / grid.step))).toBeLessThan(1e-9);
      }
      const drawn = lineThrough([from, ...through, to]);
      expect(furthestApart(path, drawn)).toBeLessThan(grid.step);
      expect(furthestApart(drawn, path)).toBeLessThan(grid.step);
      expect(Math.abs(pathLength(drawn) - pathLength(path))).toBeLessThan(6);
    }
  });

  it('takes more points the more it turns, and a straight between two', () => {
    const gentle: Path = [{ p0: point(0, 0), p1: point(100, 4), p2: point(200, 4), p3: point(300, 0) }];
    const count = (path: Path): number =>
      throughPoints(path, path[0]?.p0 ?? point(0, 0), path[0]?.p3 ?? point(0, 0), grid).length;
    expect(count(gentle)).toBeLessThan(count(round(300)));
    expect(lineThrough([point(0, 0), point(10, 5)])).toEqual([line(point(0, 0), point(10, 5))]);
    expect(lineThrough([point(0, 0)])).toEqual([]);
  });
});
