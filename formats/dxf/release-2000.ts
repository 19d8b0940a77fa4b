import { isStraight, type Cubic, type Path, type Point } from '../../core/geometry/index.js';
import type { Drawing, Mark } from '../../core/drawing/index.js';
import { figure, layerOf, layersOf, plain, TEXT_LAYER, written, type Group } from './groups.js';

/** Hands out the handles that this release wants on everything, in hexadecimal. */
class Handles {
  private last = 0x20;

  next(): string {
    this.last++;
    return this.last.toString(16).toUpperCase();
  }

  /** One that nothing has. */
  get seed(): string {
    return (this.last + 1).toString(16).toUpperCase();
  }
}

/** The block record of what lies on the sheet. */
const MODEL = '10';
const PAPER = '11';

type Place = (p: Point) => Point;

const at = (p: Point, code: number): Group[] => [
  [code, figure(p.x)],
  [code + 10, figure(p.y)],
  [code + 20, '0'],
];

const entity = (kind: string, layer: string, handles: Handles): Group[] => [
  [0, kind],
  [5, handles.next()],
  [330, MODEL],
  [100, 'AcDbEntity'],
  [8, layer],
];

/** Straights in a row as one polyline. */
function straights(run: readonly Cubic[], layer: string, place: Place, handles: Handles): Group[] {
  const [first] = run;
  if (!first) return [];
  const points = [first.p0, ...run.map((c) => c.p3)].map(place);
  const [from, to] = [points[0] as Point, points.at(-1) as Point];
  const closed = points.length > 3 && Math.hypot(from.x - to.x, from.y - to.y) < 1e-6;
  const vertices = closed ? points.slice(0, -1) : points;
  return [
    ...entity('LWPOLYLINE', layer, handles),
    [100, 'AcDbPolyline'],
    [90, vertices.length],
    [70, closed ? 1 : 0],
    ...vertices.flatMap(({ x, y }): Group[] => [
      [10, figure(x)],
      [20, figure(y)],
    ]),
  ];
}

/** Curves in a row as one spline of degree three: their points are its own, with threefold knots where they join. */
function curves(run: readonly Cubic[], layer: string, place: Place, handles: Handles): Group[] {
  const [first] = run;
  if (!first) return [];
  const points = [first.p0, ...run.flatMap((c) => [c.p1, c.p2, c.p3])].map(place);
  const knots = [0, ...Array.from({ length: run.length + 1 }, (_, i) => [i, i, i]).flat(), run.length];
  return [
    ...entity('SPLINE', layer, handles),
    [100, 'AcDbSpline'],
    [210, '0'],
    [220, '0'],
    [230, '1'],
    [70, 8],
    [71, 3],
    [72, knots.length],
    [73, points.length],
    [74, 0],
    ...knots.map((k): Group => [40, figure(k)]),
    ...points.flatMap((p) => at(p, 10)),
  ];
}

/** A line as polylines where it is straight and splines where it bends, in its order. */
function lines(path: Path, layer: string, place: Place, handles: Handles): Group[] {
  const groups: Group[] = [];
  let i = 0;
  while (i < path.length) {
    const straight = isStraight(path[i] as Cubic);
    let end = i;
    while (end < path.length && isStraight(path[end] as Cubic) === straight) end++;
    const run = path.slice(i, end);
    groups.push(...(straight ? straights : curves)(run, layer, place, handles));
    i = end;
  }
  return groups;
}

function marked(mark: Mark, place: Place, handles: Handles): Group[] {
  if (mark.kind === 'line') return lines(mark.path, layerOf(mark), place, handles);
  return [
    ...entity('TEXT', TEXT_LAYER[0], handles),
    [100, 'AcDbText'],
    ...at(place(mark.at), 10),
    [40, figure(mark.size)],
    [1, plain(mark.text)],
    [50, figure(-mark.turn)],
    [100, 'AcDbText'],
  ];
}

function table(name: string, handle: string, records: readonly Group[][]): Group[] {
  return [
    [0, 'TABLE'],
    [2, name],
    [5, handle],
    [330, '0'],
    [100, 'AcDbSymbolTable'],
    [70, records.length],
    ...records.flat(),
    [0, 'ENDTAB'],
  ];
}

