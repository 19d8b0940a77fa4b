import 'fake-indexeddb/auto';
import { IDBFactory } from 'fake-indexeddb';
import { describe, expect, it, beforeEach, vi } from 'vitest';
import { DEMO_WORKBOOK, newDraft, newPerson } from '../../core/kept/index.js';

const now = new Date('2026-11-23T10:00:00Z');
let n = 0;
const id = (): string => `id-${++n}`;

/** The store afresh, as a window that is opened anew meets it. */
async function store() {
  vi.resetModules();
  return import('./database.js');
}

beforeEach(() => {
  globalThis.indexedDB = new IDBFactory();
});

describe('what is kept', () => {
  it('fills the demo room once and keeps it apart from one’s own', async () => {
    const db = await store();
    expect((await db.readShelf('demo')).drafts).toHaveLength(DEMO_WORKBOOK.drafts.length);
    expect((await db.readShelf('own')).drafts).toHaveLength(0);
    await db.removeFrom('demo', ['bargee-shorts'], []);
    const again = await store();
    expect((await again.readShelf('demo')).drafts).toHaveLength(DEMO_WORKBOOK.drafts.length - 1);
    await again.resetDemo();
    expect((await again.readShelf('demo')).drafts).toHaveLength(DEMO_WORKBOOK.drafts.length);
  });

  it('saves work with its person, and refuses to overwrite what another window wrote', async () => {
    const [here, there] = [await store(), await store()];
    const person = newPerson(id, 'Somebody', 'cm', now);
    const draft = newDraft(id, person, 'Trousers', now);
    const first = await here.saveWork('own', { person, draft }, { person: 0, draft: 0 });
    expect(first).toEqual({ ok: true, revisions: { person: 1, draft: 1 } });
    const other = await there.saveWork('own', { person, draft: { ...draft, name: 'Other' } }, { person: 1, draft: 1 });
    expect(other).toEqual({ ok: true, revisions: { person: 1, draft: 2 } });
    expect(await here.saveWork('own', { person, draft: { ...draft, name: 'Mine' } }, { person: 1, draft: 1 })).toEqual({
      ok: false,
    });
    expect((await here.readShelf('own')).drafts[0]?.value.name).toBe('Other');
    expect(await here.saveWork('own', { person, draft: { ...draft, name: 'Mine' } }, undefined)).toMatchObject({
      ok: true,
    });
    expect((await there.readShelf('own')).drafts[0]?.value.name).toBe('Mine');
  });

  it('puts and removes whole shelves', async () => {
    const db = await store();
    await db.putShelf('own', DEMO_WORKBOOK.people, DEMO_WORKBOOK.drafts);
    expect((await db.readShelf('own')).people).toHaveLength(8);
    await db.clearShelf('own');
    expect((await db.readShelf('own')).people).toHaveLength(0);
  });
});
