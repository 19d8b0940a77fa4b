import { line, mapPath, pathBox, point, type Path, type Point } from '../core/geometry/index.js';
import { LEVELS, type Levels } from '../core/method/index.js';
import { EDGE_NAMES, levelSpan } from '../core/draft/index.js';
import type { Piece } from '../core/piece/index.js';
import type { Drawing, Mark } from './drawing.js';

/** What a print says about itself on each piece. */
export interface SheetLabels {
  readonly title: string;
  readonly person: string;
  readonly method: string;
  readonly date: string;
}

/** What is drawn. */
export interface SheetChoice {
  readonly stitching: boolean;
  readonly cut: boolean;
  readonly construction: boolean;
}

/** Everything drawn: both lines and the frame. */
export const DRAW_ALL: SheetChoice = { stitching: true, cut: true, construction: true };

/** Room between two pieces and about them, in mm. */
const GAP = 15;
const NOTCH = 6;
const DOUBLE_NOTCH_APART = 5;

type Move = (p: Point) => Point;

function notchLines(piece: Piece, move: Move): Mark[] {
  return piece.notches.flatMap((n): Mark[] => {
    const along = { x: -n.outward.y, y: n.outward.x };
    const offsets = n.count === 1 ? [0] : [-DOUBLE_NOTCH_APART / 2, DOUBLE_NOTCH_APART / 2];
    return offsets.map((o) => {
      const foot = point(n.at.x + along.x * o, n.at.y + along.y * o);
      const tip = point(foot.x + n.outward.x * NOTCH, foot.y + n.outward.y * NOTCH);
      return { kind: 'line', role: 'notch', name: `notch ${n.label}`, path: mapPath([line(foot, tip)], move) };
    });
  });
}

function grainLines(piece: Piece, move: Move): Mark[] {
  const [top, bottom] = piece.grain;
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

/** The label stands between side and crease, clear of darts and grain line, reading left to right. */
function labelMarks(piece: Piece, labels: SheetLabels, move: Move): Mark[] {
  const { points, crease } = piece.panel;
  const ends = [move(point(points.sideHip.x, 0)).x, move(point(crease, 0)).x];
  const left = Math.min(...ends) + 10;
  const top = move(point(0, points.sideHip.y + 22)).y;
  const lines = [labels.title, labels.person, labels.method, `Cut ${piece.cutCount}, mirrored`, labels.date];
  return [
    { kind: 'text', at: point(left, top), text: piece.name, size: 13, turn: 0, bold: true },
    ...lines.map((text, i): Mark => ({ kind: 'text', at: point(left, top + 10 + i * 7.5), text, size: 5.5, turn: 0 })),
  ];
}

function pieceMarks(piece: Piece, levels: Levels, labels: SheetLabels, choice: SheetChoice, move: Move): Mark[] {
  const { panel } = piece;
  const id = panel.name;
  const marks: Mark[] = [];
  if (choice.construction) {
    for (const [level, label] of LEVELS) {
      const y = levels[level];
      const span = levelSpan(panel, y);
      if (!span) continue;
      const path = mapPath([line(point(span[0], y), point(span[1], y))], move);
      marks.push({ kind: 'line', role: 'construction', name: `${id} ${label.toLowerCase()}`, path });
    }
    const crease = line(point(panel.crease, panel.points.centreWaist.y + 20), point(panel.crease, levels.hemLevel));
    marks.push({ kind: 'line', role: 'crease', name: `${id} crease line`, path: mapPath([crease], move) });
  }
  if (choice.cut) marks.push({ kind: 'line', role: 'cut', name: `${id}.cut`, path: mapPath(piece.cut, move) });
  if (choice.stitching) {
    for (const edge of EDGE_NAMES) {
      marks.push({ kind: 'line', role: 'stitching', name: `${id}.${edge}`, path: mapPath(panel.edges[edge], move) });
    }
  }
  for (const dart of panel.darts) {
    const legs = [line(dart.centreLeg, dart.apex), line(dart.apex, dart.sideLeg)];
    marks.push({ kind: 'line', role: 'dart', name: `${id} dart`, path: mapPath(legs, move) });
  }
  for (const drill of piece.drills) {
    const cross = [
      line(point(drill.x - 2, drill.y), point(drill.x + 2, drill.y)),
      line(point(drill.x, drill.y - 2), point(drill.x, drill.y + 2)),
    ];
    for (const stroke of cross) {
      marks.push({ kind: 'line', role: 'dart', name: `${id} drill mark`, path: mapPath([stroke], move) });
    }
  }
  return [...marks, ...notchLines(piece, move), ...grainLines(piece, move), ...labelMarks(piece, labels, move)];
}

interface Placed {
  readonly piece: Piece;
  readonly width: number;
  readonly height: number;
  readonly place: (x: number, y: number) => Move;
}

function placeable(piece: Piece, turnedOver: boolean): Placed {
  const box = pathBox(piece.cut);
  return {
    piece,
    width: box.maxX - box.minX,
    height: box.maxY - box.minY,
    place: (x, y) => (p) => ({
      x: turnedOver ? x + box.maxX - p.x : x + p.x - box.minX,
      y: y + p.y - box.minY,
    }),
  };
}

/**
 * Both pieces at full size on one sheet, side seams toward one another; one above the other where `widest` (mm) does
 * not hold them side by side. A test square of 100 mm stands beside them on single sheets (`square`).
 */
export function pieceSheet(
  pieces: readonly [Piece, Piece],
  levels: Levels,
  labels: SheetLabels,
  choice: SheetChoice = DRAW_ALL,
  widest = Infinity,
  square = true,
): Drawing {
  const front = placeable(pieces[0], true);
  const back = placeable(pieces[1], false);
  const inRow = front.width + back.width + 3 * GAP <= widest;
  const marks: Mark[] = [];
  const frontTop = inRow ? GAP + Math.max(0, topOf(front) - topOf(back)) : GAP;
  const backTop = inRow ? GAP + Math.max(0, topOf(back) - topOf(front)) : GAP + front.height + GAP;
  const backLeft = inRow ? 2 * GAP + front.width : GAP;
  marks.push(...pieceMarks(front.piece, levels, labels, choice, front.place(GAP, frontTop)));
  marks.push(...pieceMarks(back.piece, levels, labels, choice, back.place(backLeft, backTop)));
  const width = inRow ? front.width + back.width + 3 * GAP : Math.max(front.width, back.width) + 2 * GAP;
  let height = Math.max(frontTop + front.height, backTop + back.height) + GAP;
  if (square) {
    marks.push(...testSquares(point(GAP, height)));
    height += 101.6 + GAP;
  }
  return { width, height, marks };
}

/** How far a piece's topmost point lies above its waist line: pieces in a row share the frame's levels. */
function topOf(placed: Placed): number {
  return pathBox(placed.piece.cut).minY;
}

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
