import { DEMO_WORKBOOK } from '../../core/demo/index.js';
import { describe, expect, it, vi } from 'vitest';
import { startingWork } from '../../core/alter/index.js';
import { setOf, type Work } from '../../core/kept/index.js';
import { SHEETS } from '../../core/shipped/index.js';
import { putSheets } from './sheets.js';
import { openWork, type OpenWork } from './open-work.js';
import {
  changeMeasurement,
  changeMethod,
  changeSheet,
  changeSetting,
  choose,
  giveBack,
  joined,
  previewByHand,
  renameDraft,
  setByHand,
  changeRules,
} from './work-changes.js';
import { readerIn } from '../../core/units/index.js';
import { refusalsSentence } from '../../core/refusal/index.js';

function cellist(): Work {
  const draft = DEMO_WORKBOOK.drafts.find((d) => d.id === 'cellist-dress');
  const person = DEMO_WORKBOOK.people.find((p) => p.id === 'cellist');
  if (!draft || !person) throw new Error('The demo has no cellist');
  return { draft, person };
}

/** How many acts can be undone, and how many done again. */
const steps = ({ done }: OpenWork): { past: number; future: number } => {
  const { acts } = done.getState();
  return { past: acts.filter((a) => !a.undone).length, future: acts.filter((a) => a.undone).length };
};

describe('another method', () => {
  it('keeps what it has too, drops what it has not, and undo brings everything back', () => {
    const [draft] = DEMO_WORKBOOK.drafts.filter((d) => d.id === 'lamp-plain');
    const person = DEMO_WORKBOOK.people.find((p) => p.id === draft?.personId);
    if (!draft || !person) throw new Error('The demo has no lamp operator');
    const open = openWork({
      person,
      draft: { ...draft, settings: { hipEase: 30, split: 5 }, set: { 'back.extension': 90 } },
    });
    const [thirds] = SHEETS.filter((s) => s.id === 'thirds');
    if (!thirds) throw new Error('No thirds');
    putSheets(SHEETS);
    changeMethod(thirds)(open);
    const kept = open.state.getState().work.draft;
    expect(kept).toMatchObject({
      method: 'thirds',
      settings: { hipEase: 30 },
      choices: {},
      set: { 'back.extension': 90 },
    });
    expect(kept.settings['split']).toBeUndefined();
    expect(open.computed.getState().draft?.worked.sheet.id).toBe('thirds');
    const own = { ...thirds, id: 'own-1', name: 'Mine', basedOn: 'thirds' };
    changeMethod(own)(open);
    expect(open.state.getState().work.draft).toMatchObject({ method: 'own-1', sheet: { name: 'Mine' } });
    changeSheet((sheet) => ({ ...sheet, name: 'Mine too' }))(open);
    expect(open.computed.getState().draft?.worked.sheet.name).toBe('Mine too');
    changeMethod(thirds)(open);
    expect(open.state.getState().work.draft.sheet).toBeUndefined();
    for (let i = 0; i < 4; i++) open.undo();
    expect(open.state.getState().work.draft).toMatchObject({ method: 'quarter-and-half', settings: { split: 5 } });
  });
});

describe('changes that belong together', () => {
  it('are undone at once, and redone at once', () => {
    const open = openWork(cellist());
    const { state } = open;
    const before = state.getState().work.draft.settings['hipEase'];
    changeSetting('hipEase', 10)(open);
    for (const mm of [20, 30, 40]) joined(changeSetting('hipEase', mm))(open);
    expect([state.getState().work.draft.settings['hipEase'], steps(open).past]).toEqual([40, 1]);
    open.undo();
    expect(state.getState().work.draft.settings['hipEase']).toBe(before);
    open.redo();
    expect(state.getState().work.draft.settings['hipEase']).toBe(40);
  });
});

