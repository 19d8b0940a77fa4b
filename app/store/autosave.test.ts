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
  const [database, autosave, store] = [
    await import('./database.js'),
    await import('./autosave.js'),
    await import('./work-store.js'),
  ];
  return { ...database, ...autosave, ...store };
}

const settled = (state: { getState: () => { save: string } }, wanted: string): Promise<void> =>
  vi.waitFor(() => {
    expect(state.getState().save).toBe(wanted);
  });

beforeEach(() => {
  globalThis.indexedDB = new IDBFactory();
});

describe('saving as one works', () => {
  it('keeps the last of many changes made at once, and stamps the time', async () => {
    const here = await openWindow();
    const open = here.openWork(fresh());
    const autosave = here.startAutosave('own', open, { person: 0, draft: 0 });
    for (let i = 0; i < 20; i++) here.renameDraft(`Name ${i}`)(open);
    await vi.waitFor(async () => {
      expect((await here.readShelf('own')).drafts[0]?.value.name).toBe('Name 19');
    });
    await settled(autosave.state, 'saved');
    const shelf = await here.readShelf('own');
    expect(shelf.drafts[0]?.value.changed).not.toBe(now.toISOString());
    expect(autosave.revisions().draft).toBe(shelf.drafts[0]?.revision);
  });

  it('keeps how the pieces were drawn, and tells once where they are drawn otherwise', async () => {
    const here = await openWindow();
    const work = fresh();
    const open = here.openWork(work);
    const autosave = here.startAutosave('own', open, { person: 0, draft: 0 });
    const kept = async () => (await here.readShelf('own')).drafts[0]?.value;
    here.renameDraft('Before it can be drawn')(open);
    await settled(autosave.state, 'saved');
    expect((await kept())?.outline).toBeUndefined();
    for (const [name, mm] of [
      ['waist', 780],
      ['hip', 1000],
      ['crotchDepth', 272],
      ['inseam', 780],
    ] as const)
      here.changeMeasurement(name, mm)(open);
    await vi.waitFor(async () => {
      expect((await kept())?.outline).toEqual(here.outlineNow(open));
    });
    const { person, draft } = { person: open.state.getState().work.person, draft: await kept() };
    if (!draft?.outline) throw new Error('it was kept');
    expect(here.openWork({ person, draft }).redrawn.getState().since).toBeUndefined();

    // A figure that was changed from another draft of the person is no change of the program's.
    const [set] = person.sets;
    if (!set) throw new Error('a person has a set');
    const changed = { ...person, sets: [{ ...set, values: { ...set.values, hip: 1040 } }] };
    expect(here.openWork({ person: changed, draft }).redrawn.getState().since).toBeUndefined();

    // The same figures, kept when the front lay otherwise.
    const older = { ...draft, outline: { ...draft.outline, front: draft.outline.back } };
    const again = here.openWork({ person, draft: older });
    expect(again.redrawn.getState().since).toEqual({
      kept: older.outline,
      block: again.computed.getState().draft?.block,
    });
    const saving = here.startAutosave('own', again, autosave.revisions());
    here.redrawnUnderstood(again);
    await vi.waitFor(async () => {
      expect((await kept())?.outline).toEqual(draft.outline);
    });
    await settled(saving.state, 'saved');
    expect(again.history.getState().past).toBe(0);
    expect(here.openWork(again.state.getState().work).redrawn.getState().since).toBeUndefined();
  });

  it('does not save a handle that is only held', async () => {
    const here = await openWindow();
    const open = here.openWork(fresh());
    here.startAutosave('own', open, { person: 0, draft: 0 });
    here.previewByHand({ 'back.extension': 120 })(open);
    await new Promise((later) => setTimeout(later, 50));
    expect((await here.readShelf('own')).drafts).toHaveLength(0);
  });

  it('stops where another window was first, until the maker says which to keep', async () => {
    const here = await openWindow();
    const work = fresh();
    const first = await here.saveWork('own', work, { person: 0, draft: 0 });
    if (!first.ok) throw new Error('must save');
    const open = here.openWork(work);
    const autosave = here.startAutosave('own', open, first.revisions);
    const there = await openWindow();
    await there.saveWork('own', { ...work, draft: { ...work.draft, name: 'Theirs' } }, first.revisions);

    here.renameDraft('Mine')(open);
    await settled(autosave.state, 'conflict');
    here.renameDraft('Mine again')(open);
    expect((await here.readShelf('own')).drafts[0]?.value.name).toBe('Theirs');
    autosave.keepMine();
    await settled(autosave.state, 'saved');
    expect((await here.readShelf('own')).drafts[0]?.value.name).toBe('Mine again');
  });
});
