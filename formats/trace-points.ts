import { flatten, type Point } from '../core/geometry/index.js';
import { good, fileRefusal, refused, type Outcome, type FileRefusal } from '../core/refusal/index.js';
import { readLength, type Unit } from '../core/units/index.js';
import { readTable } from './csv/index.js';
import { readPathData } from './path-data.js';

const MOST = 2000;

function fromPath(data: string): Outcome<Point[], FileRefusal> {
  const { subpaths, fault } = readPathData(data);
  if (fault !== undefined) return refused(fileRefusal('trace', 'tracePathFault', { fault }));
  const points = flatten(
    subpaths.flatMap((s) => s.path),
    0.2,
  );
  if (points.length < 2) return refused(fileRefusal('trace', 'tracePathWithoutLength'));
  return good(points.slice(0, MOST));
}

function fromTable(text: string, unit: Unit): Outcome<Point[], FileRefusal> {
  const spaced = text
    .split('\n')
    .map((row) => (/[,;\t|]/.test(row) ? row : row.trim().replace(/\s+/g, '\t')))
    .join('\n');
  const { table } = readTable(spaced);
  const points: Point[] = [];
  for (const { number, cells } of table.rows) {
    const [x, y] = cells.map((cell) => readLength(cell, unit));
    if (!x?.ok || !y?.ok) {
      return refused(fileRefusal('trace', 'traceRow', { row: number, text: cells.join(' ') }));
    }
    points.push({ x: x.mm, y: y.mm });
  }
  if (points.length > MOST) {
    return refused(fileRefusal('trace', 'traceTooMany', { points: points.length, most: MOST }));
  }
  return good(points);
}

/**
 * Points of a trace from text: rows of two lengths (CSV or spaced, in `unit`, a header passed over), the data of an SVG
 * path, or an SVG file, of which the first path is taken. SVG is in its own units, to be scaled by a known length.
 */
export function readTracePoints(text: string, unit: Unit): Outcome<Point[], FileRefusal> {
  const trimmed = text.trim();
  if (trimmed === '') return refused(fileRefusal('trace', 'traceEmpty'));
  const file = /<path\b[^>]*\sd\s*=\s*(["'])([^"']+)\1/is.exec(trimmed)?.[2];
  if (file !== undefined) return fromPath(file);
  if (/<svg\b/i.test(trimmed)) return refused(fileRefusal('trace', 'traceWithoutPath'));
  if (/^m\s*[-+.\d]/i.test(trimmed)) return fromPath(trimmed);
  return fromTable(trimmed, unit);
}
