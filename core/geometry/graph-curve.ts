import { cubic } from './cubic.js';
import { Conditions, solveQuadratic } from './numeric/quadratic-programme.js';
import { zeros } from './numeric/zeros.js';
import type { Path } from './path.js';
import { add, along, dot, point, quarterTurn, scale, subtract, type Point } from './point.js';

/** Lengths are taken in this unit inside, in mm, so that all unknowns are of like size. */
const UNIT = 100;
/** As many conditions as a curve may have. */
const ROOM = 72;
/** Of two curves that vary alike the flatter is taken; so small that it never decides more than that. */
const LEVEL = 1e-6;
/** A slope costs nothing: only so much that the programme has one answer. */
const FREE = 1e-11;

/** The axis a curve is a graph over: `u` runs along it from the origin, `v` stands square to it. */
export interface Axis {
  readonly origin: Point;
  /** Unit direction of `u`. */
  readonly direction: Point;
  /** Unit direction of `v`. */
  readonly across: Point;
}

/** The axis from one point toward another; `v` stands a quarter turn from it. */
export function axisBetween(from: Point, toward: Point): Axis {
  const d = subtract(toward, from);
  const length = Math.hypot(d.x, d.y) || 1;
  const direction = scale(d, 1 / length);
  return { origin: from, direction, across: quarterTurn(direction) };
}

/** The axis straight down through a level: `u` is y below the origin, `v` is x. */
export const axisDown = (x: number, y: number): Axis => ({
  origin: point(x, y),
  direction: point(0, 1),
  across: point(1, 0),
});

/** A point in the figures of an axis, mm. */
export const onAxis = (axis: Axis, p: Point): { u: number; v: number } => {
  const d = subtract(p, axis.origin);
  return { u: dot(d, axis.direction), v: dot(d, axis.across) };
};

/** A linear figure of a curve that is not known yet: `coefficients · unknowns + constant`. */
export interface Figure {
  readonly coefficients: readonly number[];
  readonly constant: number;
  /** Which unknown it is, where it is one alone. */
  readonly only?: number;
}

/** Every unknown as a figure, by how many there are: the same for all curves. */
const UNKNOWNS: (readonly Figure[] | undefined)[] = [];

/** The unknowns of a curve of so many as figures. */
function unknownsOf(size: number): readonly Figure[] {
  const known = UNKNOWNS[size];
  if (known) return known;
  const figures = Array.from({ length: size }, (_, only): Figure => {
    const coefficients = zeros(size);
    coefficients[only] = 1;
    return { coefficients, constant: 0, only };
  });
  UNKNOWNS[size] = figures;
  return figures;
}

/** Figures, each times a number, added up. */
export type Sum = readonly (readonly [Figure, number])[];

/**
 * A curve v(u) whose second derivative runs straight from node to node, still to be found: each of its spans is exactly
 * a cubic. Its figures (place, slope, bend) at any u are linear in its unknowns, and so are the conditions on it; of
 * all curves that meet them the one whose bend varies least is taken. Further unknowns, `slacks`, measure what gives
 * way. What must hold exactly is asked first.
 */
export class GraphCurve {
  readonly size: number;
  private readonly nodes: readonly number[];
  private readonly places: Figure[];
  private readonly slopes: Figure[];
  private readonly unknowns: readonly Figure[];
  private readonly conditions: Conditions;
  private readonly hessian: number[];
  private readonly gradient: number[];

