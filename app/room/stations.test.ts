import { DEMO_WORKBOOK } from '../../core/demo/index.js';
import { describe, expect, it } from 'vitest';
import { startWork, type Work } from '../../core/kept/index.js';
import { openWork } from '../store/open-work.js';
import { setByHand } from '../store/work-changes.js';
import { isDoubtful } from './doubtful.js';
import { stationState, type StationState } from './station-states.js';
import { beforeStation } from './visits.js';
import { STATIONS, stationOf, viewOf, VIEWS } from './stations.js';

function work(draftId: string): Work {
  const draft = DEMO_WORKBOOK.drafts.find((d) => d.id === draftId);
  const person = DEMO_WORKBOOK.people.find((p) => p.id === draft?.personId);
  if (!draft || !person) throw new Error('not in the demo');
  return { draft, person };
}

type Visited = Parameters<typeof stationState>[4];

/** How all stations stand after they were visited and then something was changed. */
function states(id: string, change?: Parameters<typeof setByHand>[0], been?: Visited): Record<string, StationState> {
  const open = openWork(work(id));
  const before = open.state.getState().work;
  const visited = been ?? Object.fromEntries(STATIONS.map((s) => [s.id, beforeStation(s.id, before)]));
  if (change) setByHand(change)(open);
  const now = open.state.getState().work;
  const computed = open.computed.getState();
  return Object.fromEntries(STATIONS.map((s) => [s.id, stationState(s.id, now, computed, isDoubtful(now), visited)]));
}

describe('stations', () => {
  it('need the maker where a measurement looks wrong or a check is out', () => {
    expect(states('ticket-plain')['measure']).toBe('needs-you');
    expect(states('cellist-dress')['measure']).toBe('done');
    expect(states('puppeteer-black', { 'front.waistWidth': 230 })).toMatchObject({
      draft: 'under-way',
      true: 'needs-you',
    });
    expect(states('puppeteer-black', { 'back.extension': 1 })['draft']).toBe('needs-you');
  });

  it('tell what was set by hand from what was left alone', () => {
    expect(states('cellist-dress')).toMatchObject({ choose: 'under-way', draft: 'under-way' });
    expect(states('ticket-plain')).toMatchObject({ choose: 'done', draft: 'done' });
  });

  it('are marked only after they were visited', () => {
    const been = states('ticket-plain', undefined, {});
    expect(Object.values(been).every((state) => state === 'untouched')).toBe(true);
  });

  it('say where to start while nothing is measured', () => {
    const fresh = startWork('figures', () => crypto.randomUUID(), 'cm', new Date());
    const computed = openWork(fresh).computed.getState();
    expect(stationState('measure', fresh, computed, false, {})).toBe('start-here');
    expect(stationState('true', fresh, computed, false, {})).toBe('untouched');
  });

  it('ask to be looked at again where something before them changed since', () => {
    const now = states('puppeteer-black', { 'front.hemWidth': 230 });
    expect(now).toMatchObject({ measure: 'done', draft: 'under-way', true: 'stale', cut: 'stale' });
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
