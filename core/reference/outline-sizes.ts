import { wantedRise } from '../check/index.js';
import type { Draft } from '../chain/index.js';
import {
  outlineOf,
  type AdoptedPattern,
  type AdoptedPiece,
  type Block,
  type EdgeName,
  type Panel,
} from '../draft/index.js';
import {
  cross,
  crossLine,
  enclosedArea,
  endOf,
  pathLength,
  point,
  startOf,
  subtract,
  unit,
  type Path,
  type Point,
} from '../geometry/index.js';
import { figuresOf } from '../measured/index.js';
import { PANEL_NAMES, type PanelName } from '../method/index.js';
import type { Outcome } from '../refusal/index.js';
import { outlineWidth } from './compare-reference.js';
import { frontsAndBacks, isOfASize } from './fronts-and-backs.js';
import { adoptedFrom, adoptedPiece } from './adopt.js';
import { waysToLie } from './lay-nearest.js';
import { namedEdges, type NamedEdge } from './named-edges.js';
import { dartMouths } from './outline-darts.js';
import { laidShape, pathOfShape, type LaidShape, type Reference } from './reference.js';
import { asOutline } from './start-reference.js';

/** The figures by which sizes are compared. */
export const SIZE_FIGURES = ['waist', 'hip', 'thigh', 'frontRise', 'backRise', 'hem'] as const;

/** The name of such a figure. */
export type SizeFigure = (typeof SIZE_FIGURES)[number];

/**
 * One size of a file: a front and a back, smallest first, with its finished girths and seams in mm as far as they are
 * named.
 */
export interface OutlineSize {
  readonly name: string;
  readonly figures: Readonly<Partial<Record<SizeFigure, number>>>;
  /** True where the file draws its darts: the waist is then the closed one. */
  readonly dartsDrawn: boolean;
  /** The numbers of its front and its back among the shapes of the reference. */
  readonly shapes: Readonly<Record<PanelName, number>>;
}

/** As many pieces of a file as are looked at. */
const MOST_PIECES = 40;

interface SizedPiece {
  readonly panel: PanelName;
  readonly index: number;
  readonly area: number;
  readonly layer: string;
  readonly mouths: number;
  readonly figures: Readonly<Partial<Record<'waist' | 'hip' | 'thigh' | 'rise' | 'hem', number>>>;
}

/**
 * How wide a piece is from its side at a level, `y` mm below the waist line, square to the line from its rise there up
 * to its waist, as a draft's hip is read; nothing where side or rise do not reach there as one line.
 */
function acrossSquare(side: Path | undefined, rise: Path | undefined, y: number): number | undefined {
  const at = (path: Path | undefined): Point | undefined =>
    path && crossLine(path, point(0, y), point(1, 0)).slice(-1)[0]?.at;
  const [from, to] = [at(side), at(rise)];
  return from && to && rise ? Math.abs(cross(subtract(from, to), unit(subtract(endOf(rise), to)))) : undefined;
}

/** A piece as it was laid and its seams named, in its own size. */
interface NamedPiece {
  readonly reference: Reference;
  readonly outline: readonly LaidShape[];
  readonly edges: ReadonlyMap<EdgeName, NamedEdge>;
}

/**
 * The piece laid and its seams named when it has been brought to the size of the draft's, so that a size far off lies
 * the right way round: of the ways in which it may lie the nearest that gives every seam as one line, else the one that
 * gives most.
 */
function namedPiece(reference: Reference, index: number, path: Path, panel: Panel, block: Block): NamedPiece {
  const ratio = Math.sqrt(Math.abs(enclosedArea(outlineOf(panel)) / enclosedArea(path)));
  const lone = {
    ...reference,
    shapes: reference.shapes.map((s, i) => (i === index ? s : { ...s, piece: 'none' as const })),
  };
  const ways = waysToLie(path, panel, ratio).map(({ place }): NamedPiece => {
    const places = { ...reference.places, [panel.name]: place };
    const brought = asOutline({ ...lone, mmPerUnit: ratio, places }, index, panel.name, block);
    const named = { ...brought, mmPerUnit: reference.mmPerUnit };
    const laid = laidShape(named, index, place);
    const outline = laid ? [laid] : [];
    return { reference: named, outline, edges: namedEdges(outline, panel) };
  });
  const whole = ({ edges }: NamedPiece): number => [...edges.values()].filter((e) => e.path !== undefined).length;
  return ways.reduce((a, b) => (whole(b) > whole(a) ? b : a));
}

