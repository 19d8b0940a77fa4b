import { line, point, type Path, type Point } from '../geometry/index.js';
import type { Mark } from './drawing.js';

/** A square of 100 mm and one of 4 in, with their figures, upper left corner of the first at `at`. */
export function testSquares(at: Point): Mark[] {
  const box = (x: number, y: number, size: number): Path => {
    const corners = [point(x, y), point(x + size, y), point(x + size, y + size), point(x, y + size)];
    return corners.map((p, i) => line(p, corners[(i + 1) % 4] ?? p));
  };
  return [
    { kind: 'line', role: 'square', name: 'test square 100 mm', path: box(at.x, at.y, 100) },
    { kind: 'text', at: point(at.x + 5, at.y + 12), text: '100 mm', size: 6, turn: 0 },
    { kind: 'line', role: 'square', name: 'test square 4 in', path: box(at.x + 115, at.y, 101.6) },
    { kind: 'text', at: point(at.x + 120, at.y + 12), text: '4 in', size: 6, turn: 0 },
  ];
}
