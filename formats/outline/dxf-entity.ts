import {
  bSplineCubics,
  bulgeArc,
  distance,
  ellipseArc,
  line,
  norm,
  point,
  splineThrough,
  subtract,
  unit,
  type Path,
  type Point,
} from '../../core/geometry/index.js';
import { numberOf, readNumber, textOf, type DxfRecord } from './dxf-records.js';

/** What a record is drawn as; nothing where a figure of it is missing or is none. */
export type Drawn = Path | undefined;

/** A corner of a polyline: where it is, and how much the side to the next bulges. */
export interface Vertex {
  readonly at: Point;
  readonly bulge: number;
}

const at = (record: DxfRecord, x: number, y: number): Point =>
  point(numberOf(record, x, Number.NaN), numberOf(record, y, Number.NaN));

const sound = (...numbers: readonly number[]): boolean => numbers.every((n) => Number.isFinite(n));
const radians = (degrees: number): number => (degrees * Math.PI) / 180;
const FULL = 2 * Math.PI;

/** An angle to run to from `from`, always onward, a whole turn where both are one. */
const onward = (from: number, to: number): number => {
  const sweep = (((to - from) % FULL) + FULL) % FULL;
  return from + (sweep < 1e-9 ? FULL : sweep);
};

function drawLine(record: DxfRecord): Drawn {
  const [a, b] = [at(record, 10, 20), at(record, 11, 21)];
  if (!sound(a.x, a.y, b.x, b.y)) return undefined;
  return distance(a, b) > 0 ? [line(a, b)] : undefined;
}

function drawArc(record: DxfRecord, whole: boolean): Drawn {
  const centre = at(record, 10, 20);
  const radius = numberOf(record, 40, Number.NaN);
  const from = whole ? 0 : radians(numberOf(record, 50, Number.NaN));
  const to = whole ? FULL : onward(from, radians(numberOf(record, 51, Number.NaN)));
  if (!sound(centre.x, centre.y, radius, from, to) || radius <= 0) return undefined;
  return ellipseArc(centre, point(radius, 0), point(0, radius), from, to);
}

function drawEllipse(record: DxfRecord): Drawn {
  const [centre, major] = [at(record, 10, 20), at(record, 11, 21)];
  const ratio = numberOf(record, 40, Number.NaN);
  const from = numberOf(record, 41, 0);
  const to = onward(from, numberOf(record, 42, FULL));
  if (!sound(centre.x, centre.y, major.x, major.y, ratio, from, to) || norm(major) === 0) return undefined;
  return ellipseArc(centre, major, point(-major.y * ratio, major.x * ratio), from, to);
}

/** The points of a repeated pair of groups, x by code `x` and y by the next decade. */
function pointsOf({ groups }: DxfRecord, x: number): Point[] {
  const found: Point[] = [];
  for (const [code, value] of groups) {
    if (code === x) found.push(point(readNumber(value), Number.NaN));
    else if (code === x + 10) {
      const last = found.pop();
      if (last) found.push(point(last.x, readNumber(value)));
    }
  }
  return found;
}

const numbersOf = ({ groups }: DxfRecord, code: number): number[] =>
  groups.flatMap(([c, value]) => (c === code ? [readNumber(value)] : []));

function drawSpline(record: DxfRecord): Drawn {
  const control = pointsOf(record, 10);
  const through = pointsOf(record, 11);
  if (![...control, ...through].every((p) => sound(p.x, p.y))) return undefined;
  if (control.length > 0) {
    const weights = numbersOf(record, 41);
    const degree = numberOf(record, 71, 3);
    const rational = weights.length > 0 && weights.some((w) => w !== weights[0]);
    return bSplineCubics({
      degree,
      knots: numbersOf(record, 40),
      points: control,
      weights: rational ? weights : undefined,
    });
  }
  const apart = through.filter((p, i) => i === 0 || distance(p, through[i - 1] ?? p) > 0);
  const [first, second] = apart;
  const [before, last] = [apart[apart.length - 2], apart[apart.length - 1]];
  if (!first || !second || !before || !last) return undefined;
  if (apart.length === 2) return [line(first, last)];
  const tangent = (x: number, y: number, otherwise: Point): Point => {
    const given = at(record, x, y);
    return sound(given.x, given.y) && norm(given) > 0 ? unit(given) : unit(otherwise);
  };
  return splineThrough(apart, tangent(12, 22, subtract(second, first)), tangent(13, 23, subtract(last, before)));
}

/** The sides of a polyline. */
export function drawVertices(vertices: readonly Vertex[], closed: boolean): Drawn {
  if (vertices.length < 2 || !vertices.every(({ at: p, bulge }) => sound(p.x, p.y, bulge))) return undefined;
  const sides = vertices.flatMap(({ at: from, bulge }, i) => {
    const next = vertices[i + 1] ?? (closed ? vertices[0] : undefined);
    return next && distance(from, next.at) > 0 ? bulgeArc(from, next.at, bulge) : [];
  });
  return sides.length > 0 ? sides : undefined;
}

/** True where the flag that closes a polyline is set. */
export const isClosedFlag = (record: DxfRecord): boolean => (numberOf(record, 70, 0) & 1) === 1;

function drawLightPolyline(record: DxfRecord): Drawn {
  const vertices: { at: Point; bulge: number }[] = [];
  for (const [code, value] of record.groups) {
    const last = vertices[vertices.length - 1];
    if (code === 10) vertices.push({ at: point(readNumber(value), Number.NaN), bulge: 0 });
    else if (last && code === 20) last.at = point(last.at.x, readNumber(value));
    else if (last && code === 42) last.bulge = readNumber(value);
  }
  return drawVertices(vertices, isClosedFlag(record));
}

const DRAWERS: Readonly<Record<string, (record: DxfRecord) => Drawn>> = {
  LINE: drawLine,
  ARC: (record) => drawArc(record, false),
  CIRCLE: (record) => drawArc(record, true),
  ELLIPSE: drawEllipse,
  SPLINE: drawSpline,
  LWPOLYLINE: drawLightPolyline,
};

/** How a kind of record is drawn, in its own coordinates with y up; nothing for kinds that are no line. */
export const drawerOf = (kind: string): ((record: DxfRecord) => Drawn) | undefined =>
  Object.hasOwn(DRAWERS, kind) ? DRAWERS[kind] : undefined;

/** A corner of a polyline by its own record. */
export const vertexOf = (record: DxfRecord): Vertex => ({ at: at(record, 10, 20), bulge: numberOf(record, 42, 0) });

/** Whether a record of a flat drawing is seen from behind: then x runs the other way. */
export const seenFromBehind = (record: DxfRecord): boolean =>
  record.kind !== 'LINE' && record.kind !== 'ELLIPSE' && record.kind !== 'SPLINE' && numberOf(record, 230, 1) < 0;

/** The name of the layer that a record lies on. */
export const layerOf = (record: DxfRecord): string => textOf(record, 8)?.trim() ?? '';
