import { isStraight, type Path } from '../core/geometry/index.js';

/** A figure to 0.001 without trailing noughts. */
export const svgFigure = (x: number): string => String(Math.round(x * 1000) / 1000);

/** A path in the notation of SVG path data, to 0.001 mm. Straight cubics become lines. */
export function pathData(path: Path): string {
  let data = '';
  let last: { x: number; y: number } | undefined;
  for (const c of path) {
    if (!last || Math.abs(last.x - c.p0.x) > 1e-6 || Math.abs(last.y - c.p0.y) > 1e-6) {
      data += `M${svgFigure(c.p0.x)} ${svgFigure(c.p0.y)}`;
    }
    data += isStraight(c)
      ? `L${svgFigure(c.p3.x)} ${svgFigure(c.p3.y)}`
      : `C${svgFigure(c.p1.x)} ${svgFigure(c.p1.y)} ${svgFigure(c.p2.x)} ${svgFigure(c.p2.y)} ${svgFigure(c.p3.x)} ${svgFigure(c.p3.y)}`;
    last = c.p3;
  }
  return data;
}
