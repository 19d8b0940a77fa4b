import { describe, expect, it } from 'vitest';
import { computeDraft, EMPTY_INPUT, type DraftInput } from '../chain/index.js';
import { outlineOf, type Block } from '../draft/index.js';
import type { Measured } from '../measure/index.js';
import { drawnFrom, drawnOtherwise, keptOutline, newDraft, newPerson, readOutline, type KeptOutline } from './index.js';

const measured = { waist: 780, hip: 1000, crotchDepth: 272, inseam: 780 };
function block(more: Partial<DraftInput> = {}): Block {
  const outcome = computeDraft({ ...EMPTY_INPUT, measured, ...more });
  if (!outcome.ok) throw new Error('refused');
  return outcome.value.block;
}

const person = newPerson(() => 'p', 'Somebody', 'cm', new Date('2026-11-28'));
const work = { person, draft: newDraft(() => 'd', person, 'Trousers', new Date('2026-11-28')) };
const kept = (drawn: Block): KeptOutline => keptOutline(drawn, work);

describe('the outline that is kept with a draft', () => {
  it('says what of the person it was drawn from, whatever the order of the figures', () => {
    const [set] = person.sets;
    if (!set) throw new Error('a new person has a set');
    const withValues = (values: Measured) => drawnFrom({ ...work, person: { ...person, sets: [{ ...set, values }] } });
    expect(withValues({ waist: 780, hip: 1000 })).toBe(withValues({ hip: 1000, waist: 780 }));
    expect(withValues({ waist: 780, hip: 1000 })).not.toBe(withValues({ waist: 780, hip: 1001 }));
    expect(drawnFrom({ ...work, person: { ...person, figure: 'man' } })).not.toBe(drawnFrom(work));
    expect(drawnFrom({ ...work, person: { ...person, name: 'Another' } })).toBe(drawnFrom(work));
  });

  it('reads back as it was drawn, to a hundredth of a millimetre', () => {
    const drawn = block();
    for (const panel of ['front', 'back'] as const) {
      const was = outlineOf(drawn[panel]);
      const read = readOutline(kept(drawn)[panel]) ?? [];
      expect(read).toHaveLength(was.length);
      for (const [i, c] of read.entries()) {
        for (const p of ['p0', 'p1', 'p2', 'p3'] as const) {
          expect(Math.abs(c[p].x - (was[i]?.[p].x ?? NaN))).toBeLessThan(0.0051);
          expect(Math.abs(c[p].y - (was[i]?.[p].y ?? NaN))).toBeLessThan(0.0051);
        }
      }
    }
    for (const bad of ['', '1 2', '1 2 3', 'a b c d e f g h']) expect(readOutline(bad)).toBeUndefined();
  });

  it('tells nothing of a block that lies alike, and of another the largest difference and where it is', () => {
    const drawn = block();
    expect(drawnOtherwise(kept(drawn), drawn)).toBeUndefined();
    const hair = block({
      set: { 'front.hemWidth': drawn.front.points.inseamHem.x - drawn.front.points.sideHem.x + 0.6 },
    });
    expect(drawnOtherwise(kept(drawn), hair)).toBeUndefined();
    // The front's crotch point 12 mm further out than when it was kept.
    const out = drawn.front.points.crotchPoint.x - drawn.front.points.corner.x;
    const moved = block({ set: { 'front.extension': out + 12 } });
    const told = drawnOtherwise(kept(drawn), moved);
    expect(told?.panel).toBe('front');
    expect(['rise', 'inseam']).toContain(told?.edge);
    expect(Math.abs((told?.by ?? 0) - 12)).toBeLessThan(1.5);
    expect(Math.abs((told?.below ?? 0) - moved.levels.crotchLevel)).toBeLessThan(6);
    // The other way round it is the same difference.
    expect(drawnOtherwise(kept(moved), drawn)?.by).toBeCloseTo(told?.by ?? NaN, 1);
  });
});
