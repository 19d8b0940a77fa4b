import { pathBetweenPlaces, pathLength, placeAtLength, type Path } from '../geometry/index.js';
import {
  edgeOf,
  type Edge,
  type EdgeRole,
  type Garment,
  type Part,
  type Seam,
  type Stretch,
} from '../garment/index.js';
import type { CornerWay } from './corner.js';
import type { Unit } from '../units/index.js';

/** The edges that a profile has a figure for. */
export const PROFILE_ROLES = ['waist', 'side', 'inseam', 'rise', 'hem'] as const;

/** No allowance given by hand in the room is wider than this, in mm. */
export const MOST_ALLOWANCE = 120;

/** A profile: how much is added outside the stitching line by what the edge is for, in mm. */
export type Profile = Readonly<Record<(typeof PROFILE_ROLES)[number], number>>;

/**
 * A width given for a seam, a part, an edge, or a stretch of an edge by shares of its length, in mm; or how the corner
 * at the end of an edge is cut.
 */
export type GivenAllowance =
  | { readonly on: 'corner'; readonly part: string; readonly edge: string; readonly as: CornerWay }
  | { readonly on: 'seam'; readonly seam: string; readonly mm: number }
  | { readonly on: 'part'; readonly part: string; readonly mm: number }
  | { readonly on: 'edge'; readonly part: string; readonly edge: string; readonly mm: number }
  | {
      readonly on: 'stretch';
      readonly part: string;
      readonly edge: string;
      readonly from: number;
      readonly to: number;
      /** At its beginning; all along it where it has no other at its end. */
      readonly mm: number;
      readonly end?: number | undefined;
    };

/** A width given for a stretch of an edge. */
export type GivenStretch = Extract<GivenAllowance, { on: 'stretch' }>;

/** How much is added outside the stitching line: a profile, and what is given otherwise. */
export interface Allowances {
  readonly profile: Profile;
  readonly given: readonly GivenAllowance[];
  /** How deep every seam is sewn, in mm, where that is not what its two sides have between them. */
  readonly depth?: number | undefined;
  /** How outward corners are cut where nothing else is given: mitred, where it is left out. */
  readonly corners?: CornerWay | undefined;
  /** The shipped profile, or the maker's own style, it was taken from. */
  readonly from?: string | undefined;
}

/** The metric house profile: 1.5 cm at the long seams, 1 cm at waist and rise, a hem of 4 cm. */
const HOUSE_PROFILE: Profile = { waist: 10, side: 15, inseam: 15, rise: 10, hem: 40 };

const INCH_PROFILE: Profile = {
  waist: 0.375 * 25.4,
  side: 0.625 * 25.4,
  inseam: 0.625 * 25.4,
  rise: 0.375 * 25.4,
  hem: 1.5 * 25.4,
};

/** The metric house allowances. */
export const HOUSE_ALLOWANCES: Allowances = { profile: HOUSE_PROFILE, given: [] };

/**
 * The house allowances, in mm, for a maker's unit: for inches 5/8 at the long seams, 3/8 at waist and rise, a hem of 1
 * 1/2.
 */
export const houseAllowances = (unit: Unit): Allowances => ({
  profile: { ...(unit === 'in' ? INCH_PROFILE : HOUSE_PROFILE) },
  given: [],
});

/** What a profile adds by an edge's role, in mm: nothing at a fold; at openings and joins as at the waist. */
function byRole(profile: Profile, role: EdgeRole): number {
  if (role === 'fold') return 0;
  return role === 'opening' || role === 'join' ? profile.waist : profile[role];
}

/** How deep an edge is turned, fold by fold, in mm: by the part itself, else a hem once by its allowance. */
export const foldsOf = (edge: Edge, runs: readonly WidthRun[]): readonly number[] | undefined => {
  const [first] = runs;
  if (edge.turned && first?.own) return edge.turned;
  return edge.turned !== undefined || edge.role === 'hem' ? [first?.mm ?? 0] : undefined;
};

/** How the corner at the end of an edge is cut, as given or as all are. */
export function cornerWay(part: Part, edge: string, { given, corners = 'mitred' }: Allowances): CornerWay {
  const name = part.like ?? part.id;
  const own = given.findLast((g) => g.on === 'corner' && (g.part === part.id || g.part === name) && g.edge === edge);
  return own?.on === 'corner' ? own.as : corners;
}

