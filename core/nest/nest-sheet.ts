import { cutWords, layOnPages, type Drawing, type LineStyle, type Mark, type PageStep } from '../drawing/index.js';
import {
  boxOf,
  flatten,
  line,
  mapPath,
  pathLength,
  placeAtLength,
  point,
  type Box,
  type Point,
} from '../geometry/index.js';
import type { NestPart, NestSize } from './nest.js';

/** What is drawn of a nest, and what it says of itself. */
export interface NestLabels {
  readonly title: string;
  readonly method: string;
  readonly date: string;
}

/** Which lines of each size are drawn. */
export interface NestLines {
  readonly cut: boolean;
  readonly stitching: boolean;
}

/** Each size has a dash of its own, the next after the last; all are of one weight. */
const DASHES: readonly (readonly number[])[] = [
  [],
  [8, 2],
  [4, 2],
  [1.5, 1.5],
  [10, 2, 1.5, 2],
  [10, 2, 1.5, 2, 1.5, 2],
  [14, 3],
  [6, 1.5, 2, 1.5],
  [3, 3],
  [16, 2, 4, 2],
  [1, 3],
  [12, 4, 4, 4],
];

/** The pen that a size is drawn with, by its place among the sizes; dashes and weight in mm. */
export const sizePen = (index: number): LineStyle => ({ weight: 0.35, dash: DASHES[index % DASHES.length] ?? [] });

/** Room about a part, in mm. */
const GAP = 15;
/** Letters of a part's name, of what stands below it, and of the sizes on their lines; mm. */
const NAME = 11;
const WORDS = 5.5;
const TAG = 4;
/** Names of sizes stand on their lines from this share of the outline on, so far apart and so far inside, in mm. */
const TAGS_FROM = 0.04;
const TAGS_APART = 16;
const INSIDE = 1.2;

const boxOfPart = ({ sizes }: NestPart): Box =>
  boxOf(sizes.flatMap(({ cut, net }) => [...cut, ...net].flatMap((c) => flatten([c], 0.5))));

/** A layer bears the size in letters that every program takes. */
const layerOf = (name: string, line: string): string =>
  `SIZE_${
    name
      .normalize('NFKD')
      .replace(/[^A-Za-z0-9]+/g, '_')
      .replace(/^_|_$/g, '')
      .toUpperCase() || 'X'
  }_${line}`;

/** How wide letters are taken, as a share of their height. */
const LETTER_WIDTH = 0.56;

/** The names of sizes, each on its own line where no name before it stands: further along than the last. */
function tags(sizes: readonly NestSize[], move: (p: Point) => Point): Mark[] {
  const taken: Box[] = [];
  return sizes.map(({ cut, name }, i): Mark => {
    const length = pathLength(cut);
    const tagAt = (step: number): Point => {
      const along = (TAGS_FROM * length + i * TAGS_APART + step * TAG) % length;
      const at = move(placeAtLength(cut, along).at);
      return point(at.x + INSIDE, at.y - INSIDE);
    };
    const boxAt = ({ x, y }: Point): Box => ({
      minX: x,
      maxX: x + name.length * TAG * LETTER_WIDTH,
      minY: y - TAG,
      maxY: y,
    });
    const clear = (box: Box): boolean =>
      taken.every((t) => box.maxX < t.minX || t.maxX < box.minX || box.maxY < t.minY || t.maxY < box.minY);
    const steps = Math.floor(length / TAG);
    let step = 0;
    while (step < steps && !clear(boxAt(tagAt(step)))) step++;
    const at = tagAt(step);
    taken.push(boxAt(at));
    return { kind: 'text', at, text: name, size: TAG, turn: 0 };
  });
}

function partMarks(part: NestPart, labels: NestLabels, lines: NestLines, move: (p: Point) => Point): Mark[] {
  const { sizes } = part;
  const middle = sizes[Math.floor((sizes.length - 1) / 2)];
  if (!middle) return [];
  const outlines = sizes.flatMap((size, i): Mark[] => {
    const pen = sizePen(i);
    const drawn = (role: 'cut' | 'stitching', path: NestSize['cut'], weight: number): Mark => ({
      kind: 'line',
      role,
      name: `${part.id}.${role}.${size.name}`,
      part: part.id,
      path: mapPath(path, move),
      pen: { ...pen, weight },
      layer: layerOf(size.name, role === 'cut' ? 'CUT' : 'STITCHING'),
    });
    return [
      ...(lines.cut ? [drawn('cut', size.cut, pen.weight)] : []),
      ...size.marks.map((mark): Mark =>
        mark.kind === 'line'
          ? { ...mark, part: part.id, path: mapPath(mark.path, move), layer: layerOf(size.name, 'MARKS') }
          : mark,
      ),
      ...(lines.stitching ? [drawn('stitching', size.net, lines.cut ? pen.weight / 2 : pen.weight)] : []),
    ];
  });
  const [top, bottom] = middle.grain.map(move) as [Point, Point];
  const words = sizes.map((s) => s.name).join(', ');
  const said = [
    part.name,
    labels.title,
    labels.method,
    `Sizes ${words}`,
    `${cutWords(part.part)}, of each size`,
    labels.date,
  ];
  const at = point(Math.min(top.x, bottom.x) + 5, top.y + (bottom.y - top.y) * 0.35);
  return [
    ...outlines,
    { kind: 'line', role: 'grain', name: 'grain line', part: part.id, path: [line(top, bottom)] },
    ...tags(sizes, move),
    ...said
      .filter((text) => text !== '')
      .map((text, i): Mark => ({
        kind: 'text',
        at: point(at.x, at.y + (i === 0 ? 0 : NAME * 0.4 + i * WORDS * 1.35)),
        text,
        size: i === 0 ? NAME : WORDS,
        turn: 0,
        ...(i === 0 && { bold: true }),
      })),
  ];
}

/**
 * A nest at full size on one sheet: every part once, with a line for each size that bears its name, told apart by dashes;
 * each part from a page's join on where `step` says what is kept of a page, in mm.
 */
export function nestSheet(
  parts: readonly NestPart[],
  labels: NestLabels,
  lines: NestLines,
  step: PageStep | undefined,
): Drawing {
  const shown = parts.filter((p) => p.sizes.length > 0);
  const boxes = shown.map(boxOfPart);
  const sizes = boxes.map((b) => ({ width: b.maxX - b.minX + 2 * GAP, height: b.maxY - b.minY + 2 * GAP }));
  const row = { x: sizes.reduce((sum, s) => sum + s.width, 0) + 1, y: Math.max(0, ...sizes.map((s) => s.height)) + 1 };
  const at = layOnPages(sizes, step ?? row, 0);
  const marks = shown.flatMap((part, i): Mark[] => {
    const [box, laid] = [boxes[i], at[i]];
    if (!box || !laid) return [];
    const move = (p: Point): Point => point(p.x - box.minX + GAP + laid.x, p.y - box.minY + GAP + laid.y);
    return partMarks(part, labels, lines, move);
  });
  return {
    width: Math.max(1, ...at.map(({ x }, i) => x + (sizes[i]?.width ?? 0))),
    height: Math.max(1, ...at.map(({ y }, i) => y + (sizes[i]?.height ?? 0))),
    marks,
  };
}
