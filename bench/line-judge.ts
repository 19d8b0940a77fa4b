/**
 * Holds the lines of a draft against the measures of docs/trade/curves.md, by arithmetic of its own: it knows cubic
 * spans, named points and darts, as the command's answer gives them, and nothing of how they were drawn.
 */

/** A cubic span: x0, y0, x1, y1, x2, y2, x3, y3 in mm. */
export type Span = readonly number[];

/** What is judged of one panel. */
export interface JudgedPanel {
  readonly seams: Readonly<Record<'waist' | 'side' | 'hem' | 'inseam' | 'rise' | 'closedWaist', readonly Span[]>>;
  readonly points: Readonly<Record<string, readonly [number, number]>>;
  readonly darts: readonly {
    readonly intake: number;
    readonly length: number;
    readonly apex: readonly [number, number];
  }[];
}

/** How a panel is to be judged. */
export interface JudgedAs {
  readonly name: 'front' | 'back';
  /** 1 for an adult; what lengths shrink by for a child. */
  readonly size: number;
  /** The side is meant to be one straight line. */
  readonly straightSide: boolean;
  /** The leg falls plumb. */
  readonly plumbLeg: boolean;
  /** Crotch line and knee line; no knee on a short leg. */
  readonly crotchLevel: number;
  readonly kneeLevel: number | undefined;
  /** The length that the sheet lists for a dart. */
  readonly dartLength: number;
}

/** A measure that a panel misses, with its figure. */
export interface Missed {
  readonly id: string;
  readonly value: number;
}

interface Sample {
  readonly x: number;
  readonly y: number;
  /** Direction of travel, radians. */
  readonly angle: number;
  /** Signed curvature, 1/mm. */
  readonly k: number;
  /** Running length, mm. */
  readonly s: number;
}

const PER_SPAN = 40;
const DEGREES = 180 / Math.PI;

/** Points along spans, with direction and curvature by the derivatives of their cubics, and lengths by chords. */
export function sampled(spans: readonly Span[]): Sample[] {
  const out: Sample[] = [];
  let s = 0;
  for (const [i, span] of spans.entries()) {
    const [x0 = 0, y0 = 0, x1 = 0, y1 = 0, x2 = 0, y2 = 0, x3 = 0, y3 = 0] = span;
    for (let j = i === 0 ? 0 : 1; j <= PER_SPAN; j++) {
      const t = Math.min(1 - 1e-7, Math.max(1e-7, j / PER_SPAN));
      const u = 1 - t;
      const at = (a: number, b: number, c: number, d: number): number =>
        u * u * u * a + 3 * u * u * t * b + 3 * u * t * t * c + t * t * t * d;
      const first = (a: number, b: number, c: number, d: number): number =>
        3 * (u * u * (b - a) + 2 * u * t * (c - b) + t * t * (d - c));
      const second = (a: number, b: number, c: number, d: number): number =>
        6 * (u * (c - 2 * b + a) + t * (d - 2 * c + b));
      const [x, y] = [at(x0, x1, x2, x3), at(y0, y1, y2, y3)];
      const [dx, dy] = [first(x0, x1, x2, x3), first(y0, y1, y2, y3)];
      const [ex, ey] = [second(x0, x1, x2, x3), second(y0, y1, y2, y3)];
      const speed = Math.hypot(dx, dy);
      const before = out[out.length - 1];
      if (before) s += Math.hypot(x - before.x, y - before.y);
      let angle = Math.atan2(dy, dx);
      if (before) angle += 2 * Math.PI * Math.round((before.angle - angle) / (2 * Math.PI));
      out.push({ x, y, angle, k: speed > 0 ? (dx * ey - dy * ex) / speed ** 3 : 0, s });
    }
  }
  return out;
}

const turned = (spans: readonly Span[]): Span[] =>
  spans
    .map(([x0 = 0, y0 = 0, x1 = 0, y1 = 0, x2 = 0, y2 = 0, x3 = 0, y3 = 0]) => [x3, y3, x2, y2, x1, y1, x0, y0])
    .reverse();

class Book {
  readonly missed: Missed[] = [];
  constructor(private readonly name: string) {}
  most(id: string, value: number, high: number): void {
    if (!(value <= high)) this.missed.push({ id: `${this.name}.${id}`, value });
  }
  least(id: string, value: number, low: number): void {
    if (!(value >= low)) this.missed.push({ id: `${this.name}.${id}`, value });
  }
}