/** A stretch of an edge with the width outside it, in mm. */
export interface WidthRun {
  readonly path: Path;
  readonly mm: number;
  /** The width at its end, where it changes along the stretch. */
  readonly end?: number;
  /** True for what the part has of itself. */
  readonly own?: true;
}

/** A width between two lengths along an edge, in mm. */
interface Span {
  readonly from: number;
  readonly to: number;
  readonly mm: number;
  readonly end?: number;
}

/** The width of a span at a length along the edge, in mm. */
const widthAt = ({ from, to, mm, end }: Span, length: number): number =>
  end === undefined || to - from < 1e-9 ? mm : mm + ((end - mm) * (length - from)) / (to - from);

/** Widths laid over one another: where two lie on the same place the later one holds. */
function laidOver(spans: readonly Span[], whole: number): Span[] {
  const stops = [...new Set(spans.flatMap(({ from, to }) => [from, to]))].sort((a, b) => a - b);
  const found: Span[] = [];
  for (const [i, from] of stops.slice(0, -1).entries()) {
    const to = stops[i + 1] ?? whole;
    const span = spans.findLast((s) => s.from <= from && s.to >= to);
    const last = found[found.length - 1];
    if (!span) continue;
    const next: Span = {
      from,
      to,
      mm: widthAt(span, from),
      ...(span.end === undefined ? {} : { end: widthAt(span, to) }),
    };
    if (last && last.mm === next.mm && last.end === undefined && next.end === undefined) {
      found[found.length - 1] = { ...last, to };
    } else found.push(next);
  }
  return found;
}

/** Where on an edge a seam lies, as lengths in mm; nothing where the seam is elsewhere. */
function spansOfSeam({ first, second }: Seam, part: Part, edge: Edge, whole: number): (readonly [number, number])[] {
  const here = ({ part: p, edge: e }: Stretch): boolean => p === part.id && e === edge.id;
  const upTo = (place: Stretch['from'], fallback: number): number =>
    place ? pathLength(pathBetweenPlaces(edge.path, { index: 0, t: 0 }, place)) : fallback;
  return [first, second].filter(here).map((s) => [upTo(s.from, 0), upTo(s.to, whole)] as const);
}

/**
 * An edge in stretches with the width outside each: by what is given for the stretch, else for the edge, else for its
 * part, else for its seam, else by the profile (docs/trade/pieces.md). A fold has none at all.
 */
export function widthsAlong(
  { seams }: Pick<Garment, 'seams'>,
  part: Part,
  edgeId: string,
  { profile, given }: Allowances,
): WidthRun[] {
  const edge = edgeOf(part, edgeId);
  const whole = pathLength(edge.path);
  const ownWidth = edge.turned?.reduce((sum, depth) => sum + depth, 0) ?? edge.allowance;
  const base: Span = { from: 0, to: whole, mm: ownWidth ?? byRole(profile, edge.role) };
  const plain: WidthRun = { path: edge.path, mm: base.mm, ...(ownWidth === undefined ? {} : { own: true }) };
  if (edge.role === 'fold' || given.length === 0) return [plain];
  const spans: Span[] = [base];
  for (const g of given) {
    if (g.on !== 'seam') continue;
    for (const s of seams.filter((one) => one.id === g.seam || one.like === g.seam))
      spans.push(...spansOfSeam(s, part, edge, whole).map(([from, to]) => ({ from, to, mm: g.mm })));
  }
  // What is given for the part that it is one leg's of comes before what is given for its own.
  const names = [part.like, part.id];
  for (const on of ['part', 'edge', 'stretch'] as const) {
    for (const name of names) {
      for (const g of given) {
        if (g.on === 'seam' || g.on === 'corner' || g.on !== on || g.part !== name) continue;
        if (g.on !== 'part' && g.edge !== edgeId) continue;
        const [from, to] = g.on === 'stretch' ? [g.from, g.to] : [0, 1];
        const end = g.on === 'stretch' ? g.end : undefined;
        spans.push({ from: from * whole, to: to * whole, mm: g.mm, ...(end === undefined ? {} : { end }) });
      }
    }
  }
  if (spans.length === 1) return [plain];
  return laidOver(spans, whole).map(({ from, to, mm, end }) => ({
    path: pathBetweenPlaces(edge.path, placeAtLength(edge.path, from), placeAtLength(edge.path, to)),
    mm,
    ...(end === undefined ? {} : { end }),
  }));
}