describe('the open work', () => {
  it('computes at every change, and undoes and redoes without end', () => {
    const open = openWork(cellist());
    const extension = (): unknown => open.computed.getState().draft?.worked.back.extension;
    for (let i = 1; i <= 150; i++) setByHand({ 'back.extension': 100 + i / 10 })(open);
    expect(extension()).toBe(115);
    expect(steps(open)).toEqual({ past: 150, future: 0 });
    for (let i = 0; i < 150; i++) open.undo();
    expect(extension()).toBe(132.5);
    for (let i = 0; i < 150; i++) open.redo();
    expect(extension()).toBe(115);
  });

  it('shows a held handle at once, keeps what was before, and forgets it when it is given up', () => {
    const open = openWork(cellist());
    const before = open.computed.getState().draft;
    previewByHand({ 'back.extension': 90 })(open);
    previewByHand({ 'back.extension': 95 })(open);
    expect(open.computed.getState().draft?.worked.back.extension).toBe(95);
    expect(open.computed.getState().before).toBe(before);
    previewByHand(undefined)(open);
    expect(open.computed.getState().draft?.worked.back.extension).toBe(132.5);
    expect(open.computed.getState().before).toBeUndefined();
    expect(steps(open).past).toBe(0);
  });

  it('keeps the last good draft while the newest input is refused', () => {
    const open = openWork(cellist());
    const good = open.computed.getState().draft;
    setByHand({ 'back.extension': 1 })(open);
    expect(open.computed.getState().draft).toBe(good);
    expect(open.computed.getState().refusals[0]?.field).toBe('back.extension');
    giveBack(['back.extension'])(open);
    expect(open.computed.getState().refusals).toEqual([]);
    expect(open.computed.getState().draft?.worked.back.extension).toBeCloseTo((255 + 6.35) / 2, 6);
  });

  it('stops alterations that take longer than two seconds, tells it, and opens the draft without them', () => {
    const { person, draft } = cellist();
    const work = startingWork('crease', 'back');
    const alterations = ['a', 'b', 'c'].map((id) => ({ id, on: true, note: '', work }));
    const plain = openWork({ person, draft: { ...draft, alterations: [] } }).computed.getState().draft;
    let now = 0;
    const clock = vi.spyOn(performance, 'now').mockImplementation(() => (now += 900));
    const stopped = openWork({ person, draft: { ...draft, alterations } }).computed.getState().draft;
    clock.mockRestore();
    expect(stopped?.block).toEqual(plain?.block);
    expect(stopped?.altered.told.map((t) => t.refusal?.code)).toEqual(['tookTooLong', 'tookTooLong', 'tookTooLong']);
    const all = openWork({ person, draft: { ...draft, alterations } }).computed.getState().draft;
    expect(all?.altered.told.every((t) => t.done)).toBe(true);
  });

  it('carries every kind of change, one step of undo each', () => {
    const open = openWork(cellist());
    const work = (): Work => open.state.getState().work;
    changeMeasurement('hip', 1010)(open);
    changeSetting('hipEase', 30)(open);
    choose('variant', 'surplus-shared')(open);
    changeRules({ trueSeams: false })(open);
    renameDraft('Recital trouser')(open);
    expect(setOf(work()).values.hip).toBe(1010);
    expect(work().draft).toMatchObject({
      name: 'Recital trouser',
      choices: { variant: 'surplus-shared' },
      rules: { trueSeams: false },
    });
    expect(work().draft.settings['hipEase']).toBe(30);
    expect(steps(open).past).toBe(5);
    changeSetting('hipEase', undefined)(open);
    expect(work().draft.settings['hipEase']).toBeUndefined();
    changeMeasurement('hip', undefined)(open);
    expect(open.computed.getState().missing).toEqual(['hip']);
    expect(open.computed.getState().draft).toBeDefined();
    expect(refusalsSentence(open.computed.getState().refusals, readerIn('cm'))).toMatch(/^Hip is missing\./);
    for (let i = 0; i < 7; i++) open.undo();
    expect(work()).toEqual(cellist());
  });
});
