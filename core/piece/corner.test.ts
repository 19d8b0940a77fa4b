import { describe, expect, it } from 'vitest';
import { computeDraft, EMPTY_INPUT } from '../chain/index.js';
import { garmentOf, type Part } from '../garment/index.js';
import { contains, flatten, isClosed, line, pathLength, point, selfCrossing, type Point } from '../geometry/index.js';
import { plausibleBody, seeded } from '../../bench/random-body.js';
import {
  CORNER_WAYS,
  cornersOf,
  cutLine,
  HOUSE_ALLOWANCES,
  piecesOf,
  type Allowances,
  type CornerWay,
} from './index.js';

/** A piece whose side leans: 10 cm wide at the waist, wider or narrower at its foot. Inside on the left of its outline. */
function leaning(foot: number): Part {
  const [a, b, c, d] = [point(100, 0), point(0, 0), point(-foot, 200), point(100, 200)];
  const edges = [
    { id: 'waist', role: 'waist', path: [line(a, b)] },
    { id: 'side', role: 'side', path: [line(b, c)] },
    { id: 'foot', role: 'waist', path: [line(c, d)] },
    { id: 'centre', role: 'rise', path: [line(d, a)] },
  ] as const;
  return {
    id: 'front',
    name: 'Front',
    leg: 'both',
    edges: [...edges],
    marks: [],
    grain: [point(50, 20), point(50, 180)],
    cloth: 'shell',
    cut: { count: 2, how: 'mirrored' },
    notches: [],
  } as unknown as Part;
}

const allowed = (corners: CornerWay | undefined, given: Allowances['given'] = []): Allowances => ({
  profile: { waist: 10, side: 25, inseam: 25, rise: 10, hem: 40 },
  given,
  ...(corners && { corners }),
});

const placesOf = (part: Part, allowances: Allowances): Point[] =>
  cutLine({ seams: [] }, part, allowances).map(({ p0 }) => p0);

/** The mirror image of a point in the side's stitching line, from (0, 0) toward its foot. */
function inSide(p: Point, foot: number): Point {
  const long = Math.hypot(foot, 200);
  const [ux, uy] = [-foot / long, 200 / long];
  const along = p.x * ux + p.y * uy;
  return { x: 2 * along * ux - p.x, y: 2 * along * uy - p.y };
}

/** The corners above the waist's stitching line and left of the side's: those of the end of the side's allowance. */
const endOfSide = (part: Part, allowances: Allowances): Point[] =>
  placesOf(part, allowances).filter((p) => p.x < 40 && p.y < 30);

const outermost = (points: readonly Point[]): Point =>
  points.reduce((a, b) => (Math.hypot(a.x, a.y) > Math.hypot(b.x, b.y) ? a : b));

describe.each([60, -40, 0])('an outward corner of a waist and a side that leans by %d mm in 20 cm', (foot) => {
  const part = leaning(foot);
  const long = Math.hypot(foot, 200);

  it('is mitred where nothing is said: the two cut lines run on until they meet', () => {
    const [corner, ...others] = endOfSide(part, allowed(undefined)).filter(
      ({ x, y }) => x < -5 && Math.abs(y + 10) < 1e-6,
    );
    expect(others).toEqual([]);
    // 25 mm from the side's line, however that leans.
    expect(Math.abs(((corner?.x ?? 0) * 200 + (corner?.y ?? 0) * foot) / long)).toBeCloseTo(25, 6);
  });

  it('squared, ends square to the side where its stitching line goes out through the waist’s cut line', () => {
    const ends = endOfSide(part, allowed('squared'));
    const outer = outermost(ends);
    const through = { x: (foot * 10) / 200, y: -10 };
    // Square to the side, and as long as its allowance is wide.
    expect((outer.x - through.x) * -foot + (outer.y - through.y) * 200).toBeCloseTo(0, 4);
    expect(Math.hypot(outer.x - through.x, outer.y - through.y)).toBeCloseTo(25, 6);
    expect(ends.some((p) => Math.hypot(p.x - through.x, p.y - through.y) < 1e-6)).toBe(true);
  });

  it('stepped, lies along the waist’s cut edge once the side is sewn and pressed open', () => {
    const outer = outermost(endOfSide(part, allowed('stepped')));
    expect(inSide(outer, foot).y).toBeCloseTo(-10, 6);
    expect(Math.abs((outer.x * 200 + outer.y * foot) / long)).toBeCloseTo(25, 6);
  });

  it('is cut otherwise than the rest where that is given for it alone', () => {
    const own = allowed('mitred', [{ on: 'corner', part: 'front', edge: 'waist', as: 'stepped' }]);
    expect(endOfSide(part, own)).toEqual(endOfSide(part, allowed('stepped')));
    const elsewhere = allowed('mitred', [{ on: 'corner', part: 'front', edge: 'side', as: 'stepped' }]);
    expect(endOfSide(part, elsewhere)).toEqual(endOfSide(part, allowed('mitred')));
  });
});

describe('corners of whole pieces', () => {
  it('can be cut one way or another where nothing folds and the outline turns', () => {
    const outcome = computeDraft({
      ...EMPTY_INPUT,
      measured: { waist: 780, hip: 1000, crotchDepth: 272, inseam: 780 },
    });
    if (!outcome.ok) throw new Error('refused');
    const [front] = garmentOf(outcome.value.block).parts;
    if (!front) throw new Error('no front');
    const names = (edges: Part['edges']): string[] => cornersOf({ edges }).map(([a, b]) => `${a.id} ${b.id}`);
    expect(names(front.edges)).toEqual(['waist side', 'inseam rise', 'rise waist']);
    const folded = front.edges.map((e) => (e.id === 'waist' ? { ...e, turned: [30] } : e));
    expect(names(folded)).toEqual(['inseam rise']);
    // Where the outline runs on from one edge to the next there is no corner.
    const [a, b, c] = [point(0, 0), point(100, 0), point(200, 10)];
    const on = [
      { id: 'first', role: 'side', path: [line(a, b)] },
      { id: 'second', role: 'side', path: [line(b, c)] },
      { id: 'back', role: 'join', path: [line(c, point(200, 90)), line(point(200, 90), a)] },
    ] as const;
    expect(names([...on])).toEqual(['second back', 'back first']);
  });

  it.each(CORNER_WAYS)('%s: closed, uncrossed, the stitching line inside, and little else changed', (corners) => {
    const random = seeded(9);
    for (let i = 0; i < 25; i++) {
      const outcome = computeDraft({ ...EMPTY_INPUT, measured: plausibleBody(random) });
      if (!outcome.ok) continue;
      const garment = garmentOf(outcome.value.block);
      const mitred = piecesOf(garment, HOUSE_ALLOWANCES);
      for (const [k, { part, cut }] of piecesOf(garment, { ...HOUSE_ALLOWANCES, corners }).entries()) {
        const points = flatten(cut, 0.1);
        expect(isClosed(cut, 1e-3)).toBe(true);
        expect(selfCrossing(points)).toBeUndefined();
        for (const { path } of part.edges) expect(contains(points, path[0]?.p3 ?? point(0, 0))).toBe(true);
        expect(Math.abs(pathLength(cut) - pathLength(mitred[k]?.cut ?? []))).toBeLessThan(40);
      }
    }
  });
});
