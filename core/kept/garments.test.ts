import { describe, expect, it } from 'vitest';
import { computeDraft } from '../chain/index.js';
import { SHEETS } from '../shipped/index.js';
import { draftGarment } from '../style/index.js';
import { GARMENT_STARTS, startWork, type StartId } from './garments.js';
import { inputOf, setOf } from './kept.js';

let n = 0;
const newId = (): string => `g-${(n += 1)}`;
const now = new Date('2026-04-01T09:00:00Z');
const WOMAN = { waist: 740, hip: 1000, crotchDepth: 270, inseam: 770 };
const MAN = { waist: 900, hip: 1020, crotchDepth: 275, inseam: 810 };
const CHILD = { waist: 580, hip: 680, crotchDepth: 200, inseam: 520 };

/** A started garment drafted on a body. */
function drafted(id: StartId, values: typeof WOMAN, unit: 'cm' | 'in' = 'cm') {
  const work = startWork(id, newId, unit, now);
  const sheet = SHEETS.find((s) => s.id === work.draft.method);
  if (!sheet) throw new Error(`no method ${work.draft.method}`);
  const outcome = computeDraft({ ...inputOf(work, sheet), measured: values });
  if (!outcome.ok) throw new Error(`${id}: ${JSON.stringify(outcome.refusals)}`);
  return outcome.value;
}

describe('starting from a garment', () => {
  it.each(GARMENT_STARTS.map((g) => g.id))('%s is drawn from four figures, with nothing out in its lines', (id) => {
    for (const body of id === 'child' ? [CHILD] : [WOMAN, MAN]) {
      const { checks } = drafted(id, body);
      const out = checks.filter((c) => c.verdict === 'out' && c.against === 'itself').map((c) => c.id);
      expect(out).toEqual([]);
    }
  });

  it.each(GARMENT_STARTS.map((g) => g.id))('%s is finished: every component is made, and every seam agrees', (id) => {
    for (const body of id === 'child' ? [CHILD] : [WOMAN, MAN]) {
      const { style = [] } = startWork(id, newId, 'cm', now).draft;
      const made = draftGarment(drafted(id, body), style, 'cm');
      expect([style.length > 0, made.told.filter((t) => t.refusal)]).toEqual([true, []]);
      expect(made.findings.filter((f) => f.weight === 'out')).toEqual([]);
    }
  });

  it('makes shorts short, wide trousers wide and leggings close', () => {
    const plain = drafted('figures', WOMAN);
    const width = (d: typeof plain): number => d.block.front.points.inseamHem.x - d.block.front.points.sideHem.x;
    const leg = ({ block: { levels } }: typeof plain): number => levels.hemLevel - levels.crotchLevel;
    // The crotch line lies a little lower than the body's fork, so the leg under it is that much shorter.
    expect(Math.abs(leg(drafted('shorts', WOMAN)) - 220)).toBeLessThan(10);
    expect(leg(drafted('shorts', WOMAN, 'in')) - leg(drafted('shorts', WOMAN))).toBeCloseTo(8.6, 1);
    expect(width(drafted('wide', WOMAN))).toBeGreaterThan(width(plain) + 20);
    const hip = (d: typeof plain): unknown => d.checks.find((c) => c.id === 'hip')?.value;
    expect(hip(plain)).toBeGreaterThan(WOMAN.hip);
    expect(hip(drafted('leggings', WOMAN))).toBeLessThan(WOMAN.hip);
    expect(drafted('leggings', WOMAN).worked.stretch).toBeCloseTo(0.4);
  });

  it('starts a pair with a set of its own kind, by the method for pairs', () => {
    const work = startWork('pair', newId, 'cm', now);
    expect(setOf(work).source).toBe('pair');
    expect(work.draft.method).toBe('finished-pair');
  });

  it('keeps the maker’s unit', () => {
    expect(startWork('work', newId, 'in', now).person.unit).toBe('in');
    expect(startWork('work', newId, 'in', now).draft.allowances).not.toEqual(
      startWork('work', newId, 'cm', now).draft.allowances,
    );
  });
});
