import { describe, expect, it } from 'vitest';
import { readerIn, type Unit } from '../core/units/index.js';
import { readTracePoints } from './trace-points.js';
import { fileRefusalsSentence } from '../core/refusal/index.js';

const points = (text: string, unit: Unit = 'cm'): { x: number; y: number }[] => {
  const read = readTracePoints(text, unit);
  if (!read.ok) throw new Error(JSON.stringify(read.refusals));
  return read.value;
};
const reason = (text: string): string => {
  const read = readTracePoints(text, 'cm');
  return read.ok ? '' : fileRefusalsSentence(read.refusals, readerIn('cm'));
};

describe('points of a trace', () => {
  it('are read from rows in the maker’s unit, with or without a header, however they are parted', () => {
    const wanted = [
      { x: 0, y: 0 },
      { x: 15, y: 230 },
      { x: 120, y: 255 },
    ];
    expect(points('0,0\n1.5,23\n12,25.5')).toEqual(wanted);
    expect(points('across;down\n0;0\n1,5;23\n12;25,5')).toEqual(wanted);
    expect(points('0 0\n1.5   23\n12 25.5\n')).toEqual(wanted);
    expect(points('1 1/2, 2\n0, 0', 'in')[0]?.x).toBeCloseTo(38.1, 9);
  });

  it('are read from the data of a path and from a file, curves and arcs included', () => {
    const curve = points('M0 0 C0 100 50 150 100 150 L200 150');
    expect(curve[0]).toEqual({ x: 0, y: 0 });
    expect(curve.at(-1)).toEqual({ x: 200, y: 150 });
    expect(curve.length).toBeGreaterThan(8);
    const arc = points('m0,0 a100,100 0 0 0 100,100 q 50 0 100 -50 v-20 h10');
    expect(arc.at(-1)?.x).toBeCloseTo(210, 6);
    expect(arc.at(-1)?.y).toBeCloseTo(30, 6);
    const middle = arc.find((p) => Math.abs(p.x - 29.3) < 4);
    expect(Math.hypot((middle?.x ?? 0) - 100, middle?.y ?? 0)).toBeCloseTo(100, 0);
    expect(points('<svg viewBox="0 0 9 9"><g><path class="x" d="M1 2L3 4"/></g></svg>')).toHaveLength(2);
  });

  it('that cannot be read are told by row or by what is wrong', () => {
    expect(reason('')).toContain('no points');
    expect(reason('1,2\n3,wide\n')).toContain('Row 2');
    expect(reason('M0 0 C1 2')).toContain('SVG path');
    expect(reason('<svg><circle r="3"/></svg>')).toContain('has no path');
    expect(reason('m 1 1')).toBe('The SVG path has no length. Copy the path again.');
  });
});
