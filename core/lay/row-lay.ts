import { seeded } from '../geometry/index.js';
import { oriented, type LayCloth, type LayShape } from './job.js';
import { boundsOf, type Corner } from './polygon.js';

/** The cloth is looked at in rows of so much across it, in mm. */
const ROW = 5;
/** What a row further in costs against a mm further along: from filling the width first to filling the length first. */
const LEANINGS = [1000, 30, 10, 5, 2, 0.5] as const;
/** A shorter lay is looked for so far toward the shortest that can be hoped for, and by at least so much of the length. */
const TOWARD = 0.4;
const LEAST = 0.004;
/** As many of the largest pieces change places with one another. */
const CHANGED_ABOUT = 8;
/** A length is given up after this share of all looks. */
const PATIENCE = 0.2;

/** One way in which a piece may lie: where it begins and ends in each row, from its left end and its lowest row on. */
interface Way {
  readonly rows: number;
  readonly long: number;
  readonly begins: Float64Array;
  readonly ends: Float64Array;
  /** From its left end to what lies on a bar. */
  readonly match: number | undefined;
}

interface RowPiece {
  readonly ways: readonly Way[];
  /** Whether it is tried from the far edge of the cloth on. */
  readonly fromFar: boolean;
}

function wayOf(outline: readonly Corner[], gap: number, widened: number, match: Corner | undefined): Way {
  const { left, low, high } = boundsOf(outline);
  const rows = Math.max(1, Math.round((high - low + gap + widened) / ROW));
  const begins = new Float64Array(rows).fill(Infinity);
  const ends = new Float64Array(rows).fill(-Infinity);
  const put = (row: number, x: number): void => {
    if (row < 0 || row >= rows) return;
    begins[row] = Math.min(begins[row] as number, x - left);
    ends[row] = Math.max(ends[row] as number, x - left + gap);
  };
  for (let i = 0; i < outline.length; i++) {
    const [x0, y0] = outline[i] as Corner;
    const [x1, y1] = outline[(i + 1) % outline.length] as Corner;
    const [a, b] = [(y0 - low) / ROW, (y1 - low) / ROW];
    put(Math.min(rows - 1, Math.floor(a)), x0);
    put(Math.min(rows - 1, Math.floor(b)), x1);
    for (let k = Math.floor(Math.min(a, b)) + 1; k <= Math.max(a, b); k++) {
      const x = x0 + ((k - a) / (b - a)) * (x1 - x0);
      put(k - 1, x);
      put(k, x);
    }
  }
  let long = 0;
  for (let k = 0; k < rows; k++) {
    // A row of the gap alone is as the row below it.
    if (begins[k] === Infinity) [begins[k], ends[k]] = [begins[k - 1] as number, ends[k - 1] as number];
    long = Math.max(long, ends[k] as number);
  }
  return { rows, long, begins, ends, match: match && match[0] - left };
}

const areaOf = ({ begins, ends }: Way): number => ends.reduce((sum, end, k) => sum + (end - (begins[k] as number)), 0);

/** Rows of cloth with what lies in each, as runs from a beginning to an end in the order in which they lie. */
class Rows {
  private readonly runs: Float64Array;
  private readonly counts: Int32Array;
  /** How many rows were looked at so far. */
  looked = 0;
  /** The row that was in the way last. */
  private inTheWay = 0;

  constructor(
    readonly count: number,
    /** How many runs a row has room for: every piece and every flaw. */
    readonly most: number,
    readonly gap: number,
    readonly barRepeat: number,
    readonly flaws: NonNullable<LayCloth['flaws']>,
  ) {
    this.runs = new Float64Array(count * 2 * most);
    this.counts = new Int32Array(count);
  }

  private put(row: number, from: number, to: number): void {
    const at = row * 2 * this.most;
    let i = this.counts[row] as number;
    while (i > 0 && (this.runs[at + i - 2] as number) > from) {
      this.runs[at + i] = this.runs[at + i - 2] as number;
      this.runs[at + i + 1] = this.runs[at + i - 1] as number;
      i -= 2;
    }
    this.runs[at + i] = from;
    this.runs[at + i + 1] = to;
    this.counts[row] = (this.counts[row] as number) + 2;
  }

  /** The next place along the cloth, from `x` on, at which what lies on a bar does so. */
  private onBar(x: number, { match }: Way): number {
    if (match === undefined || !(this.barRepeat > 0)) return x;
    return Math.ceil((x + match) / this.barRepeat - 1e-9) * this.barRepeat - match;
  }

  /** The first place along the cloth where a way has its room from a row on; beyond `most` it is not looked for. */
  private placeIn(way: Way, from: number, most: number): number {
    const { begins, ends } = way;
    const { runs, counts } = this;
    const rows = Math.min(way.rows, this.count - from);
    let x = this.onBar(0, way);
    // Round and round the rows until none has moved it; the row first that was in the way of the one before.
    const first = Math.min(rows - 1, Math.max(0, this.inTheWay - from));
    for (let free = 0, k = first; free < rows && x <= most; free++, k = k + 1 === rows ? 0 : k + 1) {
      this.looked += 1;
      const at = (from + k) * 2 * this.most;
      const end = at + (counts[from + k] as number);
      const begin = begins[k] as number;
      const own = ends[k] as number;
      let pushed = x;
      for (let i = at; i < end && pushed + own > (runs[i] as number) + 1e-9; i += 2) {
        const to = runs[i + 1] as number;
        if (pushed + begin < to - 1e-9) pushed = to - begin;
      }
      if (pushed > x) {
        x = this.onBar(pushed, way);
        free = -1;
        this.inTheWay = from + k;
      }
    }
    return x;
  }

