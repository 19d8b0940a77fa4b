import { describe, expect, it } from 'vitest';
import { DEMO_WORKBOOK } from '../../core/demo/index.js';
import { newSet, setOf, valuesOf, type Work } from '../../core/kept/index.js';
import { AVERAGE_BUILD, EMPTY_PAIR, SHIPPED_CHARTS } from '../../core/measure/index.js';
import { openWork, type OpenWork } from './open-work.js';
import {
  addSet,
  adoptRule,
  changeFit,
  changeMeasurement,
  changePerson,
  changeSet,
  changeSettings,
  moveToSet,
  takeSize,
} from './work-changes.js';

function work(draftId: string): Work {
  const draft = DEMO_WORKBOOK.drafts.find((d) => d.id === draftId);
  const person = DEMO_WORKBOOK.people.find((p) => p.id === draft?.personId);
  if (!draft || !person) throw new Error(`No ${draftId} in the demo`);
  return { draft, person };
}

const now = new Date('2026-11-23T10:00:00Z');
const worked = (open: OpenWork) => {
  const draft = open.computed.getState().draft;
  if (!draft) throw new Error('must draft');
  return draft.worked;
};
const set = (open: OpenWork) => setOf(open.state.getState().work);

describe('measuring at the open work', () => {
  it('keeps what a figure was before it was corrected; undo takes the correction and its history back', () => {
    const open = openWork(work('ticket-plain'));
    changeMeasurement('waist', 840)(open);
    expect(set(open).values.waist).toBe(840);
    expect(set(open).corrected).toMatchObject([{ id: 'waist', was: 480 }]);
    open.undo();
    expect(set(open)).toEqual(setOf(work('ticket-plain')));
    open.redo();
    expect(set(open).corrected).toHaveLength(1);
  });

  it('drafts by the rule that was adopted, marks it, and gives it back', () => {
    const open = openWork(work('lamp-plain'));
    const house = worked(open).body.get('hipDepth')?.mm;
    adoptRule('hipDepth', 'two-thirds')(open);
    expect(worked(open).body.get('hipDepth')).toMatchObject({ source: 'estimate', adopted: true });
    expect(worked(open).levels.hipLevel).toBeCloseTo((260 * 2) / 3, 9);
    expect(worked(open).ledger.get('hipLevel')?.restsOnEstimate).toBe(true);
    adoptRule('hipDepth', undefined)(open);
    expect(worked(open).levels.hipLevel).toBe(house);
  });

  it('needs a crotch depth until a rule for it is adopted, and keeps the last good draft meanwhile', () => {
    const open = openWork(work('lamp-plain'));
    const good = open.computed.getState().draft;
    changeMeasurement('crotchDepth', undefined)(open);
    expect(open.computed.getState()).toMatchObject({ draft: good, missing: ['crotchDepth'] });
    adoptRule('crotchDepth', 'quarter-hip-1-in')(open);
    expect(open.computed.getState().missing).toEqual([]);
    expect(worked(open).body.get('crotchDepth')?.mm).toBeCloseTo(940 / 4 + 25.4, 9);
  });

  it('adds a set and makes the draft from it; the one before stays and can be moved back to', () => {
    const open = openWork(work('cellist-dress'));
    const hip = worked(open).front.hipWidth;
    const fresh = { ...newSet(() => 'autumn', 'cm', now, 'body'), values: { ...set(open).values, hip: 1060 } };
    addSet(fresh)(open);
    expect(set(open).id).toBe('autumn');
    expect(worked(open).front.hipWidth).toBeCloseTo(hip + 10, 9);
    moveToSet('cellist-1')(open);
    expect(worked(open).front.hipWidth).toBe(hip);
    expect(open.state.getState().work.person.sets.map((s) => s.id)).toEqual(['cellist-1', 'autumn']);
  });

  it('takes the figures of a finished pair as they are read, and its leg', () => {
    const open = openWork(work('cook-kitchen'));
    addSet({ ...newSet(() => 'pair', 'cm', now, 'pair'), pair: EMPTY_PAIR })(open);
    changeSet({ pair: { ...EMPTY_PAIR, figures: { halfWaist: 560, halfHip: 650 } } })(open);
    expect(valuesOf(set(open))).toEqual({ waist: 1120, hip: 1300 });
    expect(open.computed.getState().missing).toEqual(['crotchDepth', 'inseam']);
    changeSet({
      pair: { ...EMPTY_PAIR, figures: { halfWaist: 560, halfHip: 650, outseam: 1060, inseam: 740, band: 30 } },
    })(open);
    expect(open.computed.getState().missing).toEqual([]);
    changeSettings({ hipEase: 0, kneeGirth: 600, hemGirth: 560 })(open);
    expect(worked(open).ledger.get('hipEase')).toMatchObject({ source: 'hand', value: 0 });
    expect(worked(open).body.get('crotchDepth')?.mm).toBe(1060 - 30 - 740);
  });

  it('takes a size of a chart, and with it whom the chart is for', () => {
    const open = openWork(work('lamp-plain'));
    const men = SHIPPED_CHARTS.find((c) => c.id === 'men');
    const size = men?.sizes[3];
    if (!men || !size) throw new Error('No men’s chart');
    changePerson({ figure: 'unknown', build: AVERAGE_BUILD })(open);
    addSet(newSet(() => 'chart', 'cm', now, 'chart'))(open);
    takeSize(men, size)(open);
    expect(set(open)).toMatchObject({ values: size.values, size: { chart: 'Men', name: '4' } });
    expect(open.state.getState().work.person.figure).toBe('man');
    expect(worked(open).body.get('heel')).toMatchObject({ source: 'measured' });
    // The rises of the size are held against the draft; this variant drafts without ease in the crotch and comes short.
    const out = open.computed.getState().draft?.checks.filter((c) => c.verdict === 'out');
    expect(out?.map((c) => c.id)).toEqual(['frontRise', 'backRise', 'wholeRise']);
  });

  it('follows the fit and the cloth', () => {
    const open = openWork(work('puppeteer-black'));
    changeFit({ fitClass: 'close-relaxed' })(open);
    expect(worked(open).fitClass.id).toBe('close-relaxed');
    expect(worked(open).ledger.get('hipEase')?.value).toBe(15);
    changeFit({ fitClass: 'knit', stretch: 0.7 })(open);
    expect(worked(open).ledger.get('hipEase')?.value).toBeCloseTo(-98, 9);
    changeFit({ fitClass: undefined })(open);
    expect(worked(open).ledger.get('hipEase')?.value).toBeCloseTo(25.4, 9);
    for (let i = 0; i < 3; i++) open.undo();
    expect(open.state.getState().work).toEqual(work('puppeteer-black'));
  });
});