  /** Nodes in mm along the axis, rising; the curve stands at `v` mm at the node `anchor`. */
  constructor(nodes: readonly number[], anchor: number, v: number, slacks = 0) {
    this.nodes = nodes;
    const count = nodes.length;
    const size = count + 1 + slacks;
    this.size = size;
    this.conditions = new Conditions(size, ROOM);
    this.hessian = zeros(size * size);
    this.gradient = zeros(size);
    this.unknowns = unknownsOf(size);
    this.places = new Array<Figure>(count);
    this.slopes = new Array<Figure>(count);
    this.slopes[anchor] = this.unknowns[0] as Figure;
    this.places[anchor] = { coefficients: zeros(size), constant: v };
    for (let i = anchor; i < count - 1; i++) this.carry(i, i + 1);
    for (let i = anchor; i > 0; i--) this.carry(i, i - 1);
    this.hessian[0] = FREE;
    for (let i = 1; i < size; i++) this.hessian[i * size + i] = LEVEL;
    for (let i = 0; i < count - 1; i++) {
      const w = UNIT / ((nodes[i + 1] as number) - (nodes[i] as number));
      const [a, b] = [i + 1, i + 2];
      this.weigh(a, a, w);
      this.weigh(b, b, w);
      this.weigh(a, b, -w);
      this.weigh(b, a, -w);
    }
  }

  private weigh(i: number, j: number, w: number): void {
    const at = i * this.size + j;
    this.hessian[at] = (this.hessian[at] as number) + w;
  }

  /** Slopes are tangents, places mm, bends 1 per 100 mm: what holds at one node follows from its neighbour. */
  private carry(from: number, to: number): void {
    const h = ((this.nodes[to] as number) - (this.nodes[from] as number)) / UNIT;
    const before = this.places[from] as Figure;
    const slope = (this.slopes[from] as Figure).coefficients.slice();
    const place = before.coefficients.slice();
    for (let i = 0; i < this.size; i++) place[i] = (place[i] as number) + h * UNIT * (slope[i] as number);
    place[from + 1] = (place[from + 1] as number) + (UNIT * h * h) / 3;
    place[to + 1] = (place[to + 1] as number) + (UNIT * h * h) / 6;
    slope[from + 1] = (slope[from + 1] as number) + h / 2;
    slope[to + 1] = (slope[to + 1] as number) + h / 2;
    this.places[to] = { coefficients: place, constant: before.constant };
    this.slopes[to] = { coefficients: slope, constant: 0 };
  }

  /** The bend (second derivative, in 1 per 100 mm) at a node. */
  bend(node: number): Figure {
    return this.unknowns[node + 1] as Figure;
  }

  /** The slope dv/du at a node. */
  slope(node: number): Figure {
    return this.slopes[node] as Figure;
  }

  /** The place v at a node, in mm. */
  place(node: number): Figure {
    return this.places[node] as Figure;
  }

  private spanAt(u: number): { i: number; h: number; t: number } {
    const last = this.nodes.length - 2;
    let i = 0;
    while (i < last && u > (this.nodes[i + 1] as number)) i++;
    const from = this.nodes[i] as number;
    return { i, h: (u - from) / UNIT, t: (u - from) / ((this.nodes[i + 1] as number) - from) };
  }

  /** The place v at any `u` on the curve, in mm. */
  placeOver(u: number): Figure {
    const { i, h, t } = this.spanAt(u);
    const { coefficients: from, constant } = this.places[i] as Figure;
    const slope = (this.slopes[i] as Figure).coefficients;
    const coefficients = from.slice();
    for (let k = 0; k < this.size; k++) coefficients[k] = (coefficients[k] as number) + UNIT * h * (slope[k] as number);
    coefficients[i + 1] = (coefficients[i + 1] as number) + UNIT * h * h * (1 / 2 - t / 6);
    coefficients[i + 2] = (coefficients[i + 2] as number) + (UNIT * h * h * t) / 6;
    return { coefficients, constant };
  }

  /** The slope dv/du at any `u` on the curve. */
  slopeOver(u: number): Figure {
    const { i, h, t } = this.spanAt(u);
    const coefficients = (this.slopes[i] as Figure).coefficients.slice();
    coefficients[i + 1] = (coefficients[i + 1] as number) + h * (1 - t / 2);
    coefficients[i + 2] = (coefficients[i + 2] as number) + (h * t) / 2;
    return { coefficients, constant: 0 };
  }

