import { describe, expect, it } from 'vitest';
import { alterBlock, type AlterationWork } from '../../core/alter/index.js';
import { computeDraft, EMPTY_INPUT } from '../../core/chain/index.js';
import { edgeLengths } from '../../core/draft/index.js';
import { pathLength, placeAtLength, type Point } from '../../core/geometry/index.js';
import { arrange, toBoard } from '../board/arrange.js';
import { cutBetween, dartHoldAt, holdAt, pulledTo, workOfDrag, type Hold } from './gestures.js';

const drafted = computeDraft({
  ...EMPTY_INPUT,
  measured: { waist: 780, hip: 1000, crotchDepth: 272, inseam: 780 },
});
if (!drafted.ok) throw new Error('the middle body must draft');
const { block } = drafted.value;
const arranged = arrange(block, 'sides');

const spot = (panel: 'front' | 'back', edge: 'rise' | 'side' | 'inseam', share: number): Point => {
  const path = block[panel].edges[edge];
  return toBoard(placeAtLength(path, share * pathLength(path)).at, arranged[panel]);
};
const hold = (panel: 'front' | 'back', edge: 'rise' | 'side' | 'inseam', share: number): Hold => {
  const found = holdAt(block, arranged, spot(panel, edge, share), 5);
  if (!found) throw new Error('nothing to hold');
  return found;
};
const done = (work: AlterationWork | undefined) => {
  if (!work) throw new Error('no work');
  const { block: after, told } = alterBlock(block, [{ id: 'a', on: true, note: '', work }]);
  expect(told[0]?.refusal).toBeUndefined();
  return after;
};

