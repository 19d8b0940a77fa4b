import { DEMO_WORKBOOK } from '../demo/index.js';
import { describe, expect, it } from 'vitest';
import { mergeWorkbooks, planMerge, type Person, type Side, type WorkbookContent } from './index.js';

let n = 0;
const newId = (): string => `new-${++n}`;
const empty: WorkbookContent = { people: [], drafts: [], charts: [], practice: [], styles: [] };
const only = (more: Partial<WorkbookContent>): WorkbookContent => ({ ...empty, ...more });
const cellist = DEMO_WORKBOOK.people.find((p) => p.id === 'cellist') as Person;
const set = cellist.sets[0] as Person['sets'][number];
const here = only({ people: [cellist] });

/** Every waist of everybody in what a merge leaves: nothing on either side may be missing from it. */
function after(mine: WorkbookContent, theirs: WorkbookContent, side: Side): WorkbookContent {
  const plan = planMerge(mine, theirs);
  const put = mergeWorkbooks(mine, theirs, new Map(plan.conflicts.map((c) => [c.id, side])), newId);
  const join = <T extends { readonly id: string }>(a: readonly T[], b: readonly T[]): T[] => [
    ...a.filter((x) => !b.some((y) => y.id === x.id)),
    ...b,
  ];
  return {
    practice: [],
    styles: join(mine.styles, put.styles),
    people: join(mine.people, put.people),
    drafts: join(mine.drafts, put.drafts),
    charts: join(mine.charts, put.charts),
  };
}
const waists = (book: WorkbookContent): (number | undefined)[] =>
  book.people.flatMap((p) => p.sets.map((s) => s.values.waist));

