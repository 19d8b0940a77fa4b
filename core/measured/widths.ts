import { levelSpan, parametersOf, type Block, type Panel } from '../draft/index.js';
import { cross, distance, subtract } from '../geometry/index.js';
import { LEVELS } from '../method/index.js';

/** How far below the waist line the high hip is taken, in mm, and at most how much of the hip's depth that is. */
const HIGH_HIP_DEPTH = 90;
const HIGH_HIP_SHARE = 0.5;

/** Width of a panel on the hip line, in mm: from the side square to the centre line. */
export const hipWidthOf = ({ points }: Panel): number => distance(points.sideHip, points.centreHip);

/** How much further than the centre line a piece reaches on the hip line, in mm: what its rise has left the line by. */
export const riseGain = ({ points: { centreHip, centreWaist }, centreDown }: Panel): number =>
  Math.max(0, -cross(centreDown, subtract(centreHip, centreWaist)));

/**
 * By how much a piece is narrower than its sheet's hip width on the hip line, in mm; an outline without a sheet loses
 * none.
 */
export const leanLoss = (panel: Panel): number =>
  Math.max(0, (parametersOf(panel)?.hipWidth ?? -Infinity) - hipWidthOf(panel));

/** Where the high hip of a block lies, in mm below the waist line. */
export const highHipLevel = ({ levels }: Block): number => Math.min(HIGH_HIP_DEPTH, HIGH_HIP_SHARE * levels.hipLevel);

/** The level of a piece that stands for a level of the block: moved where the piece's lines have moved. */
function ownLevel(panel: Panel, { levels }: Block, y: number): number {
  const lines = LEVELS.map(([name]) => name).filter((name) => levels[name] <= y + 1e-6);
  const last = lines[lines.length - 1];
  return last === undefined ? y : y + panel.levels[last] - levels[last];
}

/** The width of a panel at a level with its darts closed, in mm: what an open dart takes there is not cloth. */
function closedWidth(panel: Panel, y: number): number {
  const span = levelSpan(panel, y);
  if (!span) return NaN;
  const open = panel.darts.reduce((sum, { apex, centreLeg, sideLeg }) => {
    const top = (centreLeg.y + sideLeg.y) / 2;
    const left = (apex.y - y) / (apex.y - top);
    return sum + Math.abs(sideLeg.x - centreLeg.x) * Math.min(1, Math.max(0, left));
  }, 0);
  return span[1] - span[0] - open;
}

/**
 * Both panels' widths, darts closed, at a level of the block, in mm; a piece that was lengthened is read at its own.
 * No figure where a piece does not reach there.
 */
export const acrossAt = (block: Block, y: number): number =>
  [block.front, block.back].reduce((sum, panel) => sum + closedWidth(panel, ownLevel(panel, block, y)), 0);
