import 'fake-indexeddb/auto';
import { IDBFactory } from 'fake-indexeddb';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { newDraft, newPerson, type Work } from '../../core/kept/index.js';

const now = new Date('2026-11-23T10:00:00Z');
let n = 0;
const id = (): string => `id-${++n}`;

function fresh(): Work {
  const person = newPerson(id, 'Somebody', 'cm', now);
  return { person, draft: newDraft(id, person, 'Trousers', now) };
}

/** One window: its own modules over the one database of this machine. */
async function openWindow() {
  vi.resetModules();
  const [database, log, places, autosave, store, changes] = [
    await import('./database.js'),
    await import('./change-log.js'),
    await import('./place-acts.js'),
    await import('./autosave.js'),
    await import('./open-work.js'),
    await import('./work-changes.js'),
  ];
  /** Puts work on the shelf, and opens it with its saving. */
  const onShelf = async (work: Work) => {
    await places.doOnShelf('own', 'New', { put: { people: [work.person], drafts: [work.draft] } });
    return opened(work);
  };
  const opened = async (work: Work) => {
    const acts = await database.readActs('own', `draft:${work.draft.id}`);
    const open = store.openWork(work, acts);
    return { open, saving: autosave.startAutosave('own', open) };
  };
  const kept = async () => (await database.readShelf('own')).drafts[0]?.value;
  const person = async () => (await database.readShelf('own')).people[0]?.value;
  return { ...database, ...log, ...places, ...autosave, ...store, ...changes, onShelf, opened, kept, person };
}

const settled = ({ state }: { state: { getState: () => { save: string } } }, wanted: string): Promise<void> =>
  vi.waitFor(() => {
    expect(state.getState().save).toBe(wanted);
  });

beforeEach(() => {
  globalThis.indexedDB = new IDBFactory();
});

