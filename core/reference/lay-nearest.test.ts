import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { computeDraft, EMPTY_INPUT } from '../chain/index.js';
import { outlineOf, type Block } from '../draft/index.js';
import { distance, mapPath, point, turn, type Path } from '../geometry/index.js';
import { startReference, type FileShape } from './index.js';
import { nearestIn, nearestOnLine, nearLine } from './sampling.js';

const at = fc.record({
  x: fc.double({ min: -500, max: 500, noNaN: true }),
  y: fc.double({ min: -900, max: 900, noNaN: true }),
});

function blockFor(hip: number): Block {
  const measured = { waist: hip - 220, hip, crotchDepth: 272, inseam: 780 };
  const outcome = computeDraft({ ...EMPTY_INPUT, measured });
  if (!outcome.ok) throw new Error(JSON.stringify(outcome.refusals));
  return outcome.value.block;
}

describe('the nearest place of a line', () => {
  it('is found through its boxes as it is without them, wherever one looks first', () => {
    fc.assert(
      fc.property(fc.array(at, { minLength: 2, maxLength: 80 }), at, fc.nat(9), (points, p, first) => {
        const plain = nearestOnLine(points, p);
        const line = nearLine(points);
        const boxed = nearestIn(line, p, first % line.boxes.length);
        expect(boxed.distance).toBeCloseTo(plain.distance, 9);
        expect(distance(boxed.at, p)).toBeCloseTo(plain.distance, 6);
      }),
    );
  });
});

describe('a file with the pieces of several sizes', () => {
  it('is laid by the pair that is nearest, however each lies and though the next size is close', () => {
    const mine = blockFor(1000);
    const sizes = [976, 1000, 1024].map(blockFor);
    const shapes = sizes.flatMap((block, i) =>
      [block.front, block.back].map((panel, k): FileShape => {
        const path: Path = mapPath(outlineOf(panel), (p) => turn(p, 0.4 * i + 0.9 * k, point(60, 20)));
        return { layer: `${i}`, closed: true, path };
      }),
    );
    const started = startReference({ name: 'sizes.dxf', mmPerUnit: 1, shapes, leftOut: [] }, mine, '2026-11-28');
    if (!started.ok) throw new Error(JSON.stringify(started.refusals));
    const pieces = started.value.shapes.flatMap(({ layer, piece }) => (piece === 'none' ? [] : [`${piece} ${layer}`]));
    expect(pieces.sort()).toEqual(['back 1', 'front 1']);
  });
});
