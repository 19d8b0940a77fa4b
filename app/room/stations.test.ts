import { DEMO_WORKBOOK } from '../../core/demo/index.js';
import { describe, expect, it } from 'vitest';
import { type Work } from '../../core/kept/index.js';
import { openWork } from '../store/open-work.js';
import { setByHand } from '../store/work-changes.js';
import { isDoubtful } from './doubtful.js';
import { stationStates } from './station-states.js';
import { STATIONS, stationOf, viewOf, VIEWS } from './stations.js';

function work(draftId: string): Work {
  const draft = DEMO_WORKBOOK.drafts.find((d) => d.id === draftId);
  const person = DEMO_WORKBOOK.people.find((p) => p.id === draft?.personId);
  if (!draft || !person) throw new Error('not in the demo');
  return { draft, person };
}

const states = (id: string, change?: Parameters<typeof setByHand>[0]): ReturnType<typeof stationStates> => {
  const open = openWork(work(id));
  if (change) setByHand(change)(open);
  const now = open.state.getState().work;
  return stationStates(now, open.computed.getState(), isDoubtful(now));
};

describe('stations', () => {
  it('need the maker where a measurement looks wrong or a check is out', () => {
    expect(states('ticket-plain').measure).toBe('needs-you');
    expect(states('cellist-dress').measure).toBe('done');
    expect(states('puppeteer-black', { 'front.waistWidth': 230 })).toMatchObject({
      draft: 'under-way',
      true: 'needs-you',
    });
    expect(states('puppeteer-black', { 'back.extension': 1 }).draft).toBe('needs-you');
  });
  it('tell what was set by hand from what was left alone', () => {
    expect(states('cellist-dress')).toMatchObject({ choose: 'under-way', draft: 'under-way' });
    expect(states('ticket-plain')).toMatchObject({ choose: 'untouched', draft: 'untouched' });
  });
  it('are found by their name in an address', () => {
    for (const s of STATIONS) expect(stationOf(s.id)).toBe(s.id);
    expect(stationOf('nowhere')).toBe('draft');
    for (const { id, station } of VIEWS) expect(viewOf(station, id)?.id).toBe(id);
    expect(viewOf('draft', 'walk')).toBeUndefined();
    expect(new Set(VIEWS.map((v) => v.id)).size).toBe(VIEWS.length);
    expect(new Set(STATIONS.map((s) => s.key)).size).toBe(STATIONS.length);
  });
});
