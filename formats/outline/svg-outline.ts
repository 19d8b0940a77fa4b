import svgpath from 'svgpath';
import { ellipseArc, line, mapPath, point, type Path, type Point } from '../../core/geometry/index.js';
import type { FileShape, OutlineFile } from '../../core/reference/index.js';
import { readPathData } from '../path-data.js';
import { after, apply, SAME, shift, stretch, type Affine } from './affine.js';
import { isSoundPath } from './sound.js';
import { readSvgTree, type SvgElement } from './svg-tree.js';
import { newTally, type Tally } from './tally.js';

/** What a length's unit is in mm; a plain number and px are the file's own unit and say nothing of a size on cloth. */
const UNITS: Readonly<Record<string, number>> = {
  mm: 1,
  cm: 10,
  in: 25.4,
  pt: 25.4 / 72,
  pc: 25.4 / 6,
  q: 0.25,
  m: 1000,
};

/** What is not drawn where it stands, but only where it is used or not at all. */
const KEPT_BACK = new Set([
  'defs',
  'symbol',
  'clipPath',
  'mask',
  'pattern',
  'marker',
  'linearGradient',
  'radialGradient',
]);
const SILENT = new Set(['title', 'desc', 'metadata', 'style', 'script', 'namedview', 'filter', 'view']);
const CALLED: Readonly<Record<string, string>> = { text: 'text', image: 'pictures', foreignObject: 'pages within' };

/** As deep as groups and copies are followed into one another. */
const DEEPEST = 300;
const MOST_LINES = 120_000;
const MOST_VISITS = 500_000;

interface Length {
  readonly value: number;
  readonly mm: number | undefined;
}

function readLength(text: string | undefined): Length | undefined {
  const found = /^\s*([-+]?(?:\d+\.?\d*|\.\d+)(?:e[-+]?\d+)?)\s*([a-z]*)\s*$/i.exec(text ?? '');
  if (!found) return undefined;
  const value = Number(found[1]);
  const unit = UNITS[(found[2] ?? '').toLowerCase()];
  return Number.isFinite(value) ? { value, mm: unit === undefined ? undefined : value * unit } : undefined;
}

const numberOf = (element: SvgElement, name: string): number => {
  const text = element.attributes.get(name);
  if (text === undefined) return 0;
  return readLength(text)?.value ?? Number.NaN;
};

function viewBoxOf(element: SvgElement): { x: number; y: number; width: number; height: number } | undefined {
  const numbers = (element.attributes.get('viewBox') ?? '')
    .trim()
    .split(/[\s,]+/)
    .map(Number);
  const [x, y, width, height] = numbers;
  const whole = numbers.length === 4 && numbers.every(Number.isFinite);
  return whole && x !== undefined && y !== undefined && width && height && width > 0 && height > 0
    ? { x, y, width, height }
    : undefined;
}

/** Millimetres to a unit of the drawing; nothing where the file gives no size in a unit of length. */
function unitOf(root: SvgElement): number | undefined {
  const [width, height] = ['width', 'height'].map((name) => readLength(root.attributes.get(name)));
  const box = viewBoxOf(root);
  const across = width?.mm === undefined ? undefined : width.mm / (box?.width ?? width.value);
  const down = height?.mm === undefined ? undefined : height.mm / (box?.height ?? height.value);
  if (across === undefined) return down;
  return down === undefined ? across : Math.min(across, down);
}

/** What a transform does; nothing where it cannot be read. */
function readTransform(text: string): Affine | undefined {
  if (text.trim() === '' || text.trim() === 'none') return SAME;
  if (!/^(\s*(matrix|translate|scale|rotate|skewX|skewY)\s*\([^()]*\)[\s,]*)+$/.test(text)) return undefined;
  const carried: Point[] = [];
  svgpath('M0 0L1 0L0 1')
    .transform(text)
    .iterate((segment) => {
      const [, x, y] = segment as unknown as [string, number, number];
      carried.push(point(x, y));
    });
  const [o, x, y] = carried;
  if (!o || !x || !y) return undefined;
  const map = { a: x.x - o.x, b: x.y - o.y, c: y.x - o.x, d: y.y - o.y, e: o.x, f: o.y };
  return Object.values(map).every(Number.isFinite) ? map : undefined;
}

