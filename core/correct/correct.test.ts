import { describe, expect, it } from 'vitest';
import { inputFor } from '../../bench/random-body.js';
import type { AlterationWork } from '../alter/index.js';
import { computeDraft, EMPTY_INPUT, type Draft, type DraftInput } from '../chain/index.js';
import { plainValue, type CheckId } from '../check/index.js';
import { edgeLengths } from '../draft/index.js';
import { SHEETS } from '../shipped/index.js';
import { effectFigures, offersFor, sayEffect, triedWorks, type Offer } from './index.js';

const measured = { waist: 780, hip: 1000, crotchDepth: 272, inseam: 780 };

function draft(input: DraftInput): Draft {
  const outcome = computeDraft(input);
  if (!outcome.ok) throw new Error(JSON.stringify(outcome.refusals));
  return outcome.value;
}

const plain: DraftInput = { ...EMPTY_INPUT, measured };
const rise = edgeLengths(draft(plain).block.back).rise;

function offers(id: CheckId, more: Partial<DraftInput>): Offer[] {
  const input = { ...plain, ...more };
  return offersFor(input, draft(input), id, 'cm');
}
const byId = (list: readonly Offer[], id: string): Offer => {
  const found = list.find((o) => o.id === id);
  if (!found) throw new Error(`no offer ${id} among ${list.map((o) => o.id).join(', ')}`);
  return found;
};

describe('corrections offered for a seat that is 20 mm short', () => {
  const short = { measured: { ...measured, backRise: rise + 20 } };
  const list = offers('backRise', short);

  it('open a wedge by what is missing, and say what that does to every other check', () => {
    const wedge = byId(list, 'backRise.wedge');
    expect(wedge.said).toBe('Back: open 20 mm at the rise at the hip line, hinge at the side');
    expect(wedge.brings).toBe('in');
    expect(wedge.caution).toContain('bias');
    expect(wedge.effects[0]).toMatchObject({ id: 'backRise', verdictWas: 'out', verdictIs: 'in' });
    expect(wedge.effects.some((e) => e.id === 'sideWalk')).toBe(false);
    const told = (unit: 'cm' | 'in'): string => wedge.effects.map((e) => sayEffect(e, unit))[0] ?? '';
    expect(told('cm')).toBe(
      `back rise ${(rise / 10).toFixed(1)} cm now, ${((rise + 20) / 10).toFixed(1)} cm then, in band`,
    );
    expect(told('in')).toMatch(/^back rise \d+( \d+\/\d+)? in now, \d+( \d+\/\d+)? in then, in band$/);
  });

  it('are in steps of the maker’s tape, so that what is said is what is done', () => {
    const input = { ...plain, ...short };
    for (const offer of offersFor(input, draft(input), 'backRise', 'in')) {
      for (const work of offer.works) {
        const mm =
          work.kind === 'waist' ? work.centre : work.kind === 'crotchPoint' ? work.out : 'by' in work ? work.by : 0;
        expect([offer.id, (mm / 25.4) * 16]).toEqual([offer.id, expect.closeTo(Math.round((mm / 25.4) * 16), 6)]);
        expect(offer.said).not.toMatch(/ 0 in/);
      }
    }
  });

  it('offer three quarters of it as well, and other ways', () => {
    expect(byId(list, 'backRise.wedge-part').said).toContain('15 mm');
    expect(byId(list, 'backRise.wedge-part').brings).not.toBe('out');
    expect(byId(list, 'backRise.waist').said).toBe('Back: raise the waist 20 mm at the centre');
    expect(list.map((o) => o.id)).toEqual(
      expect.arrayContaining(['backRise.wedge-low', 'backRise.extension']) as unknown,
    );
  });

  it('do what they say when they are taken', () => {
    for (const offer of list) {
      const works = offer.works.map((work, i) => ({ id: `t${i}`, on: true, note: '', work }));
      const taken = draft({ ...plain, ...short, alterations: works });
      for (const effect of offer.effects) {
        const is = taken.checks.find((c) => c.id === effect.id);
        expect([offer.id, effect.id, is && plainValue(is, 'cm')]).toEqual([offer.id, effect.id, effect.is]);
      }
    }
  });
});