describe('saving as one works', () => {
  it('keeps the last of many changes made at once, each an act, and stamps the time', async () => {
    const here = await openWindow();
    const { open, saving } = await here.onShelf(fresh());
    for (let i = 0; i < 20; i++) here.renameDraft(`Name ${i}`)(open);
    await vi.waitFor(async () => {
      expect((await here.kept())?.name).toBe('Name 19');
    });
    await settled(saving, 'saved');
    expect((await here.kept())?.changed).not.toBe(now.toISOString());
    expect(await here.readActs('own', open.place)).toHaveLength(20);
  });

  it('takes a drag for one act, with where it began and where it ended, in few writes', async () => {
    const here = await openWindow();
    const { open, saving } = await here.onShelf(fresh());
    here.changeSetting('hipEase', 10)(open);
    for (let mm = 11; mm <= 60; mm++) here.joined(here.changeSetting('hipEase', mm))(open);
    await vi.waitFor(async () => {
      expect((await here.kept())?.settings['hipEase']).toBe(60);
    });
    await settled(saving, 'saved');
    const acts = await here.readActs('own', open.place);
    expect(acts.map((a) => a.changes[0]?.patches)).toEqual([[{ at: ['settings', 'hipEase'], was: undefined, is: 60 }]]);
    // Back to where it began, it is no act at all.
    here.joined(here.changeSetting('hipEase', undefined))(open);
    await vi.waitFor(async () => {
      expect(await here.readActs('own', open.place)).toEqual([]);
    });
    expect((await here.kept())?.settings).toEqual({});
  });

  it('undoes, when the program is started anew, what was done before', async () => {
    const here = await openWindow();
    const work = fresh();
    const { open, saving } = await here.onShelf(work);
    here.changeMeasurement('hip', 1000)(open);
    here.renameDraft('Other')(open);
    await settled(saving, 'saved');
    await vi.waitFor(async () => {
      expect((await here.kept())?.name).toBe('Other');
    });
    const later = await openWindow();
    const [person, draft] = [await later.person(), await later.kept()];
    if (!person || !draft) throw new Error('both are kept');
    const again = await later.opened({ person, draft });
    again.open.undo();
    again.open.undo();
    again.open.undo();
    await vi.waitFor(async () => {
      expect((await later.kept())?.name).toBe('Trousers');
    });
    await settled(again.saving, 'saved');
    expect((await later.person())?.sets).toEqual(work.person.sets);
    again.open.redo();
    await vi.waitFor(async () => {
      expect((await later.person())?.sets[0]?.values.hip).toBe(1000);
    });
  });

  it('forgets what was undone once something else is done, in the log as well', async () => {
    const here = await openWindow();
    const { open, saving } = await here.onShelf(fresh());
    here.renameDraft('One')(open);
    here.renameDraft('Two')(open);
    open.undo();
    here.changeSetting('hipEase', 30)(open);
    await vi.waitFor(async () => {
      expect((await here.kept())?.settings).toEqual({ hipEase: 30 });
    });
    await settled(saving, 'saved');
    const acts = await here.readActs('own', open.place);
    expect(acts.map((a) => [a.undone, a.changes[0]?.patches[0]?.at])).toEqual([
      [false, ['name']],
      [false, ['settings', 'hipEase']],
    ]);
    open.redo();
    expect(open.state.getState().work.draft.name).toBe('One');
  });

  it('keeps how the pieces were drawn, and tells once where they are drawn otherwise', async () => {
    const here = await openWindow();
    const { open, saving } = await here.onShelf(fresh());
    here.renameDraft('Before it can be drawn')(open);
    await settled(saving, 'saved');
    expect((await here.kept())?.outline).toBeUndefined();
    for (const [name, mm] of [
      ['waist', 780],
      ['hip', 1000],
      ['crotchDepth', 272],
      ['inseam', 780],
    ] as const)
      here.changeMeasurement(name, mm)(open);
    // What was measured changes the person; how it is drawn is kept with the draft all the same.
    here.renameDraft('Drawn')(open);
    await vi.waitFor(async () => {
      expect((await here.kept())?.outline).toEqual(here.outlineNow(open));
    });
    const { person, draft } = { person: open.state.getState().work.person, draft: await here.kept() };
    if (!draft?.outline) throw new Error('it was kept');
    expect(here.openWork({ person, draft }).redrawn.getState().since).toBeUndefined();

    // A figure that was changed from another draft of the person is no change of the program's.
    const [set] = person.sets;
    if (!set) throw new Error('a person has a set');
    const changed = { ...person, sets: [{ ...set, values: { ...set.values, hip: 1040 } }] };
    expect(here.openWork({ person: changed, draft }).redrawn.getState().since).toBeUndefined();

    // The same figures, kept when the front lay otherwise.
    saving.stop();
    const older = { ...draft, outline: { ...draft.outline, front: draft.outline.back } };
    const again = await here.opened({ person, draft: older });
    expect(again.open.redrawn.getState().since).toEqual({
      kept: older.outline,
      block: again.open.computed.getState().draft?.block,
    });
    const before = again.open.done.getState().acts.length;
    here.redrawnUnderstood(again.open);
    await vi.waitFor(async () => {
      expect((await here.kept())?.outline).toEqual(draft.outline);
    });
    await settled(again.saving, 'saved');
    expect(again.open.done.getState().acts).toHaveLength(before);
    expect(here.openWork(again.open.state.getState().work).redrawn.getState().since).toBeUndefined();
  });

  it('does not save a handle that is only held', async () => {
    const here = await openWindow();
    const { open } = await here.onShelf(fresh());
    here.previewByHand({ 'back.extension': 120 })(open);
    await new Promise((later) => setTimeout(later, 50));
    expect((await here.kept())?.set).toEqual({});
  });

  it('keeps the person alone where a draft only stands beside them', async () => {
    const here = await openWindow();
    const work = fresh();
    await here.doOnShelf('own', 'New', { put: { people: [work.person] } });
    const open = here.openWork(work, [], `person:${work.person.id}`);
    const saving = here.startAutosave('own', open, false);
    here.changeSetting('hipEase', 20)(open);
    here.changeMeasurement('hip', 990)(open);
    await vi.waitFor(async () => {
      expect((await here.person())?.sets[0]?.values.hip).toBe(990);
    });
    await settled(saving, 'saved');
    expect(await here.kept()).toBeUndefined();
    expect(open.state.getState().work.draft.settings).toEqual({ hipEase: 20 });
  });
});

