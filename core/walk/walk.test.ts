import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { computeDraft, EMPTY_INPUT, type DraftInput } from '../chain/index.js';
import type { Block } from '../draft/index.js';
import {
  along,
  contains,
  directionAtPlace,
  distance,
  endOf,
  flatten,
  pathLength,
  placeAtLength,
  quarterTurn,
  startOf,
} from '../geometry/index.js';
import { garmentOf, partOf, partOutline, type Garment } from '../garment/index.js';
import { draftGarment } from '../style/index.js';
import {
  closedWaistAtSide,
  crotchJoin,
  poseAt,
  posed,
  waistJoin,
  walkedRound,
  walkFrom,
  walkPaths,
  walkSeam,
} from './index.js';

const measured = { waist: 780, hip: 1000, crotchDepth: 272, inseam: 780 };
function block(more: Partial<DraftInput> = {}): Block {
  const outcome = computeDraft({ ...EMPTY_INPUT, measured, ...more });
  if (!outcome.ok) throw new Error('refused');
  return outcome.value.block;
}

/** The front made 8 mm longer between knee and hem. */
const longerShin: Partial<DraftInput> = {
  alterations: [
    {
      id: 'a',
      on: true,
      note: '',
      work: { kind: 'across', panel: 'front', level: { line: 'kneeLevel', by: 40 }, by: 8 },
    },
  ],
};

describe('walking the seams of a garment', () => {
  const styled = (): Garment => {
    const outcome = computeDraft({ ...EMPTY_INPUT, measured });
    if (!outcome.ok) throw new Error('refused');
    const style = [
      { id: 'shapedBand', values: {} },
      { id: 'slantPocket', values: {} },
      { id: 'fly', values: {} },
    ];
    return draftGarment(outcome.value, style, 'cm').garment;
  };

  it('lays every walked piece beside the one that stands, never upon it', () => {
    const garment = styled();
    const seams = garment.seams.filter(({ second }) => !second.mirrored);
    expect(seams.length).toBeGreaterThan(8);
    for (const { id, first, second } of seams) {
      const walk = walkSeam(garment, id);
      const pose = poseAt(walk, pathLength(walk.first) / 2);
      const here = placeAtLength(walk.first, pathLength(walk.first) / 2);
      const u = directionAtPlace(walk.first, here);
      // A little to the left and right of the seam: one of them lies in this piece, the other in that.
      const beside = [2, -2].map((by) => along(here.at, quarterTurn(u), by));
      const standing = flatten(partOutline(partOf(garment, first.part)), 0.1);
      const walked = flatten(partOutline(partOf(garment, second.part)), 0.1).map((p) => posed(pose, p));
      for (const p of beside) expect([id, contains(standing, p) && contains(walked, p)]).toEqual([id, false]);
    }
  });

  it('has no stop twice, and is the same told from either side', () => {
    const garment = styled();
    for (const { id } of garment.seams) {
      const walk = walkSeam(garment, id);
      const round = walkedRound(walk);
      expect(new Set(walk.stops.map((s) => `${Math.round(s.first)} ${Math.round(s.second)}`)).size).toBe(
        walk.stops.length,
      );
      for (const [i, m] of walk.marks.entries())
        expect((round.marks[i]?.difference ?? NaN) + m.difference).toBeCloseTo(0, 9);
      expect([round.first, walkedRound(round).stops]).toEqual([walk.second, walk.stops]);
    }
  });
});

