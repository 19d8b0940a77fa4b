import DxfParser, {
  type IEntity,
  type ILwpolylineEntity,
  type IPolylineEntity,
  type ISplineEntity,
  type ITextEntity,
} from 'dxf-parser';
import { describe, expect, it } from 'vitest';
import { computeDraft, EMPTY_INPUT } from '../../core/chain/index.js';
import { pieceSheet, type Drawing } from '../../core/drawing/index.js';
import { flatten, nearestPlace, pathLength, type Path, type Point } from '../../core/geometry/index.js';
import { HOUSE_ALLOWANCES, piecesOf } from '../../core/piece/index.js';
import { draftGarment } from '../../core/style/index.js';
import { readOutline } from '../outline/index.js';
import { toDxf, toSplineDxf } from '../index.js';

const outcome = computeDraft({ ...EMPTY_INPUT, measured: { waist: 780, hip: 1000, crotchDepth: 272, inseam: 780 } });
if (!outcome.ok) throw new Error('The middle body must draft');
const style = ['fly', 'slantPocket', 'band'].map((id) => ({ id, values: {} }));
const { garment } = draftGarment(outcome.value, style, 'cm');
const labels = { title: 'Stage trousers', person: 'Žofie', method: 'Quarter and half', date: '2026-11-23' };
const sheet: Drawing = pieceSheet(piecesOf(garment, HOUSE_ALLOWANCES), labels);
const text = toDxf(sheet);
const read = new DxfParser().parseSync(text);
if (!read) throw new Error('The file cannot be read');

const isLine = (e: IEntity): e is IPolylineEntity => e.type === 'POLYLINE';
const isText = (e: IEntity): e is ITextEntity => e.type === 'TEXT';
const linesOn = (layer: string): Point[][] =>
  read.entities.filter((e) => e.layer === layer && isLine(e)).map((e) => (e as IPolylineEntity).vertices);
const back = ({ x, y }: Point): Point => ({ x, y: sheet.height - y });
const drawn = (role: string): Path[] =>
  sheet.marks.flatMap((m) => (m.kind === 'line' && m.role === role ? [m.path] : []));

describe('a DXF', () => {
  it.each([
    ['CUT', 'cut'],
    ['STITCHING', 'stitching'],
    ['NOTCH', 'notch'],
    ['GRAIN', 'grain'],
    ['DART', 'dart'],
    ['FOLD', 'fold'],
    ['PLACEMENT', 'placement'],
  ])(
    'has on its layer %s every line of that meaning where it is drawn, by a reader that did not write it',
    (layer, role) => {
      const lines = linesOn(layer);
      const paths = drawn(role);
      expect(lines).toHaveLength(paths.length);
      expect(lines.length).toBeGreaterThan(0);
      for (const [i, path] of paths.entries()) {
        const points = (lines[i] ?? []).map(back);
        for (const p of points) expect(nearestPlace(path, p).distance).toBeLessThan(0.1);
        // And nothing of the line is left out.
        const ring = points.map((p, k) => [p, points[k + 1] ?? p] as const);
        for (const p of flatten(path, 1)) {
          const away = Math.min(
            ...ring.map(([a, b]) => {
              const [dx, dy] = [b.x - a.x, b.y - a.y];
              const t = Math.min(1, Math.max(0, ((p.x - a.x) * dx + (p.y - a.y) * dy) / (dx * dx + dy * dy || 1)));
              return Math.hypot(p.x - a.x - t * dx, p.y - a.y - t * dy);
            }),
          );
          expect(away).toBeLessThan(0.1);
        }
      }
    },
  );

  it('closes its cut lines, names its layers and says its unit', () => {
    const cuts = read.entities.filter((e) => e.layer === 'CUT' && isLine(e)) as IPolylineEntity[];
    expect(cuts.every((e) => e.shape)).toBe(true);
    expect(Object.keys(read.tables.layer.layers)).toEqual(expect.arrayContaining(['CUT', 'STITCHING', 'TEXT']));
    expect(text).toContain('all lengths in millimetres');
    expect(text).not.toMatch(/NaN|undefined|Infinity/);
  });

  it('has its words, with letters that it has no code for as their number', () => {
    const words = read.entities.filter(isText).map((e) => e.text);
    expect(words).toContain('Fly facing');
    expect(words.some((w) => w.includes('\\U+017D'))).toBe(true);
  });

  it('is read back by our own reader as outlines of the size they have', () => {
    const outline = readOutline('pieces.dxf', text);
    expect(outline.ok).toBe(true);
  });
});