  /** Lays pieces one by one in a strip; its length, or Infinity where one has no room. */
  lay(pieces: readonly RowPiece[], strip: number, leaning: number): number {
    this.counts.fill(0);
    this.looked += this.count;
    for (const { along, across, length, width } of this.flaws) {
      for (let k = Math.max(0, Math.floor(across / ROW)); k < Math.min(this.count, (across + width) / ROW); k++)
        this.put(k, along, along + length);
    }
    let longest = 0;
    for (const { ways, fromFar } of pieces) {
      let [least, x, row] = [Infinity, 0, 0];
      let chosen: Way | undefined;
      for (const way of ways) {
        const most = strip + this.gap - way.long + 1e-6;
        const last = Math.max(0, this.count - way.rows);
        for (let k = 0; k <= last && k * leaning < least; k++) {
          const from = fromFar ? last - k : k;
          const at = this.placeIn(way, from, Math.min(most, least - k * leaning));
          if (at > most || k * leaning + at >= least) continue;
          [least, x, row, chosen] = [k * leaning + at, at, from, way];
        }
      }
      if (!chosen) return Infinity;
      for (let k = 0; k < Math.min(chosen.rows, this.count - row); k++)
        this.put(row + k, x + (chosen.begins[k] as number), x + (chosen.ends[k] as number));
      longest = Math.max(longest, x + chosen.long - this.gap);
    }
    return longest;
  }
}

/** What a lay by rows came to: its length, and what no lay is shorter than, both in mm. */
export interface RowLay {
  readonly length: number;
  readonly least: number;
}

/**
 * How long a lay is, in mm, when pieces are looked at in rows of 5 mm across the cloth: one after the other is put where
 * it reaches least far, and over and over with large ones changed about in a strip that grows shorter, until `looks` rows
 * were looked at (some 40 in a thousandth of a second). A little longer than what a true search finds, and never an answer
 * to where pieces lie.
 */
export function rowLay(shapes: readonly LayShape[], cloth: LayCloth, looks: number): RowLay {
  const { width, gap, flaws = [], barRepeat = 0, stripeRepeat = 0 } = cloth;
  const pieces = shapes
    .flatMap(({ outline, count, turns, mirrored, match }): RowPiece[] => {
      // To come to lie on a stripe a piece gives away half a repeat of them on the average.
      const widened = match ? stripeRepeat / 2 : 0;
      const lying = (flipped: boolean): Way[] =>
        turns.map((turn) =>
          wayOf(oriented(outline, turn, flipped), gap, widened, match && oriented([match], turn, flipped)[0]),
        );
      const [plain, flipped] = [lying(false), mirrored ? lying(true) : []];
      return Array.from({ length: count }, (_, copy) => ({
        ways: mirrored && copy % 2 === 1 ? flipped : plain,
        fromFar: false,
      }));
    })
    .sort((a, b) => areaOf(b.ways[0] as Way) - areaOf(a.ways[0] as Way));
  if (pieces.length === 0) return { length: 0, least: 0 };
  const widest = Math.max(...pieces.map(({ ways }) => (ways[0] as Way).rows));
  const rows = new Rows(
    Math.max(widest, Math.floor((width + gap) / ROW)),
    pieces.length + flaws.length,
    gap,
    barRepeat,
    flaws,
  );
  const longest = Math.max(...pieces.map(({ ways }) => (ways[0] as Way).long)) - gap;
  const least = Math.max(longest, pieces.reduce((sum, p) => sum + areaOf(p.ways[0] as Way), 0) / rows.count);

  let best = Math.min(...[0.001, 0.3].map((leaning) => rows.lay(pieces, 1e9, leaning)));
  let hoped = least;
  let [order, leaning] = [pieces, LEANINGS[0] as number];
  const random = seeded(1);
  const any = (count: number): number => Math.floor(random() * count);
  const patience = looks * PATIENCE;
  for (let round = 0; rows.looked < looks && best > hoped * 1.003; round++) {
    const strip = round === 0 ? hoped * 1.002 : best - Math.max(LEAST * best, TOWARD * (best - hoped));
    const before = best;
    const until = rows.looked + patience;
    for (let i = 0; rows.looked < until && best === before; i++) {
      const tried = [...order];
      const among = Math.min(tried.length, CHANGED_ABOUT);
      if (i > 0) {
        for (let n = 1 + any(3); n > 0; n--) {
          const [a, b] = [any(among), any(among)];
          [tried[a], tried[b]] = [tried[b] as RowPiece, tried[a] as RowPiece];
        }
        for (let n = 1 + any(3); n > 0; n--) {
          const a = any(among);
          const piece = tried[a] as RowPiece;
          tried[a] = { ...piece, fromFar: !piece.fromFar };
        }
      }
      const by = i === 0 ? leaning : (LEANINGS[any(LEANINGS.length)] as number);
      const length = rows.lay(tried, strip, by);
      if (length < best) [best, order, leaning] = [length, tried, by];
    }
    if (best === before) hoped = strip;
  }
  return { length: best, least };
}