const record = (kind: string, handle: string, owner: string, type: string, name: string, rest: Group[]): Group[] => [
  [0, kind],
  [5, handle],
  [330, owner],
  [100, 'AcDbSymbolTableRecord'],
  [100, type],
  [2, name],
  ...rest,
];

const block = (name: string, owner: string, handles: Handles): Group[] => {
  const head = (): Group[] => [
    [5, handles.next()],
    [330, owner],
    [100, 'AcDbEntity'],
    [8, '0'],
  ];
  return [
    [0, 'BLOCK'],
    ...head(),
    [100, 'AcDbBlockBegin'],
    [2, name],
    [70, 0],
    [10, '0'],
    [20, '0'],
    [30, '0'],
    [3, name],
    [1, ''],
    [0, 'ENDBLK'],
    ...head(),
    [100, 'AcDbBlockEnd'],
  ];
};

const section = (name: string, groups: readonly Group[]): Group[] => [
  [0, 'SECTION'],
  [2, name],
  ...groups,
  [0, 'ENDSEC'],
];

/**
 * A drawing as DXF of release 2000: straights as polylines, curves as splines of the very points they are drawn by, words,
 * on layers by meaning; the unit is stated as millimetres, y upward from the foot of the sheet.
 */
export function toSplineDxf({ height, width, marks }: Drawing): string {
  const handles = new Handles();
  const place: Place = ({ x, y }) => ({ x, y: height - y });
  const entities = marks.flatMap((mark) => marked(mark, place, handles));
  const layer = ([name, colour]: readonly [string, number]): Group[] =>
    record('LAYER', handles.next(), '2', 'AcDbLayerTableRecord', name, [
      [70, 0],
      [62, colour],
      [6, 'Continuous'],
    ]);
  const linetypes = ['ByBlock', 'ByLayer', 'Continuous'].map((name) =>
    record('LTYPE', handles.next(), '5', 'AcDbLinetypeTableRecord', name, [
      [70, 0],
      [3, ''],
      [72, 65],
      [73, 0],
      [40, '0'],
    ]),
  );
  const tables = [
    ...table('LTYPE', '5', linetypes),
    ...table('LAYER', '2', [layer(['0', 7]), ...layersOf(marks).map(layer)]),
    ...table('STYLE', '3', [
      record('STYLE', handles.next(), '3', 'AcDbTextStyleTableRecord', 'Standard', [
        [70, 0],
        [40, '0'],
        [41, '1'],
        [50, '0'],
        [71, 0],
        [42, '2.5'],
        [3, 'txt'],
        [4, ''],
      ]),
    ]),
    ...table('APPID', '9', [record('APPID', handles.next(), '9', 'AcDbRegAppTableRecord', 'ACAD', [[70, 0]])]),
    ...table('BLOCK_RECORD', '1', [
      record('BLOCK_RECORD', MODEL, '1', 'AcDbBlockTableRecord', '*Model_Space', []),
      record('BLOCK_RECORD', PAPER, '1', 'AcDbBlockTableRecord', '*Paper_Space', []),
    ]),
  ];
  const blocks = [...block('*Model_Space', MODEL, handles), ...block('*Paper_Space', PAPER, handles)];
  const objects: Group[] = [
    [0, 'DICTIONARY'],
    [5, 'C'],
    [330, '0'],
    [100, 'AcDbDictionary'],
    [281, 1],
    [3, 'ACAD_GROUP'],
    [350, 'D'],
    [0, 'DICTIONARY'],
    [5, 'D'],
    [330, 'C'],
    [100, 'AcDbDictionary'],
    [281, 1],
  ];
  const header: Group[] = [
    [9, '$ACADVER'],
    [1, 'AC1015'],
    [9, '$HANDSEED'],
    [5, handles.seed],
    [9, '$INSUNITS'],
    [70, 4],
    [9, '$MEASUREMENT'],
    [70, 1],
    [9, '$EXTMIN'],
    [10, '0'],
    [20, '0'],
    [30, '0'],
    [9, '$EXTMAX'],
    [10, figure(width)],
    [20, figure(height)],
    [30, '0'],
  ];
  return written([
    ...section('HEADER', header),
    ...section('CLASSES', []),
    ...section('TABLES', tables),
    ...section('BLOCKS', blocks),
    ...section('ENTITIES', entities),
    ...section('OBJECTS', objects),
    [0, 'EOF'],
  ]);
}