describe('merging a workbook', () => {
  it('into an empty room puts everything there', () => {
    expect(planMerge(empty, DEMO_WORKBOOK)).toMatchObject({ conflicts: [], fresh: { people: 8 } });
    expect(mergeWorkbooks(empty, DEMO_WORKBOOK, new Map(), newId)).toEqual(DEMO_WORKBOOK);
  });

  it('with itself changes nothing, whatever the order of its fields', () => {
    const again = JSON.parse(JSON.stringify(DEMO_WORKBOOK)) as WorkbookContent;
    again.people.forEach((p) => {
      (p as { sets: unknown[] }).sets = p.sets.map((s) => Object.fromEntries(Object.entries(s).reverse()));
    });
    expect(planMerge(DEMO_WORKBOOK, again).conflicts).toEqual([]);
    expect(mergeWorkbooks(DEMO_WORKBOOK, again, new Map(), newId)).toEqual(empty);
  });

  it('asks nothing where a draft was only drawn and kept anew', () => {
    const [draft] = DEMO_WORKBOOK.drafts;
    if (!draft) throw new Error('the demo has drafts');
    const outline = { front: '0 0 1 1 2 2 3 3', back: '0 0 1 1 2 2 3 3', from: '' };
    const theirs = only({ drafts: [{ ...draft, outline, changed: '2026-11-28T10:00:00.000Z' }] });
    expect(planMerge(only({ drafts: [draft] }), theirs).conflicts).toEqual([]);
    expect(planMerge(only({ drafts: [{ ...draft, name: 'Another' }] }), theirs).conflicts).toHaveLength(1);
  });

  it('joins the sets of one person without asking', () => {
    const theirs = only({ people: [{ ...cellist, sets: [{ ...set, id: 'later', date: '2026-11-01' }] }] });
    expect(planMerge(here, theirs)).toMatchObject({ conflicts: [], fresh: { people: 0, sets: 1 } });
    expect(after(here, theirs, 'both').people[0]?.sets.map((s) => s.id)).toEqual(['cellist-1', 'later']);
  });

  it('asks about a set that differs and keeps the side that was chosen, or both', () => {
    const theirs = only({ people: [{ ...cellist, sets: [{ ...set, values: { ...set.values, waist: 800 } }] }] });
    expect(planMerge(here, theirs).conflicts).toMatchObject([
      { kind: 'set', about: 'Cellist, measured 2026-05-07', differs: ['waist'] },
    ]);
    expect(waists(after(here, theirs, 'mine'))).toEqual([780]);
    expect(waists(after(here, theirs, 'theirs'))).toEqual([800]);
    expect(waists(after(here, theirs, 'both'))).toEqual([780, 800]);
  });

  it('asks about facts of a person that differ, and with both keeps the other in the note', () => {
    const theirs = only({ people: [{ ...cellist, name: 'Cello', figure: 'man' }] });
    expect(planMerge(here, theirs).conflicts).toMatchObject([{ kind: 'person', differs: ['name', 'figure'] }]);
    expect(after(here, theirs, 'theirs').people[0]).toMatchObject({ name: 'Cello', figure: 'man' });
    expect(after(here, theirs, 'mine').people).toEqual([cellist]);
    const both = after(here, theirs, 'both').people[0];
    expect(both).toMatchObject({ name: 'Cellist', figure: 'woman' });
    expect(both?.note).toContain('From the file: name Cello; figure man.');
  });

  it('keeps the traces of both sides, none twice and none lost', () => {
    const trace = (id: string, inseam: number): Person['traces'][number] => ({
      id,
      name: id,
      date: '2026-10-01',
      note: '',
      points: [0, 1, 2, 3, 4].map((x) => ({ x: x * 100, y: 200 - 100 * (x - 2) ** 2 })),
      inseam,
    });
    const mine = only({ people: [{ ...cellist, traces: [trace('a', 0.4), trace('b', 0.45)] }] });
    const theirs = only({ people: [{ ...cellist, traces: [trace('b', 0.45), trace('a', 0.5), trace('c', 0.42)] }] });
    const merged = after(mine, theirs, 'both').people[0]?.traces ?? [];
    expect(merged.map((t) => t.inseam)).toEqual([0.4, 0.45, 0.5, 0.42]);
    expect(new Set(merged.map((t) => t.id)).size).toBe(4);
    const stranger: Person = { ...cellist, id: 'other', sets: [{ ...set, id: 'other-1' }], traces: [trace('d', 0.4)] };
    const named = after(mine, only({ people: [stranger] }), 'mine').people[0];
    expect(named?.traces.map((t) => t.id)).toEqual(['a', 'b', 'd']);
  });

  it('asks whether an equal name is one person; if so their drafts and sets stand under one', () => {
    const stranger: Person = { ...cellist, id: 'other', name: ' cellist', sets: [{ ...set, id: 'other-1' }] };
    const draft = {
      ...(DEMO_WORKBOOK.drafts[0] as WorkbookContent['drafts'][number]),
      id: 'd',
      personId: 'other',
      setId: 'other-1',
    };
    const theirs = only({ people: [stranger], drafts: [draft] });
    expect(planMerge(here, theirs).conflicts).toMatchObject([{ kind: 'name' }]);
    expect(after(here, theirs, 'both').people.map((p) => p.id)).toEqual(['cellist', 'other']);
    const one = after(here, theirs, 'mine');
    expect(one.people.map((p) => [p.id, p.sets.length])).toEqual([['cellist', 2]]);
    expect(one.drafts[0]).toMatchObject({ personId: 'cellist', setId: 'other-1' });
    // Whose facts hold is what was chosen; the id is the one that is here.
    const noted = only({ people: [{ ...stranger, note: 'from the file' }], drafts: [draft] });
    expect(after(here, noted, 'theirs').people).toMatchObject([{ id: 'cellist', note: 'from the file' }]);
    expect(after(here, noted, 'mine').people).toMatchObject([{ id: 'cellist', note: cellist.note }]);
  });

  it('asks about drafts, charts and styles that differ', () => {
    const draft = DEMO_WORKBOOK.drafts[0] as WorkbookContent['drafts'][number];
    const chart = { id: 'c', name: 'House', note: '', figure: 'woman' as const, sizes: [] };
    const style = { id: 's', name: 'House style', style: [{ id: 'fly', values: {} }] };
    const fresh = { id: 't', name: 'Pull-on', style: [{ id: 'casing', values: {} }] };
    const mine = only({ people: DEMO_WORKBOOK.people, drafts: [draft], charts: [chart], styles: [style] });
    const theirs = only({
      people: [],
      drafts: [{ ...draft, name: 'Other', changed: '2026-11-22T00:00:00.000Z' }],
      charts: [{ ...chart, note: 'wider' }],
      styles: [{ ...style, style: [{ id: 'band', values: {} }] }, fresh],
    });
    expect(planMerge(mine, theirs).fresh).toMatchObject({ drafts: 0, charts: 0, styles: 1 });
    expect(planMerge(mine, theirs).conflicts.map((c) => [c.kind, c.differs])).toEqual([
      ['draft', ['name']],
      ['chart', ['note']],
      ['style', ['style']],
    ]);
    expect(after(mine, theirs, 'both').drafts.map((d) => d.name)).toEqual([draft.name, 'Other (from the file)']);
    expect(after(mine, theirs, 'theirs').charts).toEqual(theirs.charts);
    expect(after(mine, theirs, 'mine').styles).toEqual([style, fresh]);
    expect(after(mine, theirs, 'theirs').styles).toEqual(theirs.styles);
  });

  it('loses no set of either side, however it is decided, unless one side was chosen', () => {
    const theirs = only({
      people: DEMO_WORKBOOK.people.map((p, i) => ({
        ...p,
        note: i % 2 ? 'changed' : p.note,
        sets: p.sets.map((s, k) => ({
          ...s,
          id: (i + k) % 3 === 0 ? `${s.id}-x` : s.id,
          values: { ...s.values, hip: 900 + i },
        })),
      })),
    });
    const merged = after(DEMO_WORKBOOK, theirs, 'both');
    const hips = merged.people.flatMap((p) => p.sets.map((s) => `${p.id} ${s.values.hip}`));
    for (const book of [DEMO_WORKBOOK, theirs]) {
      for (const p of book.people) for (const s of p.sets) expect(hips).toContain(`${p.id} ${s.values.hip}`);
    }
  });
});
