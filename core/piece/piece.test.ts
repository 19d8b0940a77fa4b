import { describe, expect, it } from 'vitest';
import { plausibleBody, seeded } from '../../bench/random-body.js';
import { alterBlock } from '../alter/index.js';
import { computeDraft, EMPTY_INPUT } from '../chain/index.js';
import type { Block } from '../draft/index.js';
import { edgeOf, garmentOf, partOf, partOutline, type Garment, type PartMark } from '../garment/index.js';
import {
  contains,
  distance,
  enclosedArea,
  flatten,
  isClosed,
  isStraight,
  nearestPlace,
  pathLength,
  placeAtLength,
  selfCrossing,
  type Path,
  type Point,
} from '../geometry/index.js';
import {
  grownGarment,
  HOUSE_ALLOWANCES,
  houseAllowances,
  piecesOf,
  widthsAlong,
  type Allowances,
  type GivenAllowance,
  type Piece,
} from './index.js';

function blockOf(measured: Parameters<typeof computeDraft>[0]['measured'], settings = {}): Block {
  const outcome = computeDraft({ ...EMPTY_INPUT, measured, settings });
  if (!outcome.ok) throw new Error(JSON.stringify(outcome.refusals));
  return outcome.value.block;
}

const block = blockOf({ waist: 780, hip: 1000, crotchDepth: 272, inseam: 780 }, { hemGirth: 420 });
const garment = garmentOf(block);
const pieces = piecesOf(garment, HOUSE_ALLOWANCES);
const house = HOUSE_ALLOWANCES.profile;

function pieceOf(id: 'front' | 'back', among = pieces): Piece {
  const found = among.find(({ part }) => part.id === id);
  if (!found) throw new Error(`no ${id}`);
  return found;
}
const edge = ({ part }: Piece, id: string): Path => edgeOf(part, id).path;
const drillsOf = ({ part }: Piece): Point[] => part.marks.flatMap((m: PartMark) => (m.kind === 'drill' ? [m.at] : []));
const half = (path: Path): Point => placeAtLength(path, pathLength(path) / 2).at;

describe('the cut line', () => {
  it('stands off every edge by its own width', () => {
    for (const piece of pieces) {
      for (const id of ['side', 'inseam', 'rise', 'hem'] as const) {
        expect(nearestPlace(piece.cut, half(edge(piece, id))).distance).toBeCloseTo(house[id], 1);
      }
    }
  });

  it('mirrors the hem: folded up, a tapering hem meets the seam allowance above it', () => {
    const front = pieceOf('front');
    const hem = block.levels.hemLevel;
    const points = flatten(front.cut, 0.01);
    const below = points.filter((p) => Math.abs(p.y - (hem + 40)) < 0.01).map((p) => p.x);
    const widthBelow = Math.max(...below) - Math.min(...below);
    const widthAt = (y: number): number => {
      const xs = points.flatMap((p, i) => {
        const q = points[(i + 1) % points.length] ?? p;
        return (p.y - y) * (q.y - y) < 0 ? [p.x + ((q.x - p.x) * (y - p.y)) / (q.y - p.y)] : [];
      });
      return Math.max(...xs) - Math.min(...xs);
    };
    expect(widthBelow).toBeCloseTo(widthAt(hem - 40), 1);
  });

  it('is closed, uncrossed and outside the stitching line for 200 bodies', () => {
    const random = seeded(5);
    for (let i = 0; i < 200; i++) {
      for (const piece of piecesOf(garmentOf(blockOf(plausibleBody(random))), HOUSE_ALLOWANCES)) {
        const points = flatten(piece.cut, 0.1);
        expect(isClosed(piece.cut, 1e-3)).toBe(true);
        expect(selfCrossing(points)).toBeUndefined();
        const net = flatten(partOutline(piece.part), 1);
        for (const p of net) expect(contains(points, p)).toBe(true);
        expect(Math.abs(enclosedArea(piece.cut))).toBeGreaterThan(Math.abs(enclosedArea(partOutline(piece.part))));
      }
    }
  });

  it('lies on the stitching line where nothing is allowed', () => {
    const none = { profile: { waist: 0, side: 0, inseam: 0, rise: 0, hem: 0 }, given: [] };
    for (const piece of piecesOf(garment, none)) {
      expect(Math.abs(enclosedArea(piece.cut))).toBeCloseTo(Math.abs(enclosedArea(partOutline(piece.part))), 0);
    }
  });
});