describe('corrections for the other checks', () => {
  const cases: readonly (readonly [CheckId, Partial<DraftInput>])[] = [
    ['frontRise', { measured: { ...measured, frontRise: edgeLengths(draft(plain).block.front).rise - 12 } }],
    ['wholeRise', { measured: { ...measured, crotchLength: 720 } }],
    ['waist', { set: { 'front.waistWidth': 215 } }],
    ['hip', { settings: { hipEase: 100 }, set: { 'front.hipWidth': 245, 'back.hipWidth': 245 } }],
    ['thigh', { measured: { ...measured, thigh: 640 } }],
    ['knee', { measured: { ...measured, knee: 480 } }],
    ['hem', { settings: { hemGirth: 300 }, figure: 'man' }],
    ['highHip', { measured: { ...measured, highHip: 985 } }],
    ['inseamWalk', { set: { 'back.crotchDrop': 0 } }],
    ['sideWalk', { set: { 'back.sideLift': 25 } }],
    ['darts', { set: { 'back.dartIntake': 45 } }],
    ['crease', { set: { 'front.creaseShift': 6, 'back.creaseShift': 6 } }],
  ];
  it.each(cases)('%s is brought in', (id, more) => {
    const was = draft({ ...plain, ...more }).checks.find((c) => c.id === id);
    const list = offers(id, more);
    expect(list.length).toBeGreaterThan(0);
    expect([id, was?.verdict === 'in' && id !== 'crease', list.some((o) => o.brings === 'in')]).toEqual([
      id,
      false,
      true,
    ]);
  });

  it('are not offered where nothing on the piece would help', () => {
    expect(offers('outline', {})).toEqual([]);
    expect(offers('riseCharacter', {})).toEqual([]);
  });

  it('warn of a front curve cut away', () => {
    const list = offers('frontRise', {
      measured: { ...measured, frontRise: edgeLengths(draft(plain).block.front).rise + 12 },
    });
    const scoop = list.find((o) => o.id === 'frontRise.scoop');
    expect(scoop === undefined || scoop.caution?.includes('toile')).toBe(true);
  });
});

describe('a rise that turns back', () => {
  const with1 = (work: AlterationWork): Partial<DraftInput> => ({
    alterations: [{ id: 'a', on: true, note: '', work }],
  });
  const LINE = 'backRiseLine';
  const hollowed = (by: number): Partial<DraftInput> =>
    with1({
      kind: 'seam',
      panel: 'back',
      seam: 'centre',
      by,
      from: { line: 'hipLevel', by: -10 },
      to: { line: 'hipLevel', by: 10 },
      runOut: 60,
    });

  it('is drawn anew in one bend, with what that does to its length, and only where it is unfair', () => {
    const unfair = hollowed(-9);
    expect(draft({ ...plain, ...unfair }).checks.find((c) => c.id === LINE)?.verdict).toBe('out');
    const [redraw, ...more] = offers(LINE, unfair);
    expect(more).toEqual([]);
    expect(redraw).toMatchObject({ id: `${LINE}.redraw`, said: 'Back: rise drawn anew in one bend', brings: 'in' });
    expect(redraw?.works.map((w) => [w.kind, w.panel])).toEqual([['rise', 'back']]);
    expect(offers(LINE, {})).toEqual([]);
  });

  it('is brought right for most centre seams moved in or out, and never offered what does not bring it right', () => {
    let [out, mended] = [0, 0];
    for (let by = -14; by <= 14; by += 2) {
      const input = { ...plain, ...hollowed(by) };
      const before = draft(input);
      if (before.checks.find((c) => c.id === LINE)?.verdict === 'in') continue;
      out += 1;
      const [offer] = offersFor(input, before, LINE, 'cm');
      if (!offer) continue;
      mended += 1;
      const after = draft({
        ...input,
        alterations: [
          ...(input.alterations ?? []),
          ...offer.works.map((work) => ({ id: 'b', on: true, note: '', work })),
        ],
      });
      expect(after.checks.find((c) => c.id === LINE)?.verdict).toBe('in');
    }
    expect(out).toBeGreaterThan(4);
    expect(mended / out).toBeGreaterThan(0.6);
  });

  it('is never left so by a turn of the seat line: the program’s own work is drawn in one bend', () => {
    for (let above = 0; above <= 80; above += 8) {
      for (const by of [-18, -12, 12, 19]) {
        const work: AlterationWork = { kind: 'tilt', panel: 'back', above, by, giveBack: true };
        const line = draft({ ...plain, ...with1(work) }).checks.find((c) => c.id === LINE);
        expect([above, by, line?.verdict]).toEqual([above, by, 'in']);
      }
    }
  });

  it('is never left so by a seat that is 10, 20 or 50 mm short: the first offer brings it in with every line in band', () => {
    for (const sheet of SHEETS) {
      const base = { ...EMPTY_INPUT, ...inputFor(sheet, measured) };
      const lines = (d: Draft): string[] =>
        d.checks.filter((c) => /Line$/.test(c.id) && c.id !== 'thighLine' && c.verdict !== 'in').map((c) => c.id);
      const drafted = draft(base);
      for (const short of [10, 20, 50]) {
        const input = {
          ...base,
          measured: { ...base.measured, backRise: edgeLengths(drafted.block.back).rise + short },
        };
        const before = draft(input);
        if (before.checks.find((c) => c.id === 'backRise')?.verdict !== 'out') continue;
        const [first] = offersFor(input, before, 'backRise', 'cm');
        const after = draft({
          ...input,
          alterations: (first?.works ?? []).map((work) => ({ id: 'b', on: true, note: '', work })),
        });
        const where = `${sheet.id} ${short}`;
        expect([where, after.checks.find((c) => c.id === 'backRise')?.verdict]).toEqual([where, 'in']);
        expect([where, lines(after).filter((id) => !lines(before).includes(id))]).toEqual([where, []]);
      }
    }
  });

  it('stop where they are told that it takes too long, and keep what was found', () => {
    const input = { ...EMPTY_INPUT, measured: { ...measured, backRise: 420 } };
    const before = draft(input);
    const all = offersFor(input, before, 'backRise', 'cm');
    expect(all.length).toBeGreaterThan(3);
    expect(offersFor(input, before, 'backRise', 'cm', () => true)).toEqual([]);
    // Stopped between two ways: the first stands as it is found without a clock, and none comes after it.
    let asked = 0;
    const some = offersFor(input, before, 'backRise', 'cm', () => (asked += 1) > 12);
    expect(some.length).toBeGreaterThan(0);
    expect(some.length).toBeLessThan(all.length);
    expect(some).toEqual(all.slice(0, some.length));
  });
});