describe('walking the seams', () => {
  it('gives the differences at every notch that a tape would', () => {
    const garment = garmentOf(block());
    const inseam = walkSeam(garment, 'inseam');
    expect(inseam.marks.map((m) => m.label)).toEqual(['knee', 'hem']);
    // From the crotch point down.
    expect([distance(startOf(inseam.first), block().front.points.crotchPoint) < 1e-6, endOf(inseam.first).y]).toEqual([
      true,
      block().front.points.inseamHem.y,
    ]);
    expect(inseam.marks[0]?.difference).toBeCloseTo(3, 1);
    expect(inseam.marks[1]?.difference).toBeCloseTo(0, 1);
    const side = walkSeam(garment, 'side');
    expect(side.marks.map((m) => m.label)).toEqual(['hip', 'crotch level', 'knee', 'hem']);
    for (const mark of side.marks) expect(Math.abs(mark.difference)).toBeLessThan(0.1);
    expect(side.marks[3]?.first).toBeCloseTo(pathLength(block().front.edges.side), 9);
    const shorts = walkSeam(garmentOf(block({ settings: { insideLength: 150, hemGirth: 640 } })), 'side');
    expect(shorts.marks.map((m) => m.label)).toEqual(['hip', 'crotch level', 'hem']);
  });

  it('finds a seam that is longer, on the stretch where it is', () => {
    const side = walkSeam(garmentOf(block(longerShin)), 'side');
    expect(side.marks.map((m) => [m.label, Math.round(m.difference) || 0])).toEqual([
      ['hip', 0],
      ['crotch level', 0],
      ['knee', 0],
      ['hem', 8],
    ]);
  });

  it('begins where the maker says, and compares both ways from there', () => {
    const { front, back } = block(longerShin);
    const side = walkSeam(garmentOf(block(longerShin)), 'side');
    expect(side.stops.map((s) => s.label)).toEqual(['waist', 'hip', 'crotch level', 'knee', 'hem']);
    const rounded = (from: string): [string, number][] =>
      walkFrom(side, from).marks.map((m) => [m.label, Math.round(m.difference) || 0]);
    // The front is longer between knee and hem, whichever way one comes by there.
    expect(rounded('waist').filter(([, by]) => by !== 0)).toEqual([['hem', 8]]);
    expect(rounded('knee')).toEqual([
      ['waist', 0],
      ['hip', 0],
      ['crotch level', 0],
      ['hem', 8],
    ]);
    expect(rounded('hem')).toEqual([
      ['waist', 0],
      ['hip', 0],
      ['crotch level', 0],
      ['knee', 8],
    ]);
    expect(walkFrom(side, 'nowhere')).toBe(side);
    // Begun at the hem both hems lie together, and at the front's knee the back's lies 8 mm further on along the seam.
    const walk = walkFrom(side, 'hem');
    const [knee, hem] = ['knee', 'hem'].map((l) => walk.stops.find((s) => s.label === l));
    if (!knee || !hem) throw new Error('both are stops');
    expect(distance(posed(poseAt(walk, hem.first), back.points.sideHem), front.points.sideHem)).toBeLessThan(1e-6);
    const backHere = placeAtLength(back.edges.side, knee.first - hem.first + hem.second).at;
    expect(distance(posed(poseAt(walk, knee.first), backHere), front.points.sideKnee)).toBeLessThan(1e-6);
    expect(Math.abs(distance(backHere, back.points.sideKnee) - 8)).toBeLessThan(0.1);
  });

  it('tells how rises and waists run on where the seams join', () => {
    expect(Math.abs(crotchJoin(block()))).toBeLessThan(0.1);
    expect(Math.abs(waistJoin(block()))).toBeLessThan(0.5);
  });

  it('lays the closed waist at the side, square to the side seam and as long as it is sewn', () => {
    const b = block();
    for (const panel of [b.front, b.back]) {
      const waist = closedWaistAtSide(panel);
      expect(pathLength(waist)).toBeCloseTo(pathLength(panel.closedWaist), 9);
      expect(distance(endOf(waist), panel.points.sideWaist)).toBeLessThan(1e-9);
      const c = waist[waist.length - 1];
      const [s] = panel.edges.side;
      if (!c || !s) throw new Error('a waist and a side');
      const along = { x: c.p3.x - c.p2.x, y: c.p3.y - c.p2.y };
      const down = { x: s.p1.x - s.p0.x, y: s.p1.y - s.p0.y };
      const cosine =
        (along.x * down.x + along.y * down.y) / (Math.hypot(along.x, along.y) * Math.hypot(down.x, down.y));
      expect(Math.abs(cosine)).toBeLessThan(0.01);
    }
  });

  it('of a seam with itself gives nothing at any place, on either side of the seam', () => {
    const { front } = block();
    fc.assert(
      fc.property(
        fc.constantFrom('side', 'inseam', 'rise', 'waist'),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (edge, share) => {
          const path = front.edges[edge as 'side'];
          const walk = walkPaths(edge, path, path, [
            { label: 'half', first: pathLength(path) / 2, second: pathLength(path) / 2 },
          ]);
          for (const mark of walk.marks) expect(mark.difference).toBe(0);
          const length = share * pathLength(path);
          const at = placeAtLength(path, length).at;
          expect(distance(posed(poseAt(walk, length), at), at)).toBeLessThan(1e-9);
        },
      ),
    );
  });

  it('lays the other piece outside the first, edge to edge, in its true size', () => {
    const b = block();
    for (const id of ['inseam', 'side'] as const) {
      const walk = walkSeam(garmentOf(b), id);
      const pose = poseAt(walk, 200);
      expect(pose.a * pose.d - pose.b * pose.c).toBeCloseTo(-1, 9);
      const [f, k] = [placeAtLength(walk.first, 200).at, posed(pose, placeAtLength(walk.second, 200).at)];
      expect(distance(f, k)).toBeLessThan(1e-9);
      const [first] = flatten(walk.second, 1);
      const last = flatten(walk.second, 1).at(-1);
      if (!first || !last) throw new Error('a seam has ends');
      expect(distance(posed(pose, first), posed(pose, last))).toBeCloseTo(distance(first, last), 9);
      // The back's middle lies on the other side of the seam from the front's.
      const side = (p: { x: number; y: number }): number => Math.sign(p.x - f.x);
      expect(side(posed(pose, { x: b.back.crease, y: f.y }))).toBe(-side({ x: b.front.crease, y: f.y }));
    }
  });
});
