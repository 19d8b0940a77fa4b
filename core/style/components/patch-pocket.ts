import { line, point, type Path, type Point } from '../../geometry/index.js';
import { COMPONENT_LABELS, type Edge, type Part } from '../../garment/index.js';
import { component, either, refuse, sized } from '../component.js';
import { carriers, panelOf, withPart, withParts } from '../making.js';
import { fittedAcross, liesWithin, placement, topLineAt } from '../placed.js';

import { ringOf } from '../ring.js';
import { SMALL } from '../rectangle.js';

/** A pocket's shape from its upper left corner: straight, or with a point below. */
export function patchCorners(width: number, depth: number, tip: number): Point[] {
  return [
    point(0, 0),
    point(0, depth - tip),
    ...(tip > 0 ? [point(width / 2, depth)] : []),
    point(width, depth - tip),
    point(width, 0),
  ];
}

/** The edges of a patch: its top turned under twice, all else sewn down. */
export function patchEdges(corners: readonly Point[], top: number): Edge[] {
  const sides: Path = corners.slice(1).map((p, i) => line(corners[i] ?? p, p));
  const [first, last] = [corners[0] ?? point(0, 0), corners[corners.length - 1] ?? point(0, 0)];
  return ringOf([
    { id: 'top', role: 'hem', path: [line(last, first)], turned: [top, Math.min(10, top / 2)] },
    { id: 'sewn', role: 'join', path: sides, allowance: 10 },
  ]);
}

/** A patch pocket behind, its place drawn on the back (docs/trade/style.md). */
export const patchPocket = component({
  id: 'patchPocket',
  label: COMPONENT_LABELS.patchPocket,
  group: 'pockets',
  about: 'Sewn on to the back, its top parallel to the edge above it; the top is turned under twice.',
  fields: {
    below: { as: 'length', label: 'Below the edge above', least: 10, most: 200, start: (c) => sized(c, 4, 1.5) },
    width: { as: 'length', label: 'Width', least: 60, most: 220, start: (c) => sized(c, 15, 6) },
    depth: { as: 'length', label: 'Depth', least: 60, most: 260, start: (c) => sized(c, 17, 6.75) },
    tip: { as: 'length', label: 'Pointed by', least: 0, most: 50, start: (c) => sized(c, 2.5, 1) },
    top: { as: 'length', label: 'Turned under at the top', least: 10, most: 60, start: (c) => either(c, 2.5, 1) },
  },
  makes: [{ id: 'patchPocket', edges: ['top', 'sewn'] }],
  not: ['onePiece'],
  make(making, { below, width, depth, tip, top }) {
    let next = making;
    for (const back of carriers(making, 'back')) {
      const { crease } = panelOf(making, 'back', back);
      const at = topLineAt(back, fittedAcross(back, crease, width, below));
      const place = (p: Point): Point =>
        at
          ? point(
              at.at.x + at.d.x * (p.x - width / 2) + at.down.x * (p.y + below),
              at.at.y + at.d.y * (p.x - width / 2) + at.down.y * (p.y + below),
            )
          : p;
      const corners = patchCorners(width, depth, tip).map(place);
      if (!at || !liesWithin(back, corners))
        return refuse('width', 'pocketTooWide', { most: Math.max(0, width * 0.7) });
      next = withPart(next, { ...back, marks: [...back.marks, placement(corners, 'patch pocket')] });
    }
    const part: Part = {
      ...SMALL,
      id: 'patchPocket',
      name: 'Patch pocket',
      edges: patchEdges(patchCorners(width, depth, tip), top),
      marks: [],
      grain: [point(width * 0.75, depth * 0.2), point(width * 0.75, depth * 0.75)],
      words: [point(4, depth * 0.2), point(width * 0.7, depth * 0.2)],
      cloth: 'shell',
      cut: { count: 2, how: 'mirrored' },
    };
    return withParts(next, [part]);
  },
});

/** A coin pocket lies so far below the edge above it, in mm. */
const COIN_BELOW = 20;

/** A coin pocket on the right front, its place drawn there (docs/trade/style.md). */
export const coinPocket = component({
  id: 'coinPocket',
  label: COMPONENT_LABELS.coinPocket,
  group: 'pockets',
  about: 'A small pocket on the right front, below the waist.',
  fields: {
    width: { as: 'length', label: 'Width', least: 40, most: 130, start: (c) => sized(c, 7.5, 3) },
    depth: { as: 'length', label: 'Depth', least: 40, most: 150, start: (c) => sized(c, 8, 3.25) },
  },
  makes: [{ id: 'coinPocket', edges: ['top', 'sewn'] }],
  make(making, { width, depth }) {
    const part: Part = {
      ...SMALL,
      id: 'coinPocket',
      name: 'Coin pocket',
      leg: 'right',
      edges: patchEdges(patchCorners(width, depth, 0), 20),
      marks: [],
      grain: [point(width * 0.75, depth * 0.2), point(width * 0.75, depth * 0.8)],
      words: [point(3, depth * 0.2), point(width * 0.7, depth * 0.2)],
      cloth: 'shell',
      cut: { count: 1, how: 'alike' },
    };
    let next = making;
    for (const front of carriers(making, 'front')) {
      if (front.leg === 'left') continue;
      const at = topLineAt(front, fittedAcross(front, panelOf(making, 'front', front).crease, width, COIN_BELOW));
      const corners = patchCorners(width, depth, 0).map((p) =>
        at ? point(at.at.x - width / 2 + p.x, at.at.y + COIN_BELOW + p.y) : p,
      );
      if (!at || !liesWithin(front, corners)) return refuse('width', 'pocketTooWide', { most: width * 0.7 });
      next = withPart(next, { ...front, marks: [...front.marks, placement(corners, 'coin pocket, right only')] });
    }
    return withParts(next, [part]);
  },
});

/** A patch over the knee, its place drawn on the front. */
export const kneePatch = component({
  id: 'kneePatch',
  label: COMPONENT_LABELS.kneePatch,
  group: 'small',
  about: 'A second layer over the knee of each front.',
  fields: {
    width: { as: 'length', label: 'Width', least: 60, most: 260, start: (c) => sized(c, 15, 6) },
    depth: { as: 'length', label: 'Depth', least: 60, most: 400, start: (c) => sized(c, 22, 9) },
  },
  makes: [{ id: 'kneePatch', edges: ['top', 'sewn'] }],
  make(making, { width, depth }) {
    let next = making;
    for (const front of carriers(making, 'front')) {
      const { crease, levels } = panelOf(making, 'front', front);
      const corners = patchCorners(width, depth, 0).map((p) =>
        point(crease - width / 2 + p.x, levels.kneeLevel - depth / 2 + p.y),
      );
      if (!liesWithin(front, corners)) return refuse('width', 'pocketTooWide', { most: Math.max(0, width * 0.7) });
      next = withPart(next, { ...front, marks: [...front.marks, placement(corners, 'knee patch')] });
    }
    const part: Part = {
      ...SMALL,
      id: 'kneePatch',
      name: 'Knee patch',
      edges: patchEdges(patchCorners(width, depth, 0), 10).map(({ id, path }) => ({
        id,
        path,
        role: 'join',
        allowance: 10,
      })),
      marks: [],
      grain: [point(width * 0.75, depth * 0.2), point(width * 0.75, depth * 0.8)],
      words: [point(5, depth * 0.2), point(width * 0.7, depth * 0.2)],
      cloth: 'shell',
      cut: { count: 2, how: 'mirrored' },
    };
    return withParts(next, [part]);
  },
});
