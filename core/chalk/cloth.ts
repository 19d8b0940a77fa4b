import { pathBox } from '../geometry/index.js';
import type { Part } from '../garment/index.js';
import type { Piece } from '../piece/index.js';
import { toMm, type Unit } from '../units/index.js';
import type { LaidPart } from './laid.js';

/** Cloth for a part of the leg: how wide it is folded, or how wide one layer must be, and how long; in mm. */
export interface ClothFor {
  readonly part: string;
  readonly name: string;
  /** Folded: two are cut at once. */
  readonly folded: boolean;
  readonly width: number;
  readonly length: number;
}

/** What falls off beside a part, in mm, and the small parts that can be cut of it. */
export interface Offcut {
  readonly beside: string;
  readonly where: 'above the crotch' | 'beside the leg';
  readonly width: number;
  readonly length: number;
  readonly keepFor: readonly string[];
}

/** The cloth that a sheet begins with. */
export interface ClothPlan {
  readonly parts: readonly ClothFor[];
  readonly offcuts: readonly Offcut[];
}

/** Cloth is folded to a whole number of these, and a little more is left at the ends, in the unit. */
const WHOLE: Readonly<Record<'in' | 'cm', number>> = { in: 1, cm: 1 };
const BEYOND: Readonly<Record<'in' | 'cm', number>> = { in: 2, cm: 5 };

/** An offcut smaller than this either way, in mm, is not worth its name. */
const WORTH_KEEPING = 50;

const rounded = (mm: number, unit: 'in' | 'cm'): number => {
  const whole = toMm(WHOLE[unit], unit);
  return Math.ceil(mm / whole - 1e-9) * whole;
};

const fits = (width: number, length: number, piece: { width: number; height: number }): boolean =>
  piece.width <= width && piece.height <= length;

/** Rectangles that fall off between a part and the cloth's far edge: above its crotch point, and beside its leg. */
function offcutsOf(laid: LaidPart, cloth: ClothFor): Omit<Offcut, 'keepFor'>[] {
  const right = laid.grid.x0 + cloth.width;
  const crotch = laid.levels.find((l) => l.name === 'crotch');
  if (!crotch) return [];
  const box = pathBox(laid.outline);
  const reach = (from: number, to: number): number =>
    Math.max(
      ...laid.outline.flatMap(({ p0, p3 }) => [p0, p3]).flatMap(({ x, y }) => (y >= from && y <= to ? [x] : [])),
    );
  const parts = [
    { where: 'above the crotch' as const, from: box.minY - 1, to: crotch.y - CURVE },
    { where: 'beside the leg' as const, from: crotch.y + CURVE, to: box.maxY + 1 },
  ];
  return parts.flatMap(({ where, from, to }) => {
    const width = right - reach(from, to);
    const length = to - from;
    return Number.isFinite(width) && width >= WORTH_KEEPING && length >= WORTH_KEEPING
      ? [{ beside: laid.part.id, where, width, length }]
      : [];
  });
}

/** The crotch point reaches out over so much of the height about its level, in mm. */
const CURVE = 60;

/**
 * How wide and long the cloth is folded for each leg part, rounded up, and what falls off: the small parts of the shell
 * that can be cut of it (docs/trade/chalk.md).
 */
export function clothPlan(legs: readonly LaidPart[], pieces: readonly Piece[], unit: Unit): ClothPlan {
  const tape = unit === 'in' ? 'in' : 'cm';
  const parts = legs.map((laid): ClothFor => {
    const box = pathBox(laid.outline);
    return {
      part: laid.part.id,
      name: laid.part.name,
      folded: laid.part.cut.how === 'mirrored' && laid.part.cut.count > 1,
      width: rounded(box.maxX - Math.min(box.minX, laid.grid.x0), tape),
      length: rounded(box.maxY - box.minY + toMm(BEYOND[tape], tape), tape),
    };
  });
  const small = pieces
    .filter(({ part }) => !part.onFrame && part.cloth === 'shell')
    .map(({ part, cut }) => {
      const { minX, minY, maxX, maxY } = pathBox(cut);
      return { part, width: maxX - minX, height: maxY - minY };
    })
    .sort((a, b) => b.width * b.height - a.width * a.height);
  const given = new Set<Part>();
  const offcuts = legs.flatMap((laid, i): Offcut[] => {
    const cloth = parts[i];
    if (!cloth) return [];
    return offcutsOf(laid, cloth).map((cut) => {
      let left = cut.length;
      const keepFor = small.flatMap((piece): string[] => {
        if (given.has(piece.part) || !fits(cut.width, left, piece)) return [];
        given.add(piece.part);
        left -= piece.height;
        return [piece.part.name];
      });
      return { ...cut, keepFor };
    });
  });
  return { parts, offcuts: offcuts.filter(({ keepFor }, i) => keepFor.length > 0 || i < KEPT_ANYWAY) };
}

/** The first offcut is named whether or not a part fits: makers keep it. */
const KEPT_ANYWAY = 1;
