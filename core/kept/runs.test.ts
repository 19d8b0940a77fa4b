import { describe, expect, it } from 'vitest';
import { computeDraft } from '../chain/index.js';
import { DEMO_WORKBOOK } from '../demo/index.js';
import { SHIPPED_CHARTS } from '../measure/index.js';
import { SHEETS } from '../shipped/index.js';
import { draftSchema, personSchema } from '../workbook/schema.js';
import { bodiesOf, draftOfBody, gone, inputOf, setOf, type Run, type Work } from './index.js';

const { people, drafts } = DEMO_WORKBOOK;
const draft = drafts.find((d) => d.id === 'cellist-dress');
const person = people.find((p) => p.id === 'cellist');
if (!draft || !person) throw new Error('The demo has a cellist');
const work: Work = { person, draft };
const around = { people, drafts, charts: SHIPPED_CHARTS };
const run = (of: Run['of'], own: Run['own'] = {}): Run => ({
  id: 'run',
  name: 'All',
  made: '2026-05-05T09:00:00.000Z',
  of,
  own,
  sewn: [],
});
const ALL = { from: 'people' as const, people: people.map((p) => p.id) };
const inputFor = (body: { readonly work: Work }): ReturnType<typeof inputOf> => {
  const sheet = SHEETS.find((s) => s.id === body.work.draft.method);
  if (!sheet) throw new Error('no sheet');
  return inputOf(body.work, sheet);
};

describe('the bodies of a run', () => {
  it('are people with the garment on the set that counts now, the garment’s owner with its own set', () => {
    const bodies = bodiesOf(run(ALL), work, around);
    expect(bodies.map((b) => b.key)).toEqual(people.map((p) => p.id));
    const puppeteer = bodies.find((b) => b.key === 'lead-puppeteer');
    expect(puppeteer?.note).toBe('2026-10-05');
    expect(puppeteer && setOf(puppeteer.work).id).toBe('lead-puppeteer-2');
    expect(bodies.find((b) => b.key === 'cellist')?.note).toBe(setOf(work).date);
    const mine = bodies.find((b) => b.key === 'cellist');
    expect(mine && inputFor(mine)).toEqual(inputFor({ work }));
    for (const { work: each } of bodies) {
      expect(each.draft).toMatchObject({ style: draft.style, allowances: draft.allowances, method: draft.method });
      expect(each.draft.versions).toBeUndefined();
    }
  });

  it('are sizes of a chart by their figures', () => {
    const [chart] = SHIPPED_CHARTS;
    if (!chart) throw new Error('no chart');
    const sizes = chart.sizes.slice(2, 5).map((s) => s.name);
    const bodies = bodiesOf(run({ from: 'chart', chart: chart.id, sizes }), work, around);
    expect(bodies.map((b) => b.name)).toEqual(sizes);
    for (const [i, body] of bodies.entries()) {
      const input = inputFor(body);
      expect(input.measured).toEqual(chart.sizes[i + 2]?.values);
      expect(input.figure).toBe(chart.figure);
      expect(computeDraft(input).ok).toBe(true);
    }
  });

  it('have their own lines and alterations beside the garment’s, or a draft of their own in its place', () => {
    const alteration = {
      id: 'a',
      on: true,
      note: '',
      work: { kind: 'scoop', panel: 'back', by: 4, flat: false } as never,
    };
    const other = drafts.find((d) => d.personId === 'cook');
    if (!other) throw new Error('no draft of the cook');
    const bodies = bodiesOf(
      run(ALL, {
        bargee: { set: { 'back.extension': 99 }, alterations: [alteration] },
        cook: { set: {}, alterations: [], draft: other.id },
        'lamp-operator': { set: {}, alterations: [], draft: 'deleted since' },
      }),
      work,
      around,
    );
    const byKey = new Map(bodies.map((b) => [b.key, b]));
    expect(byKey.get('bargee')?.work.draft.set).toEqual({ ...draft.set, 'back.extension': 99 });
    expect(byKey.get('bargee')?.work.draft.alterations).toEqual([...draft.alterations, alteration]);
    expect(byKey.get('bargee')?.byHand).toBe(true);
    expect(byKey.get('cook')?.work.draft).toBe(other);
    // A draft of its own that is no longer there: the garment is it again.
    expect(byKey.get('lamp-operator')).toMatchObject({ own: undefined, byHand: false });
    expect(byKey.get('cellist')?.byHand).toBe(false);
  });

  it('that are no longer here are counted, not made up', () => {
    const of = { ...ALL, people: [...ALL.people, 'left the crew'] };
    const bodies = bodiesOf(run(of), work, around);
    expect(bodies).toHaveLength(people.length);
    expect(gone(run(of), bodies)).toBe(1);
    const lost = run({ from: 'chart', chart: 'deleted', sizes: ['1', '2'] });
    expect(gone(lost, bodiesOf(lost, work, around))).toBe(2);
  });

  it('become drafts of their own that draft the same', () => {
    const [body] = bodiesOf(run({ from: 'people', people: ['bargee'] }), work, around);
    if (!body) throw new Error('no bargee');
    const { draft: own, person: whose } = draftOfBody(body, () => 'own', new Date('2026-05-06T10:00:00Z'));
    expect(whose).toBeUndefined();
    expect(own).toMatchObject({ id: 'own', personId: 'bargee', name: `${draft.name}, Bargee` });
    expect(inputFor({ work: { ...body.work, draft: own } })).toEqual(inputFor(body));
  });

  it('becomes a draft of its own for a size too, with a person who has its figures', () => {
    const [chart] = SHIPPED_CHARTS;
    const size = chart?.sizes[4];
    if (!chart || !size) throw new Error('no size');
    const of = { from: 'chart' as const, chart: chart.id, sizes: [size.name] };
    const [body] = bodiesOf(run(of), work, around);
    if (!body) throw new Error('no body');
    let ids = 0;
    const { draft: own, person: whose } = draftOfBody(body, () => `id-${ids++}`, new Date('2026-05-06T10:00:00Z'));
    if (!whose) throw new Error('nobody');
    expect(whose).toMatchObject({ name: `${size.name}, ${chart.name}`, figure: chart.figure });
    expect([own.personId, own.setId]).toEqual([whose.id, whose.sets[0]?.id]);
    expect(setOf({ person: whose, draft: own })).toMatchObject({
      source: 'chart',
      size: { chart: chart.name, name: size.name },
      values: size.values,
    });
    expect(inputFor({ work: { person: whose, draft: own } })).toEqual(inputFor(body));
    expect(personSchema.safeParse(whose).success && draftSchema.safeParse(own).success).toBe(true);
    // From then on the run takes it as it is, under the size's name.
    const kept = { ...around, people: [...people, whose], drafts: [...drafts, own] };
    const [after] = bodiesOf(run(of, { [size.name]: { set: {}, alterations: [], draft: own.id } }), work, kept);
    expect(after).toMatchObject({ key: size.name, name: size.name, own, byHand: true });
  });
});
