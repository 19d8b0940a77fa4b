import { flatten, type Point } from '../core/geometry/index.js';
import { good, refused, type Outcome } from '../core/refusal/index.js';
import { readLength, type Unit } from '../core/units/index.js';
import { readTable } from './csv/index.js';
import { readPathData } from './path-data.js';

const refuse = (value: string, reason: string, wayOut: string): Outcome<never> =>
  refused({ field: 'trace', value: value.slice(0, 60), reason, wayOut });

const MOST = 2000;

function fromPath(data: string): Outcome<Point[]> {
  const { subpaths, fault } = readPathData(data);
  if (fault !== undefined) return refuse(data, `The SVG path cannot be read: ${fault}.`, 'Copy the path again.');
  const points = flatten(
    subpaths.flatMap((s) => s.path),
    0.2,
  );
  if (points.length < 2) return refuse(data, 'The SVG path has no length.', 'Copy the path again.');
  return good(points.slice(0, MOST));
}

function fromTable(text: string, unit: Unit): Outcome<Point[]> {
  const spaced = text
    .split('\n')
    .map((row) => (/[,;\t|]/.test(row) ? row : row.trim().replace(/\s+/g, '\t')))
    .join('\n');
  const { table } = readTable(spaced);
  const points: Point[] = [];
  for (const { number, cells } of table.rows) {
    const [x, y] = cells.map((cell) => readLength(cell, unit));
    if (!x?.ok || !y?.ok) {
      return refuse(
        cells.join(' '),
        `Row ${number} of the trace is not two lengths: “${cells.join(' ')}”.`,
        'Write one point a row, across and down.',
      );
    }
    points.push({ x: x.mm, y: y.mm });
  }
  if (points.length > MOST) return refuse('', `The trace has ${points.length} points.`, `Give at most ${MOST}.`);
  return good(points);
}

/**
 * Points of a trace from text: rows of two lengths (CSV or spaced, in `unit`, a header passed over), the data of an SVG
 * path, or an SVG file, of which the first path is taken. SVG is in its own units, to be scaled by a known length.
 */
export function readTracePoints(text: string, unit: Unit): Outcome<Point[]> {
  const trimmed = text.trim();
  if (trimmed === '') return refuse('', 'There are no points.', 'Write one point a row, or paste a path.');
  const file = /<path\b[^>]*\sd\s*=\s*(["'])([^"']+)\1/is.exec(trimmed)?.[2];
  if (file !== undefined) return fromPath(file);
  if (/<svg\b/i.test(trimmed)) return refuse('', 'The SVG file has no path.', 'Save the curve as a path.');
  if (/^m\s*[-+.\d]/i.test(trimmed)) return fromPath(trimmed);
  return fromTable(trimmed, unit);
}