/** The figures of one piece; its levels are counted from its own crotch point. */
function sizedPiece(reference: Reference, index: number, path: Path, panel: Panel, block: Block): SizedPiece {
  const area = Math.abs(enclosedArea(path)) * reference.mmPerUnit ** 2;
  const { reference: named, outline, edges } = namedPiece(reference, index, path, panel, block);
  const rise = edges.get('rise');
  const waist = edges.get('waist');
  const crotch = rise?.path ? startOf(rise.path).y : panel.points.crotchPoint.y;
  const down = crotch - panel.points.crotchPoint.y;
  const width = (y: number): number | undefined => outlineWidth(outline, y + down);
  const mouths = waist ? dartMouths(named, panel.name, outline, waist) : 0;
  const figures = {
    waist: waist && waist.length - mouths,
    hip:
      acrossSquare(edges.get('side')?.path, rise?.path, panel.levels.hipLevel + down) ?? width(panel.levels.hipLevel),
    // Just below the crotch point: on its own level the outline is met in its corner.
    thigh: width(panel.points.crotchPoint.y + JUST_BELOW),
    rise: rise?.length,
    hem: edges.get('hem')?.length,
  };
  const known = Object.fromEntries(Object.entries(figures).filter(([, mm]) => mm !== undefined));
  const { layer } = reference.shapes[index] ?? { layer: '' };
  return { panel: panel.name, index, area, layer, mouths, figures: known };
}

/** The width at the crotch is read so far below the crotch point, in mm. */
const JUST_BELOW = 1;

/** Every piece of a file that can be a front or a back, laid where it lies nearest to the draft's. */
function piecesOf(reference: Reference, block: Block): SizedPiece[] {
  const pieces = reference.shapes
    .map((shape, index) => ({ shape, index, path: pathOfShape(shape) }))
    .filter(({ shape, path }) => shape.closed && isOfASize(path, reference.mmPerUnit, block))
    .slice(0, MOST_PIECES);
  const names = frontsAndBacks(
    pieces.map(({ path }) => path),
    block,
  );
  return pieces.map(({ index, path }, i) => {
    const panel = block[names[i] ?? 'front'];
    return sizedPiece(reference, index, path, panel, block);
  });
}

const sum = (a: number | undefined, b: number | undefined): number | undefined =>
  a === undefined || b === undefined ? undefined : a + b;
const twice = (mm: number | undefined): number | undefined => (mm === undefined ? undefined : 2 * mm);

/**
 * The sizes of a file that holds several, nested or side by side: its fronts and backs paired by their size, each with
 * the finished girths of the garment and its rises (docs/trade/truing.md). Fewer than two where it holds one alone.
 */
export function outlineSizes(reference: Reference, block: Block): OutlineSize[] {
  const pieces = piecesOf(reference, block).sort((a, b) => a.area - b.area);
  const [fronts, backs] = PANEL_NAMES.map((name) => pieces.filter((p) => p.panel === name)) as [
    SizedPiece[],
    SizedPiece[],
  ];
  const layers = new Set(fronts.map((f) => f.layer));
  return fronts.slice(0, backs.length).flatMap((front, i): OutlineSize[] => {
    const back = backs[i];
    if (!back) return [];
    const both = (name: 'waist' | 'hip' | 'thigh' | 'hem') => sum(front.figures[name], back.figures[name]);
    const figures: Partial<Record<SizeFigure, number | undefined>> = {
      waist: twice(both('waist')),
      hip: twice(both('hip')),
      thigh: both('thigh'),
      frontRise: front.figures.rise,
      backRise: back.figures.rise,
      hem: both('hem'),
    };
    const told = Object.fromEntries(Object.entries(figures).filter(([, mm]) => mm !== undefined));
    const name = layers.size === fronts.length && front.layer !== '' ? front.layer : `Size ${i + 1}`;
    const shapes = { front: front.index, back: back.index };
    return [{ name, figures: told, dartsDrawn: front.mouths + back.mouths > 0, shapes }];
  });
}