/** How a drawing within the drawing is fitted into its place, whose size it has itself or gets from what copies it. */
function viewportOf(element: SvgElement, sized: SvgElement = element): Affine {
  const place = shift(numberOf(element, 'x') || 0, numberOf(element, 'y') || 0);
  const box = viewBoxOf(element);
  const [width, height] = [numberOf(sized, 'width'), numberOf(sized, 'height')];
  if (!box || !(width > 0) || !(height > 0)) return place;
  const even = Math.min(width / box.width, height / box.height);
  const plain = (element.attributes.get('preserveAspectRatio') ?? '').includes('none');
  const [sx, sy] = plain ? [width / box.width, height / box.height] : [even, even];
  const middle = shift((width - sx * box.width) / 2, (height - sy * box.height) / 2);
  return after(after(place, middle), after(stretch(sx, sy), shift(-box.x, -box.y)));
}

function pointsOf(element: SvgElement): Point[] | undefined {
  const numbers = (element.attributes.get('points') ?? '')
    .trim()
    .split(/[\s,]+/)
    .map(Number);
  const pairs = numbers.slice(0, numbers.length - (numbers.length % 2));
  if (pairs.length < 4 || !pairs.every(Number.isFinite)) return undefined;
  return pairs.flatMap((x, i) => (i % 2 === 0 ? [point(x, pairs[i + 1] ?? 0)] : []));
}

const through = (points: readonly Point[], closed: boolean): Path =>
  points.flatMap((p, i) => {
    const next = points[i + 1] ?? (closed ? points[0] : undefined);
    return next && (next.x !== p.x || next.y !== p.y) ? [line(p, next)] : [];
  });

type Line = Omit<FileShape, 'layer'>;

/**
 * What an element other than a path draws, in its own coordinates; nothing where a figure of it is missing or wrong.
 */
function drawn(element: SvgElement): readonly Line[] | undefined {
  const n = (name: string): number => numberOf(element, name);
  switch (element.name) {
    case 'line': {
      const path = through([point(n('x1'), n('y1')), point(n('x2'), n('y2'))], false);
      return [{ path, closed: false }];
    }
    case 'polyline':
    case 'polygon': {
      const points = pointsOf(element);
      const closed = element.name === 'polygon';
      return points && [{ path: through(points, closed), closed }];
    }
    case 'rect': {
      const [x, y, width, height] = [n('x'), n('y'), n('width'), n('height')];
      if (!(width > 0) || !(height > 0)) return undefined;
      const corners = [point(x, y), point(x + width, y), point(x + width, y + height), point(x, y + height)];
      return [{ path: through(corners, true), closed: true }];
    }
    default: {
      const round = element.name === 'circle';
      const [rx, ry] = round ? [n('r'), n('r')] : [n('rx'), n('ry')];
      if (!(rx > 0) || !(ry > 0)) return undefined;
      return [{ path: ellipseArc(point(n('cx'), n('cy')), point(rx, 0), point(0, ry), 0, 2 * Math.PI), closed: true }];
    }
  }
}

const LINES = new Set(['path', 'line', 'polyline', 'polygon', 'rect', 'circle', 'ellipse']);

interface Reading {
  readonly byId: ReadonlyMap<string, SvgElement>;
  readonly tally: Tally;
  readonly shapes: FileShape[];
  visits: number;
  full: boolean;
}

const styleOf = (element: SvgElement, name: string): string | undefined =>
  new RegExp(`(?:^|;)\\s*${name}\\s*:\\s*([^;]+)`).exec(element.attributes.get('style') ?? '')?.[1]?.trim() ??
  element.attributes.get(name);

const isHidden = (element: SvgElement): boolean =>
  styleOf(element, 'display') === 'none' || styleOf(element, 'visibility') === 'hidden';

function putLines(reading: Reading, element: SvgElement, map: Affine, layer: string): void {
  const { tally, shapes } = reading;
  const data = element.name === 'path' ? readPathData(element.attributes.get('d') ?? '') : undefined;
  const lines = data?.subpaths ?? drawn(element);
  if (!lines) {
    tally.add(`${element.name} with a figure missing or wrong`);
    return;
  }
  if (data?.fault !== undefined) tally.add('the rest of a path with a fault');
  for (const { path, closed } of lines) {
    const laid = mapPath(path, (p) => apply(map, p));
    if (!isSoundPath(laid)) tally.add(`${element.name} with a figure missing or wrong`);
    else if (laid.length > 0) shapes.push({ layer, closed, path: laid });
  }
}

