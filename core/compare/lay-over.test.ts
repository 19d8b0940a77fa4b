import { describe, expect, it } from 'vitest';
import { inputFor } from '../../bench/random-body.js';
import { edgeLengths, girthLevels, levelSpan } from '../draft/index.js';
import { SHEETS, sheetById } from '../shipped/index.js';
import { computeDraft, EMPTY_INPUT, readLevel, type Draft } from '../chain/index.js';
import { alignedAt, ALIGNMENTS, compareMany } from './index.js';

const middle = {
  waist: 780,
  hip: 1000,
  crotchDepth: 272,
  inseam: 780,
  thigh: 580,
  midThigh: 520,
  knee: 370,
  calf: 360,
};

function draftBy(id: string): Draft {
  const sheet = sheetById(id);
  const outcome = sheet && computeDraft({ ...EMPTY_INPUT, ...inputFor(sheet, middle) });
  if (!outcome?.ok) throw new Error(`${id} must draft`);
  return outcome.value;
}

const [loose, close] = [draftBy('quarter-and-half'), draftBy('close')];

describe('comparing drafts', () => {
  it('has every figure of both, with the largest difference first', () => {
    const rows = compareMany([loose, close], 'cm');
    const extension = rows.find((r) => r.id === 'back.extension');
    // What is compared is what lies on the piece.
    const lies = [loose, close].map(({ block: { back } }) => back.points.crotchPoint.x - back.points.corner.x);
    expect(extension?.values).toEqual(lies);
    expect(extension?.spread).toBeCloseTo(Math.abs((lies[0] ?? 0) - (lies[1] ?? 0)), 9);
    expect(rows.find((r) => r.id === 'back.edge.rise')?.values[1]).toBe(edgeLengths(close.block.back).rise);
    expect(rows.find((r) => r.id === 'check.hip')?.values[0]).toBe(loose.checks.find((c) => c.id === 'hip')?.value);
    const lengths = rows.filter((r) => r.kind === 'length').map((r) => r.spread);
    expect(lengths).toEqual([...lengths].sort((a, b) => b - a));
  });

  it('finds no difference between a draft and itself, and takes ten methods at once', () => {
    expect(compareMany([loose, loose], 'cm').every((r) => r.spread === 0)).toBe(true);
    const all = SHEETS.map((s) => draftBy(s.id));
    const rows = compareMany(all, 'cm');
    expect(rows.every((r) => r.values.length === 10)).toBe(true);
    expect(new Set(rows.map((r) => r.group))).toEqual(new Set(['level', 'parameter', 'width', 'edge', 'check']));
  });

  it('brings panels together at a place that each of them has', () => {
    for (const by of ALIGNMENTS) {
      for (const { block } of [loose, close]) {
        const at = alignedAt(block.back, block.levels.crotchLevel, by);
        const span = levelSpan(block.back, Math.min(Math.max(at.y, 0.5), block.levels.hemLevel));
        expect(at.x).toBeGreaterThan((span?.[0] ?? 0) - 30);
        expect(at.x).toBeLessThan((span?.[1] ?? 0) + 30);
      }
    }
    expect(alignedAt(close.block.front, 300, 'crease')).toEqual({ x: close.block.front.crease, y: 300 });
  });
});

describe('the level line', () => {
  it('reads both pieces across and holds the leg against the girth that is taken there', () => {
    const { levels } = close.block;
    const at = readLevel(close, levels.crotchLevel);
    expect(at.name).toBe('Crotch line');
    expect(at.girth).toMatchObject({ id: 'thigh', body: 580 });
    const knee = readLevel(close, levels.kneeLevel);
    expect(knee.leg).toBeCloseTo(close.worked.front.kneeWidth + close.worked.back.kneeWidth, 3);
    expect(knee.girth).toEqual({ id: 'knee', body: 370, over: expect.closeTo((knee.leg ?? 0) - 370, 9) as number });
    expect(girthLevels(close.block.levels).map(([id]) => id)).toEqual(['thigh', 'midThigh', 'knee', 'calf']);
  });
  it('reads no leg above the crotch, and nothing below the hem', () => {
    const hip = readLevel(loose, loose.block.levels.hipLevel);
    expect([hip.leg, hip.girth]).toEqual([undefined, undefined]);
    expect(hip.front).toBeGreaterThan(240);
    expect(readLevel(loose, loose.block.levels.hemLevel + 50)).toMatchObject({ front: undefined, back: undefined });
  });
});
