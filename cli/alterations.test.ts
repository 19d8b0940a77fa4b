import { describe, expect, it } from 'vitest';
import { STARTING_KINDS, startingWork, type Alteration, type AlterationWork } from '../core/alter/index.js';
import { UNITS, readerIn, type Unit } from '../core/units/index.js';
import { asOrdered, readAlterations } from './alterations.js';
import { orderRefusalWords } from '../core/refusal/index.js';

const rise: AlterationWork = {
  kind: 'rise',
  panel: 'back',
  points: [
    { x: 0, y: 0 },
    { x: -61.5, y: -18.25 },
    { x: -92, y: -204 },
  ],
  blend: 0.4,
  keepLength: true,
};
const every: readonly AlterationWork[] = [
  ...STARTING_KINDS.map((kind) => startingWork(kind, 'back')),
  rise,
  {
    kind: 'wedge',
    panel: 'front',
    from: { edge: 'inseam', share: 0.25 },
    hinge: { edge: 'side', share: 0.6 },
    by: -7.5,
  },
];

/** Every number of an alteration, lengths and shares, in the order of their names. */
function numbers(value: unknown): number[] {
  if (typeof value === 'number') return [value];
  if (typeof value !== 'object' || value === null) return [];
  const byName = Object.entries(value).sort(([a], [b]) => (a < b ? -1 : 1));
  return byName.flatMap(([, v]) => numbers(v));
}

function read(listed: readonly Record<string, unknown>[], unit: Unit): Alteration[] {
  const outcome = readAlterations(listed, unit);
  if (!outcome.ok) throw new Error(JSON.stringify(outcome.refusals));
  return outcome.value;
}

describe('an alteration in an order', () => {
  it.each(UNITS)('comes back from %s as it was, whatever its kind', (unit) => {
    for (const work of every) {
      const alteration = { id: 'x', on: false, note: 'From the toile', work };
      const [back] = read([asOrdered(alteration, unit)], unit);
      expect(back).toMatchObject({ on: false, note: 'From the toile' });
      expect(back?.work.kind).toBe(work.kind);
      const [was, is] = [numbers(work), numbers(back?.work)];
      expect(is).toHaveLength(was.length);
      for (const [i, x] of was.entries()) expect(is[i]).toBeCloseTo(x, 2);
    }
  });

  it('is for both legs unless it names one, and for no third', () => {
    const work = startingWork('scoop', 'back');
    const ordered = asOrdered({ id: 'x', on: true, note: '', work, leg: 'right' }, 'cm');
    expect([ordered['leg'], read([ordered], 'cm')[0]?.leg]).toEqual(['right', 'right']);
    expect(asOrdered({ id: 'x', on: true, note: '', work }, 'cm')).not.toHaveProperty('leg');
    const outcome = readAlterations([{ ...ordered, leg: 'middle' }], 'cm');
    expect(outcome.ok ? [] : outcome.refusals.map((r) => r.field)).toEqual(['alterations.0.leg']);
  });

  it('leaves shares and counts as they are, and turns lengths into the unit', () => {
    const inches = asOrdered({ id: 'x', on: true, note: '', work: startingWork('scoop', 'back') }, 'in');
    expect(inches).toMatchObject({ at: 0.45, by: 0.1575 });
    expect(inches).not.toHaveProperty('on');
    expect(inches).not.toHaveProperty('note');
    const place = asOrdered({ id: 'x', on: true, note: '', work: every[every.length - 1] ?? rise }, 'cm');
    expect(place).toMatchObject({ from: { edge: 'inseam', share: 0.25 }, by: -0.75 });
  });

  it('takes lengths as text in any notation', () => {
    const [wedge] = read([{ ...startingWork('wedge', 'back'), by: '3/8 in' }], 'cm');
    expect(wedge?.work.kind === 'wedge' && wedge.work.by).toBeCloseTo(9.525, 9);
    const [waist] = read([{ kind: 'waist', panel: 'both', centre: '-12mm', side: '1/2' }], 'in');
    expect(waist?.work).toMatchObject({ centre: -12, side: 12.7 });
  });

  it('is refused by its place where it is not understood, all mistakes at once', () => {
    const listed = [
      { ...startingWork('crease', 'back'), by: 'wide' },
      startingWork('tilt', 'back'),
      { kind: 'stretch', panel: 'back' },
      { ...startingWork('crease', 'back'), on: 'yes' },
    ] as Record<string, unknown>[];
    const outcome = readAlterations(listed, 'cm');
    if (outcome.ok) throw new Error('read');
    expect(outcome.refusals.map((r) => r.field)).toEqual([
      'alterations.0.by',
      'alterations.2.kind',
      'alterations.3.on',
    ]);
    for (const r of outcome.refusals) expect(orderRefusalWords(r, readerIn('cm'))[1]).toContain('docs/alterations.md');
  });
});
