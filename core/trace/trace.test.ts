import { describe, expect, it } from 'vitest';
import { seeded } from '../../bench/random-body.js';
import { computeDraft, EMPTY_INPUT, type Draft, type DraftInput } from '../chain/index.js';
import { crotchJoin } from '../walk/index.js';
import { edgeLengths } from '../draft/index.js';
import {
  angleBetween,
  distance,
  endDirection,
  flatten,
  pathLength,
  runningLengths,
  startDirection,
  turn,
  type Point,
  bendOf,
} from '../geometry/index.js';
import { joinedRises, layTrace, sayGaps, smoothTrace, takeShape, type BodyTrace, type SmoothTrace } from './index.js';
import { readerIn } from '../units/index.js';
import { fileRefusalsSentence } from '../refusal/index.js';

const measured = { waist: 780, hip: 1000, crotchDepth: 272, inseam: 780 };
function draft(more: Partial<DraftInput> = {}): Draft {
  const outcome = computeDraft({ ...EMPTY_INPUT, measured, ...more });
  if (!outcome.ok) throw new Error('refused');
  return outcome.value;
}
const { block } = draft();
const joined = joinedRises(block);

/** A trace like the joined rises themselves, with the back pushed out by `deeper` mm about a place on it. */
function traceOf(deeper = 0, change: (p: Point) => Point = (p) => p): BodyTrace {
  const front = flatten(joined.front, 0.5);
  const back = flatten(joined.back, 0.5).slice(1);
  const behind = back.map((p) => {
    const near = Math.exp(-(((p.x - 115) / 45) ** 2));
    return { x: p.x + deeper * near * 0.6, y: p.y + deeper * near * 0.8 };
  });
  const length = pathLength(joined.front);
  const points = [...front, ...behind];
  const total = points.slice(1).reduce((sum, p, i) => sum + distance(p, points[i] as Point), 0);
  return { points: points.map(change), inseam: length / total };
}
function smooth(trace: BodyTrace): SmoothTrace {
  const outcome = smoothTrace(trace);
  if (!outcome.ok) throw new Error(JSON.stringify(outcome.refusals));
  return outcome.value;
}

describe('the joined rises', () => {
  it('run on at the crotch point, front to the left, waist up, in their true length', () => {
    const [f, b] = [joined.front, joined.back];
    expect(angleBetween(endDirection(f), startDirection(b))).toBeLessThan(0.01);
    const first = f[0]?.p0;
    const last = b.at(-1)?.p3;
    expect(first?.x).toBeLessThan(-20);
    expect(last?.x).toBeGreaterThan(60);
    expect(Math.max(first?.y ?? 0, last?.y ?? 0)).toBeLessThan(-200);
    expect(pathLength(joined.path)).toBeCloseTo(edgeLengths(block.front).rise + edgeLengths(block.back).rise, 6);
    const p = block.back.points.hollow;
    expect(distance(joined.ways.back.back(joined.ways.back.there(p)), p)).toBeLessThan(1e-9);
  });
});

describe('a trace', () => {
  it('is placed with the inseam at the origin, whichever way it was drawn and wherever it lay', () => {
    const plain = smooth(traceOf());
    const moved = smooth(traceOf(0, (p) => ({ x: 900 - p.x, y: p.y + 300 })));
    for (const trace of [plain, moved]) {
      expect(trace.path[0]?.p0.x).toBeLessThan(0);
      expect(trace.path[0]?.p0.y).toBeLessThan(-150);
      expect(trace.total).toBeCloseTo(pathLength(joined.path), -1);
    }
    expect(distance(plain.path[0]?.p0 ?? { x: 0, y: 0 }, moved.path[0]?.p0 ?? { x: 9, y: 9 })).toBeLessThan(0.01);
  });

  it('loses the tremble of a hand and keeps its shape', () => {
    const random = seeded(7);
    const shaky = smooth(traceOf(0, (p) => ({ x: p.x + (random() - 0.5) * 3, y: p.y + (random() - 0.5) * 3 })));
    const laid = layTrace(block, shaky);
    expect(Math.abs(laid.front.worst.off)).toBeLessThan(5);
    expect(Math.abs(laid.back.worst.off)).toBeLessThan(5);
  });

  it.each([
    [[{ x: 0, y: 0 }], 0.4, 'fewer than five'],
    [Array.from({ length: 9 }, (_, i) => ({ x: i * 2, y: (i - 4) ** 2 })), 0.5, 'which no crotch is'],
    [traceOf().points, 0.02, 'inseam does not fall'],
    [traceOf().points.map((p) => ({ x: p.x, y: -p.y })), 0.43, 'hangs upward'],
  ] as const)('that is none is refused in a sentence', (points, inseam, words) => {
    const outcome = smoothTrace({ points, inseam });
    expect(outcome.ok ? '' : fileRefusalsSentence(outcome.refusals, readerIn('cm'))).toContain(words);
  });
});

