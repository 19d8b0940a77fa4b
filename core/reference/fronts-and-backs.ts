import { outlineOf, type Block } from '../draft/index.js';
import { enclosedArea, type Path } from '../geometry/index.js';
import { PANEL_NAMES, type PanelName } from '../method/index.js';
import { layable, layExactly, layRoughly, layTarget } from './lay-nearest.js';

/** From so many pieces on, a file is taken to hold several sizes, with as many fronts as backs. */
export const SEVERAL_SIZES = 4;

/** The area within an outline, in its own units squared. */
export const areaOf = (path: Path): number => Math.abs(enclosedArea(path));

/**
 * A band, a yoke or a pocket is no front or back of another size: such a piece has at least this share of the front's
 * area.
 */
const LEAST_OF_FRONT = 0.4;

/** True of a closed line that is large enough to be a front or a back of some size. */
export const isOfASize = (path: Path, mmPerUnit: number, block: Block): boolean =>
  areaOf(path) * mmPerUnit ** 2 > LEAST_OF_FRONT * areaOf(outlineOf(block.front));

/**
 * Which of the pieces of a file with several sizes are fronts and which are backs. Each is laid on both of the draft's
 * pieces, brought to their size first, so that its shape alone tells; the half that lies nearer to the front, beside
 * the back, are fronts.
 */
export function frontsAndBacks(paths: readonly Path[], block: Block): readonly PanelName[] {
  const targets = PANEL_NAMES.map((name) => ({
    area: areaOf(outlineOf(block[name])),
    target: layTarget(block[name]),
  }));
  const nearerFront = paths.map((path, i) => {
    const [front = 0, back = 0] = targets.map(({ area, target }) => {
      const own = layable(path, Math.sqrt(area / areaOf(path)));
      return layExactly(own, target, layRoughly(own, target)).apart;
    });
    return { i, by: front - back };
  });
  const fronts = new Set(
    nearerFront
      .sort((a, b) => a.by - b.by)
      .slice(0, Math.ceil(paths.length / 2))
      .map(({ i }) => i),
  );
  return paths.map((_, i) => (fronts.has(i) ? 'front' : 'back'));
}