describe('two windows', () => {
  it('with two drafts of one person each keep what they change, and see what the other does', async () => {
    const here = await openWindow();
    const work = fresh();
    const mine = await here.onShelf(work);
    const there = await openWindow();
    const theirs = await there.onShelf({ person: work.person, draft: { ...work.draft, id: 'other' } });
    there.changeMeasurement('hip', 875)(theirs.open);
    await settled(theirs.saving, 'saved');
    await vi.waitFor(() => {
      expect(mine.open.state.getState().work.person.sets[0]?.values.hip).toBe(875);
    });
    here.changeMeasurement('waist', 700)(mine.open);
    await settled(mine.saving, 'saved');
    await vi.waitFor(async () => {
      expect((await here.person())?.sets[0]?.values).toEqual({ hip: 875, waist: 700 });
    });
    // What the other window did is not undone here.
    mine.open.undo();
    await vi.waitFor(async () => {
      expect((await here.person())?.sets[0]?.values).toEqual({ hip: 875 });
    });
    expect(mine.open.done.getState().acts.every((a) => a.undone)).toBe(true);
  });

  it('take nothing back by what they read late', async () => {
    const here = await openWindow();
    const work = fresh();
    const mine = await here.onShelf(work);
    const database = await import('./database.js');
    const old = await here.readRecord('own', 'draft', work.draft.id);
    here.renameDraft('Mine')(mine.open);
    await settled(mine.saving, 'saved');
    await vi.waitFor(async () => {
      expect((await here.kept())?.name).toBe('Mine');
    });
    const read = vi.spyOn(database, 'readRecord').mockResolvedValue(old);
    const channel = new BroadcastChannel('upstride');
    channel.postMessage({ changed: { room: 'own', records: [{ kind: 'draft', id: work.draft.id }] } });
    await vi.waitFor(() => {
      expect(read).toHaveBeenCalled();
    });
    await new Promise((later) => setTimeout(later, 30));
    read.mockRestore();
    channel.close();
    expect(mine.open.state.getState().work.draft.name).toBe('Mine');
    here.changeSetting('hipEase', 20)(mine.open);
    await vi.waitFor(async () => {
      expect(await here.kept()).toMatchObject({ name: 'Mine', settings: { hipEase: 20 } });
    });
  });

  it('that change the same are told what, until the maker says which to keep', async () => {
    const [here, there] = [await openWindow(), await openWindow()];
    const work = fresh();
    const mine = await here.onShelf(work);
    // The other window writes without this one hearing of it.
    const [was] = [work.draft.name];
    const theirs = { kind: 'draft', id: work.draft.id, patches: [{ at: ['name'], was, is: 'Theirs' }] } as const;
    await there.writeBatch('own', { changes: [theirs], put: [], drop: [] });

    here.renameDraft('Mine')(mine.open);
    await settled(mine.saving, 'conflict');
    expect(mine.saving.state.getState().clashes).toMatchObject([{ kind: 'draft', patches: [{ at: ['name'] }] }]);
    here.changeSetting('hipEase', 25)(mine.open);
    expect(await here.kept()).toMatchObject({ name: 'Theirs', settings: {} });
    mine.saving.keepMine();
    await settled(mine.saving, 'saved');
    expect(await here.kept()).toMatchObject({ name: 'Mine', settings: { hipEase: 25 } });

    await there.writeBatch('own', {
      changes: [{ ...theirs, patches: [{ at: ['name'], was: 'Mine', is: 'Theirs again' }] }],
      put: [],
      drop: [],
    });
    here.renameDraft('Mine again')(mine.open);
    await settled(mine.saving, 'conflict');
    await mine.saving.takeTheirs();
    expect(mine.open.state.getState().work.draft.name).toBe('Theirs again');
    expect(mine.saving.state.getState().save).toBe('saved');
    // An undo that could not be kept is none: the act is there as it was.
    const acts = mine.open.done.getState().acts;
    const now = 'Theirs again';
    await there.writeBatch('own', {
      changes: [{ ...theirs, patches: [{ at: ['settings', 'hipEase'], was: 25, is: 26 }] }],
      put: [],
      drop: [],
    });
    mine.open.undo();
    await settled(mine.saving, 'conflict');
    await mine.saving.takeTheirs();
    expect(mine.open.done.getState().acts).toEqual(acts);
    expect(mine.open.state.getState().work.draft).toMatchObject({ name: now, settings: { hipEase: 26 } });
    expect((await here.readActs('own', mine.open.place)).length).toBe(mine.open.done.getState().acts.length);
  });

  it('lose nothing where one deletes what the other works on: it is put back if that is wanted', async () => {
    const here = await openWindow();
    const work = fresh();
    const mine = await here.onShelf(work);
    await (
      await openWindow()
    ).doOnShelf('own', 'Deleted', { remove: { drafts: [work.draft.id], people: [work.person.id] } });
    here.renameDraft('Still at it')(mine.open);
    await settled(mine.saving, 'conflict');
    mine.saving.keepMine();
    await settled(mine.saving, 'saved');
    expect(await here.kept()).toMatchObject({ id: work.draft.id, name: 'Still at it', personId: work.person.id });
    expect(await here.person()).toEqual(work.person);
  });
});