describe('allowances', () => {
  const given = (...list: readonly GivenAllowance[]): Allowances => ({ ...HOUSE_ALLOWANCES, given: list });
  const widthAt = (part: 'front' | 'back', id: string, share: number, allowances: Allowances): number => {
    const runs = widthsAlong(garment, partOf(garment, part), id, allowances);
    const path = edgeOf(partOf(garment, part), id).path;
    const at = placeAtLength(path, pathLength(path) * share).at;
    return runs.reduce((a, b) => (nearestPlace(b.path, at).distance < nearestPlace(a.path, at).distance ? b : a)).mm;
  };

  it('go from profile to seam, to part, to edge, to stretch: each takes the one before unless given', () => {
    const letOut = given(
      { on: 'stretch', part: 'back', edge: 'side', from: 0, to: 0.3, mm: 30 },
      { on: 'edge', part: 'back', edge: 'side', mm: 22 },
      { on: 'seam', seam: 'side', mm: 20 },
    );
    const of = (part: 'front' | 'back', share: number): number => widthAt(part, 'side', share, letOut);
    expect([of('front', 0.1), of('front', 0.7), of('back', 0.1), of('back', 0.7)]).toEqual([20, 20, 30, 22]);
    // What is given for a part is more particular than for a seam, and covers all its edges.
    const back = given({ on: 'part', part: 'back', mm: 18 }, { on: 'seam', seam: 'inseam', mm: 12 });
    expect([widthAt('back', 'inseam', 0.5, back), widthAt('front', 'inseam', 0.5, back)]).toEqual([18, 12]);
    expect([widthAt('back', 'waist', 0.2, back), widthAt('front', 'waist', 0.2, back)]).toEqual([18, house.waist]);
  });

  it('step square where the width changes along a seam, and the cut line stays closed and uncrossed', () => {
    const wide = given({ on: 'stretch', part: 'back', edge: 'side', from: 0.1, to: 0.4, mm: 40 });
    const { cut } = pieceOf('back', piecesOf(garment, wide));
    const { path } = edgeOf(partOf(garment, 'back'), 'side');
    const off = (share: number): number => nearestPlace(cut, placeAtLength(path, pathLength(path) * share).at).distance;
    expect([off(0.05), off(0.25), off(0.6)].map((mm) => Math.round(mm))).toEqual([15, 40, 15]);
    expect(isClosed(cut, 1e-3)).toBe(true);
    expect(selfCrossing(flatten(cut, 0.1))).toBeUndefined();
    // The steps run square to the seam: 25 mm each, and nothing of them is longer.
    const steps = cut.filter((c) => {
      const [a, b] = [nearestPlace(path, c.p0).distance, nearestPlace(path, c.p3).distance];
      return Math.abs(Math.abs(a - b) - 25) < 0.1 && Math.abs(distance(c.p0, c.p3) - 25) < 0.1;
    });
    expect(steps).toHaveLength(2);
  });

  it('hold along a hem as well, straight or curved, on a leg that tapers and on one that flares', () => {
    const deeper = given({ on: 'stretch', part: 'back', edge: 'hem', from: 0.3, to: 0.7, mm: 60 });
    const turned = { kind: 'dart', panel: 'back', dart: 0, act: 'intoHem', by: 0, keepWaist: true } as const;
    const flared = alterBlock(block, [{ id: 'a', on: true, note: '', work: turned }]).block;
    expect(flared.back.edges.hem.every((c) => isStraight(c))).toBe(false);
    for (const of of [garment, garmentOf(flared)]) {
      for (const [allowances, middle] of [
        [HOUSE_ALLOWANCES, 40],
        [deeper, 60],
      ] as const) {
        const { cut, part } = pieceOf('back', piecesOf(of, allowances));
        const hem = edgeOf(part, 'hem').path;
        const off = (share: number): number =>
          nearestPlace(cut, placeAtLength(hem, pathLength(hem) * share).at).distance;
        expect([off(0.15), off(0.5), off(0.85)].map((mm) => Math.round(mm))).toEqual([40, middle, 40]);
        expect(selfCrossing(flatten(cut, 0.1))).toBeUndefined();
        expect(isClosed(cut, 1e-3)).toBe(true);
      }
    }
  });

  it('widen a centre back for letting out without moving the front', () => {
    const out = piecesOf(garment, given({ on: 'edge', part: 'back', edge: 'rise', mm: 25 }));
    expect(pieceOf('front', out)).toEqual(pieceOf('front'));
    expect(nearestPlace(pieceOf('back', out).cut, half(edge(pieceOf('back'), 'rise'))).distance).toBeCloseTo(25, 1);
  });
});

