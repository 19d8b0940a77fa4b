import { describe, expect, it } from 'vitest';
import { anyAlterations } from '../../bench/random-alterations.js';
import { seeded } from '../../bench/random-body.js';
import type { Alteration, AlterationWork } from '../alter/index.js';
import { checkedFigure } from '../check/index.js';
import { edgeLengths, type Leg } from '../draft/index.js';
import { offersFor } from '../correct/index.js';
import { computeDraft, EMPTY_INPUT, type Draft } from './index.js';

const measured = { waist: 780, hip: 1000, crotchDepth: 272, inseam: 780, backRise: 395 };
const seatWedge: AlterationWork = {
  kind: 'wedge',
  panel: 'back',
  from: { edge: 'rise', level: { line: 'hipLevel', by: 0 } },
  hinge: { edge: 'side', level: { line: 'hipLevel', by: 0 } },
  by: 10,
};
const waistIn: AlterationWork = {
  kind: 'seam',
  panel: 'both',
  seam: 'side',
  by: -8,
  from: { line: 'waistLine', by: -20 },
  to: { line: 'hipLevel', by: 0 },
  runOut: 60,
};

const listed = (works: readonly AlterationWork[], leg?: Leg): Alteration[] =>
  works.map((work, i) => ({ id: `${leg ?? 'both'}.${i}`, on: true, note: '', work, ...(leg && { leg }) }));

function draft(alterations: readonly Alteration[], leg: Leg = 'left'): Draft {
  const outcome = computeDraft({ ...EMPTY_INPUT, measured, alterations, leg });
  if (!outcome.ok) throw new Error(JSON.stringify(outcome.refusals));
  return outcome.value;
}

const valueOf = ({ checks }: Draft, id: string): number => Number(checks.find((c) => c.id === id)?.value);

describe('an alteration of one leg alone', () => {
  it('is done to that leg, and the other stays as it was', () => {
    const [plain, wedged] = [draft([]), draft(listed([seatWedge]))];
    const left = draft(listed([seatWedge], 'left'));
    expect(left.block.back.edges).toEqual(wedged.block.back.edges);
    expect(left.legs?.right.back.edges).toEqual(plain.block.back.edges);
    const looked = draft(listed([seatWedge], 'left'), 'right');
    expect(looked.block.back.edges).toEqual(plain.block.back.edges);
    expect(looked.altered.marks.back).toEqual([]);
    expect(draft(listed([seatWedge], 'right'), 'right').block.back.edges).toEqual(wedged.block.back.edges);
    expect(wedged.legs).toBeUndefined();
  });

  it('leaves no trace where it is switched off', () => {
    const off = listed([seatWedge], 'left').map((a) => ({ ...a, on: false }));
    expect(draft(off).legs).toBeUndefined();
    expect(draft(off).block.back.edges).toEqual(draft([]).block.back.edges);
  });

  it('of any kind draws each leg as if its own list were the draft’s', () => {
    const random = seeded(4);
    for (let i = 0; i < 40; i++) {
      const works = anyAlterations(random, 3).map(({ work }) => work);
      const mixed = works.flatMap((work, k) => listed([work], ([undefined, 'left', 'right'] as const)[(i + k) % 3]));
      const list = mixed.map((a, k) => ({ ...a, id: `m${k}` }));
      for (const leg of ['left', 'right'] as const) {
        const own = list
          .filter((a) => (a.leg ?? leg) === leg)
          .map(({ id, work }) => ({ id, on: true, note: '', work }));
        expect(draft(list, leg).block.back.edges).toEqual(draft(own).block.back.edges);
        expect(draft(list, leg).block.front.edges).toEqual(draft(own).block.front.edges);
      }
    }
  });

  it('counts half in what is measured round the whole garment, and whole in its leg', () => {
    const [none, both] = [draft([]), draft(listed([waistIn]))];
    for (const leg of ['left', 'right'] as const) {
      const one = draft(listed([waistIn], 'left'), leg);
      for (const id of ['waist', 'highHip', 'opening']) {
        expect([id, Math.abs(valueOf(both, id) - valueOf(none, id)) > 8]).toEqual([id, true]);
        expect(valueOf(one, id)).toBeCloseTo((valueOf(none, id) + valueOf(both, id)) / 2, 6);
      }
      const rise = draft(listed([seatWedge], 'left'), leg);
      expect(valueOf(rise, 'backRise')).toBeCloseTo(
        valueOf(leg === 'left' ? draft(listed([seatWedge])) : none, 'backRise'),
        6,
      );
    }
  });

  it('is sought, when it is corrected, by the figures that are shown', () => {
    for (const leg of ['left', 'right'] as const) {
      const one = draft([...listed([seatWedge], 'left'), ...listed([waistIn], 'right')], leg);
      const figures = one.checks.filter((c) => checkedFigure(c.id, one) !== undefined);
      expect(figures.length).toBeGreaterThan(10);
      for (const c of figures) expect([c.id, checkedFigure(c.id, one)]).toEqual([c.id, c.value]);
    }
  });

  it('that makes a rise longer than the one it is sewn to is told, with by how much', () => {
    const one = draft(listed([seatWedge], 'left'));
    const check = one.checks.find((c) => c.id === 'legWalk');
    const longer = edgeLengths(draft(listed([seatWedge])).block.back).rise - edgeLengths(draft([]).block.back).rise;
    expect(longer).toBeGreaterThan(8);
    expect([check?.verdict, check?.value]).toEqual(['out', longer]);
    const even = draft([...listed([seatWedge], 'left'), ...listed([seatWedge], 'right')]);
    expect(even.checks.find((c) => c.id === 'legWalk')?.verdict).toBe('in');
    expect(draft(listed([seatWedge])).checks.some((c) => c.id === 'legWalk')).toBe(false);
  });

  it('is told where it cannot be done on its leg, whichever is looked at', () => {
    const impossible: AlterationWork = { ...waistIn, by: -400 };
    for (const leg of ['left', 'right'] as const) {
      const { told } = draft([...listed([seatWedge]), ...listed([impossible], 'right')], leg).altered;
      expect(told.map((t) => [t.id, t.done])).toEqual([
        ['both.0', true],
        ['right.0', false],
      ]);
    }
  });

  it('leaves the waist of both legs to be corrected together', () => {
    const wide: AlterationWork = { ...waistIn, by: 8 };
    const input = { ...EMPTY_INPUT, measured, alterations: listed([wide], 'left') };
    const started = draft(input.alterations);
    expect(started.checks.find((c) => c.id === 'waist')?.verdict).not.toBe('in');
    const [offer] = offersFor(input, started, 'waist', 'cm').filter((o) => o.brings === 'in');
    const after = draft([
      ...input.alterations,
      ...(offer?.works ?? []).map((work, i) => ({ id: `o${i}`, on: true, note: '', work })),
    ]);
    expect(after.checks.find((c) => c.id === 'waist')?.verdict).toBe('in');
  });
});