describe('hands on the piece', () => {
  it('take hold of the nearest seam of either piece, within reach', () => {
    expect(hold('back', 'rise', 0.3)).toMatchObject({ panel: 'back', edge: 'rise' });
    // The rise runs upward: a share counts from its upper end.
    expect(hold('back', 'rise', 0.3).share).toBeCloseTo(0.7, 3);
    expect(hold('front', 'side', 0.25)).toMatchObject({ panel: 'front', edge: 'side' });
    expect(hold('front', 'side', 0.25).share).toBeCloseTo(0.25, 3);
    const off = spot('front', 'side', 0.5);
    expect(holdAt(block, arranged, { x: off.x, y: -400 }, 20)).toBeUndefined();
  });

  it('draw a cut from one seam to a hinge on another of the same piece', () => {
    const work = cutBetween(hold('back', 'rise', 0.62), hold('back', 'side', 0.17));
    const after = done(work);
    expect(edgeLengths(after.back).rise - edgeLengths(block.back).rise).toBeCloseTo(5, 0);
    expect(cutBetween(hold('back', 'rise', 0.3), hold('back', 'rise', 0.6))).toBeUndefined();
    expect(cutBetween(hold('back', 'rise', 0.3), hold('front', 'side', 0.3))).toBeUndefined();
  });

  it('pull a wedge in whole steps, open or shut, but never to nothing', () => {
    expect(pulledTo(5, 7.4, 1)).toBe(12);
    expect(pulledTo(5, -9, 1)).toBe(-4);
    expect(pulledTo(5, -5, 1)).toBe(1);
    expect(pulledTo(-5, 5.2, 1)).toBe(-1);
    expect(pulledTo(1.5875, 1.5875, 1.5875)).toBeCloseTo(3.175, 9);
  });

  it('move a seam out as far as the hand goes out, in whole steps of the tape', () => {
    const work = workOfDrag('seam', block.front, hold('front', 'side', 0.3), { x: -6.4, y: 2 }, 1);
    expect(work).toMatchObject({ kind: 'seam', seam: 'side', by: 6 });
    const place = hold('front', 'side', 0.3).at;
    const [low] = [done(work).front].map((p) =>
      Math.min(...p.edges.side.flatMap((c) => (Math.abs(c.p0.y - place.y) < 60 ? [c.p0.x] : []))),
    );
    expect(low).toBeLessThan(place.x);
    expect(workOfDrag('seam', block.front, hold('front', 'inseam', 0.5), { x: 4, y: 0 }, 1)).toMatchObject({
      seam: 'inseam',
      by: 4,
    });
    expect(workOfDrag('seam', block.front, hold('front', 'side', 0.3), { x: 0.2, y: 9 }, 1)).toBeUndefined();
  });

  it('push the crotch curve deeper toward the piece, and fill it the other way', () => {
    const at = hold('back', 'rise', 0.25);
    const deeper = workOfDrag('scoop', block.back, at, { x: -4, y: 5 }, 1);
    expect(deeper).toMatchObject({ kind: 'scoop', panel: 'back' });
    expect(deeper?.kind === 'scoop' && deeper.by > 3).toBe(true);
    const filled = workOfDrag('scoop', block.back, at, { x: 4, y: -5 }, 1);
    expect(filled?.kind === 'scoop' && filled.by < -3).toBe(true);
    expect(workOfDrag('scoop', block.back, hold('back', 'side', 0.3), { x: 5, y: 5 }, 1)).toBeUndefined();
  });

  it('turn the seat line by what the waist moves, wherever it is held', () => {
    const nearWaist = workOfDrag('tilt', block.back, hold('back', 'rise', 0.98), { x: -6, y: 0 }, 1);
    expect(nearWaist).toMatchObject({ kind: 'tilt', by: 6 });
    const lower = workOfDrag('tilt', block.back, hold('back', 'rise', 0.75), { x: -3, y: 0 }, 1);
    expect(lower?.kind === 'tilt' && lower.by > 4).toBe(true);
    expect(done(nearWaist).back.points.centreWaist.x).toBeLessThan(block.back.points.centreWaist.x - 5);
  });

  it('move a dart by its mouth, turn it by its point, and lengthen it downward', () => {
    const [dart] = block.back.darts;
    if (!dart) throw new Error('the back has a dart');
    const mouth = dartHoldAt(block, arranged, toBoard(dart.peak, arranged.back), 8);
    const point = dartHoldAt(block, arranged, toBoard(dart.apex, arranged.back), 8);
    if (!mouth || !point) throw new Error('nothing to hold');
    const sideward = { x: -10, y: 0 };
    expect(workOfDrag('dart', block.back, mouth, sideward, 1)).toMatchObject({ act: 'move', by: 10 });
    expect(workOfDrag('dart', block.back, point, sideward, 1)).toMatchObject({ act: 'turn', by: 10 });
    expect(workOfDrag('dart', block.back, point, { x: 1, y: 12 }, 1)).toMatchObject({ act: 'length', by: 12 });
    expect(dartHoldAt(block, arranged, spot('back', 'inseam', 0.4), 8)).toBeUndefined();
  });

  it('split a dart that is pulled up out of the waist by its mouth', () => {
    const [dart] = block.back.darts;
    const mouth = dart && dartHoldAt(block, arranged, toBoard(dart.peak, arranged.back), 8);
    if (!dart || !mouth) throw new Error('nothing to hold');
    const pulled = (y: number): AlterationWork | undefined => workOfDrag('dart', block.back, mouth, { x: 2, y }, 1);
    expect(pulled(-40)).toMatchObject({ kind: 'dart', act: 'split' });
    expect(done(pulled(-40)).back.darts).toHaveLength(block.back.darts.length + 1);
    expect(pulled(-8)).not.toMatchObject({ act: 'split' });
  });

  it('turn a dart into the seam, or the hem, that it is let go on', () => {
    const [dart] = block.back.darts;
    const point = dart && dartHoldAt(block, arranged, toBoard(dart.apex, arranged.back), 8);
    if (!dart || !point) throw new Error('nothing to hold');
    const onto = (edge: 'side' | 'rise' | 'hem', share: number): AlterationWork | undefined => {
      const path = block.back.edges[edge];
      const to = placeAtLength(path, share * pathLength(path)).at;
      return workOfDrag('dart', block.back, point, { x: to.x - point.at.x, y: to.y - point.at.y }, 1);
    };
    expect(onto('side', 0.15)).toMatchObject({ act: 'intoSide' });
    expect(onto('rise', 0.85)).toMatchObject({ act: 'intoCentre' });
    expect(onto('hem', 0.4)).toMatchObject({ act: 'intoHem' });
    for (const work of [onto('side', 0.15), onto('rise', 0.85), onto('hem', 0.4)]) {
      expect(done(work).back.darts).toHaveLength(block.back.darts.length - 1);
    }
  });
});
