import { describe, expect, it } from 'vitest';
import { SHIPPED_CHARTS, type SizeChart } from '../../core/measure/index.js';
import { writeSize } from './write-size.js';

const chart = SHIPPED_CHARTS.find((c) => c.id === 'women') as SizeChart;

describe('a cell of a size chart', () => {
  it('takes a figure in any notation, and an empty one takes it out', () => {
    const done = writeSize(chart, 4, 'waist', '31 1/2 in', 'cm');
    expect(done.ok && done.chart.sizes[4]?.values.waist).toBeCloseTo(31.5 * 25.4, 9);
    expect(done.ok && done.chart.sizes[3]).toBe(chart.sizes[3]);
    const out = writeSize(chart, 4, 'thigh', ' ', 'cm');
    expect(out.ok && out.chart.sizes[4]?.values.thigh).toBeUndefined();
  });
  it.each([
    ['waist', 'wide', /Size 5, Waist: “wide” is not a length/],
    ['waist', '8', /Size 5: Waist 8 cm cannot be drafted/],
    ['name', '4', /stands there already/],
    ['name', '', /empty/],
  ] as const)('refuses %s “%s” in a sentence', (field, text, words) => {
    const done = writeSize(chart, 4, field, text, 'cm');
    expect(done.ok ? '' : done.sentence).toMatch(words);
  });
});
