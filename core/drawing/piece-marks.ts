import {
  crossLine,
  directionAtPlace,
  line,
  mapPath,
  pathLength,
  placeAtLength,
  point,
  quarterTurn,
  type Path,
  type Point,
} from '../geometry/index.js';
import { partOutline, type LineMeaning, type Part, type PartMark } from '../garment/index.js';
import type { Piece } from '../piece/index.js';
import type { LineRole, Mark } from './drawing.js';
import { clearOfJoins, fitLabel, labelOffsets, type Joins, type LabelLine } from './fit-label.js';

/** What a print says about itself on each piece. */
export interface SheetLabels {
  readonly title: string;
  readonly person: string;
  readonly method: string;
  readonly date: string;
  /** How the width of an allowance is said; nothing where the edges bear none. */
  readonly allowance?: (mm: number) => string;
  /** Where pages are joined: words keep clear of it. */
  readonly joins?: Joins;
}

/** What is drawn. */
export interface SheetChoice {
  readonly stitching: boolean;
  readonly cut: boolean;
  readonly construction: boolean;
}

/** Carries a point of a part onto the sheet. */
export type Move = (p: Point) => Point;

const NOTCH = 6;
const DOUBLE_NOTCH_APART = 5;
/** Half the width of the cross of a drill mark, in mm. */
const DRILL = 2;

const ROLES: Readonly<Record<LineMeaning, LineRole>> = {
  level: 'construction',
  crease: 'crease',
  dart: 'dart',
  fold: 'fold',
  placement: 'placement',
};

function notchLines(piece: Piece, move: Move): Mark[] {
  return piece.notches.flatMap((n): Mark[] => {
    const along = { x: -n.outward.y, y: n.outward.x };
    const offsets = n.count === 1 ? [0] : [-DOUBLE_NOTCH_APART / 2, DOUBLE_NOTCH_APART / 2];
    return offsets.map((o) => {
      // A snip goes in from the cut edge; it stops short of the stitching.
      const edge = n.cutAt ?? n.at;
      const deep = Math.min(NOTCH, Math.max(2, Math.hypot(edge.x - n.at.x, edge.y - n.at.y) * 0.6));
      const foot = point(edge.x + along.x * o, edge.y + along.y * o);
      const tip = point(foot.x - n.outward.x * deep, foot.y - n.outward.y * deep);
      return { kind: 'line', role: 'notch', name: `notch ${n.label}`, path: mapPath([line(foot, tip)], move) };
    });
  });
}

function grainLines({ grain: [top, bottom] }: Part, move: Move): Mark[] {
  const head = (tip: Point, way: number): Path => [
    line(point(tip.x - 4, tip.y + way * 8), tip),
    line(tip, point(tip.x + 4, tip.y + way * 8)),
  ];
  return [[line(top, bottom)], head(top, 1), head(bottom, -1)].map((path) => ({
    kind: 'line',
    role: 'grain',
    name: 'grain line',
    path: mapPath(path, move),
  }));
}

/** How often a part is cut, in words; a single one also says for which leg, and if the wrong side of the cloth is up. */
export function cutWords({ cut, leg, up, cloth }: Part, turnedOver = false): string {
  const of = cloth === 'shell' ? '' : ` of ${cloth}`;
  const how = { mirrored: ', mirrored', alike: '', 'on the fold': ' on the fold' }[cut.how];
  const only = leg === 'both' ? '' : `, ${leg} leg`;
  const side = cut.how === 'mirrored' || (up === 'wrong') === turnedOver ? '' : ', wrong side up';
  return `Cut ${cut.count}${of}${how}${only}${side}`;
}

/**
 * The words of a piece: below the line that the part keeps for them, else smaller or turned where they fit within it. A
 * piece too small for all of them bears its name and how it is cut; one too small for that its name alone.
 */
function labelMarks(piece: Piece, labels: SheetLabels, move: Move, turnedOver: boolean): Mark[] {
  const { part } = piece;
  const [a, b] = part.words.map(move) as [Point, Point];
  const wished = point(Math.min(a.x, b.x) + 10, a.y);
  const outline = mapPath(partOutline(part), move);
  const name: LabelLine = { text: part.name, size: 13 };
  const cut: LabelLine = { text: cutWords(part, turnedOver), size: 5.5 };
  const rest = [labels.title, labels.person, labels.method].map((text): LabelLine => ({ text, size: 5.5 }));
  const all = [name, ...rest, cut, { text: labels.date, size: 5.5 }].filter(({ text }) => text !== '');
  for (const lines of [all, [{ ...name, size: 8 }, cut], [{ ...name, size: 5.5 }]]) {
    const place = fitLabel(outline, lines, wished, labels.joins);
    if (!place) continue;
    const offsets = labelOffsets(lines);
    return lines.map(({ text, size }, i): Mark => {
      const down = (offsets[i] ?? 0) * place.scale;
      const at = place.turn === 0 ? point(place.at.x, place.at.y + down) : point(place.at.x - down, place.at.y);
      return {
        kind: 'text',
        at,
        text,
        size: size * place.scale,
        turn: place.turn,
        ...(i === 0 ? { bold: true } : {}),
      };
    });
  }
  if (!labels.joins) return [];
  // A piece on which no page has room for its words bears them over a join rather than not at all.
  const { title, person, method, date } = labels;
  return labelMarks(piece, { title, person, method, date }, move, turnedOver);
}

