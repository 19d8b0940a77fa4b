import type { Block } from '../draft/index.js';
import { EDGE_NAMES, outlineOf } from '../draft/index.js';
import { boxOf, curvesOf, flatten, norm, point, type Box, type Path } from '../geometry/index.js';
import { PANEL_NAMES, type PanelName } from '../method/index.js';
import { good, fileRefusal, refused, type Outcome, type FileRefusal } from '../refusal/index.js';
import { areaOf, frontsAndBacks, isOfASize, SEVERAL_SIZES } from './fronts-and-backs.js';
import {
  layable,
  layExactly,
  layRoughly,
  layTarget,
  waysToLie,
  type Layable,
  type Nearest,
  type RoughlyLaid,
} from './lay-nearest.js';
import { namedEdges } from './named-edges.js';
import { nameStretches } from './name-stretches.js';
import {
  laidOutline,
  laidShape,
  type LeftOut,
  type Reference,
  type ReferencePlace,
  type ReferenceShape,
} from './reference.js';
import { thinned } from './thinned.js';

/** A line as a reader found it, in the file's units with y down. */
export interface FileShape {
  readonly layer: string;
  readonly closed: boolean;
  readonly path: Path;
}

/** What a reader made of a file. */
export interface OutlineFile {
  readonly name: string;
  /** Nothing where the file does not say. */
  readonly mmPerUnit: number | undefined;
  readonly shapes: readonly FileShape[];
  readonly leftOut: readonly LeftOut[];
}

/** The units that a drawing is likely to be in, in mm. */
export const FILE_UNITS: readonly (readonly [string, number])[] = [
  ['mm', 1],
  ['cm', 10],
  ['in', 25.4],
  ['px', 25.4 / 96],
  ['pt', 25.4 / 72],
  ['m', 1000],
];

/** As many curves as are kept of a file, and as many shapes. */
const MOST_CURVES = 6000;
const MOST_SHAPES = 300;
/** As many shapes as are tried as an outline, the largest first. */
const MOST_TRIED = 6;
/** A shape is tried as an outline if it is at least this share of the draft's piece in length. */
const LEAST_SHARE = 0.4;

const sizeOf = (box: Box): number => norm(point(box.maxX - box.minX, box.maxY - box.minY));
const boxAbout = (path: Path): Box => boxOf(path.flatMap((c) => [c.p0, c.p1, c.p2, c.p3]));
/** The size of the largest line; there may be more lines than a call may have arguments. */
const largestOf = (shapes: readonly FileShape[]): number =>
  shapes.reduce((most, { path }) => Math.max(most, sizeOf(boxAbout(path))), 0);
const pieceSize = (block: Block, panel: PanelName): number => sizeOf(boxOf(flatten(outlineOf(block[panel]), 1)));

/** The unit in which the largest shape is nearest to the draft's piece in size. */
function likeliestUnit(shapes: readonly FileShape[], block: Block): number {
  const largest = largestOf(shapes);
  const wanted = pieceSize(block, 'back');
  const off = (unit: number): number => Math.abs(Math.log((largest * unit) / wanted));
  return FILE_UNITS.reduce((best, [, unit]) => (off(unit) < off(best) - 1e-9 ? unit : best), 1);
}

/**
 * What can be kept of a file: the largest shapes, none too small to be written down, long rows of points thinned where
 * there are too many.
 */
function kept(file: OutlineFile, size: number, least: number): { shapes: FileShape[]; leftOut: LeftOut[] } {
  const bySize = file.shapes
    .map((shape) => ({ shape, size: sizeOf(boxAbout(shape.path)) }))
    .filter((shape) => shape.size > least)
    .sort((a, b) => b.size - a.size)
    .map(({ shape }) => shape);
  const total = bySize.reduce((sum, { path }) => sum + path.length, 0);
  const shapes: FileShape[] = [];
  let count = 0;
  for (const shape of bySize) {
    const path = total > MOST_CURVES ? thinned(shape.path, size / 50_000) : shape.path;
    if (shapes.length >= MOST_SHAPES || count + path.length > MOST_CURVES) continue;
    shapes.push({ ...shape, path });
    count += path.length;
  }
  const lost = bySize.length - shapes.length;
  const told = lost > 0 ? [{ what: 'lines beyond what is kept, the largest were', count: lost }] : [];
  return { shapes, leftOut: [...file.leftOut, ...told] };
}

const NO_PLACE = (box: Box, panel: PanelName, block: Block): ReferencePlace => {
  const own = boxOf(flatten(outlineOf(block[panel]), 1));
  const middle = ({ minX, minY, maxX, maxY }: Box) => point((minX + maxX) / 2, (minY + maxY) / 2);
  return { from: middle(box), to: middle(own), turn: 0, mirrored: false };
};

