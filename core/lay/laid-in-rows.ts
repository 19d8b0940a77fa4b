import { heldLay } from './held-lay.js';
import type { LayJob, Way } from './job.js';
import { ROW, Rows, shortestOrder, takenBy, touchedRows, type RowPiece, type RowPlace, type RowWay } from './rows.js';
import type { Lay, Random } from './separate.js';

/** A way as it takes up rows, widened upward by the gap: two that have their rows to themselves are that far apart. */
function rowWayOf(job: LayJob, way: Way): RowWay {
  const { outer, bounds, match } = way;
  const { width, gap } = job.cloth;
  const more = Math.ceil(gap / ROW);
  const own = Math.max(1, Math.ceil((outer.high - outer.low) / ROW));
  const { begins: b, ends: e } = touchedRows(way.parts, outer.low, own);
  const rows = own + more;
  const begins = new Float64Array(rows);
  const ends = new Float64Array(rows);
  for (let k = 0; k < rows; k++) {
    let [least, most] = [Infinity, -Infinity];
    for (let n = Math.max(0, k - more); n <= Math.min(own - 1, k); n++)
      [least, most] = [Math.min(least, b[n] as number), Math.max(most, e[n] as number)];
    [begins[k], ends[k]] = [least - outer.left, most - outer.left + gap];
  }
  return {
    rows,
    last: Math.floor((width - (bounds.high - outer.low)) / ROW + 1e-9),
    long: outer.right - outer.left + gap,
    begins,
    ends,
    match: match && match[0] - outer.left,
  };
}

/** What stands on the cloth already, kept free of pieces in its rows, the gap about it. */
function standIn(rows: Rows, way: Way, held: { readonly x: number; readonly y: number }, gap: number): void {
  const from = Math.floor((held.y + way.outer.low - gap) / ROW);
  const count = Math.ceil((held.y + way.outer.high + gap) / ROW) - from;
  const { begins, ends } = touchedRows(way.parts, from * ROW - held.y, count);
  const around = Math.ceil(gap / ROW);
  for (let k = 0; k < count; k++) {
    const near = (of: Float64Array): number[] => [...of.slice(Math.max(0, k - around), k + around + 1)];
    const [begin, end] = [Math.min(...near(begins)), Math.max(...near(ends))];
    if (begin <= end) rows.stand(from + k, held.x + begin - gap, held.x + end + gap);
  }
}

/**
 * A short lay in rows of cloth, each row that a piece touches taken up whole, `looks` rows looked at, the largest pieces
 * first: found in no time however many are laid, and free of overlap but for sharp corners, which the search holds a little
 * further apart than the gap. Nothing where pieces lie on stripes, which are no rows, or where one has no room so.
 */
export function laidInRows(job: LayJob, looks: number, random: Random): Lay | undefined {
  const { width, gap, barRepeat = 0, stripeRepeat = 0 } = job.cloth;
  if (stripeRepeat > 0 && job.ways.some((w) => w.match)) return undefined;
  const rows = new Rows(Math.ceil((width + gap) / ROW) + 2, job.copies.length, gap, barRepeat);
  const rowWays = job.ways.map((way) => rowWayOf(job, way));
  const pieces: RowPiece[] = [];
  for (const [at, { ways, held }] of job.copies.entries()) {
    if (held) standIn(rows, job.ways[ways[0] as number] as Way, held, gap);
    else pieces.push({ ways: ways.map((w) => rowWays[w] as RowWay), fromFar: false, at });
  }
  if (pieces.some(({ ways }) => ways.every((w) => w.last < 0))) return undefined;
  pieces.sort((a, b) => takenBy(b.ways[0] as RowWay) - takenBy(a.ways[0] as RowWay) || a.at - b.at);
  const longest = Math.max(0, ...pieces.map(({ ways }) => (ways[0] as RowWay).long - gap));
  const best = shortestOrder(rows, pieces, Math.max(longest, job.area / width), looks, random);
  const places: RowPlace[] = [];
  if (rows.lay(best.order, best.strip, best.leaning, places) === Infinity) return undefined;
  const lay = heldLay(job);
  for (const { at, way, x, row } of places) {
    const chosen = rowWays.indexOf(way);
    const { outer } = job.ways[chosen] as Way;
    const place = job.settled(chosen, x - outer.left, row * ROW - outer.low, Infinity);
    if (!place) return undefined;
    lay.way[at] = chosen;
    [lay.x[at], lay.y[at]] = place as [number, number];
  }
  return lay;
}
