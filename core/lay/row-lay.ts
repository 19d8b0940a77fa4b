import { seeded } from '../geometry/index.js';
import { oriented, type LayCloth, type LayShape } from './job.js';
import { boundsOf, type Corner } from './polygon.js';
import { ROW, Rows, shortestOrder, takenBy, touchedRows, type RowPiece, type RowWay } from './rows.js';

function wayOf(
  outline: readonly Corner[],
  gap: number,
  widened: number,
  match: Corner | undefined,
): Omit<RowWay, 'last'> {
  const { left, low, high } = boundsOf(outline);
  const rows = Math.max(1, Math.round((high - low + gap + widened) / ROW));
  const { begins, ends } = touchedRows([outline], low, rows);
  let long = 0;
  for (let k = 0; k < rows; k++) {
    // A row of the gap alone is as the row below it.
    const touched = begins[k] !== Infinity;
    begins[k] = touched ? (begins[k] as number) - left : (begins[k - 1] as number);
    ends[k] = touched ? (ends[k] as number) - left + gap : (ends[k - 1] as number);
    long = Math.max(long, ends[k] as number);
  }
  return { rows, long, begins, ends, match: match && match[0] - left };
}

/** What a lay by rows came to: its length, and what no lay is shorter than, both in mm. */
export interface RowLay {
  readonly length: number;
  readonly least: number;
}

/**
 * How long a lay is, in mm, when pieces are looked at in rows of 5 mm across the cloth: one after the other is put where
 * it reaches least far, and over and over with large ones changed about in a strip that grows shorter, until `looks` rows
 * were looked at (some 30 in a thousandth of a second). A little longer than what a true search finds, and never an answer
 * to where pieces lie.
 */
export function rowLay(shapes: readonly LayShape[], cloth: LayCloth, looks: number): RowLay {
  const { width, gap, flaws = [], barRepeat = 0, stripeRepeat = 0 } = cloth;
  const drawn = shapes.flatMap(({ outline, count, turns, mirrored, match }) => {
    // To come to lie on a stripe a piece gives away half a repeat of them on the average.
    const widened = match ? stripeRepeat / 2 : 0;
    const lying = (flipped: boolean): Omit<RowWay, 'last'>[] =>
      turns.map((turn) =>
        wayOf(oriented(outline, turn, flipped), gap, widened, match && oriented([match], turn, flipped)[0]),
      );
    const [plain, flipped] = [lying(false), mirrored ? lying(true) : []];
    return Array.from({ length: count }, (_, copy) => (mirrored && copy % 2 === 1 ? flipped : plain));
  });
  if (drawn.length === 0) return { length: 0, least: 0 };
  const widest = Math.max(...drawn.map(([way]) => (way as RowWay).rows));
  const rows = new Rows(Math.max(widest, Math.floor((width + gap) / ROW)), drawn.length + flaws.length, gap, barRepeat);
  for (const { along, across, length, width: wide } of flaws) {
    for (let k = Math.max(0, Math.floor(across / ROW)); k < (across + wide) / ROW; k++)
      rows.stand(k, along, along + length);
  }
  const pieces = drawn
    .map((ways, at): RowPiece => ({
      ways: ways.map((way) => ({ ...way, last: Math.max(0, rows.count - way.rows) })),
      fromFar: false,
      at,
    }))
    .sort((a, b) => takenBy(b.ways[0] as RowWay) - takenBy(a.ways[0] as RowWay));
  const longest = Math.max(...pieces.map(({ ways }) => (ways[0] as RowWay).long)) - gap;
  const area = pieces.reduce((sum, p) => sum + takenBy(p.ways[0] as RowWay), 0);
  const least = Math.max(longest, area / rows.count);
  return { length: shortestOrder(rows, pieces, least, looks, seeded(1)).length, least };
}