describe('what a correction does', () => {
  it('is told only where the reader’s tape shows it: nothing reads the same now and then', () => {
    const input = { ...plain, measured: { ...measured, backRise: rise + 20, frontRise: 290, thigh: 600 } };
    for (const unit of ['cm', 'in'] as const) {
      const effects = (['backRise', 'frontRise', 'thigh', 'waist'] as const).flatMap((id) =>
        offersFor(input, draft(input), id, unit).flatMap((o) => o.effects),
      );
      expect(effects.length).toBeGreaterThan(10);
      for (const effect of effects.filter((e) => e.verdictWas === e.verdictIs)) {
        const { now, then } = effectFigures(effect, unit);
        expect(now, `${effect.id} ${unit}`).not.toBe(then);
      }
    }
  });
});

describe('works that are tried', () => {
  it('show the draft as it would be, and only themselves as they are done on paper', () => {
    const before: DraftInput = {
      ...plain,
      alterations: [
        { id: 'kept', on: true, note: '', work: { kind: 'levelHem', panel: 'front', inside: 4, outside: 0 } },
      ],
    };
    const wedge: AlterationWork = {
      kind: 'wedge',
      panel: 'back',
      from: { edge: 'rise', level: { line: 'hipLevel', by: 0 } },
      hinge: { edge: 'side', level: { line: 'hipLevel', by: 0 } },
      by: 15,
    };
    const tried = triedWorks(before, draft(before), [wedge], 'cm');
    if (!tried) throw new Error('can be done');
    expect(tried.marks.front).toEqual([]);
    expect(tried.marks.back.map((m) => m.kind)).toContain('wedge');
    const long = (d: Draft): number => edgeLengths(d.block.back).rise;
    expect(long(tried.draft) - long(draft(before))).toBeCloseTo(15, 0);
    expect(tried.effects.length).toBeGreaterThan(0);
    expect(triedWorks(before, draft(before), [{ ...wedge, by: 900 }], 'cm')).toBeUndefined();
  });
});
