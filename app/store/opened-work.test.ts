import 'fake-indexeddb/auto';
import { IDBFactory } from 'fake-indexeddb';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { DEMO_WORKBOOK } from '../../core/demo/index.js';

/** The first draft of the demo with its person. */
function demoWork() {
  const [first] = DEMO_WORKBOOK.drafts;
  const whose = DEMO_WORKBOOK.people.find((p) => p.id === first?.personId);
  if (!first || !whose) throw new Error('The demo is empty');
  return { draft: first, person: whose };
}

const { draft, person } = demoWork();
const place = `draft:${draft.id}`;

/** The program as it is started anew, with a draft on its shelf. */
async function started(shelved = true) {
  vi.resetModules();
  const [work, changes, places, left, database] = [
    await import('./opened-work.js'),
    await import('./work-changes.js'),
    await import('./place-acts.js'),
    await import('./unsettled.js'),
    await import('./database.js'),
  ];
  if (shelved) await places.doOnShelf('own', 'New', { put: { people: [person], drafts: [draft] } });
  const open = async () => {
    const shelved = await work.readShelved('own', draft.id);
    if (!shelved) throw new Error('it is on the shelf');
    return work.openFromShelf('own', shelved, place);
  };
  const kept = async () => (await database.readRecord('own', 'draft', draft.id))?.value;
  return { ...work, ...changes, ...left, open, kept };
}

const noted = new Map<string, string>();

beforeEach(() => {
  globalThis.indexedDB = new IDBFactory();
  noted.clear();
  vi.stubGlobal('localStorage', {
    getItem: (key: string) => noted.get(key) ?? null,
    setItem: (key: string, text: string) => noted.set(key, text),
    removeItem: (key: string) => noted.delete(key),
  });
});

describe('work that is left', () => {
  it('is written, forgotten, and read anew when it is opened again', async () => {
    const here = await started();
    const first = await here.open();
    const release = here.holdWork(first);
    here.renameDraft('Other')(first.open);
    release();
    await vi.waitFor(async () => {
      expect((await here.kept())?.name).toBe('Other');
    });
    await vi.waitFor(async () => {
      expect(await here.open()).not.toBe(first);
    });
    const again = await here.open();
    expect(again.open.state.getState().work.draft.name).toBe('Other');
    expect(again.open.done.getState().acts).toHaveLength(1);
    expect(here.unsettled.getState().left).toEqual([]);
  });

  it('stays as it is while a view is only laid out anew', async () => {
    const here = await started();
    const first = await here.open();
    here.holdWork(first)();
    here.holdWork(first);
    await new Promise((later) => setTimeout(later, 20));
    expect(await here.open()).toBe(first);
  });

  it('before it could be stored is told of, and is there with its changes', async () => {
    const here = await started();
    const first = await here.open();
    const release = here.holdWork(first);
    const put = vi.spyOn(IDBObjectStore.prototype, 'put').mockImplementation(() => {
      throw new DOMException('The disk is full', 'QuotaExceededError');
    });
    here.renameDraft('Not stored')(first.open);
    release();
    await vi.waitFor(() => {
      expect(here.unsettled.getState().left).toEqual([
        { room: 'own', place, name: '“Not stored”', path: `/own/draft/${draft.id}/draft` },
      ]);
    });
    put.mockRestore();
    const again = await here.open();
    expect(again.open.state.getState().work.draft.name).toBe('Not stored');
    expect(here.unsettled.getState().left).toEqual([]);
    again.autosave.flush();
    await vi.waitFor(async () => {
      expect((await here.kept())?.name).toBe('Not stored');
    });
  });
});

describe('a page that goes away', () => {
  it('before an act is written has it noted, and it is written when the draft is opened again, once', async () => {
    const here = await started();
    const first = await here.open();
    const put = vi.spyOn(IDBObjectStore.prototype, 'put').mockImplementation(() => {
      throw new DOMException('The page is gone', 'AbortError');
    });
    here.setByHand({ 'back.kneeWidth': 270 })(first.open);
    first.autosave.leave();
    await vi.waitFor(() => {
      expect(first.autosave.state.getState().save).toBe('failed');
    });
    put.mockRestore();
    expect(noted.size).toBe(1);
    const [[key, text] = ['', '']] = noted;

    const later = await started(false);
    const again = await later.open();
    expect(again.open.state.getState().work.draft.set['back.kneeWidth']).toBe(270);
    expect(noted.size).toBe(0);
    // Noted and written as well, it is one act.
    noted.set(key, text);
    const once = await (await started(false)).open();
    expect(once.open.done.getState().acts.map((a) => a.changes[0]?.patches[0]?.at)).toEqual([
      ['set', 'back.kneeWidth'],
    ]);
    once.open.undo();
    expect(once.open.state.getState().work.draft.set).toEqual(draft.set);
  });

  it('with everything written notes nothing; what is written after all is crossed out', async () => {
    const here = await started();
    const first = await here.open();
    first.autosave.leave();
    expect(noted.size).toBe(0);
    here.renameDraft('Other')(first.open);
    first.autosave.leave();
    expect(noted.size).toBe(1);
    await vi.waitFor(() => {
      expect(noted.size).toBe(0);
    });
    expect((await here.kept())?.name).toBe('Other');
  });
});
