import { describe, expect, it } from 'vitest';
import { line, pathLength, point } from '../geometry/index.js';
import type { Edge, Part } from '../garment/index.js';
import { runBetween, runLength, seamsOfLine, turnedRun, type Run, type SeamLine } from './run.js';

/** A part with one straight edge of a length. */
function strip(id: string, long: number): Part {
  const edge: Edge = { id: 'edge', role: 'join', path: [line(point(0, 0), point(0, long))] };
  return {
    id,
    name: id,
    leg: 'both',
    edges: [edge],
    marks: [],
    grain: [point(0, 0), point(0, 1)],
    words: [point(0, 0), point(1, 0)],
    cloth: 'shell',
    cut: { count: 1, how: 'alike' },
    up: 'right',
    onFrame: false,
  };
}

const parts = new Map([strip('a', 100), strip('b', 60), strip('c', 160), strip('d', 150)].map((p) => [p.id, p]));
const on = (part: string, backward = false): Run => [{ part, edge: 'edge', backward }];

describe('a run of edges', () => {
  it('is as long as its edges, and the same run the other way', () => {
    expect(runLength(parts, [...on('a'), ...on('b')])).toBe(160);
    expect(turnedRun([...on('a'), ...on('b')])).toEqual([...on('b', true), ...on('a', true)]);
  });

  it('between two lengths has what lies there, counted from where each edge is sewn from', () => {
    expect(runBetween(parts, on('a'), 20, 50)).toEqual([
      { part: 'a', edge: 'edge', backward: false, from: 20, to: 50 },
    ]);
    // Sewn from its end, twenty from there lies at eighty of the edge.
    expect(runBetween(parts, on('a', true), 20, 50)).toEqual([
      { part: 'a', edge: 'edge', backward: true, from: 50, to: 80 },
    ]);
    expect(runBetween(parts, [...on('a'), ...on('b')], 90, 120)).toEqual([
      { part: 'a', edge: 'edge', backward: false, from: 90, to: 100 },
      { part: 'b', edge: 'edge', backward: false, from: 0, to: 20 },
    ]);
  });
});

describe('a line of sewing', () => {
  const sewn = (second: Run, more: Partial<SeamLine> = {}): ReturnType<typeof seamsOfLine> =>
    seamsOfLine(parts, {
      id: 'seam',
      label: 'Seam',
      first: [...on('a'), ...on('b')],
      second,
      ease: undefined,
      matches: [],
      cuts: [1, 1],
      start: 'top',
      end: 'foot',
      ...more,
    });

  it('is cut into seams where a run goes on to another part, and the longer edge is notched there', () => {
    const seams = sewn(on('c'));
    expect(seams.map((s) => [s.id, s.first.part, s.second.part])).toEqual([
      ['seam', 'a', 'c'],
      ['seam.b', 'b', 'c'],
    ]);
    expect(seams[1]?.matches.map((m) => [m.label, m.second.t])).toEqual([['end of a piece', 100 / 160]]);
  });

  it('shares its ease out by where the lengths differ', () => {
    const seams = sewn(on('d'), { ease: { on: 'first', how: 'eased', mm: 10 } });
    const eased = seams.map((s) => s.ease?.mm ?? 0);
    expect(eased[0]).toBeCloseTo(6.25, 9);
    expect(eased[1]).toBeCloseTo(3.75, 9);
  });

  it('keeps what is matched at its place, on whichever seam it comes to lie', () => {
    const [upper, lower] = sewn(on('c'), { matches: [{ label: 'hip', first: 120, second: 120 }] });
    expect(upper?.matches).toEqual([]);
    expect(lower?.matches.map((m) => m.label)).toEqual(['end of a piece', 'hip']);
    const edge = parts.get('b')?.edges[0];
    expect((lower?.matches[1]?.first.t ?? 0) * pathLength(edge?.path ?? [])).toBeCloseTo(20, 6);
  });
});
