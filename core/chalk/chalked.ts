import { distance, point, subtract, unit, type Point } from '../geometry/index.js';
import { lineThrough, onMarks, throughPoints } from './chalk-curve.js';
import type { LaidPart } from './laid.js';
import { shareOut, type Term } from './share.js';
import type { ChalkStretch, Station } from './stations.js';
import type { Path } from '../geometry/index.js';

/** A stretch of a chalked outline: straight, or drawn through points. */
export interface ChalkedStretch {
  readonly stretch: ChalkStretch;
  readonly from: Point;
  readonly to: Point;
  readonly through: readonly Point[];
  readonly path: Path;
}

/** A part as it comes out when it is chalked by a tape. */
export interface ChalkedPart {
  readonly laid: LaidPart;
  /** Where each station, and each point of a dart, is chalked. */
  readonly at: ReadonlyMap<string, Point>;
  readonly levels: ReadonlyMap<string, number>;
  readonly crease: number | undefined;
  readonly stretches: readonly ChalkedStretch[];
}

/** The levels whose girth is kept when figures are rounded. */
const GIRTHS = ['hip', 'crotch', 'knee', 'hem'] as const;

/** The stations of a part, each once. */
export const stationsOf = ({ stretches }: LaidPart): readonly Station[] => stretches.map((s) => s.from);

/** The outermost stations of a level; at the crotch the inner one is the crotch point. */
export function endsOf(part: LaidPart, level: string): readonly [Station, Station] | undefined {
  const stations = stationsOf(part);
  const on = stations.filter((s) => s.level === level).sort((a, b) => a.at.x - b.at.x);
  const [side, other] = [on[0], on.at(-1)];
  const inner = (level === 'crotch' ? stations.find((s) => s.is === 'crotch point') : undefined) ?? other;
  return side && inner && side !== inner ? [side, inner] : undefined;
}

/** One figure that is rounded with others: whose, along which axis, and what it does to their sum. */
interface Share extends Term {
  readonly part: LaidPart;
  readonly id: string;
}

/** The ends of a waist and of its darts, with what a millimetre across does to the finished waist. */
export function waistShares(part: LaidPart): readonly (Share & { readonly at: Point; readonly down: number })[] {
  const stations = stationsOf(part);
  const centre = stations.find((s) => s.is === 'centre waist');
  const side = stations.find((s) => s.is === 'side waist');
  if (!centre || !side) return [];
  const u = unit(subtract(side.at, centre.at));
  const share = (id: string, at: Point, sign: number): Share & { at: Point; down: number } => ({
    part,
    id,
    at,
    exact: at.x - part.grid.x0,
    weight: sign * u.x,
    down: sign * u.y,
  });
  return [
    share(side.id, side.at, 1),
    share(centre.id, centre.at, -1),
    ...part.darts.flatMap((d) => [share(`${d.id}.sideLeg`, d.sideLeg, -1), share(`${d.id}.centreLeg`, d.centreLeg, 1)]),
  ];
}

/** How far the marks lie from where a y is drawn. */
const offMark = (y: number, { y0, step }: LaidPart['grid']): number => y0 + Math.round((y - y0) / step) * step - y;

/** How much more than drawn the hip of the chalked parts of one leg is, measured where the hip is measured, in mm. */
export type HipMore = (parts: readonly ChalkedPart[]) => number;

/** So often the hip is chalked anew where it comes out of its limit. */
const HIP_ROUNDS = 5;

/**
 * The parts of one leg chalked by a tape: every station on a mark both ways, girths at hip, crotch, knee, hem and waist
 * off by at most one step of the tape all round (docs/trade/chalk.md). The hip is measured square to a centre line that
 * leans, so it is looked at on the chalked line, and chalked anew until it is within.
 */
export function chalked(parts: readonly LaidPart[], hipMore: HipMore = () => 0): readonly ChalkedPart[] {
  let made = chalkedOnce(parts);
  let best = made;
  for (let round = 0; round < HIP_ROUNDS; round++) {
    const more = hipMore(made);
    if (Math.abs(more) < Math.abs(hipMore(best))) best = made;
    if (Math.abs(more) <= (parts[0]?.grid.step ?? Infinity) / 2) break;
    made = chalkedOnce(parts, more - sideMore(made));
  }
  return best;
}