describe('notches', () => {
  it('meet when the seams are walked from the knee: front single, back double', () => {
    const [front, back] = [pieceOf('front'), pieceOf('back')];
    expect(front.notches.map((n) => [n.edge, n.label, n.count])).toEqual([
      ['side', 'hip', 1],
      ['side', 'crotch level', 1],
      ['side', 'knee', 1],
      ['inseam', 'knee', 1],
    ]);
    const fromKnee = (piece: Piece, label: string): number => {
      const side = edge(piece, 'side');
      const notch = piece.notches.find((n) => n.label === label && n.edge === 'side');
      const knee = pathLength(side.slice(0, block[piece.part.id as 'front'].joints.sideKnee));
      return notch ? knee - nearestPlace(side, notch.at).length : NaN;
    };
    for (const label of ['hip', 'crotch level', 'knee'])
      expect(fromKnee(front, label)).toBeCloseTo(fromKnee(back, label), 1);
    expect(back.notches.every((n) => n.count === 2)).toBe(true);
    expect(distance(front.notches[0]?.at ?? { x: 0, y: 0 }, block.front.points.sideHip)).toBeLessThan(0.01);
  });
});

describe('what is marked within a piece', () => {
  it('has a drill mark a centimetre short of each dart’s point, on its middle line', () => {
    for (const piece of pieces) {
      const { darts } = block[piece.part.id as 'front'];
      const drills = drillsOf(piece);
      expect(drills).toHaveLength(darts.length);
      for (const [i, { apex, centreLeg, sideLeg }] of darts.entries()) {
        const drill = drills[i] ?? { x: NaN, y: NaN };
        const mouth = { x: (centreLeg.x + sideLeg.x) / 2, y: (centreLeg.y + sideLeg.y) / 2 };
        expect(distance(drill, apex)).toBeCloseTo(10, 6);
        expect(distance(drill, mouth)).toBeCloseTo(distance(apex, mouth) - 10, 6);
      }
    }
  });

  it('has its grain line down its own crease, upper end first, and is cut twice, mirrored', () => {
    expect(Math.abs(block.front.crease - block.back.crease)).toBeGreaterThan(5);
    for (const { part } of pieces) {
      const [top, bottom] = part.grain;
      const { crease } = block[part.id as 'front'];
      expect([top.x, bottom.x]).toEqual([crease, crease]);
      expect(top.y).toBeLessThan(bottom.y - 100);
      for (const end of part.grain) expect(contains(flatten(partOutline(part), 1), end)).toBe(true);
      expect(part.cut).toEqual({ count: 2, how: 'mirrored' });
    }
  });

  it('has its notches on its named points, pointing out of the piece', () => {
    for (const { part, notches } of pieces) {
      const { sideHip, sideKnee, inseamKnee, sideCrotch } = block[part.id as 'front'].points;
      const at = (of: string, label: string): (typeof notches)[number] => {
        const found = notches.find((n) => n.edge === of && n.label === label);
        if (!found) throw new Error(`no notch ${label}`);
        return found;
      };
      expect(distance(at('side', 'hip').at, sideHip)).toBeLessThan(0.01);
      expect(distance(at('side', 'knee').at, sideKnee)).toBeLessThan(0.01);
      expect(distance(at('inseam', 'knee').at, inseamKnee)).toBeLessThan(0.01);
      if (part.id === 'front') expect(distance(at('side', 'crotch level').at, sideCrotch)).toBeLessThan(0.01);
      const outline = flatten(partOutline(part), 0.05);
      for (const { at: place, outward } of notches) {
        const off = (by: number): Point => ({ x: place.x + by * outward.x, y: place.y + by * outward.y });
        expect([contains(outline, off(2)), contains(outline, off(-2))]).toEqual([false, true]);
        expect(Math.hypot(outward.x, outward.y)).toBeCloseTo(1, 9);
      }
    }
  });
});