function judgeRise(book: Book, panel: JudgedPanel, { name, size }: JudgedAs): void {
  const all = sampled(turned(panel.seams.rise));
  const first = all.findIndex((p) => Math.abs(p.k) > 1 / 5000);
  const curve = all.slice(Math.max(0, first - 1));
  const from = curve[0];
  const last = curve[curve.length - 1];
  if (!from || !last) return book.most('rise.none', 1, 0);
  const long = last.s - from.s;
  const way = Math.sign(last.angle - from.angle);
  const whole = Math.abs(last.angle - from.angle);
  const back = curve.slice(1).reduce((sum, p, i) => sum + Math.max(0, -way * (p.angle - (curve[i]?.angle ?? 0))), 0);
  book.most('rise.turnsBack', back * DEGREES, 0.3);
  const k = (p: Sample): number => way * p.k;
  const start = Math.max(...curve.filter((p) => p.s - from.s < 3).map(k));
  book.least('rise.start', 1 / Math.max(1e-9, start), (name === 'front' ? 60 : 80) * size * 0.985);
  book.least('rise.tightest', 1 / Math.max(...curve.map(k)), (name === 'front' ? 25 : 35) * size * 0.985);
  let shortest = Infinity;
  for (let i = 0, j = 0; i < curve.length; i++) {
    while (j < curve.length - 1 && Math.abs((curve[j]?.angle ?? 0) - (curve[i]?.angle ?? 0)) < whole / 2) j++;
    if (Math.abs((curve[j]?.angle ?? 0) - (curve[i]?.angle ?? 0)) < whole / 2) break;
    shortest = Math.min(shortest, (curve[j]?.s ?? 0) - (curve[i]?.s ?? 0));
  }
  book.least('rise.spread', shortest / long, 0.197);
  const peak = curve.reduce((most, p) => (k(p) > k(most) ? p : most), from);
  const peakAt = (peak.s - from.s) / long;
  book.least('rise.peakEarly', peakAt, 0.2);
  book.most('rise.peakLate', peakAt, 0.8);
  // Another peak: from the peak on either side the bend rises again by over a twentieth of it.
  let again = 0;
  let low = k(peak);
  const at = curve.indexOf(peak);
  for (const p of curve.slice(at)) [low, again] = [Math.min(low, k(p)), Math.max(again, k(p) - Math.min(low, k(p)))];
  low = k(peak);
  for (const p of curve.slice(0, at).reverse())
    [low, again] = [Math.min(low, k(p)), Math.max(again, k(p) - Math.min(low, k(p)))];
  book.most('rise.peaks', again / k(peak), 0.05);
  let run = 0;
  let [elsewhere, atEnd] = [0, 0];
  for (const [i, p] of curve.entries()) {
    const step = p.s - (curve[i - 1]?.s ?? p.s);
    run = k(p) < 1 / (300 * size) ? run + step : 0;
    if (i === curve.length - 1) atEnd = run;
    else elsewhere = Math.max(elsewhere, run === p.s - from.s || run + 1e-6 >= p.s - from.s ? run : elsewhere);
  }
  book.most('rise.flatEnd', atEnd / long, 0.402);
  book.most('rise.flatStart', elsewhere / long, 0.352);
}

const pointOf = (panel: JudgedPanel, name: string): readonly [number, number] => panel.points[name] ?? [NaN, NaN];

