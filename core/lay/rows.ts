import type { Corner } from './polygon.js';
import type { Random } from './separate.js';

/** The cloth is looked at in rows of so much across it, in mm. */
export const ROW = 5;
/** What a row further in costs against a mm further along: from filling the width first to filling the length first. */
const LEANINGS = [1000, 30, 10, 5, 2, 0.5] as const;
/** The leanings that are tried before any piece has changed its place. */
const FIRST_LEANINGS = [0.001, 0.3] as const;
/** A shorter lay is looked for so far toward the shortest that can be hoped for, and by at least so much of the length. */
const TOWARD = 0.4;
const LEAST = 0.004;
/** As many of the largest pieces change places with one another. */
const CHANGED_ABOUT = 8;
/** A length is given up after this share of all looks. */
const PATIENCE = 0.2;
/** As long a strip as anybody lays, in mm. */
const ENDLESS = 1e9;

/** One way in which a piece may lie: where it begins and ends in each row, from its left end and its lowest row on. */
export interface RowWay {
  readonly rows: number;
  /** The last row on the cloth at which it may begin. */
  readonly last: number;
  readonly long: number;
  readonly begins: Float64Array;
  readonly ends: Float64Array;
  /** From its left end to what lies on a bar. */
  readonly match: number | undefined;
}

/** A piece to be laid in rows. */
export interface RowPiece {
  readonly ways: readonly RowWay[];
  /** Whether it is tried from the far edge of the cloth on. */
  readonly fromFar: boolean;
  /** Which of the pieces it is. */
  readonly at: number;
}

/** Where a piece came to lie: one of its ways, its left end along the cloth and the row that it begins in. */
export interface RowPlace {
  readonly at: number;
  readonly way: RowWay;
  readonly x: number;
  readonly row: number;
}

/** Where outlines begin and end along the cloth in each row from `low` on: every row that they touch, whole; mm. */
export function touchedRows(
  outlines: readonly (readonly Corner[])[],
  low: number,
  rows: number,
): { readonly begins: Float64Array; readonly ends: Float64Array } {
  const begins = new Float64Array(rows).fill(Infinity);
  const ends = new Float64Array(rows).fill(-Infinity);
  const put = (row: number, x: number): void => {
    const k = Math.min(rows - 1, Math.max(0, row));
    begins[k] = Math.min(begins[k] as number, x);
    ends[k] = Math.max(ends[k] as number, x);
  };
  for (const outline of outlines)
    outline.forEach(([x0, y0], i) => {
      const [x1, y1] = outline[(i + 1) % outline.length] as Corner;
      const [a, b] = [(y0 - low) / ROW, (y1 - low) / ROW];
      put(Math.floor(a), x0);
      put(Math.floor(b), x1);
      for (let k = Math.floor(Math.min(a, b)) + 1; k <= Math.max(a, b); k++) {
        const x = x0 + ((k - a) / (b - a)) * (x1 - x0);
        put(k - 1, x);
        put(k, x);
      }
    });
  return { begins, ends };
}

/** What a way takes up of its rows, in rows times mm. */
export const takenBy = ({ begins, ends }: RowWay): number =>
  ends.reduce((sum, end, k) => sum + (end - (begins[k] as number)), 0);

/** Rows of cloth with what lies in each, as runs from a beginning to an end in the order in which they lie. */
export class Rows {
  private readonly runs: Float64Array;
  private readonly counts: Int32Array;
  private readonly standing: { readonly row: number; readonly from: number; readonly to: number }[] = [];
  /** How many rows were looked at so far. */
  looked = 0;
  /** The row that was in the way last. */
  private inTheWay = 0;

  constructor(
    readonly count: number,
    /** How many runs a row has room for: every piece and everything that stands. */
    readonly most: number,
    readonly gap: number,
    readonly barRepeat: number,
  ) {
    this.runs = new Float64Array(count * 2 * most);
    this.counts = new Int32Array(count);
  }

  /** Keeps a stretch of a row free of pieces, whatever is laid. */
  stand(row: number, from: number, to: number): void {
    if (row >= 0 && row < this.count) this.standing.push({ row, from, to });
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
  private onBar(x: number, { match }: RowWay): number {
    if (match === undefined || !(this.barRepeat > 0)) return x;
    return Math.ceil((x + match) / this.barRepeat - 1e-9) * this.barRepeat - match;
  }

  /** The first place along the cloth where a way has its room from a row on; beyond `most` it is not looked for. */
  private placeIn(way: RowWay, from: number, most: number): number {
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

  /** Lays pieces one by one in a strip; its length, or Infinity where one has no room. Where each lies is added to `places`. */
  lay(pieces: readonly RowPiece[], strip: number, leaning: number, places: RowPlace[] = []): number {
    this.counts.fill(0);
    this.looked += this.count;
    for (const { row, from, to } of this.standing) this.put(row, from, to);
    let longest = 0;
    for (const { ways, fromFar, at: piece } of pieces) {
      let [least, x, row] = [Infinity, 0, 0];
      let chosen: RowWay | undefined;
      for (const way of ways) {
        const most = strip + this.gap - way.long + 1e-6;
        for (let k = 0; k <= way.last && k * leaning < least; k++) {
          const from = fromFar ? way.last - k : k;
          const at = this.placeIn(way, from, Math.min(most, least - k * leaning));
          if (at > most || k * leaning + at >= least) continue;
          [least, x, row, chosen] = [k * leaning + at, at, from, way];
        }
      }
      if (!chosen) return Infinity;
      for (let k = 0; k < Math.min(chosen.rows, this.count - row); k++)
        this.put(row + k, x + (chosen.begins[k] as number), x + (chosen.ends[k] as number));
      longest = Math.max(longest, x + chosen.long - this.gap);
      places.push({ at: piece, way: chosen, x, row });
    }
    return longest;
  }
}

/** The shortest lay that was found, and how it is laid again. */
export interface ShortestOrder {
  readonly length: number;
  readonly order: readonly RowPiece[];
  readonly strip: number;
  readonly leaning: number;
}

/**
 * The order and leaning in which pieces lie shortest in rows: over and over with large ones changed about in a strip that
 * grows shorter, toward `hoped` mm, until `looks` rows were looked at.
 */
export function shortestOrder(
  rows: Rows,
  pieces: readonly RowPiece[],
  hoped: number,
  looks: number,
  random: Random,
): ShortestOrder {
  const any = (count: number): number => Math.floor(random() * count);
  const patience = looks * PATIENCE;
  let best = FIRST_LEANINGS.map((leaning): ShortestOrder => {
    const length = rows.lay(pieces, ENDLESS, leaning);
    return { length, order: pieces, strip: ENDLESS, leaning };
  }).reduce((a, b) => (b.length < a.length ? b : a));
  let [order, by] = [pieces, LEANINGS[0] as number];
  for (let round = 0; rows.looked < looks && best.length > hoped * 1.003; round++) {
    const strip =
      round === 0 ? hoped * 1.002 : best.length - Math.max(LEAST * best.length, TOWARD * (best.length - hoped));
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
      const leaning = i === 0 ? by : (LEANINGS[any(LEANINGS.length)] as number);
      const length = rows.lay(tried, strip, leaning);
      if (length >= best.length) continue;
      best = { length, order: tried, strip, leaning };
      [order, by] = [tried, leaning];
    }
    if (best === before) hoped = strip;
  }
  return best;
}
