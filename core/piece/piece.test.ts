import { describe, expect, it } from 'vitest';
import { plausibleBody, seeded } from '../../bench/random-body.js';
import { computeDraft, EMPTY_INPUT } from '../chain/index.js';
import { outlineOf, type Block } from '../draft/index.js';
import {
  contains,
  distance,
  enclosedArea,
  flatten,
  isClosed,
  nearestPlace,
  pathLength,
  placeAtLength,
  selfCrossing,
} from '../geometry/index.js';
import { grownBlock, HOUSE_ALLOWANCES, houseAllowances, NO_SHRINKAGE, piecesOf } from './index.js';

function blockOf(measured: Parameters<typeof computeDraft>[0]['measured'], settings = {}): Block {
  const outcome = computeDraft({ ...EMPTY_INPUT, measured, settings });
  if (!outcome.ok) throw new Error(outcome.refusals[0]?.reason ?? 'refused');
  return outcome.value.block;
}

const block = blockOf({ waist: 780, hip: 1000, crotchDepth: 272, inseam: 780 }, { hemGirth: 420 });

describe('the cut line', () => {
  it('stands off every edge by its own width', () => {
    for (const piece of piecesOf(block, HOUSE_ALLOWANCES)) {
      for (const edge of ['side', 'inseam', 'rise', 'hem'] as const) {
        const path = piece.panel.edges[edge];
        const middle = placeAtLength(path, pathLength(path) / 2);
        expect(nearestPlace(piece.cut, middle.at).distance).toBeCloseTo(HOUSE_ALLOWANCES[edge], 1);
      }
    }
  });

  it('mirrors the hem: folded up, a tapering hem meets the seam allowance above it', () => {
    const [front] = piecesOf(block, HOUSE_ALLOWANCES);
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
      for (const piece of piecesOf(blockOf(plausibleBody(random)), HOUSE_ALLOWANCES)) {
        const points = flatten(piece.cut, 0.1);
        expect(isClosed(piece.cut, 1e-3)).toBe(true);
        expect(selfCrossing(points)).toBeUndefined();
        const net = flatten(outlineOf(piece.panel), 1);
        for (const p of net) expect(contains(points, p)).toBe(true);
        expect(Math.abs(enclosedArea(piece.cut))).toBeGreaterThan(Math.abs(enclosedArea(outlineOf(piece.panel))));
      }
    }
  });

  it('lies on the stitching line where nothing is allowed', () => {
    const none = { waist: 0, side: 0, inseam: 0, rise: 0, hem: 0 };
    for (const piece of piecesOf(block, none)) {
      expect(Math.abs(enclosedArea(piece.cut))).toBeCloseTo(Math.abs(enclosedArea(outlineOf(piece.panel))), 0);
    }
  });
});

describe('notches', () => {
  it('meet when the seams are walked from the knee: front single, back double', () => {
    const [front, back] = piecesOf(block, HOUSE_ALLOWANCES);
    expect(front.notches.map((n) => [n.edge, n.label, n.count])).toEqual([
      ['side', 'hip', 1],
      ['side', 'crotch level', 1],
      ['side', 'knee', 1],
      ['inseam', 'knee', 1],
    ]);
    const fromKnee = (piece: typeof front, label: string): number => {
      const side = piece.panel.edges.side;
      const notch = piece.notches.find((n) => n.label === label && n.edge === 'side');
      const knee = pathLength(side.slice(0, 3));
      return notch ? knee - nearestPlace(side, notch.at).length : NaN;
    };
    for (const label of ['hip', 'crotch level', 'knee'])
      expect(fromKnee(front, label)).toBeCloseTo(fromKnee(back, label), 1);
    expect(back.notches.every((n) => n.count === 2)).toBe(true);
    expect(distance(front.notches[0]?.at ?? { x: 0, y: 0 }, block.front.points.sideHip)).toBeLessThan(0.01);
  });
});