/**
 * A front of one size of a file and a back of the same or another taken over as the block, as `adoptOutline` takes what
 * is laid under the draft. Refused where a piece has a seam that is missing, or is not one line.
 */
export function adoptSizes(
  reference: Reference,
  block: Block,
  { front, back }: Readonly<Record<PanelName, OutlineSize>>,
  date: string,
): Outcome<AdoptedPattern> {
  const piece = (name: PanelName, { shapes }: OutlineSize): AdoptedPiece | undefined => {
    const shape = reference.shapes[shapes[name]];
    const named = shape && namedPiece(reference, shapes[name], pathOfShape(shape), block[name], block);
    return named && adoptedPiece(named.reference, name, block[name]);
  };
  const sizes = front.name === back.name ? front.name : `front ${front.name}, back ${back.name}`;
  return adoptedFrom(`${reference.name}, ${sizes}`, date, { front: piece('front', front), back: piece('back', back) });
}

/**
 * What this draft wants of each figure, in mm: the body's rises where they were measured, else the draft's own figure.
 * Its waist is read as the sizes' is: over open darts where the file draws none, since what they take in is not known
 * there.
 */
export function wantedFigures(
  { block, worked }: Draft,
  sizes: readonly OutlineSize[],
): Readonly<Record<SizeFigure, number>> {
  const figures = figuresOf(block);
  const open = 2 * (pathLength(block.front.edges.waist) + pathLength(block.back.edges.waist));
  return {
    waist: sizes.every((s) => s.dartsDrawn) ? figures.waist : open,
    hip: figures.hip,
    thigh: figures.thigh,
    frontRise: wantedRise(worked, 'frontRise') ?? figures.frontRise,
    backRise: wantedRise(worked, 'backRise') ?? figures.backRise,
    hem: figures.hem,
  };
}

/** Which of the sizes comes nearest to what is wanted of a figure; nothing where none has it. */
export function nearestSize(sizes: readonly OutlineSize[], id: SizeFigure, wanted: number): OutlineSize | undefined {
  const off = ({ figures }: OutlineSize): number => Math.abs((figures[id] ?? Infinity) - wanted);
  const best = sizes.reduce<OutlineSize | undefined>((a, b) => (!a || off(b) < off(a) ? b : a), undefined);
  return best && Number.isFinite(off(best)) ? best : undefined;
}

/** A size that is proposed for a body, with what its figures still lack (−) or have too much, in mm, the rises first. */
export interface ProposedSize {
  readonly size: OutlineSize;
  readonly off: readonly { readonly id: SizeFigure; readonly by: number }[];
}

/** A figure that is off by less than this, in mm, is not told of a proposed size. */
const TOLD = 6;
/** What is told of a proposed size, in the order in which it is put right. */
const TOLD_FIGURES: readonly SizeFigure[] = ['frontRise', 'backRise', 'thigh', 'waist'];

/**
 * The size whose hip comes nearest to what is wanted: the hip is what is put right with most trouble; rises, thigh and
 * waist are corrected on it. Nothing where no size has a hip.
 */
export function proposedSize(
  sizes: readonly OutlineSize[],
  wanted: Readonly<Record<SizeFigure, number>>,
): ProposedSize | undefined {
  const size = nearestSize(sizes, 'hip', wanted.hip);
  if (!size) return undefined;
  const off = TOLD_FIGURES.flatMap((id) => {
    const by = (size.figures[id] ?? NaN) - wanted[id];
    return Math.abs(by) > TOLD ? [{ id, by }] : [];
  });
  return { size, off };
}