describe('where something goes wrong', () => {
  it('a browser that does not store says so, and everything is stored once it does', async () => {
    const here = await openWindow();
    const { open, saving } = await here.onShelf(fresh());
    const put = vi.spyOn(IDBObjectStore.prototype, 'put').mockImplementation(() => {
      throw new DOMException('The disk is full', 'QuotaExceededError');
    });
    here.renameDraft('One')(open);
    await settled(saving, 'failed');
    expect(saving.state.getState().reason).toContain('The disk is full');
    here.changeSetting('hipEase', 30)(open);
    await settled(saving, 'failed');
    put.mockRestore();
    saving.flush();
    await settled(saving, 'saved');
    expect(await here.kept()).toMatchObject({ name: 'One', settings: { hipEase: 30 } });
    expect(await here.readActs('own', open.place)).toHaveLength(2);
  });

  it('a computation that throws is told, and what was entered is kept and can be undone', async () => {
    const here = await openWindow();
    const { open, saving } = await here.onShelf(fresh());
    const chain = await import('../../core/chain/index.js');
    const silent = vi.spyOn(console, 'error').mockImplementation(() => undefined);
    const thrown = vi.spyOn(chain, 'missingFigures').mockImplementation(() => {
      throw new Error('planted');
    });
    here.changeSetting('hipEase', 30)(open);
    expect(open.computed.getState().fault).toBe('planted');
    await settled(saving, 'saved');
    expect((await here.kept())?.settings).toEqual({ hipEase: 30 });
    thrown.mockRestore();
    silent.mockRestore();
    open.undo();
    expect(open.computed.getState().fault).toBeUndefined();
    await vi.waitFor(async () => {
      expect((await here.kept())?.settings).toEqual({});
    });
  });

  it('a change that throws halfway leaves undo as it was', async () => {
    const here = await openWindow();
    const { open } = await here.onShelf(fresh());
    here.changeSetting('hipEase', 30)(open);
    expect(() => {
      here.joined(() => {
        throw new Error('planted');
      })(open);
    }).toThrow('planted');
    here.changeSetting('hipEase', 40)(open);
    open.undo();
    expect(open.state.getState().work.draft.settings).toEqual({ hipEase: 30 });
  });
});