describe('what is marked within a piece', () => {
  const pair = piecesOf(block, HOUSE_ALLOWANCES);

  it('has a drill mark a centimetre short of each dart’s point, on its middle line', () => {
    expect(pair.flatMap((p) => p.drills)).toHaveLength(block.front.darts.length + block.back.darts.length);
    for (const { panel, drills } of pair) {
      for (const [i, { apex, centreLeg, sideLeg }] of panel.darts.entries()) {
        const drill = drills[i] ?? { x: NaN, y: NaN };
        const mouth = { x: (centreLeg.x + sideLeg.x) / 2, y: (centreLeg.y + sideLeg.y) / 2 };
        expect(distance(drill, apex)).toBeCloseTo(10, 6);
        expect(distance(drill, mouth)).toBeCloseTo(distance(apex, mouth) - 10, 6);
      }
    }
  });

  it('has its grain line down its own crease, upper end first, and is cut twice', () => {
    expect(Math.abs(block.front.crease - block.back.crease)).toBeGreaterThan(5);
    for (const { panel, grain, cutCount } of pair) {
      const [top, bottom] = grain;
      expect([top.x, bottom.x]).toEqual([panel.crease, panel.crease]);
      expect(top.y).toBeLessThan(bottom.y - 100);
      for (const end of grain) expect(contains(flatten(outlineOf(panel), 1), end)).toBe(true);
      expect(cutCount).toBe(2);
    }
  });

  it('has its notches on its named points, pointing out of the piece', () => {
    for (const { panel, notches } of pair) {
      const { sideHip, sideKnee, inseamKnee, sideCrotch } = panel.points;
      const at = (edge: string, label: string): (typeof notches)[number] => {
        const found = notches.find((n) => n.edge === edge && n.label === label);
        if (!found) throw new Error(`no notch ${label}`);
        return found;
      };
      expect(distance(at('side', 'hip').at, sideHip)).toBeLessThan(0.01);
      expect(distance(at('side', 'knee').at, sideKnee)).toBeLessThan(0.01);
      expect(distance(at('inseam', 'knee').at, inseamKnee)).toBeLessThan(0.01);
      if (panel.name === 'front') expect(distance(at('side', 'crotch level').at, sideCrotch)).toBeLessThan(0.01);
      const outline = flatten(outlineOf(panel), 0.05);
      for (const { at: place, outward } of notches) {
        const off = (by: number): { x: number; y: number } => ({
          x: place.x + by * outward.x,
          y: place.y + by * outward.y,
        });
        expect([contains(outline, off(2)), contains(outline, off(-2))]).toEqual([false, true]);
        expect(Math.hypot(outward.x, outward.y)).toBeCloseTo(1, 9);
      }
    }
  });
});

describe('the house allowances', () => {
  it('are what a maker’s tape has, in inches and in centimetres', () => {
    const eighths = (mm: number): number => (mm / 25.4) * 8;
    const { waist, side, inseam, rise, hem } = houseAllowances('in');
    expect([waist, side, inseam, rise, hem].map((mm) => eighths(mm).toFixed(6))).toEqual(
      [3, 5, 5, 3, 12].map((count) => count.toFixed(6)),
    );
    for (const unit of ['cm', 'mm'] as const) {
      expect(houseAllowances(unit)).toEqual({ waist: 10, side: 15, inseam: 15, rise: 10, hem: 40 });
    }
  });
});

describe('pieces for a cloth that shrinks', () => {
  it('grow whole: every point, dart, level and figure comes back with the washing', () => {
    const grown = grownBlock(block, { length: 0.04, width: 0.02 });
    const washed = (p: { x: number; y: number }): { x: number; y: number } => ({ x: p.x * 0.98, y: p.y * 0.96 });
    const same = (a: { x: number; y: number }, b: { x: number; y: number }): void => {
      expect(distance(washed(a), b)).toBeLessThan(1e-6);
    };
    for (const name of ['front', 'back'] as const) {
      const [net, large] = [block[name], grown[name]];
      for (const [key, p] of Object.entries({ ...net.points })) same(large.points[key as keyof typeof net.points], p);
      expect(large.darts).toHaveLength(net.darts.length);
      for (const [i, dart] of large.darts.entries()) {
        const was = net.darts[i];
        if (!was) throw new Error('no dart');
        for (const key of ['apex', 'centreLeg', 'sideLeg', 'peak'] as const) same(dart[key], was[key]);
        expect(dart.intake).toBeCloseTo(distance(dart.centreLeg, dart.sideLeg), 9);
        expect(dart.length).toBeCloseTo(distance(dart.apex, dart.centreLeg), 9);
        expect(dart.length).toBeGreaterThan(was.length * 1.03);
      }
      expect(large.crease * 0.98).toBeCloseTo(net.crease, 9);
      expect(large.crotchWidth * 0.98).toBeCloseTo(net.crotchWidth, 6);
      expect(large.levels.kneeLevel * 0.96).toBeCloseTo(net.levels.kneeLevel, 9);
      expect(grown.levels.hemLevel * 0.96).toBeCloseTo(block.levels.hemLevel, 9);
      expect(large.hollow).toBeCloseTo(distance(large.points.hollow, large.points.corner), 9);
    }
  });

  it('come back to their net size once it has, and carry the same allowance', () => {
    const shrinkage = { length: 0.04, width: 0.02 };
    const grown = grownBlock(block, shrinkage);
    for (const name of ['front', 'back'] as const) {
      const [net, large] = [block[name], grown[name]];
      expect(large.points.inseamHem.y - large.points.sideWaist.y).toBeCloseTo(
        (net.points.inseamHem.y - net.points.sideWaist.y) / 0.96,
        6,
      );
      const washed = flatten(outlineOf(large), 0.05).map((p) => ({ x: p.x * 0.98, y: p.y * 0.96 }));
      for (const p of washed.filter((_, i) => i % 20 === 0)) {
        expect(nearestPlace(outlineOf(net), p).distance).toBeLessThan(0.1);
      }
    }
    for (const piece of piecesOf(grown, HOUSE_ALLOWANCES)) {
      const { side } = piece.panel.edges;
      const middle = placeAtLength(side, pathLength(side) / 2);
      expect(nearestPlace(piece.cut, middle.at).distance).toBeCloseTo(HOUSE_ALLOWANCES.side, 1);
    }
  });

  it('are the very block where it does not', () => {
    expect(grownBlock(block, NO_SHRINKAGE)).toBe(block);
  });
});
