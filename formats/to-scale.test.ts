import { describe, expect, it } from 'vitest';
import { line, pathBox, point } from '../core/geometry/index.js';
import type { Drawing } from '../core/drawing/index.js';
import { drawingToScale, PAPERS, type Paper } from './index.js';

const box = (width: number, height: number): Drawing => {
  const corners = [point(0, 0), point(width, 0), point(width, height), point(0, height)];
  const path = corners.map((p, i) => line(p, corners[(i + 1) % 4] ?? p));
  return {
    width,
    height,
    marks: [
      { kind: 'line', role: 'cut', name: 'box', part: 'box', path },
      { kind: 'text', at: point(width / 2, height / 2), text: 'Back', size: 16, turn: 0 },
    ],
  };
};
const a4 = PAPERS.find((p) => p.id === 'a4') as Paper;

describe('a drawing to scale on one page', () => {
  it.each([
    [1250, 1500, 10],
    [2400, 2200, 15],
    [9000, 1500, 40],
    [100, 50, 5],
  ])('%i by %i mm lies whole on the page laid broad, at 1 : %i, and says so', (width, height, one) => {
    const page = drawingToScale(box(width, height), a4, ['Wide-legged dress trouser']);
    expect([page.width, page.height]).toEqual([297, 210]);
    const words = page.marks.flatMap((m) => (m.kind === 'text' ? [m.text] : []));
    expect(words).toContain(`Scale 1 : ${one}. Not for cutting.`);
    expect(words[0]).toBe('Wide-legged dress trouser');
    const drawn = page.marks.find((m) => m.kind === 'line');
    if (drawn?.kind !== 'line') throw new Error('no line');
    const { minX, minY, maxX, maxY } = pathBox(drawn.path);
    expect(maxX - minX).toBeCloseTo(width / one, 9);
    expect(maxY - minY).toBeCloseTo(height / one, 9);
    expect(minX).toBeGreaterThanOrEqual(10);
    expect(maxX).toBeLessThanOrEqual(287);
    expect(maxY).toBeLessThanOrEqual(200);
    // The words above end where the drawing begins.
    const heads = page.marks.filter((m) => m.kind === 'text' && m.text !== 'Back');
    for (const head of heads) if (head.kind === 'text') expect(head.at.y + 1).toBeLessThan(minY);
  });

  it('keeps words large enough to be read', () => {
    const page = drawingToScale(box(9000, 1500), a4, []);
    const back = page.marks.find((m) => m.kind === 'text' && m.text === 'Back');
    expect(back).toMatchObject({ size: 1.8 });
  });
});