/** How much wider than drawn parts are chalked at a level, between its outermost stations, in mm. */
export const levelMore = (parts: readonly ChalkedPart[], level: string): number =>
  parts.reduce((sum, part) => {
    const [side, inner] = endsOf(part.laid, level) ?? [];
    const moved = (s: Station): number => (part.at.get(s.id) ?? s.at).x - s.at.x;
    return side && inner ? sum + moved(inner) - moved(side) : sum;
  }, 0);

/** The same of the side's hip points alone. */
const sideMore = (parts: readonly ChalkedPart[]): number =>
  parts.reduce((sum, part) => {
    const [side] = endsOf(part.laid, 'hip') ?? [];
    return side ? sum - (part.at.get(side.id) ?? side.at).x + side.at.x : sum;
  }, 0);

/**
 * The parts of one leg chalked once. Where the hip is off by `hipOff` mm for another reason, the side's hip points alone
 * make it good: they lie on the line on which it is measured.
 */
function chalkedOnce(parts: readonly LaidPart[], hipOff?: number): readonly ChalkedPart[] {
  const across = new Map<LaidPart, Map<string, number>>(parts.map((p) => [p, new Map()]));
  const put = (shares: readonly Share[], already = 0): void => {
    const [first] = shares;
    if (!first) return;
    const { step } = first.part.grid;
    const free = shares.filter(({ part, id }) => !across.get(part)?.has(id));
    const bound = shares.filter((s) => !free.includes(s));
    const off = bound.reduce(
      (sum, { part, id, exact, weight }) => sum + weight * ((across.get(part)?.get(id) ?? exact) - exact),
      already,
    );
    shareOut(free, step, step / 2, off).forEach((mm, i) => {
      const share = free[i];
      if (share) across.get(share.part)?.set(share.id, mm);
    });
  };
  for (const level of GIRTHS) {
    const shares = parts.flatMap((part) =>
      (endsOf(part, level) ?? []).map(({ id, at }, i): Share => ({
        part,
        id,
        exact: at.x - part.grid.x0,
        weight: i === 0 ? -1 : 1,
      })),
    );
    if (level === 'hip' && hipOff !== undefined)
      put(
        shares.filter(({ weight }) => weight < 0),
        hipOff,
      );
    else put(shares);
  }
  const waist = parts.flatMap(waistShares);
  put(
    waist,
    waist.reduce((sum, { at, down, part }) => sum + down * offMark(at.y, part.grid), 0),
  );
  return parts.map((part) => chalkedPart(part, across.get(part) ?? new Map()));
}

/** One part with what was decided of its figures; all else goes to the nearest mark. */
function chalkedPart(part: LaidPart, across: ReadonlyMap<string, number>): ChalkedPart {
  const { grid } = part;
  const levels = new Map(part.levels.map(({ name, y }) => [name, y + offMark(y, grid)]));
  const at = new Map<string, Point>();
  const set = (id: string, p: Point, level?: string): void => {
    const near = onMarks(p, grid);
    const decided = across.get(id);
    const onLevel = level === undefined ? undefined : part.levels.find((l) => l.name === level);
    const y = onLevel && Math.abs(onLevel.y - p.y) < ON_LEVEL ? (levels.get(onLevel.name) ?? near.y) : near.y;
    at.set(id, point(decided === undefined ? near.x : grid.x0 + decided, y));
  };
  for (const s of stationsOf(part)) set(s.id, s.at, s.level);
  for (const d of part.darts) {
    for (const name of ['centreLeg', 'apex', 'sideLeg'] as const) set(`${d.id}.${name}`, d[name]);
  }
  return {
    laid: part,
    at,
    levels,
    crease: part.crease === undefined ? undefined : onMarks(point(part.crease, 0), grid).x,
    stretches: part.stretches.map((stretch): ChalkedStretch => {
      const from = at.get(stretch.from.id) ?? stretch.from.at;
      const to = at.get(stretch.to.id) ?? stretch.to.at;
      const through = stretch.straight ? [] : throughPoints(stretch.path, from, to, grid);
      const points = [from, ...through, to].filter((p, i, all) => i === 0 || distance(p, all[i - 1] ?? p) > 1e-6);
      return { stretch, from, to, through, path: lineThrough(points) };
    }),
  };
}

/** A station this near to its level, in mm, is chalked on it. */
const ON_LEVEL = 0.05;

/** The outline of a part as it is chalked. */
export const chalkedOutline = ({ stretches }: ChalkedPart): Path => stretches.flatMap(({ path }) => path);
