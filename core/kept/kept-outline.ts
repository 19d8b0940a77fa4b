import { EDGE_NAMES, outlineOf, type Block, type EdgeName, type Panel } from '../draft/index.js';
import { cubic, flatten, nearestPlace, point, type Cubic, type Path, type Point } from '../geometry/index.js';
import type { PanelName } from '../method/index.js';
import { setOf, type Work } from './kept.js';
import { valuesOf } from './person.js';

/**
 * The outlines of both pieces as they were last kept: `x y` of the start, then three points a curve, in mm to a
 * hundredth; and what of the person they were drawn from, since a set may be changed from elsewhere than this draft.
 */
export interface KeptOutline extends Readonly<Record<PanelName, string>> {
  readonly from: string;
}

const inOrder = (record: object): [string, unknown][] =>
  Object.entries(record).sort(([a], [b]) => (a < b ? -1 : Number(a > b)));

/**
 * What of a person the lines of a draft are drawn from: figure, build, the figures of its set and the rules adopted.
 */
export function drawnFrom(work: Work): string {
  const set = setOf(work);
  const { figure, build } = work.person;
  return JSON.stringify([figure, inOrder(build), inOrder(valuesOf(set)), inOrder(set.adopted)]);
}

const hundredths = (mm: number): string => String(Math.round(mm * 100) / 100);
const written = (points: readonly Point[]): string =>
  points.map(({ x, y }) => `${hundredths(x)} ${hundredths(y)}`).join(' ');

function outlineText(panel: Panel): string {
  const path = outlineOf(panel);
  const [first] = path;
  return first ? written([first.p0, ...path.flatMap(({ p1, p2, p3 }) => [p1, p2, p3])]) : '';
}

/**
 * How the pieces of a block lie, for a draft that is kept: so that a later program can show what it draws otherwise.
 */
export const keptOutline = ({ front, back }: Block, work: Work): KeptOutline => ({
  front: outlineText(front),
  back: outlineText(back),
  from: drawnFrom(work),
});

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
