import { fault, type Fault } from './fault.js';

const CHALK = 'core/chalk';
const MAKE = 'core/make';
const LAY = 'core/lay';
const FORMATS = 'formats';

/** Faults of the chalk sheet, the order of sewing, the lay and what is printed of them. */
export const CUTTING_FAULTS: readonly Fault[] = [
  // Chalking.
  fault(
    'girths not shared',
    'core/chalk/share.ts',
    'if (Math.abs(errorOf(terms, nearest, already)) <= limit) return nearest;',
    'return nearest;',
    CHALK,
  ),
  fault(
    'what is off already forgotten',
    'core/chalk/share.ts',
    'weight * ((chalked[i] ?? exact) - exact), already);',
    'weight * ((chalked[i] ?? exact) - exact), 0);',
    CHALK,
  ),
  fault(
    'half a step unsaid',
    'core/chalk/tape.ts',
    'return Math.abs(steps - Math.floor(steps) - 0.5) < ON_MARK;',
    'return Math.abs(steps - Math.floor(steps) - 0.5) < -1;',
    CHALK,
  ),
  fault(
    'waist off by its darts',
    'core/chalk/chalked.ts',
    'share(`${d.id}.sideLeg`, d.sideLeg, -1),',
    'share(`${d.id}.sideLeg`, d.sideLeg, 1),',
    CHALK,
  ),
  fault(
    'curves by too few points',
    'core/chalk/chalk-curve.ts',
    'for (let count = 1; count < MOST_POINTS; count++) {',
    'for (let count = 1; count < 1; count++) {',
    CHALK,
    'cli/chalk.test.ts',
  ),
  fault('the back not on the front', 'core/chalk/laid.ts', '? on.crease - on.shift - crease : 0;', '? 0 : 0;', CHALK),
  fault(
    'band taken off twice',
    'core/chalk/moves.ts',
    'const [drawn, rounded] = [y - grid.y0 + heldAt, to - grid.y0 + heldAt];',
    'const [drawn, rounded] = [y - grid.y0, to - grid.y0];',
    CHALK,
  ),
  fault(
    'levels where nothing is squared',
    'core/chalk/chalked.ts',
    'const levels = new Map(part.levels.map(({ name, y }) => [name, y + offMark(y, grid)]));',
    'const levels = new Map(part.levels.map(({ name, y }) => [name, y]));',
    CHALK,
  ),
  fault(
    'cloth too narrow',
    'core/chalk/cloth.ts',
    'return Math.ceil(mm / whole - 1e-9) * whole;',
    'return Math.floor(mm / whole) * whole;',
    CHALK,
  ),
  fault(
    'beyond the edge unsaid',
    'core/chalk/moves.ts',
    ': x - grid.x0 < -NOTHING',
    ': x - grid.x0 < -Infinity',
    CHALK,
  ),
  fault(
    'seams as the profile has them',
    'core/chalk/chalk-sheet.ts',
    'if (allowances.given.length === 0)',
    'if (allowances.given.length >= 0)',
    CHALK,
  ),
  // The order of sewing.
  fault(
    'no seam needs another',
    'core/make/make-plan.ts',
    'new Set([...before, ...seams].filter',
    'new Set([...before].filter',
    MAKE,
  ),
  fault('a seam closed twice', 'core/make/make-plan.ts', 'seams.forEach((seam) => free.delete(seam));', '', MAKE),
  fault(
    'rises sewn with legs that are closed',
    'core/make/step-rules.ts',
    "const both = (making: Making): boolean => making.choice.inseams === 'last';",
    'const both = (_: Making): boolean => true;',
    MAKE,
  ),
  fault(
    'the hem before the try-on',
    'core/make/step-rules.ts',
    "when: (m) => m.choice.hem === 'before',",
    'when: () => true,',
    MAKE,
  ),
  fault(
    'no shield for a child',
    'core/make/step-rules.ts',
    "(m.child ? 'The shield lies behind the teeth of the zip, so that nothing is caught.' : ''),",
    "'',",
    MAKE,
  ),
  fault(
    'inseam for the side',
    'core/make/spec.ts',
    'const inseam = pathLength(block.front.edges.inseam);',
    'const inseam = pathLength(block.front.edges.side);',
    MAKE,
  ),
  // The lay.
  fault(
    'no gap',
    'core/lay/overlap.ts',
    'sides.push(nx, ny, nx * x + ny * y + gap);',
    'sides.push(nx, ny, nx * x + ny * y);',
    LAY,
  ),
  fault('outlines cut into', 'core/lay/outward.ts', 'return offLine(a, c, b) <= MOST_OUT ?', 'return true ?', LAY),
  fault(
    'no copy flipped',
    'core/lay/job.ts',
    'const flipped = mirrored && copy % 2 === 1;',
    'const flipped = false;',
    LAY,
  ),
  fault(
    'flipped along the cloth',
    'core/lay/job.ts',
    'return turn === 180 ? [-x, -across] : [x, across];',
    'return turn === 180 ? [x, across] : [x, across];',
    LAY,
  ),
  fault(
    'against the nap',
    'core/lay/garment-shapes.ts',
    "nap === 'one-way' ? [0] : [0, 180]",
    "nap === 'one-way' ? [180] : [0, 180]",
    LAY,
    'cli/lay.test.ts',
  ),
  fault('folds left closed', 'core/lay/garment-shapes.ts', '.map((p) => mirror(p, on, d))', '.map((p) => p)', LAY),
  fault('free while they overlap', 'core/lay/separate.ts', 'const FREE = 0.001;', 'const FREE = 3;', LAY),
  fault(
    'bought too short',
    'core/lay/to-buy.ts',
    'return Math.ceil(length / step - 1e-9) * step;',
    'return Math.floor(length / step) * step;',
    LAY,
  ),
  // What is printed.
  fault(
    'words over joins',
    'core/drawing/fit-label.ts',
    'return (joins === undefined || clearOfJoins(boxOf(placed), joins)) &&',
    'return',
    FORMATS,
  ),
  fault(
    'one page too few',
    'formats/pdf.ts',
    'if (!wanted(i + 2)) continue;',
    'if (!wanted(i + 1)) continue;',
    FORMATS,
  ),
  fault(
    'splines without their last point',
    'formats/dxf/release-2000.ts',
    '[c.p1, c.p2, c.p3])].map(place);',
    '[c.p1, c.p2, c.p2])].map(place);',
    FORMATS,
  ),
  fault(
    'a row of the list lost',
    'formats/sheet-pdf.ts',
    'for (const row of block.rows) writeRow(flow, faces, row);',
    'for (const row of block.rows.slice(1)) writeRow(flow, faces, row);',
    FORMATS,
  ),
];
