import svgpath from 'svgpath';
import { cubic, flatten, line, type Cubic, type Point } from '../core/geometry/index.js';
import { good, refused, type Outcome } from '../core/refusal/index.js';
import { readLength, type Unit } from '../core/units/index.js';
import { readTable } from './csv/index.js';

const refuse = (value: string, reason: string, wayOut: string): Outcome<never> =>
  refused({ field: 'trace', value: value.slice(0, 60), reason, wayOut });

const MOST = 2000;

/** What an SVG path runs through, as cubics in its own units; refuses a path that cannot be read. */
export function readPathData(data: string): Outcome<Cubic[]> {
  const parsed = svgpath(data) as ReturnType<typeof svgpath> & { readonly err?: string };
  if (parsed.err) {
    return refuse(
      data,
      `The SVG path cannot be read: ${parsed.err.replace(/^SvgPath: /, '')}.`,
      'Copy the path again.',
    );
  }
  const found: Cubic[] = [];
  parsed
    .abs()
    .unarc()
    .unshort()
    .iterate((segment, _, x, y) => {
      const [kind, ...n] = segment as [string, ...number[]];
      const from: Point = { x, y };
      const at = (i: number): Point => ({ x: n[i] ?? 0, y: n[i + 1] ?? 0 });
      if (kind === 'L') found.push(line(from, at(0)));
      else if (kind === 'H') found.push(line(from, { x: n[0] ?? 0, y }));
      else if (kind === 'V') found.push(line(from, { x, y: n[0] ?? 0 }));
      else if (kind === 'C') found.push(cubic(from, at(0), at(2), at(4)));
      else if (kind === 'Q') {
        const [q, to] = [at(0), at(2)];
        const toward = (p: Point): Point => ({ x: p.x + (2 / 3) * (q.x - p.x), y: p.y + (2 / 3) * (q.y - p.y) });
        found.push(cubic(from, toward(from), toward(to), to));
      }
    });
  const sound = found.every((c) => [c.p0, c.p1, c.p2, c.p3].every((p) => Number.isFinite(p.x) && Number.isFinite(p.y)));
  return sound ? good(found) : refuse(data, 'The SVG path holds a figure that is no number.', 'Copy the path again.');
}

function fromPath(data: string): Outcome<Point[]> {
  const read = readPathData(data);
  if (!read.ok) return read;
  const points = flatten(read.value, 0.2);
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
