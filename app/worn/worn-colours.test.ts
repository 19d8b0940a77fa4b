import { describe, expect, it } from 'vitest';
import { FIT_MAP_IDS, FIT_MAPS, mapDifference, type Hung } from '../../core/sew/index.js';
import { colourOf, fullOf, WORN_COLOURS, wornColours, type Rgb } from './worn-colours.js';

/** One triangle that hangs flat, with the same figure of every map at each corner. */
const hung = (value: number): Hung =>
  ({
    parts: [
      {
        part: 'front',
        name: 'Front',
        flat: Float32Array.from([0, 0, 100, 0, 0, 100]),
        places: Float32Array.from([0, 0, 0, 100, 0, 0, 0, 100, 0]),
        triangles: Uint32Array.from([0, 1, 2]),
        maps: Object.fromEntries(FIT_MAP_IDS.map((id) => [id, new Float32Array(3).fill(value)])),
      },
    ],
  }) as unknown as Hung;

describe('the colours of a difference', () => {
  it('are those of plain cloth within the noise, and go to red for more and to blue for less', () => {
    for (const id of FIT_MAP_IDS) {
      const { noise } = FIT_MAPS[id];
      expect(colourOf(0, id)).toEqual(WORN_COLOURS.cloth);
      const near = (a: Rgb, b: Rgb): boolean => a.every((v, i) => Math.abs(v - (b[i] ?? NaN)) < 1e-6);
      expect(near(colourOf(fullOf(id), id), WORN_COLOURS.more)).toBe(true);
      expect(near(colourOf(-9 * fullOf(id), id), WORN_COLOURS.less)).toBe(true);
      // The least that is told can be seen at once.
      const [least] = colourOf(-noise * 1.01, id);
      expect(WORN_COLOURS.cloth[0] - least).toBeGreaterThan(0.15);
    }
  });

  it('are given to every place of a garment that is held against another, and plain cloth to one that is not', () => {
    const [plain] = wornColours(hung(9), undefined, 'gap');
    expect([...(plain ?? [])].slice(0, 3)).toEqual(WORN_COLOURS.cloth.map((v) => Math.fround(v)));
    const [red] = wornColours(hung(40), mapDifference(hung(40), hung(9), 'gap'), 'gap');
    expect([...(red ?? [])]).toEqual([1, 2, 3].flatMap(() => WORN_COLOURS.more.map((v) => Math.fround(v))));
    const [same] = wornColours(hung(9.5), mapDifference(hung(9.5), hung(9), 'gap'), 'gap');
    expect(same).toEqual(plain);
  });
});