/** Draws what another element is: a copy of it, within what may be copied. */
function putUse(
  reading: Reading,
  element: SvgElement,
  map: Affine,
  layer: string,
  within: readonly SvgElement[],
): void {
  const id = (element.attributes.get('href') ?? '').replace(/^#/, '');
  const target = reading.byId.get(id);
  if (!target) reading.tally.add('copies of what is not in the file');
  else if (within.includes(target)) reading.tally.add('copies within themselves');
  else {
    const place = after(map, shift(numberOf(element, 'x') || 0, numberOf(element, 'y') || 0));
    if (target.name === 'symbol')
      readChildren(reading, target, after(place, viewportOf(target, element)), layer, [...within, target]);
    else readElement(reading, target, place, layer, [...within, target]);
  }
}

function readChildren(
  reading: Reading,
  element: SvgElement,
  map: Affine,
  layer: string,
  within: readonly SvgElement[],
): void {
  for (const child of element.children) readElement(reading, child, map, layer, within);
}

function readElement(
  reading: Reading,
  element: SvgElement,
  map: Affine,
  layer: string,
  within: readonly SvgElement[],
): void {
  const { tally, shapes } = reading;
  const { name } = element;
  reading.visits += 1;
  if (reading.visits > MOST_VISITS || shapes.length > MOST_LINES) reading.full = true;
  if (reading.full) return;
  if (within.length > DEEPEST) {
    tally.add('parts too deep within others');
    return;
  }
  if (SILENT.has(name) || KEPT_BACK.has(name)) return;
  if (isHidden(element)) {
    tally.add('hidden parts');
    return;
  }
  if (/(^|;)\s*transform\s*:/.test(element.attributes.get('style') ?? ''))
    tally.add('turns and shifts given as a style');
  const own = readTransform(element.attributes.get('transform') ?? '');
  if (!own) {
    tally.add('parts with a transform that cannot be read');
    return;
  }
  const here = after(map, own);
  const on = name === 'g' ? (element.attributes.get('label') ?? element.attributes.get('id') ?? layer) : layer;
  if (name === 'g' || name === 'a' || name === 'switch') readChildren(reading, element, here, on, [...within, element]);
  else if (name === 'svg') readChildren(reading, element, after(here, viewportOf(element)), on, [...within, element]);
  else if (name === 'use') putUse(reading, element, here, on, within);
  else if (LINES.has(name)) putLines(reading, element, here, on);
  else tally.add(CALLED[name] ?? `“${name}”`);
}

function idsOf(root: SvgElement): Map<string, SvgElement> {
  const found = new Map<string, SvgElement>();
  const waiting = [root];
  for (let element = waiting.pop(); element; element = waiting.pop()) {
    const id = element.attributes.get('id');
    if (id !== undefined && !found.has(id)) found.set(id, element);
    for (const child of element.children) waiting.push(child);
  }
  return found;
}

/**
 * The lines of an SVG text: paths, lines, polylines, polygons, rectangles, circles and ellipses through all transforms,
 * groups, drawings within and copies. What is no line, is hidden or has a figure that is none is left out and counted;
 * nothing where the text has no drawing at all. Never throws for a file.
 */
export function readSvg(name: string, text: string): OutlineFile | undefined {
  const { root, damaged } = readSvgTree(text);
  if (root?.name !== 'svg') return undefined;
  const tally = newTally();
  const reading: Reading = { byId: idsOf(root), tally, shapes: [], visits: 0, full: false };
  const map = readTransform(root.attributes.get('transform') ?? '') ?? SAME;
  readChildren(reading, root, map, '', []);
  if (reading.full) tally.add('lines beyond what can be read: the file, or its copies within copies, is too large');
  if (damaged) tally.add('the damaged end or part of the file');
  return { name, mmPerUnit: unitOf(root), shapes: reading.shapes, leftOut: tally.list() };
}
