import {
  cutWords,
  fitLabel,
  labelOffsets,
  layOnPages,
  testSquares,
  type LabelLine,
  type Drawing,
  type LineStyle,
  type Mark,
  type PageStep,
} from '../drawing/index.js';
import {
  boxOf,
  enclosedArea,
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
/** The longer side of the larger test square, in mm. */
const SQUARE = 101.6;
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

/** What stands on a part, within its smallest size: all of it, or what there is room for. */
function wordsWithin(part: NestPart, labels: NestLabels, wished: Point, move: (p: Point) => Point): Mark[] {
  const area = ({ net }: NestSize): number => Math.abs(enclosedArea(net));
  const smallest = part.sizes.reduce((a, b) => (area(b) < area(a) ? b : a));
  const name: LabelLine = { text: part.name, size: NAME };
  const small = (text: string): LabelLine => ({ text, size: WORDS });
  const cut = small(`${cutWords(part.part)}, of each size`);
  const sizes = small(`Sizes ${part.sizes.map((s) => s.name).join(', ')}`);
  const all = [name, ...[labels.title, labels.method].map(small), sizes, cut, small(labels.date)];
  for (const lines of [all, [name, sizes, cut], [{ ...name, size: WORDS }, cut], [{ ...name, size: WORDS }]]) {
    const place = fitLabel(mapPath(smallest.net, move), lines, wished);
    if (!place) continue;
    const offsets = labelOffsets(lines);
    return lines.map(({ text, size }, i): Mark => {
      const down = (offsets[i] ?? 0) * place.scale;
      const at = place.turn === 0 ? point(place.at.x, place.at.y + down) : point(place.at.x - down, place.at.y);
      return { kind: 'text', at, text, size: size * place.scale, turn: place.turn, ...(i === 0 && { bold: true }) };
    });
  }
  return [];
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
  return [
    ...outlines,
    { kind: 'line', role: 'grain', name: 'grain line', part: part.id, path: [line(top, bottom)] },
    ...tags(sizes, move),
    ...wordsWithin(part, labels, point(Math.min(top.x, bottom.x) + 5, top.y + (bottom.y - top.y) * 0.35), move),
  ];
}

/**
 * A nest at full size on one sheet: every part once, with a line for each size that bears its name, told apart by dashes;
 * each part from a page's join on where `step` says what is kept of a page, in mm;
 * with test squares below them where it is one sheet.
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
  const width = Math.max(1, ...at.map(({ x }, i) => x + (sizes[i]?.width ?? 0)));
  const height = Math.max(1, ...at.map(({ y }, i) => y + (sizes[i]?.height ?? 0)));
  // On pages the squares stand on the overview.
  if (step) return { width, height, marks };
  return {
    width: Math.max(width, 2 * GAP + SQUARE),
    height: height + SQUARE + GAP,
    marks: [...marks, ...testSquares(point(GAP, height))],
  };
}
