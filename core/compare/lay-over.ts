import { EDGE_NAMES, edgeLengths, levelSpan, parametersOf, type Panel } from '../draft/index.js';
import { EDGE_WORDS } from '../garment/index.js';
import type { Point } from '../geometry/index.js';
import { checkLabel, plainValue } from '../check/index.js';
import { drawnParameters } from '../measured/index.js';
import { LEVELS, lineLabel, PANEL_NAMES, PANEL_PARAMETERS, PARAMETER_NAMES } from '../method/index.js';
import type { Draft } from '../chain/index.js';
import type { Unit } from '../units/index.js';

/** Where drafts that are laid over one another are brought together. */
export const ALIGNMENTS = ['crease', 'side', 'crotch', 'waist'] as const;

/** The name of an alignment: crease and crotch line, side at the crotch line, crotch point, waist's side end. */
export type Alignment = (typeof ALIGNMENTS)[number];

/** The point of a panel that lies on the same place for all, in panel coordinates, mm. */
export function alignedAt(panel: Panel, crotchLevel: number, by: Alignment): Point {
  switch (by) {
    case 'crease':
      return { x: panel.crease, y: crotchLevel };
    case 'side':
      return panel.points.sideCrotch;
    case 'crotch':
      return panel.points.crotchPoint;
    case 'waist':
      return panel.points.sideWaist;
  }
}

/** What a row of a comparison is about. */
export type RowGroup = 'level' | 'parameter' | 'width' | 'edge' | 'check';

/** One figure of every draft that is compared: lengths in mm, angles in degrees, words as they are. */
export interface ComparedRow {
  readonly id: string;
  readonly group: RowGroup;
  readonly label: string;
  readonly kind: 'length' | 'angle' | 'share' | 'count' | 'word';
  /** One for each draft, in order; nothing where a draft has no such figure. */
  readonly values: readonly (number | string | undefined)[];
  /** The largest less the smallest; 0 or 1 for words. */
  readonly spread: number;
}

interface Figure {
  readonly group: RowGroup;
  readonly label: string;
  readonly kind: ComparedRow['kind'];
  readonly value: number | string | undefined;
}

const DEGREES = 180 / Math.PI;

function panelFigures({ block, worked }: Draft, found: Map<string, Figure>): void {
  for (const name of PANEL_NAMES) {
    const panel = block[name];
    const side = name === 'front' ? 'Front' : 'Back';
    const drawn = drawnParameters(panel);
    for (const p of PARAMETER_NAMES) {
      const { kind } = PANEL_PARAMETERS[p];
      found.set(`${name}.${p}`, {
        group: 'parameter',
        label: lineLabel(worked.sheet, `${name}.${p}`),
        kind: kind === 'place' ? 'word' : kind,
        value: kind === 'place' ? parametersOf(panel)?.[p] : (drawn[p] ?? parametersOf(panel)?.[p]),
      });
    }
    const derived = (id: string, label: string, kind: Figure['kind'], value: number): void => {
      found.set(`${name}.${id}`, { group: 'parameter', label: `${side} ${label}`, kind, value });
    };
    derived('seatAngle', 'seat angle', 'angle', panel.seatAngle * DEGREES);
    derived('crotchWidth', 'crotch width', 'length', panel.crotchWidth);
    derived('hollow', 'hollow', 'length', panel.hollow);
    for (const [level, label] of LEVELS) {
      const span = levelSpan(panel, block.levels[level]);
      const value = span && span[1] - span[0];
      found.set(`${name}.at.${level}`, {
        group: 'width',
        label: `${side} across at the ${label.toLowerCase()}`,
        kind: 'length',
        value,
      });
    }
    const lengths = edgeLengths(panel);
    for (const edge of EDGE_NAMES) {
      const value = lengths[edge];
      found.set(`${name}.edge.${edge}`, {
        group: 'edge',
        label: `${side} ${EDGE_WORDS[edge]}, along the seam`,
        kind: 'length',
        value,
      });
    }
  }
}

/** Every figure by which drafts are compared (docs/trade/methods.md). */
function figuresOf(draft: Draft, unit: Unit): Map<string, Figure> {
  const found = new Map<string, Figure>();
  const { worked, block, checks } = draft;
  for (const [level] of LEVELS) {
    const label = lineLabel(worked.sheet, level);
    found.set(level, { group: 'level', label, kind: 'length', value: block.levels[level] });
  }
  panelFigures(draft, found);
  for (const check of checks) {
    found.set(`check.${check.id}`, {
      group: 'check',
      label: `Check: ${checkLabel(check, unit).toLowerCase()}`,
      kind: check.kind,
      value: plainValue(check, unit),
    });
  }
  return found;
}

function spreadOf(values: readonly (number | string | undefined)[]): number {
  const numbers = values.filter((v) => typeof v === 'number' && Number.isFinite(v)) as number[];
  if (numbers.length > 1) return Math.max(...numbers) - Math.min(...numbers);
  return new Set(values.filter((v) => typeof v === 'string')).size > 1 ? 1 : 0;
}

/** How rows are ranked: lengths by mm, angles as mm over a hand's breadth, words and shares last. */
const RANK: Record<ComparedRow['kind'], number> = { length: 1, angle: 1.7, share: 0, count: 0, word: 0 };

/**
 * Figures of several drafts side by side: levels, parameters, widths at the levels, seam lengths and checks, the
 * largest difference first. Lengths in mm; what is said in words, in the reader's unit.
 */
export function compareMany(drafts: readonly Draft[], unit: Unit): ComparedRow[] {
  const all = drafts.map((draft) => figuresOf(draft, unit));
  const ids = new Set(all.flatMap((figures) => [...figures.keys()]));
  return [...ids]
    .flatMap((id): ComparedRow[] => {
      const known = all.map((figures) => figures.get(id));
      const first = known.find((f) => f !== undefined);
      if (!first) return [];
      const values = known.map((f) => f?.value);
      return [{ id, group: first.group, label: first.label, kind: first.kind, values, spread: spreadOf(values) }];
    })
    .sort((a, b) => b.spread * RANK[b.kind] - a.spread * RANK[a.kind] || b.spread - a.spread);
}