function judgeSide(book: Book, panel: JudgedPanel, as: JudgedAs): void {
  const side = sampled(panel.seams.side);
  const [hipX, hipY] = pointOf(panel, 'sideHip');
  const [waistX] = pointOf(panel, 'sideWaist');
  const [kneeX, kneeY] = pointOf(panel, 'sideKnee');
  const top = side[0];
  if (!top) return;
  const lean = (p: Sample): number => (Math.PI / 2 - p.angle) * DEGREES;
  const upper = side.filter((p) => p.y <= hipY + 0.01);
  const taper = waistX - hipX;
  const atHip = side.reduce((near, p) => (Math.abs(p.y - hipY) < Math.abs(near.y - hipY) ? p : near), top);
  if (!as.straightSide) {
    book.most('side.plumb', Math.abs(lean(atHip)), 2);
    book.most('side.lean', Math.abs(lean(top)), 15.05);
    const way = taper >= 0 ? -1 : 1;
    const wrong = upper
      .slice(1)
      .reduce((sum, p, i) => sum + Math.max(0, -way * -1 * (p.angle - (upper[i]?.angle ?? 0))), 0);
    const right = upper.slice(1).reduce((sum, p, i) => sum + Math.max(0, -way * (p.angle - (upper[i]?.angle ?? 0))), 0);
    book.most('side.turns', Math.min(wrong, right) * DEGREES, 0.3);
    if (taper > 5) {
      // A leg that only goes out below the hip is fuller there by its shape.
      const lowest = kneeX < hipX ? hipY : as.crotchLevel;
      const above = side.filter((p) => p.y <= lowest);
      // Of a plumb run, which is equally full all along, the place nearest to the hip.
      const outermost = Math.min(...above.map((p) => p.x)) + 0.1;
      const off = above.filter((p) => p.x <= outermost).map((p) => Math.abs(p.y - hipY));
      book.most('side.fullest', Math.min(...off), 15);
    }
  }
  if (as.plumbLeg) {
    const off = Math.max(...side.filter((p) => p.y >= hipY).map((p) => Math.abs(p.x - hipX)));
    book.most('side.plumbLeg', off, 0.3);
    return;
  }
  if (as.kneeLevel === undefined || as.straightSide) return;
  const quarter = as.crotchLevel + (as.kneeLevel - as.crotchLevel) / 4;
  const chord = (y: number): number => hipX + ((kneeX - hipX) * (y - hipY)) / (kneeY - hipY);
  const cos = Math.cos(Math.atan2(kneeX - hipX, kneeY - hipY));
  const lower = side.filter((p) => p.y >= quarter && p.y <= kneeY);
  book.most('side.outside', Math.max(...lower.map((p) => (chord(p.y) - p.x) * cos)), 1);
  book.most('side.hollow', Math.max(...lower.map((p) => (p.x - chord(p.y)) * cos)), 8);
  if (kneeX < hipX - 0.5) {
    const thigh = side.filter((p) => p.y >= hipY && p.y <= kneeY);
    book.most('side.wasp', Math.max(...thigh.slice(1).map((p, i) => p.x - (thigh[i]?.x ?? p.x))), 0.01);
  }
  judgeKnee(book, 'side', side, as.kneeLevel, as.size);
}

function judgeKnee(book: Book, edge: string, run: readonly Sample[], knee: number, size: number): void {
  const window = run.filter((p) => p.y >= knee - 120 * size && p.y <= knee + 80 * size);
  const [a, b] = [window[0], window[window.length - 1]];
  if (!a || !b) return;
  const turn = Math.abs(b.angle - a.angle);
  if (turn * DEGREES < 0.3) return;
  const even = (200 * size) / turn;
  const least = 1 / Math.max(...window.map((p) => Math.abs(p.k)));
  book.least(`${edge}.knee`, least / even, 0.6);
}

function judgeInseam(book: Book, panel: JudgedPanel, as: JudgedAs): void {
  const inseam = sampled(turned(panel.seams.inseam));
  const [x, y] = pointOf(panel, 'crotchPoint');
  if (as.plumbLeg) {
    book.most('inseam.plumbLeg', Math.max(...inseam.map((p) => Math.abs(p.x - x))), 0.3);
    return;
  }
  const { kneeLevel } = as;
  if (kneeLevel === undefined) return;
  const [kx, ky] = pointOf(panel, 'inseamKnee');
  const upper = inseam.filter((p) => p.y <= ky + 0.01);
  const long = Math.hypot(kx - x, ky - y);
  const off = (p: Sample): number => ((p.x - x) * (ky - y) - (p.y - y) * (kx - x)) / long;
  const shares = upper.map((p) => ({
    share: ((p.x - x) * (kx - x) + (p.y - y) * (ky - y)) / long / long,
    off: -off(p),
  }));
  const deepest = shares.reduce((most, p) => (p.off > most.off ? p : most), { share: 0.5, off: 0 });
  if (deepest.off > 0.5) book.most('inseam.deepest', deepest.share, 0.67);
  book.least('inseam.bulge', Math.min(...shares.map((p) => p.off)), -1);
  const thigh = inseam.filter((p) => p.y < kneeLevel - 120 * as.size);
  if (thigh.length > 0)
    book.least('inseam.tight', 1 / Math.max(...thigh.map((p) => Math.abs(p.k)), 1e-9), 299 * as.size);
  const below = inseam.filter((p) => p.y > kneeLevel + 82);
  if (below.length > 1) book.most('inseam.lower', Math.max(...below.map((p) => Math.abs(p.k))), 1e-5);
  judgeKnee(book, 'inseam', inseam, kneeLevel, as.size);
}

/** How far the closed waist is off square at the side, in degrees; positive where it turns up. */
export function offSquareAtSide(panel: JudgedPanel): number {
  const waist = sampled(panel.seams.closedWaist);
  const side = sampled(panel.seams.side);
  const closing = panel.darts.reduce((sum, d) => sum + 2 * Math.asin(d.intake / 2 / d.length), 0);
  const down = (side[0]?.angle ?? 0) + closing;
  const arriving = waist[waist.length - 1]?.angle ?? 0;
  let off = (arriving - (down + Math.PI / 2)) * DEGREES;
  off -= 360 * Math.round(off / 360);
  return off;
}