/** Figures of allowances are so high, in mm, and stand on widths of at least so much. */
const FIGURE = 4;
const NARROWEST = 4.5;
/** Where along an edge its figure may stand, the middle first. */
const ALONG = [0.5, 0.42, 0.58, 0.34, 0.66, 0.26, 0.74, 0.18, 0.82];
/** A figure belongs to an edge of at least this length, in mm. */
const SHORTEST = 30;

/** How wide the allowance is at a place of an edge, measured on the drawing from the stitching line to the cut line. */
function widthAt(cut: Path, at: Point, outward: Point): number | undefined {
  const [hit] = crossLine(cut, at, outward)
    .filter(({ along: far }) => far > 0.01)
    .sort((a, b) => a.along - b.along);
  return hit?.along;
}

/** The width of each allowance, written between stitching line and cut line along the edge. */
function allowanceMarks({ part, cut }: Piece, labels: SheetLabels, move: Move, turnedOver: boolean): Mark[] {
  const { allowance, joins } = labels;
  if (!allowance) return [];
  return part.edges.flatMap(({ path }): Mark[] => {
    const length = pathLength(path);
    if (length < SHORTEST) return [];
    for (const share of ALONG) {
      const place = placeAtLength(path, share * length);
      const direction = directionAtPlace(path, place);
      const outward = quarterTurn(direction);
      const width = widthAt(cut, place.at, outward);
      if (width === undefined || width < NARROWEST) continue;
      const text = allowance(width);
      const size = Math.min(FIGURE, width * 0.6);
      const run = turnedOver ? point(-direction.x, direction.y) : direction;
      // Words read from the left, or from below on an upright edge.
      const reads = run.x > 1e-6 || (Math.abs(run.x) <= 1e-6 && run.y < 0) ? run : point(-run.x, -run.y);
      const middle = move(point(place.at.x + (outward.x * width) / 2, place.at.y + (outward.y * width) / 2));
      const half = (text.length * size * LETTER_WIDTH) / 2;
      const base = quarterTurn(reads);
      const at = point(
        middle.x - reads.x * half + base.x * size * 0.33,
        middle.y - reads.y * half + base.y * size * 0.33,
      );
      const box = {
        minX: middle.x - half - size,
        minY: middle.y - half - size,
        maxX: middle.x + half + size,
        maxY: middle.y + half + size,
      };
      if (joins && !clearOfJoins(box, joins)) continue;
      return [{ kind: 'text', at, text, size, turn: (Math.atan2(reads.y, reads.x) * 180) / Math.PI }];
    }
    return [];
  });
}

/** Figures are about so wide, as a share of their height. */
const LETTER_WIDTH = 0.5;

/** A line within a part, or the cross of a drill mark. */
function markLines(part: Part, mark: PartMark, move: Move): Mark[] {
  const name = `${part.id} ${mark.label}`;
  if (mark.kind === 'line')
    return [
      { kind: 'line', role: ROLES[mark.meaning], name, part: part.like ?? part.id, path: mapPath(mark.path, move) },
    ];
  const { x, y } = mark.at;
  return [line(point(x - DRILL, y), point(x + DRILL, y)), line(point(x, y - DRILL), point(x, y + DRILL))].map(
    (stroke) => ({ kind: 'line', role: 'dart', name, part: part.like ?? part.id, path: mapPath([stroke], move) }),
  );
}

const isFrame = (mark: PartMark): boolean =>
  mark.kind === 'line' && (mark.meaning === 'level' || mark.meaning === 'crease');

/** What is marked within a piece and at its cut edge, but for its frame: snips, darts and drills, folds, placements. */
export const sewingMarks = (piece: Piece, move: Move): Mark[] => [
  ...piece.part.marks.filter((mark) => !isFrame(mark)).flatMap((mark) => markLines(piece.part, mark, move)),
  ...notchLines(piece, move),
];

/** Everything drawn of a piece, carried onto the sheet; stitching line and cut line bear the names of part and edge. */
export function pieceMarks(
  piece: Piece,
  labels: SheetLabels,
  choice: SheetChoice,
  move: Move,
  turnedOver: boolean,
): Mark[] {
  const { part, cut } = piece;
  const frame = choice.construction ? part.marks.filter(isFrame) : [];
  return [
    ...frame.flatMap((mark) => markLines(part, mark, move)),
    ...(choice.cut
      ? [
          {
            kind: 'line',
            role: 'cut',
            name: `${part.id}.cut`,
            part: part.like ?? part.id,
            path: mapPath(cut, move),
          } as const,
        ]
      : []),
    ...(choice.stitching
      ? part.edges.map(({ id, path }): Mark => {
          return {
            kind: 'line',
            role: 'stitching',
            name: `${part.id}.${id}`,
            part: part.like ?? part.id,
            path: mapPath(path, move),
          };
        })
      : []),
    ...sewingMarks(piece, move),
    ...grainLines(part, move),
    ...(choice.cut && choice.stitching ? allowanceMarks(piece, labels, move, turnedOver) : []),
    ...labelMarks(piece, labels, move, turnedOver),
  ];
}