/** A point of a clamped B-spline, by de Boor's algorithm: a reader's own arithmetic. */
function onSpline(points: readonly Point[], knots: readonly number[], t: number): Point {
  const degree = 3;
  let k = degree;
  while (k < points.length - 1 && t >= (knots[k + 1] as number)) k++;
  const d = Array.from({ length: degree + 1 }, (_, j) => points[j + k - degree] as Point);
  for (let r = 1; r <= degree; r++) {
    for (let j = degree; j >= r; j--) {
      const [low, high] = [knots[j + k - degree] as number, knots[j + 1 + k - r] as number];
      const a = high === low ? 0 : (t - low) / (high - low);
      const [p, q] = [d[j - 1] as Point, d[j] as Point];
      d[j] = { x: (1 - a) * p.x + a * q.x, y: (1 - a) * p.y + a * q.y };
    }
  }
  return d[degree] as Point;
}

describe('a DXF with splines', () => {
  const splined = toSplineDxf(sheet);
  const file = new DxfParser().parseSync(splined);
  if (!file) throw new Error('The file cannot be read');

  it('states its unit, and has every layer', () => {
    expect(file.header['$INSUNITS']).toBe(4);
    expect(file.header['$ACADVER']).toBe('AC1015');
    expect(Object.keys(file.tables.layer.layers)).toEqual(expect.arrayContaining(['CUT', 'STITCHING', 'TEXT']));
    expect(splined).not.toMatch(/NaN|undefined|Infinity/);
  });

  it.each([
    ['CUT', 'cut'],
    ['STITCHING', 'stitching'],
  ])('has on its layer %s curves that lie on the drawn line from end to end, none left out', (layer, role) => {
    const paths = drawn(role);
    const splines = file.entities.filter((e) => e.layer === layer && e.type === 'SPLINE') as ISplineEntity[];
    const lines = file.entities.filter((e) => e.layer === layer && e.type === 'LWPOLYLINE') as ILwpolylineEntity[];
    expect(splines.length).toBeGreaterThan(5);
    let length = 0;
    const add = (points: readonly Point[]): void => {
      for (const [i, p] of points.entries()) {
        const before = points[i - 1];
        if (before) length += Math.hypot(p.x - before.x, p.y - before.y);
        expect(Math.min(...paths.map((path) => nearestPlace(path, p).distance))).toBeLessThan(0.1);
      }
    };
    for (const { controlPoints = [], knotValues = [] } of splines) {
      const last = knotValues.at(-1) ?? 0;
      const steps = 10 * last;
      add(Array.from({ length: steps + 1 }, (_, i) => back(onSpline(controlPoints, knotValues, (i * last) / steps))));
    }
    for (const { vertices, shape } of lines) {
      const points = vertices.map(back);
      add(shape && points[0] ? [...points, points[0]] : points);
    }
    const whole = paths.reduce((sum, path) => sum + pathLength(path), 0);
    expect(Math.abs(length - whole)).toBeLessThan(0.1 * paths.length);
  });

  it('gives a handle to everything, each once', () => {
    const handles = file.entities.map((e) => String(e.handle));
    expect(new Set(handles).size).toBe(handles.length);
    expect(handles).not.toContain('undefined');
  });
});