function judgeWaist(book: Book, panel: JudgedPanel, as: JudgedAs): void {
  const waist = sampled(panel.seams.closedWaist);
  const [a, b] = [waist[0], waist[waist.length - 1]];
  if (!a || !b) return;
  const rise = sampled(turned(panel.seams.rise))[0];
  let atCentre = (a.angle - ((rise?.angle ?? 0) + Math.PI / 2)) * DEGREES;
  atCentre -= 360 * Math.round(atCentre / 360);
  book.most('waist.centre', Math.abs(atCentre), 2);
  book.most('waist.offSquare', Math.abs(offSquareAtSide(panel)), 4);
  const long = Math.hypot(b.x - a.x, b.y - a.y);
  const off = (p: Sample): number => Math.abs((p.x - a.x) * (b.y - a.y) - (p.y - a.y) * (b.x - a.x)) / long;
  const squareTurn = Math.abs(b.angle - offSquareAtSide(panel) / DEGREES - a.angle);
  const arc = (1.25 * long * squareTurn) / 8;
  book.most('waist.offChord', Math.max(...waist.map(off)), Math.max(as.name === 'back' ? 8 : 6, arc));
  const whole = waist[waist.length - 1]?.s ?? 0;
  // Turned against one way and against the other: the middle says which way it bends; one that is straight says
  // nothing.
  const against = [1, -1].map((way) => {
    let [middle, first, last] = [0, 0, 0];
    for (const [i, p] of waist.entries()) {
      const before = waist[i - 1];
      if (!before) continue;
      const wrong = Math.max(0, -way * (p.angle - before.angle));
      if (p.s <= 20.5) first += wrong;
      else if (p.s >= whole - 20.5) last += wrong;
      else middle += wrong;
    }
    return { middle, first, last };
  });
  const [one, other] = against as [(typeof against)[number], (typeof against)[number]];
  const sum = (t: typeof one): number => t.middle + t.first + t.last;
  const straight = Math.max(one.middle, other.middle) * DEGREES < 0.3;
  const { middle, first, last } = (straight ? sum(one) <= sum(other) : one.middle <= other.middle) ? one : other;
  book.most('waist.bends', middle * DEGREES, 0.3);
  book.most('waist.ends', Math.max(first, last) * DEGREES, panel.darts.length > 0 ? 8 : 15);
  if (as.name === 'back') book.most('waist.sag', Math.max(...waist.map((p) => p.y)) - Math.max(a.y, b.y), 5);
}

function judgeDarts(book: Book, panel: JudgedPanel, as: JudgedAs): void {
  for (const d of panel.darts) book.most('dart.length', Math.abs(d.length - as.dartLength), 1);
}

/** What a panel misses, with the figure of each measure. */
export function judgePanel(panel: JudgedPanel, as: JudgedAs): Missed[] {
  const book = new Book(as.name);
  judgeRise(book, panel, as);
  judgeSide(book, panel, as);
  judgeInseam(book, panel, as);
  judgeWaist(book, panel, as);
  judgeDarts(book, panel, as);
  return book.missed;
}

/**
 * What front and back miss as a pair: tapers, the lie of one side on the other, and the run of the waist over the side.
 */
export function judgePair(front: JudgedPanel, back: JudgedPanel, straight: boolean): Missed[] {
  const book = new Book('pair');
  book.most('waist', Math.abs(offSquareAtSide(front) + offSquareAtSide(back)), 2);
  if (straight) return book.missed;
  const taper = (p: JudgedPanel): number => pointOf(p, 'sideWaist')[0] - pointOf(p, 'sideHip')[0];
  book.most('tapers', Math.abs(taper(front) - taper(back)), 10);
  const shape = (p: JudgedPanel): ((up: number) => number) => {
    const [hipX, hipY] = pointOf(p, 'sideHip');
    const run = sampled(p.seams.side).filter((q) => q.y <= hipY + 0.01);
    return (up) =>
      run.reduce((near, q) => (Math.abs(hipY - q.y - up) < Math.abs(hipY - near.y - up) ? q : near)).x - hipX;
  };
  const height = (p: JudgedPanel): number => pointOf(p, 'sideHip')[1] - pointOf(p, 'sideWaist')[1];
  const least = Math.min(height(front), height(back));
  const [f, b] = [shape(front), shape(back)];
  let apart = 0;
  for (let i = 0; i <= 20; i++) apart = Math.max(apart, Math.abs(f((least * i) / 20) - b((least * i) / 20)));
  book.most('lie', apart, 6);
  return book.missed;
}
