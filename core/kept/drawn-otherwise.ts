import { EDGE_NAMES, outlineOf, type Block, type EdgeName } from '../draft/index.js';
import { cubic, flatten, nearestPlace, point, type Cubic, type Path } from '../geometry/index.js';
import type { PanelName } from '../method/index.js';
import type { KeptOutline } from './kept-outline.js';

/** An outline that was kept, as curves in panel coordinates, mm; nothing where the text is none. */
export function readOutline(text: string): Path | undefined {
  const figures = text.split(' ').map(Number);
  if (figures.length % 6 !== 2 || !figures.every(Number.isFinite)) return undefined;
  const points = Array.from({ length: figures.length / 2 }, (_, i) =>
    point(figures[2 * i] ?? NaN, figures[2 * i + 1] ?? NaN),
  );
  const path: Cubic[] = [];
  for (let i = 0; i + 3 < points.length; i += 3) {
    const [p0, p1, p2, p3] = points.slice(i, i + 4);
    if (p0 && p1 && p2 && p3) path.push(cubic(p0, p1, p2, p3));
  }
  return path.length > 0 ? path : undefined;
}

/** How a draft is drawn otherwise than when it was kept. Lengths in mm. */
export interface DrawnOtherwise {
  /** The outlines as they were. */
  readonly then: Readonly<Record<PanelName, Path>>;
  /** The largest difference, on which piece and edge, and how far below the waist line. */
  readonly by: number;
  readonly panel: PanelName;
  readonly edge: EdgeName;
  readonly below: number;
}

/** A smaller difference than this, in mm, is not told: no tape shows it. */
const TOLD_FROM = 0.5;
/** How finely outlines are sampled, as the height of an arc over its chord in mm. */
const SAMPLED = 0.02;

/** How a block lies otherwise than its kept outline; nothing where it lies alike within half a millimetre. */
export function drawnOtherwise(kept: KeptOutline, block: Block): DrawnOtherwise | undefined {
  const [front, back] = [readOutline(kept.front), readOutline(kept.back)];
  if (!front || !back) return undefined;
  const then = { front, back };
  let worst: DrawnOtherwise | undefined;
  for (const panel of ['front', 'back'] as const) {
    const is = outlineOf(block[panel]);
    const apart = [
      ...flatten(is, SAMPLED).map((at) => ({ at, mm: nearestPlace(then[panel], at).distance })),
      ...flatten(then[panel], SAMPLED).map((at) => ({ at, mm: nearestPlace(is, at).distance })),
    ];
    for (const { at, mm } of apart) {
      if (mm < TOLD_FROM || mm <= (worst?.by ?? 0)) continue;
      const edge = EDGE_NAMES.reduce((best, name) =>
        nearestPlace(block[panel].edges[name], at).distance < nearestPlace(block[panel].edges[best], at).distance
          ? name
          : best,
      );
      worst = { then, by: mm, panel, edge, below: at.y };
    }
  }
  return worst;
}
