import { describe, expect, it } from 'vitest';
import { DEMO_WORKBOOK } from '../../core/demo/index.js';
import { trueIt, type Trued } from '../../core/true-it/index.js';
import { inputNow } from '../store/sheets.js';
import { openWork, type OpenWork } from '../store/open-work.js';
import { setByHand } from '../store/work-changes.js';
import { alterationsOf, linesOf, takeChanges } from './true-job.js';

/** The lead puppeteer's draft with rises that it does not meet. */
function opened(): OpenWork {
  const draft = DEMO_WORKBOOK.drafts.find((d) => d.id === 'puppeteer-black');
  const person = DEMO_WORKBOOK.people.find((p) => p.id === draft?.personId);
  const [older, newer] = person?.sets ?? [];
  if (!draft || !person || !older || !newer) throw new Error('not in the demo');
  const measured = {
    ...newer,
    values: { ...newer.values, frontRise: 255, backRise: 410, crotchLength: 665, thigh: 640 },
  };
  return openWork({ draft, person: { ...person, sets: [older, measured] } });
}
function found(open: OpenWork): Trued {
  const outcome = trueIt(inputNow(open.state.getState().work), 'cm');
  if (!outcome.ok) throw new Error(JSON.stringify(outcome.refusals));
  return outcome.value;
}
const verdicts = (open: OpenWork, trued: Trued): (string | undefined)[] =>
  trued.targets.map((id) => open.computed.getState().draft?.checks.find((c) => c.id === id)?.verdict);

describe('what True it found', () => {
  it('is taken as lines by hand and alterations, and every target is met', () => {
    const open = opened();
    const trued = found(open);
    expect(verdicts(open, trued)).toContain('out');
    takeChanges(trued.changes)(open);
    expect(new Set(verdicts(open, trued))).toEqual(new Set(['in']));
    const { draft } = open.state.getState().work;
    expect(draft.set).toMatchObject(linesOf(trued.changes));
    expect(draft.alterations.map((a) => a.work)).toEqual(alterationsOf(trued.changes).map((a) => a.work));
  });

  it('is taken in part, beside what was by hand already, and undone in one step', () => {
    const open = opened();
    setByHand({ 'front.kneeWidth': 210 })(open);
    const before = open.state.getState().work;
    const [first, second] = found(open).changes;
    if (!first || !second) throw new Error('too few changes');
    takeChanges([first, second])(open);
    const { draft } = open.state.getState().work;
    expect(draft.set['front.kneeWidth']).toBe(210);
    const taken = Object.keys(draft.set).length - 1 + draft.alterations.length;
    expect(taken).toBe(2);
    open.undo();
    expect(open.state.getState().work).toEqual(before);
  });

  it('changes nothing where nothing is taken', () => {
    const open = opened();
    const rise = open.computed.getState().draft?.block.back.edges.rise;
    takeChanges([])(open);
    expect(open.computed.getState().draft?.block.back.edges.rise).toEqual(rise);
  });
});
