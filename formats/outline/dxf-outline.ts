import { mapPath, type Path } from '../../core/geometry/index.js';
import type { FileShape, OutlineFile } from '../../core/reference/index.js';
import { after, apply, shift, stretch, turned, type Affine } from './affine.js';
import { drawerOf, drawVertices, isClosedFlag, layerOf, seenFromBehind, vertexOf, type Vertex } from './dxf-entity.js';
import { numberOf, readSections, textOf, type DxfBlock, type DxfRecord } from './dxf-records.js';
import { isSoundPath } from './sound.js';
import { newTally, type Tally } from './tally.js';

/** What a unit number of the header stands for, in mm. */
const UNITS: ReadonlyMap<number, number> = new Map([
  [1, 25.4],
  [2, 304.8],
  [4, 1],
  [5, 10],
  [6, 1000],
  [10, 914.4],
  [13, 0.001],
  [14, 100],
]);

/** What the kinds of records that are no lines are called, where they are met often; other kinds by their own name. */
const CALLED: Readonly<Record<string, string>> = {
  TEXT: 'text',
  MTEXT: 'text',
  ATTRIB: 'text',
  ATTDEF: 'text',
  POINT: 'points',
  DIMENSION: 'dimensions',
  LEADER: 'leaders',
  HATCH: 'hatching',
  SOLID: 'filled areas',
  '3DFACE': 'faces in space',
  IMAGE: 'pictures',
  VIEWPORT: 'windows of a sheet',
};

/** Records that belong to others and are nothing of their own. */
const PARTS = new Set(['', 'SEQEND', 'VERTEX']);

/** As deep as blocks are followed into one another. */
const DEEPEST = 60;
/** As many lines as blocks may be expanded to. */
const MOST_LINES = 120_000;
/** As many records as are looked at, blocks within blocks counted each time. */
const MOST_VISITS = 1_000_000;

interface Reading {
  readonly blocks: ReadonlyMap<string, DxfBlock>;
  readonly tally: Tally;
  readonly shapes: FileShape[];
  visits: number;
  full: boolean;
}

/** Keeps what a record is drawn as, or counts it where a figure of it is missing, wrong or beyond all size. */
function put(reading: Reading, kind: string, path: Path | undefined, layer: string, map: Affine): void {
  const laid = path && mapPath(path, (p) => apply(map, p));
  if (!laid || !isSoundPath(laid)) reading.tally.add(`${kind.toLowerCase()} with a figure missing or wrong`);
  else if (reading.shapes.length >= MOST_LINES) reading.full = true;
  else reading.shapes.push({ layer, closed: false, path: laid });
}

/** The corners that belong to a polyline; corners that only shape a spline through the others are none of its line. */
function verticesAfter(records: readonly DxfRecord[], from: number): { vertices: Vertex[]; next: number } {
  const vertices: Vertex[] = [];
  let i = from;
  for (; records[i]?.kind === 'VERTEX'; i++) {
    const record = records[i];
    if (record && (numberOf(record, 70, 0) & 16) === 0) vertices.push(vertexOf(record));
  }
  return { vertices, next: records[i]?.kind === 'SEQEND' ? i + 1 : i };
}

/** Where the copies of an insert lie: one, or a grid of them. */
function insertsOf(record: DxfRecord, block: DxfBlock): Affine[] {
  const count = (code: number): number => Math.min(200, Math.max(1, Math.floor(numberOf(record, code, 1)) || 1));
  const turn = turned((numberOf(record, 50, 0) * Math.PI) / 180);
  const scaled = stretch(numberOf(record, 41, 1), numberOf(record, 42, 1));
  const base = shift(-numberOf(block.head, 10, 0), -numberOf(block.head, 20, 0));
  const own = after(scaled, base);
  const [columns, rows] = [count(70), count(71)];
  return Array.from({ length: columns * rows }, (_, i) => {
    const [column, row] = [i % columns, Math.floor(i / columns)];
    const aside = shift(numberOf(record, 44, 0) * column, numberOf(record, 45, 0) * row);
    const place = shift(numberOf(record, 10, 0), numberOf(record, 20, 0));
    return after(after(place, after(turn, aside)), own);
  });
}

function readRecords(
  reading: Reading,
  records: readonly DxfRecord[],
  map: Affine,
  layer: string,
  within: readonly DxfBlock[],
): void {
  const { tally } = reading;
  for (let i = 0; i < records.length && !reading.full; i++) {
    const record = records[i] as DxfRecord;
    reading.visits += 1;
    if (reading.visits > MOST_VISITS) reading.full = true;
    if (PARTS.has(record.kind)) continue;
    const own = layerOf(record);
    // What lies on layer 0 of a block lies on the layer of its insert.
    const on = own === '0' || own === '' ? layer : own;
    const here = seenFromBehind(record) ? after(map, stretch(-1, 1)) : map;
    const draw = drawerOf(record.kind);
    if (numberOf(record, 60, 0) === 1) tally.add('hidden parts');
    else if (numberOf(record, 67, 0) === 1) tally.add('lines of a printed sheet');
    else if (draw) put(reading, record.kind, draw(record), on, here);
    else if (record.kind === 'POLYLINE') {
      const { vertices, next } = verticesAfter(records, i + 1);
      i = next - 1;
      if ((numberOf(record, 70, 0) & (16 | 64)) !== 0) tally.add('meshes');
      else put(reading, record.kind, drawVertices(vertices, isClosedFlag(record)), on, here);
    } else if (record.kind === 'INSERT') {
      const block = reading.blocks.get(textOf(record, 2)?.trim() ?? '');
      if (!block) tally.add('inserts of a block that is not in the file');
      else if (within.includes(block)) tally.add('blocks within themselves');
      else if (within.length >= DEEPEST) tally.add('blocks too deep within others');
      else {
        for (const copy of insertsOf(record, block)) {
          reading.visits += 1;
          if (reading.visits > MOST_VISITS) break;
          if (!Object.values(copy).every(Number.isFinite)) tally.add('insert with a figure missing or wrong');
          else readRecords(reading, block.entities, after(here, copy), on, [...within, block]);
        }
      }
    } else tally.add(CALLED[record.kind] ?? record.kind);
  }
}

/**
 * The lines of a DXF text, with y down: lines, arcs, circles, ellipses, splines, polylines with bulges, and blocks as
 * they are inserted. What is no line, or has a figure that is none, is left out and counted. Never throws for a file.
 */
export function readDxf(name: string, text: string): OutlineFile {
  const sections = readSections(text);
  const tally = newTally();
  const reading: Reading = { blocks: sections.blocks, tally, shapes: [], visits: 0, full: false };
  readRecords(reading, sections.entities, stretch(1, -1), '', []);
  if (reading.full) tally.add('lines beyond what can be read: the file, or its blocks within blocks, is too large');
  if (sections.damaged) tally.add('the damaged end or part of the file');
  const unit = UNITS.get(Number(sections.header.get('$INSUNITS')));
  return { name, mmPerUnit: unit, shapes: reading.shapes, leftOut: tally.list() };
}
