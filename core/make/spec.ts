import type { Block } from '../draft/index.js';
import type { WrittenPage } from '../drawing/index.js';
import { pathLength } from '../geometry/index.js';
import { figuresOf } from '../measured/index.js';
import type { Styled } from '../style/index.js';
import { formatLength, tapeFor, toMm, type Unit } from '../units/index.js';

/** A point of measure of the finished garment: where the tape is laid, the figure, and what it may be off by; mm. */
export interface SpecLine {
  readonly id: string;
  readonly label: string;
  readonly how: string;
  readonly mm: number;
  readonly tolerance: number;
}

/** What sewing may be off by: round the body, along the legs, and at small things; in inches and in cm. */
const TOLERANCES = {
  girth: { in: 1 / 2, cm: 1 },
  leg: { in: 3 / 8, cm: 1 },
  small: { in: 1 / 4, cm: 0.5 },
} as const;

/** The points of measure of a finished garment (docs/trade/sewing.md): laid flat, closed, without its allowances. */
export function specOf({ legs, topEdge }: Pick<Styled, 'legs' | 'topEdge'>, unit: Unit): readonly SpecLine[] {
  const tape = unit === 'in' ? 'in' : 'cm';
  const off = (kind: keyof typeof TOLERANCES): number => toMm(TOLERANCES[kind][tape], tape);
  const block: Block = legs.left;
  const figures = figuresOf(block);
  const side = pathLength(block.front.edges.side);
  const inseam = pathLength(block.front.edges.inseam);
  const knee = [block.front, block.back].reduce((s, { points: p }) => s + Math.abs(p.inseamKnee.x - p.sideKnee.x), 0);
  const line = (id: string, label: string, how: string, mm: number, kind: keyof typeof TOLERANCES): SpecLine => ({
    id,
    label,
    how,
    mm,
    tolerance: off(kind),
  });
  return [
    line('waist', 'Waist', 'once round, at the seam of the band or the top edge', figures.waist, 'girth'),
    line('hip', 'Hip', 'once round, square to the centre lines', figures.hip, 'girth'),
    line('thigh', 'Thigh', 'once round one leg, at the crotch', figures.thigh, 'girth'),
    ...(block.front.kneeOnPiece ? [line('knee', 'Knee', 'once round one leg, at the knee line', knee, 'small')] : []),
    line('hem', 'Hem', 'once round one leg, along the fold', figures.hem, 'small'),
    line('frontRise', 'Front rise', 'along the seam, crotch to waist', figures.frontRise, 'small'),
    line('backRise', 'Back rise', 'along the seam, crotch to waist', figures.backRise, 'small'),
    line('side', 'Side', 'along the seam, waist to hem', side, 'leg'),
    line('inseam', 'Inseam', 'along the seam, crotch to hem', inseam, 'leg'),
    line('topEdge', 'Finished top edge', 'above (−: below) the body’s waist', topEdge, 'small'),
  ];
}

/** The spec sheet of a finished garment, one column a size or a person. */
export function specPage(
  columns: readonly { readonly name: string; readonly lines: readonly SpecLine[] }[],
  unit: Unit,
): WrittenPage {
  const tape = tapeFor(unit);
  const first = columns[0]?.lines ?? [];
  return {
    title: 'Spec sheet',
    columns: 1,
    blocks: [
      { as: 'paragraph', words: 'Of the finished garment, laid flat and closed, seams pressed.' },
      {
        as: 'table',
        head: ['Where', 'How', ...columns.map((c) => c.name), 'May be off by'],
        rows: first.map(({ id, label, how, tolerance }) => [
          label,
          how,
          ...columns.map(({ lines }) => {
            const found = lines.find((l) => l.id === id);
            return found ? formatLength(found.mm, tape) : '';
          }),
          `± ${formatLength(tolerance, tape)}`,
        ]),
      },
    ],
  };
}
