import { mapPath, pathBox, point, startOf, type Path, type Point } from '../geometry/index.js';
import { partOutline, type Part } from '../garment/index.js';
import { widthsAlong, type Allowances, type Piece } from '../piece/index.js';
import type { Garment } from '../garment/index.js';
import type { Grid } from './chalk-curve.js';
import { levelsOf, stretchesOf, type ChalkLevel, type ChalkStretch } from './stations.js';

/** The line that is chalked: where the shears go, or where the needle goes. */
export type ChalkedLine = 'cut' | 'net';

/** A dart as it is marked. */
export interface ChalkDart {
  readonly id: string;
  readonly centreLeg: Point;
  readonly apex: Point;
  readonly sideLeg: Point;
}

/** The line along a leg from which its widths are measured: its crease, or where the side was in a leg of one piece. */
export interface Upright {
  readonly name: string;
  readonly left: string;
  readonly right: string;
}

const CREASE: Upright = { name: 'crease', left: 'side', right: 'inseam' };
const SIDE_LINE: Upright = { name: 'side line', left: 'back', right: 'front' };

/** A part laid out to be chalked: its outline, the lines it is measured from, and what lies on it. Panel coordinates, mm. */
export interface LaidPart {
  readonly part: Part;
  readonly outline: Path;
  readonly net: Path;
  readonly stretches: readonly ChalkStretch[];
  readonly levels: readonly ChalkLevel[];
  readonly darts: readonly ChalkDart[];
  /** x of the crease, where it has one. */
  readonly crease: number | undefined;
  /** What that line is called, and what lies to either hand of it. */
  readonly upright: Upright;
  /** x of the straight edge, y of the start line, and the marks of the tape from both. */
  readonly grid: Grid;
  /** How far it was moved across to lie on the front, in mm. */
  readonly shift: number;
}

/** A start line this near under the waist's own height, in mm, is the waist line itself. */
const AT_WAIST = 5;

const creaseOf = ({ marks }: Part): number | undefined => {
  const found = marks.find((m) => m.kind === 'line' && m.meaning === 'crease');
  return found?.kind === 'line' ? startOf(found.path).x : undefined;
};

function dartsOf({ marks }: Part): ChalkDart[] {
  const lines = marks.flatMap((m) => (m.kind === 'line' && m.meaning === 'dart' ? [m.path] : []));
  return lines.flatMap(([down, up], i): ChalkDart[] =>
    down && up ? [{ id: `dart${i + 1}`, centreLeg: down.p0, apex: down.p3, sideLeg: up.p3 }] : [],
  );
}

/** A part with everything on it moved across by `dx`, in mm. */
function movedPart(part: Part, dx: number): Part {
  if (dx === 0) return part;
  const to = (p: Point): Point => point(p.x + dx, p.y);
  const pair = ([a, b]: readonly [Point, Point]): readonly [Point, Point] => [to(a), to(b)];
  return {
    ...part,
    edges: part.edges.map((e) => ({
      ...e,
      path: mapPath(e.path, to),
      ...(e.sewn ? { sewn: mapPath(e.sewn, to) } : {}),
    })),
    marks: part.marks.map((m) => (m.kind === 'line' ? { ...m, path: mapPath(m.path, to) } : { ...m, at: to(m.at) })),
    grain: pair(part.grain),
    words: pair(part.words),
  };
}

/** Where the start line of a leg lies: on the waist line, above it by the waist's allowance where the cut line is chalked. */
function startLine(garment: Garment, part: Part, allowances: Allowances, line: ChalkedLine, top: number): number {
  const waist = part.edges.find((e) => e.role === 'waist');
  if (line === 'net' || !waist) return top <= AT_WAIST ? 0 : top;
  const above = Math.max(...widthsAlong(garment, part, waist.id, allowances).map(({ mm }) => mm));
  return top <= AT_WAIST - above ? -above : top;
}

/**
 * Lays a piece out to be chalked: from a straight edge at its side and a start line at its waist, or on the front that
 * was chalked before, creases and levels on one another. `step` in mm.
 */
export function laid(
  garment: Garment,
  piece: Piece,
  allowances: Allowances,
  line: ChalkedLine,
  step: number,
  on?: LaidPart,
): LaidPart {
  const crease = creaseOf(piece.part);
  const shift = on?.crease !== undefined && crease !== undefined ? on.crease - on.shift - crease : 0;
  const part = movedPart(piece.part, shift);
  const outline = line === 'net' ? partOutline(part) : mapPath(piece.cut, (p) => point(p.x + shift, p.y));
  const box = pathBox(outline);
  const grid = on?.grid ?? {
    x0: box.minX,
    y0: part.onFrame ? startLine(garment, part, allowances, line, box.minY) : box.minY,
    step,
  };
  return {
    part,
    outline,
    net: partOutline(part),
    stretches: stretchesOf(part, outline, step),
    levels: levelsOf(part),
    darts: dartsOf(part),
    crease: crease === undefined ? undefined : crease + shift,
    upright: part.edges.some(({ of }) => of !== undefined) ? SIDE_LINE : CREASE,
    grid,
    shift,
  };
}
