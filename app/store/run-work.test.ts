import { describe, expect, it } from 'vitest';
import { DEMO_WORKBOOK } from '../../core/demo/index.js';
import { bodiesOf, sayAct, type Run } from '../../core/kept/index.js';
import { SHIPPED_CHARTS } from '../../core/measure/index.js';
import { DEFAULT_SHEET } from '../../core/method/index.js';
import { SHEETS } from '../../core/shipped/index.js';
import { draftSchema } from '../../core/workbook/schema.js';
import { openWork, type OpenWork } from './open-work.js';
import { beginRun, changeRun, forgetRun, noteSewn, setOwn } from './run-work.js';
import { putSheets } from './sheets.js';
import { changeSetting } from './work-changes.js';

putSheets(SHEETS);

const { people, drafts } = DEMO_WORKBOOK;
const around = { people, drafts, charts: SHIPPED_CHARTS };
const ALL: Run['of'] = { from: 'people', people: people.map((p) => p.id) };
const own = { set: { 'back.extension': 120 }, alterations: [] };

function opened(): OpenWork {
  const draft = drafts.find((d) => d.id === 'cellist-dress');
  const person = people.find((p) => p.id === draft?.personId);
  if (!draft || !person) throw new Error('not in the demo');
  const open = openWork({ draft, person });
  beginRun('crew', { name: 'The crew', of: ALL }, new Date('2026-11-01T10:00:00'))(open);
  return open;
}
const runOf = (open: OpenWork): Run | undefined => open.state.getState().work.draft.runs?.[0];
const said = (open: OpenWork): string => {
  const act = open.done.getState().acts.findLast((a) => !a.undone);
  return act ? sayAct(act, { unit: 'cm', sheet: DEFAULT_SHEET }) : '';
};

describe('a run of the open draft', () => {
  it('is kept with the draft, each thing done one step to undo, told in words, and fits the file', () => {
    const open = opened();
    expect(said(open)).toBe('Applied to many');
    setOwn('crew', [
      ['cook', own],
      ['bargee', own],
    ])(open);
    expect(said(open)).toBe('Changed by hand for a body');
    expect(Object.keys(runOf(open)?.own ?? {})).toEqual(['cook', 'bargee']);
    expect(draftSchema.safeParse(open.state.getState().work.draft).success).toBe(true);
    open.undo();
    expect(runOf(open)?.own).toEqual({});
    open.redo();
    setOwn('crew', [['cook', undefined]])(open);
    expect(Object.keys(runOf(open)?.own ?? {})).toEqual(['bargee']);
    forgetRun('crew')(open);
    expect(runOf(open)).toBeUndefined();
    expect(said(open)).toBe('A run of many forgotten');
    open.undo();
    expect(Object.keys(runOf(open)?.own ?? {})).toEqual(['bargee']);
  });

  it('keeps what a body has by hand when the garment changes, and when the body comes back', () => {
    const open = opened();
    setOwn('crew', [['cook', own]])(open);
    changeSetting('hemGirth', 500)(open);
    const cook = (): ReturnType<typeof bodiesOf>[number] | undefined => {
      const run = runOf(open);
      return run && bodiesOf(run, open.state.getState().work, around).find((b) => b.key === 'cook');
    };
    expect(cook()?.work.draft).toMatchObject({
      settings: { hemGirth: 500 },
      set: expect.objectContaining(own.set) as object,
    });
    changeRun('crew', { of: { from: 'people', people: ['bargee'] } })(open);
    expect(said(open)).toBe('Who it is applied to');
    expect(cook()).toBeUndefined();
    changeRun('crew', { of: ALL })(open);
    expect(cook()?.byHand).toBe(true);
  });

  it('has its sewn garments noted, changed and taken out', () => {
    const open = opened();
    const sewn = { body: 'cook', name: 'Cook, no. 1', date: '2026-11-02', figures: {} };
    noteSewn('crew', 'a', sewn)(open);
    expect(said(open)).toBe('A sewn garment measured');
    noteSewn('crew', 'a', { ...sewn, figures: { hip: 1320 } })(open);
    noteSewn('crew', 'b', { ...sewn, name: 'Cook, no. 2' })(open);
    expect(runOf(open)?.sewn.map((s) => [s.name, s.figures['hip']])).toEqual([
      ['Cook, no. 1', 1320],
      ['Cook, no. 2', undefined],
    ]);
    noteSewn('crew', 'a', undefined)(open);
    expect(runOf(open)?.sewn.map((s) => s.id)).toEqual(['b']);
    noteSewn('crew', 'never noted', undefined)(open);
    expect(runOf(open)?.sewn).toHaveLength(1);
    expect(draftSchema.safeParse(open.state.getState().work.draft).success).toBe(true);
  });
});
