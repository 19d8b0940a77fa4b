import { flatten, type Path, type Point } from '../../core/geometry/index.js';
import type { Drawing, Mark } from '../../core/drawing/index.js';
import { figure, layerOf, layersOf, plain, TEXT_LAYER, written, type Group } from './groups.js';

/** How finely curves are written, in mm. */
const FLATNESS = 0.02;

/** Closed where a path ends on its start. */
function polyline(path: Path, layer: string, place: (p: Point) => Point): Group[] {
  const points = flatten(path, FLATNESS);
  const [first, last] = [points[0], points[points.length - 1]];
  if (!first || !last || points.length < 2) return [];
  const closed = points.length > 3 && Math.hypot(first.x - last.x, first.y - last.y) < 1e-6;
  const vertices = (closed ? points.slice(0, -1) : points).flatMap((p): Group[] => {
    const { x, y } = place(p);
    return [
      [0, 'VERTEX'],
      [8, layer],
      [10, figure(x)],
      [20, figure(y)],
      [30, '0'],
    ];
  });
  return [
    [0, 'POLYLINE'],
    [8, layer],
    [66, 1],
    [10, '0'],
    [20, '0'],
    [30, '0'],
    [70, closed ? 1 : 0],
    ...vertices,
    [0, 'SEQEND'],
    [8, layer],
  ];
}

function entity(mark: Mark, place: (p: Point) => Point): Group[] {
  if (mark.kind === 'line') return polyline(mark.path, layerOf(mark), place);
  const { x, y } = place(mark.at);
  return [
    [0, 'TEXT'],
    [8, TEXT_LAYER[0]],
    [10, figure(x)],
    [20, figure(y)],
    [30, '0'],
    [40, figure(mark.size)],
    [1, plain(mark.text)],
    [50, figure(-mark.turn)],
  ];
}

/**
 * A drawing as DXF of release 12: polylines and texts on layers by meaning, in mm (which this release cannot state; a
 * comment says so), y upward from the foot of the sheet, curves within 0.02 mm.
 */
export function toDxf({ height, width, marks }: Drawing): string {
  const place = ({ x, y }: Point): Point => ({ x, y: height - y });
  const layers = layersOf(marks);
  const groups: Group[] = [
    [999, 'Upstride, all lengths in millimetres'],
    [0, 'SECTION'],
    [2, 'HEADER'],
    [9, '$ACADVER'],
    [1, 'AC1009'],
    [9, '$EXTMIN'],
    [10, '0'],
    [20, '0'],
    [9, '$EXTMAX'],
    [10, figure(width)],
    [20, figure(height)],
    [0, 'ENDSEC'],
    [0, 'SECTION'],
    [2, 'TABLES'],
    [0, 'TABLE'],
    [2, 'LAYER'],
    [70, layers.length],
    ...layers.flatMap(([name, colour]): Group[] => [
      [0, 'LAYER'],
      [2, name],
      [70, 0],
      [62, colour],
      [6, 'CONTINUOUS'],
    ]),
    [0, 'ENDTAB'],
    [0, 'ENDSEC'],
    [0, 'SECTION'],
    [2, 'ENTITIES'],
    ...marks.flatMap((mark) => entity(mark, place)),
    [0, 'ENDSEC'],
    [0, 'EOF'],
  ];
  return written(groups);
}