  /** The amount of a slack, in whatever unit its conditions give it. */
  slack(index: number): Figure {
    return this.unknowns[this.nodes.length + 1 + index] as Figure;
  }

  private ask(sum: Sum, bound: number, way: 1 | -1, equal: boolean): void {
    let constant = 0;
    for (const [figure, by] of sum) constant += by * figure.constant;
    const at = this.conditions.add(way * (bound - constant), equal);
    const rows = this.conditions.coefficients;
    for (const [{ coefficients, only }, by] of sum) {
      if (only !== undefined) {
        rows[at + only] = (rows[at + only] as number) + way * by;
        continue;
      }
      for (let i = 0; i < this.size; i++)
        rows[at + i] = (rows[at + i] as number) + way * by * (coefficients[i] as number);
    }
  }

  /** Asks that a sum of figures be exactly `value`; before anything else is asked. */
  exactly(sum: Sum, value: number): void {
    this.ask(sum, value, 1, true);
  }

  /** Asks that a sum of figures be `value` or more. */
  atLeast(sum: Sum, value: number): void {
    this.ask(sum, value, 1, false);
  }

  /** Asks that a sum of figures be `value` or less. */
  atMost(sum: Sum, value: number): void {
    this.ask(sum, value, -1, false);
  }

  /** Makes it dear for a figure to miss `value`: `weight` times the square is added to what is kept small. */
  dear({ coefficients: c, constant, only }: Figure, value: number, weight: number): void {
    if (only !== undefined) {
      this.gradient[only] = (this.gradient[only] as number) - weight * value;
      this.weigh(only, only, weight);
      return;
    }
    for (let i = 0; i < this.size; i++) {
      const ci = c[i] as number;
      if (ci === 0) continue;
      this.gradient[i] = (this.gradient[i] as number) + weight * ci * (constant - value);
      for (let j = 0; j < this.size; j++) this.weigh(i, j, weight * ci * (c[j] as number));
    }
  }

  /** The curve found; nothing where no curve meets all that was asked. */
  solve(): SolvedGraph | undefined {
    const found = solveQuadratic(this.hessian, this.gradient, this.conditions);
    if (!found) return undefined;
    const value = ({ coefficients, constant, only }: Figure): number => {
      if (only !== undefined) return found[only] as number;
      let s = constant;
      for (let i = 0; i < this.size; i++) s += (coefficients[i] as number) * (found[i] as number);
      return s;
    };
    let variation = 0;
    for (let i = 0; i < this.nodes.length - 1; i++) {
      const change = (found[i + 2] as number) - (found[i + 1] as number);
      variation += (UNIT * change * change) / ((this.nodes[i + 1] as number) - (this.nodes[i] as number));
    }
    const places = this.nodes.map((u, i) => ({ u, v: value(this.place(i)), slope: value(this.slope(i)) }));
    return { places, variation, value };
  }
}

/** A curve that was found. */
export interface SolvedGraph {
  readonly places: readonly { readonly u: number; readonly v: number; readonly slope: number }[];
  /** The integral of the square of the change of bend, in units of 100 mm: what was made least. */
  readonly variation: number;
  /** A figure of the curve as found. */
  readonly value: (figure: Figure) => number;
}

/** A solved graph as cubics, one a span, run along the axis. */
export function graphPath({ places }: SolvedGraph, axis: Axis): Path {
  const at = (u: number, v: number): Point => add(along(axis.origin, axis.direction, u), scale(axis.across, v));
  return places.slice(0, -1).map((a, i) => {
    const b = places[i + 1] ?? a;
    const third = (b.u - a.u) / 3;
    return cubic(
      at(a.u, a.v),
      at(a.u + third, a.v + a.slope * third),
      at(b.u - third, b.v - b.slope * third),
      at(b.u, b.v),
    );
  });
}