/** A shape laid on a panel as few points tell. */
interface Rough {
  readonly panel: PanelName;
  readonly index: number;
  readonly own: Layable;
  readonly laid: RoughlyLaid;
}

/** Laid by few points, a pair that stands this much farther apart may still be the nearer one: a share, and mm. */
const ROUGHLY = { share: 1.2, mm: 3 } as const;

/** True of a line that is long enough to be a piece's outline, by the draft's front. */
const isPieceLike = (path: Path, mmPerUnit: number, block: Block): boolean =>
  sizeOf(boxAbout(path)) * mmPerUnit > LEAST_SHARE * pieceSize(block, 'front');

/** As many sizes of a file with several as are tried, those nearest to the draft first. */
const MOST_SIZES_TRIED = 3;

/** What a piece of a file with several sizes is, and of which size, the smallest first. */
interface SizedSide {
  readonly panel: PanelName;
  readonly size: number;
}

/**
 * Which of the pieces of several sizes are fronts and which backs, by their number, for the sizes nearest to the
 * draft's.
 */
function sidesOf(
  pieces: readonly { readonly path: Path; readonly index: number }[],
  mmPerUnit: number,
  block: Block,
): ReadonlyMap<number, SizedSide> {
  const few = pieces.slice(0, MOST_SORTED);
  const names = frontsAndBacks(
    few.map(({ path }) => path),
    block,
  );
  const off = (path: Path, panel: PanelName): number =>
    Math.abs(Math.log((areaOf(path) * mmPerUnit ** 2) / areaOf(outlineOf(block[panel]))));
  const sides = PANEL_NAMES.flatMap((panel) =>
    few
      .filter((_, i) => names[i] === panel)
      .sort((a, b) => areaOf(a.path) - areaOf(b.path))
      .map(({ path, index }, size) => ({ index, panel, size, off: off(path, panel) })),
  );
  const offOf = (size: number): number =>
    sides.filter((s) => s.size === size).reduce((sum, s) => sum + s.off, 0) /
    sides.filter((s) => s.size === size).length;
  const nearest = [...new Set(sides.map((s) => s.size))].sort((a, b) => offOf(a) - offOf(b)).slice(0, MOST_SIZES_TRIED);
  return new Map(
    sides.filter((s) => nearest.includes(s.size)).map(({ index, panel, size }) => [index, { panel, size }]),
  );
}

/** As many pieces as are told apart into fronts and backs, the largest. */
const MOST_SORTED = 24;

/** Which shapes are front and back: the two that lie nearest to the draft's pieces. */
function assign(
  shapes: readonly FileShape[],
  mmPerUnit: number,
  block: Block,
): ReadonlyMap<PanelName, Nearest & { readonly index: number }> {
  const candidates = shapes
    .map((shape, index) => ({ ...shape, index }))
    .filter(({ path }) => isPieceLike(path, mmPerUnit, block));
  const closed = candidates.filter((c) => c.closed);
  const bySize = (closed.length > 0 ? closed : candidates).sort((a, b) => areaOf(b.path) - areaOf(a.path));
  const ofSizes = bySize.filter(({ closed: round, path }) => round && isOfASize(path, mmPerUnit, block));
  const sides = ofSizes.length >= SEVERAL_SIZES ? sidesOf(ofSizes, mmPerUnit, block) : undefined;
  const tried = sides ? bySize.filter(({ index }) => sides.has(index)) : bySize.slice(0, MOST_TRIED);
  const targets = { front: layTarget(block.front), back: layTarget(block.back) };
  const rough = tried.flatMap(({ path, index }) => {
    const own = layable(path, mmPerUnit);
    const panels = PANEL_NAMES.filter((panel) => !sides || sides.get(index)?.panel === panel);
    return panels.map((panel): Rough => ({ panel, index, own, laid: layRoughly(own, targets[panel]) }));
  });
  const [fronts, backs] = PANEL_NAMES.map((panel) => rough.filter((r) => r.panel === panel)) as [Rough[], Rough[]];
  const pairs = fronts.flatMap((f) =>
    backs.flatMap((b) =>
      b.index === f.index || sides?.get(b.index)?.size !== sides?.get(f.index)?.size
        ? []
        : [{ of: [f, b], apart: f.laid.apart + b.laid.apart }],
    ),
  );
  const choices = pairs.length > 0 ? pairs : rough.map((one) => ({ of: [one], apart: one.laid.apart }));
  const nearest = Math.min(...choices.map(({ apart }) => apart));
  // What few points cannot tell apart is laid exactly before it is chosen.
  const exactly = new Map<Rough, Nearest>();
  const exact = (r: Rough): Nearest => {
    const known = exactly.get(r) ?? layExactly(r.own, targets[r.panel], r.laid);
    exactly.set(r, known);
    return known;
  };
  const [best] = choices
    .filter(({ apart }) => apart <= nearest * ROUGHLY.share + ROUGHLY.mm)
    .map(({ of }) => ({ of, apart: of.reduce((sum, r) => sum + exact(r).apart, 0) }))
    .sort((a, b) => a.apart - b.apart);
  return new Map((best?.of ?? []).map((r) => [r.panel, { ...exact(r), index: r.index }]));
}

