import { EDGE_NAMES, type Block } from '../core/draft/index.js';
import { flatten, type Cubic } from '../core/geometry/index.js';

const group = (...pairs: readonly (readonly [number, number | string])[]): string =>
  pairs.map(([code, value]) => `${code}\n${typeof value === 'number' ? value.toFixed(5) : value}\n`).join('');

/** A cubic as a spline of one span. */
const spline = (layer: string, { p0, p1, p2, p3 }: Cubic, at: (p: Cubic['p0']) => readonly [number, number]): string =>
  `0\nSPLINE\n8\n${layer}\n71\n3\n${[0, 0, 0, 0, 1, 1, 1, 1].map((k) => `40\n${k}\n`).join('')}${[p0, p1, p2, p3]
    .map((p) => group([10, at(p)[0]], [20, at(p)[1]]))
    .join('')}`;

/**
 * A draft as another program might have saved it: a DXF in inches, the front as splines seam by seam, turned by a
 * quarter, the back as one line of points, with a grain line and words beside, and something that nobody knows.
 */
export function draftAsDxf({ front, back }: Block): string {
  const inch = 25.4;
  const turned = (p: Cubic['p0']): readonly [number, number] => [p.y / inch, p.x / inch];
  const upright = (p: Cubic['p0']): readonly [number, number] => [30 + p.x / inch, 10 - p.y / inch];
  const seams = EDGE_NAMES.flatMap((edge) => front.edges[edge].map((c) => spline('front', c, turned))).join('');
  const points = flatten(
    EDGE_NAMES.flatMap((edge) => back.edges[edge]),
    0.01,
  ).slice(0, -1);
  const row = `0\nLWPOLYLINE\n8\nback\n90\n${points.length}\n70\n1\n${points
    .map((p) => group([10, upright(p)[0]], [20, upright(p)[1]]))
    .join('')}`;
  const grainX = 30 + back.crease / inch;
  const grain = `0\nLINE\n8\nback\n${group([10, grainX], [20, 4], [11, grainX], [21, -18])}`;
  const others = '0\nTEXT\n8\nback\n1\nBack, cut two\n0\nTEXT\n8\nfront\n1\nFront, cut two\n0\nGARMENT\n8\nback\n';
  return (
    `0\nSECTION\n2\nHEADER\n9\n$INSUNITS\n70\n1\n0\nENDSEC\n` +
    `0\nSECTION\n2\nENTITIES\n${seams}${row}${grain}${others}0\nENDSEC\n0\nEOF\n`
  );
}

/** Fronts and backs of several sizes, each nested over the others, as an SVG in millimetres. */
export function nestAsSvg(sizes: readonly Block[]): string {
  const path = (panel: Block['front'], dx: number): string => {
    const [first, ...rest] = flatten(
      EDGE_NAMES.flatMap((edge) => panel.edges[edge]),
      0.01,
    ).slice(0, -1);
    const at = (p: Cubic['p0'] | undefined): string => `${((p?.x ?? 0) + dx).toFixed(3)} ${(p?.y ?? 0).toFixed(3)}`;
    return `<path d="M${at(first)}${rest.map((p) => `L${at(p)}`).join('')}Z"/>`;
  };
  const paths = sizes.flatMap(({ front, back }) => [path(front, 100), path(back, 700)]);
  return `<svg xmlns="http://www.w3.org/2000/svg" width="1400mm" height="1200mm" viewBox="0 0 1400 1200">${paths.join('')}</svg>`;
}
