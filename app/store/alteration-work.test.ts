import { describe, expect, it } from 'vitest';
import { DEMO_WORKBOOK } from '../../core/demo/index.js';
import {
  addAlterations,
  changeAlteration,
  moveAlteration,
  newAlteration,
  removeAlteration,
  tryAlterations,
} from './alteration-work.js';
import { openWork, type OpenWork } from './open-work.js';

function opened(): OpenWork {
  const draft = DEMO_WORKBOOK.drafts.find((d) => d.id === 'puppeteer-black');
  const person = DEMO_WORKBOOK.people.find((p) => p.id === draft?.personId);
  if (!draft || !person) throw new Error('not in the demo');
  return openWork({ draft, person });
}
const listed = (open: OpenWork): string[] => open.state.getState().work.draft.alterations.map((a) => a.note);
const waist = (centre: number) => ({ kind: 'waist', panel: 'both', centre, side: centre, centreOnly: false }) as const;
const rise = (open: OpenWork): number =>
  Number(open.computed.getState().draft?.checks.find((c) => c.id === 'backRise')?.value);

describe('the list of alterations', () => {
  it('grows, changes, moves and shrinks, each undone in one step', () => {
    const open = opened();
    const was = rise(open);
    const [a, b] = [newAlteration(waist(-10), 'a'), newAlteration(waist(-5), 'b')];
    addAlterations([a, b])(open);
    expect(rise(open)).toBeCloseTo(was - 15, 6);
    moveAlteration(b.id, -1)(open);
    expect(listed(open)).toEqual(['b', 'a']);
    moveAlteration(b.id, -1)(open);
    expect(listed(open)).toEqual(['b', 'a']);
    changeAlteration(a.id, (x) => ({ ...x, on: false }))(open);
    expect(rise(open)).toBeCloseTo(was - 5, 6);
    removeAlteration(b.id)(open);
    expect(listed(open)).toEqual(['a']);
    expect(rise(open)).toBeCloseTo(was, 6);
    for (let i = 0; i < 3; i++) open.undo();
    expect(rise(open)).toBeCloseTo(was - 15, 6);
    open.undo();
    expect(listed(open)).toEqual([]);
  });

  it('is tried without being kept, with the draft before it as a ghost', () => {
    const open = opened();
    const was = rise(open);
    tryAlterations([newAlteration(waist(-20))])(open);
    expect(rise(open)).toBeCloseTo(was - 20, 6);
    expect(open.computed.getState().before).toBeDefined();
    expect(listed(open)).toEqual([]);
    expect(open.done.getState().acts.length).toBe(0);
    tryAlterations(undefined)(open);
    expect(rise(open)).toBeCloseTo(was, 6);
    expect(open.computed.getState().before).toBeUndefined();
  });
});