/** How many decimals of the file's unit make a ten thousandth of a millimetre. */
const digitsFor = (mmPerUnit: number): number => Math.min(12, Math.max(0, Math.ceil(4 + Math.log10(mmPerUnit))));

/**
 * Lays what was read from a file under a draft: its unit where the file says none, which shapes are front and back,
 * where they lie nearest, and what each stretch of them is. All of it is a first proposal that a maker can change.
 * Refuses a file without a line.
 */
export function startReference(file: OutlineFile, block: Block, date: string): Outcome<Reference, FileRefusal> {
  const mmPerUnit = file.mmPerUnit ?? likeliestUnit(file.shapes, block);
  const digits = digitsFor(mmPerUnit);
  const largest = largestOf(file.shapes);
  const { shapes, leftOut } = kept(file, largest, 10 ** (1 - digits));
  if (shapes.length === 0) {
    const told = leftOut.map(({ what, count }) => `${count} × ${what}`).join(', ');
    return refused(fileRefusal('reference', 'outlineWithoutLine', { file: file.name, leftOut: told }));
  }
  const plain = shapes.map(({ layer, closed, path }): ReferenceShape => {
    const curves = curvesOf(path, digits);
    return { layer: layer.slice(0, 200), closed, piece: 'none', curves, marks: [{ at: 0, name: 'none' }] };
  });
  const found = assign(shapes, mmPerUnit, block);
  const whole = boxOf(shapes.flatMap(({ path }) => path.flatMap((c) => [c.p0, c.p3])));
  const placeOf = (panel: PanelName): ReferencePlace => {
    const hit = found.get(panel);
    if (hit) return hit.place;
    const shape = shapes.find((s, i) => ![...found.values()].some((f) => f.index === i) && s.closed);
    return NO_PLACE(shape ? boxAbout(shape.path) : whole, panel, block);
  };
  const reference: Reference = {
    name: file.name.slice(0, 200),
    date,
    mmPerUnit,
    unitFrom: file.mmPerUnit === undefined ? 'guess' : 'file',
    shapes: plain,
    places: { front: placeOf('front'), back: placeOf('back') },
    leftOut: leftOut.slice(0, 60).map(({ what, count }) => ({ what: what.slice(0, 200), count })),
  };
  return good(
    [...found].reduce((made, [panel, { index }]) => {
      const path = shapes[index]?.path;
      const named = asOutline(made, index, panel, block);
      return path ? rightWayUp(named, index, path, panel, block) : named;
    }, reference),
  );
}

/** How many of a piece's seams are one line each, as it lies and is named. */
function wholeSeams(reference: Reference, name: PanelName, block: Block): number {
  return [...namedEdges(laidOutline(reference, name), block[name]).values()].filter((e) => e.path !== undefined).length;
}

/**
 * A piece of another size or width may lie nearest upside down, and then has no seam that is one line: of the few ways in
 * which it may lie, the nearest by which more of its seams are one line each.
 */
function rightWayUp(named: Reference, index: number, path: Path, panel: PanelName, block: Block): Reference {
  let [best, most] = [named, wholeSeams(named, panel, block)];
  if (most === EDGE_NAMES.length) return named;
  for (const { place } of waysToLie(path, block[panel], named.mmPerUnit)) {
    const placed = { ...named, places: { ...named.places, [panel]: place } };
    const tried = asOutline(placed, index, panel, block);
    const whole = wholeSeams(tried, panel, block);
    if (whole > most) [best, most] = [tried, whole];
  }
  return best;
}

/** The reference with a shape taken as a piece's outline, or as none's, and its stretches named by where they lie. */
export function asOutline(reference: Reference, index: number, piece: PanelName | 'none', block: Block): Reference {
  const shapes = reference.shapes.map((shape, i): ReferenceShape => {
    if (i !== index) return shape;
    if (piece === 'none') return { ...shape, piece };
    const laid = laidShape(reference, index, reference.places[piece]);
    return { ...shape, piece, marks: laid ? nameStretches(laid, block[piece]) : shape.marks };
  });
  return { ...reference, shapes };
}
