import { along, point, subtract, unit, type Path, type Point } from '../geometry/index.js';
import type { Block, Panel } from '../draft/index.js';
import { cutLine, type Allowances } from './allowance.js';
import { notchesOf, type Notch } from './notch.js';

/** A drill mark lies this far short of the dart's apex, in mm. */
const DRILL_SHORT = 10;

/** A piece of the pattern: the panel with its cut line, notches, drill marks and grain line. Panel coordinates, mm. */
export interface Piece {
  readonly name: 'Front' | 'Back';
  readonly panel: Panel;
  readonly cut: Path;
  readonly notches: readonly Notch[];
  readonly drills: readonly Point[];
  /** Both ends of the grain line, upper first; it lies on the crease. */
  readonly grain: readonly [Point, Point];
  readonly cutCount: number;
}

/** The pieces of a block with one allowance for each kind of edge. */
export function piecesOf(block: Block, allowances: Allowances): readonly [Piece, Piece] {
  const piece = (panel: Panel): Piece => {
    const top = block.levels.crotchLevel + 20;
    const bottom = Math.min(block.levels.hemLevel - 20, top + 400);
    return {
      name: panel.name === 'front' ? 'Front' : 'Back',
      panel,
      cut: cutLine(panel, allowances),
      notches: notchesOf(block, panel),
      drills: panel.darts.map((d) => {
        const middle = { x: (d.centreLeg.x + d.sideLeg.x) / 2, y: (d.centreLeg.y + d.sideLeg.y) / 2 };
        return along(d.apex, unit(subtract(middle, d.apex)), DRILL_SHORT);
      }),
      grain: [point(panel.crease, top), point(panel.crease, bottom)],
      cutCount: 2,
    };
  };
  return [piece(block.front), piece(block.back)];
}