describe('a trace laid on the rises', () => {
  it('of the rises themselves lies on them', () => {
    const laid = layTrace(block, smooth(traceOf()));
    expect(Math.abs(laid.front.worst.off)).toBeLessThan(1.5);
    expect(Math.abs(laid.back.worst.off)).toBeLessThan(1.5);
    expect(sayGaps('back', laid.back, 'cm')).toContain('follows the body');
  });

  it('says how far, where and what to do where the body reaches beyond the seam', () => {
    const laid = layTrace(block, smooth(traceOf(16)));
    expect(laid.back.worst.off).toBeGreaterThan(8);
    expect(laid.back.area).toBeGreaterThan(300);
    expect(sayGaps('back', laid.back, 'cm')).toMatch(
      /The back seam stands \d+ mm inside the body \d+\.\d cm above the crotch: scoop it\./,
    );
    const hollow = layTrace(block, smooth(traceOf(-16)));
    expect(hollow.back.worst.off).toBeLessThan(-8);
    expect(sayGaps('back', hollow.back, 'cm')).toContain('away from the body');
    expect(sayGaps('back', hollow.back, 'in')).toMatch(/\d\/\d+ in/);
  });

  it('that lay askew on its paper is turned to lie nearest', () => {
    for (const angle of [-0.25, 0.2]) {
      const laid = layTrace(block, smooth(traceOf(0, (p) => turn(p, angle))));
      expect(Math.abs(laid.front.worst.off)).toBeLessThan(2);
      expect(Math.abs(laid.back.worst.off)).toBeLessThan(2);
    }
  });

  it('that ends below the waist is compared only as far as it goes', () => {
    const whole = traceOf();
    const lengths = runningLengths(whole.points);
    const total = lengths[lengths.length - 1] ?? 0;
    // The straight parts of the rises have no points within: the trace ends on the nearest that there are.
    const kept = lengths.flatMap((at, i) => (at >= 40 && at <= total - 60 ? [i] : []));
    const points = kept.map((i) => whole.points[i] as Point);
    const [from, to] = [lengths[kept[0] ?? 0] ?? 0, lengths[kept[kept.length - 1] ?? 0] ?? 0];
    expect([from > 40, to < total - 60]).toEqual([true, true]);
    const laid = layTrace(block, smooth({ points, inseam: (whole.inseam * total - from) / (to - from) }));
    expect(Math.abs(laid.front.worst.off)).toBeLessThan(2);
    expect(Math.abs(laid.back.worst.off)).toBeLessThan(2);
    expect(Math.max(...laid.front.gaps.map((g) => g.at))).toBeLessThan(pathLength(joined.front) - from + 1);
  });

  it('tells in front as well which way the body stands', () => {
    const belly =
      (by: number) =>
      (p: Point): Point =>
        p.x < 0 ? { x: p.x - by * Math.exp(-(((p.y + 130) / 50) ** 2)), y: p.y } : p;
    const beyond = layTrace(block, smooth(traceOf(0, belly(16))));
    expect(beyond.front.worst.off).toBeGreaterThan(6);
    expect(sayGaps('front', beyond.front, 'cm')).toContain('inside the body');
    expect(layTrace(block, smooth(traceOf(0, belly(-16)))).front.worst.off).toBeLessThan(-6);
  });

  it('is a check of the draft, out where the shape is', () => {
    const check = (trace: BodyTrace | undefined) => draft({ trace }).checks.find((c) => c.id === 'riseShape');
    expect(check(undefined)).toBeUndefined();
    expect(check(traceOf())?.verdict).toBe('in');
    expect(check(traceOf(16))).toMatchObject({ verdict: 'out', low: -5, high: 5 });
  });

  it('gives its shape to the seam within the limit, the rise as long as it was', () => {
    const trace = traceOf(14);
    const before = layTrace(block, smooth(trace));
    const work = takeShape(block, before, 'back', 20);
    const after = draft({ trace, alterations: [{ id: 'a', on: true, note: '', work }] });
    expect(after.altered.told[0]?.refusal).toBeUndefined();
    const laid = layTrace(after.block, smooth(trace));
    expect(Math.abs(laid.back.worst.off)).toBeLessThan(0.55 * Math.abs(before.back.worst.off));
    expect(edgeLengths(after.block.back).rise).toBeCloseTo(edgeLengths(block.back).rise, 1);
    expect(Math.abs(crotchJoin(after.block))).toBeLessThan(1);
    const { rise } = after.block.back.edges;
    expect(bendOf(rise.slice(0, after.block.back.joints.curveStart), 400).changesSign).toBe(false);
    const little = draft({ alterations: [{ id: 'a', on: true, note: '', work: takeShape(block, before, 'back', 3) }] });
    const moved = layTrace(little.block, smooth(traceOf()));
    expect(Math.abs(moved.back.worst.off)).toBeLessThan(4.5);
  });
});