describe('the house allowances', () => {
  it('are what a maker’s tape has, in inches and in centimetres', () => {
    const eighths = (mm: number): number => (mm / 25.4) * 8;
    const { waist, side, inseam, rise, hem } = houseAllowances('in').profile;
    expect([waist, side, inseam, rise, hem].map((mm) => eighths(mm).toFixed(6))).toEqual(
      [3, 5, 5, 3, 12].map((count) => count.toFixed(6)),
    );
    for (const unit of ['cm', 'mm'] as const) {
      expect(houseAllowances(unit).profile).toEqual({ waist: 10, side: 15, inseam: 15, rise: 10, hem: 40 });
    }
  });
});

describe('pieces for a cloth that shrinks', () => {
  const shrinkage = { length: 0.04, width: 0.02 };
  const washed = (p: Point): Point => ({ x: p.x * 0.98, y: p.y * 0.96 });
  const points = (of: Garment): Point[] =>
    of.parts.flatMap(({ edges, marks, grain, words }) => [
      ...edges.flatMap(({ path, sewn }) => [...flatten(path, 1), ...flatten(sewn ?? [], 1)]),
      ...marks.flatMap((m) => (m.kind === 'drill' ? [m.at] : flatten(m.path, 1))),
      ...grain,
      ...words,
    ]);

  it('grow whole: every line, dart, level and mark comes back with the washing', () => {
    const grown = grownGarment(garment, () => shrinkage);
    const controls = (of: Garment): Point[] =>
      of.parts.flatMap(({ edges, marks, grain, words }) => [
        ...[
          ...edges.flatMap(({ path, sewn }) => [...path, ...(sewn ?? [])]),
          ...marks.flatMap((m) => (m.kind === 'drill' ? [] : m.path)),
        ].flatMap((c) => [c.p0, c.p1, c.p2, c.p3]),
        ...marks.flatMap((m) => (m.kind === 'drill' ? [m.at] : [])),
        ...grain,
        ...words,
      ]);
    const [net, large] = [controls(garment), controls(grown)];
    expect(large).toHaveLength(net.length);
    for (const [i, p] of large.entries()) expect(distance(washed(p), net[i] ?? p)).toBeLessThan(1e-6);
    expect(Math.max(...points(grown).map((p) => p.y))).toBeGreaterThan(Math.max(...points(garment).map((p) => p.y)));
  });

  it('keep their notches on the same places of the cloth, and carry the same allowance', () => {
    const grown = piecesOf(
      grownGarment(garment, () => shrinkage),
      HOUSE_ALLOWANCES,
    );
    for (const piece of grown) {
      const net = pieceOf(piece.part.id as 'front');
      expect(piece.notches).toHaveLength(net.notches.length);
      for (const [i, { at }] of piece.notches.entries()) {
        expect(distance(washed(at), net.notches[i]?.at ?? at)).toBeLessThan(1e-6);
      }
      expect(nearestPlace(piece.cut, half(edge(piece, 'side'))).distance).toBeCloseTo(house.side, 1);
    }
  });

  it('are the very garment where it does not', () => {
    expect(grownGarment(garment, () => ({ length: 0, width: 0 }))).toBe(garment);
  });
});
