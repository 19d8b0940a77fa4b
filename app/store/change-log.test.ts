import 'fake-indexeddb/auto';
import { IDBFactory } from 'fake-indexeddb';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { DEMO_WORKBOOK } from '../../core/demo/index.js';
import { fileName } from '../shared/save-file.js';

const [draft] = DEMO_WORKBOOK.drafts;
const person = DEMO_WORKBOOK.people.find((p) => p.id === draft?.personId);
if (!draft || !person) throw new Error('The demo is empty');

/** One window: its own modules over the one database of this machine. */
async function openWindow() {
  vi.resetModules();
  const [database, log, places, forget] = [
    await import('./database.js'),
    await import('./change-log.js'),
    await import('./place-acts.js'),
    await import('./forget-person.js'),
  ];
  const named = async (): Promise<string | undefined> => (await database.readShelf('own')).drafts[0]?.value.name;
  const acts = (place: string) => database.readActs('own', place);
  const rename = async (place: string, name: string) =>
    places.doAt(
      'own',
      place,
      '',
      [{ kind: 'draft', id: draft?.id ?? '', patches: [{ at: ['name'], was: await named(), is: name }] }],
      await acts(place),
    );
  return { ...database, ...log, ...places, ...forget, named, acts, rename };
}

beforeEach(() => {
  globalThis.indexedDB = new IDBFactory();
});

describe('the change log', () => {
  it('keeps what was done at a place, undoes it last first and does it again, also when the program starts anew', async () => {
    const here = await openWindow();
    await here.doOnShelf('own', 'Brought in', { put: { people: [person], drafts: [draft] } });
    await here.rename('shelf', 'One');
    await here.rename('shelf', 'Two');
    const later = await openWindow();
    const [, , two] = await later.acts('shelf');
    if (!two) throw new Error('three acts');
    expect(await later.undoAct('own', two)).toMatchObject({ ok: true });
    expect(await later.named()).toBe('One');
    const { past, future } = later.pastAndFuture(await later.acts('shelf'));
    expect([past.length, future.map((a) => a.id)]).toEqual([2, [two.id]]);
    const [again] = future;
    if (!again) throw new Error('one was undone');
    await later.redoAct('own', again);
    expect(await later.named()).toBe('Two');
    expect((await later.acts('shelf')).every((a) => !a.undone)).toBe(true);
  });

  it('forgets what was undone once something new is done at the place, and nothing of another place', async () => {
    const here = await openWindow();
    await here.doOnShelf('own', 'Brought in', { put: { people: [person], drafts: [draft] } });
    await here.rename('shelf', 'One');
    await here.rename('crew', 'Two');
    const [, one] = await here.acts('shelf');
    if (!one) throw new Error('two acts');
    expect(await here.undoAct('own', one)).toMatchObject({ ok: false });
    const [two] = await here.acts('crew');
    if (!two) throw new Error('one act');
    await here.undoAct('own', two);
    await here.undoAct('own', one);
    expect(await here.named()).toBe(draft.name);
    await here.rename('shelf', 'Three');
    expect((await here.acts('shelf')).map((a) => a.undone)).toEqual([false, false]);
    expect((await here.acts('crew')).map((a) => a.undone)).toEqual([true]);
  });

  it('takes no other place’s work back: a rename is undone, what was drafted since stays', async () => {
    const here = await openWindow();
    await here.doOnShelf('own', 'Brought in', { put: { people: [person], drafts: [draft] } });
    await here.rename('shelf', 'Renamed');
    await here.doAt(
      'own',
      `draft:${draft.id}`,
      '',
      [
        {
          kind: 'draft',
          id: draft.id,
          patches: [{ at: ['set', 'back.extension'], was: draft.set['back.extension'], is: 155 }],
        },
      ],
      [],
    );
    const [brought, renamed] = await here.acts('shelf');
    if (!brought || !renamed) throw new Error('two acts');
    expect(await here.undoAct('own', renamed)).toMatchObject({ ok: true });
    const now = (await here.readShelf('own')).drafts[0]?.value;
    expect([now?.name, now?.set['back.extension']]).toEqual([draft.name, 155]);
    // The draft itself is no longer the one that was brought in: it is not undone away.
    expect(await here.undoAct('own', brought)).toMatchObject({ ok: false });
    expect((await here.readShelf('own')).drafts).toHaveLength(1);
  });

  it('lets two windows change the same record in different places, and asks where they change the same', async () => {
    const [here, there] = [await openWindow(), await openWindow()];
    await here.doOnShelf('own', 'Brought in', { put: { people: [person], drafts: [draft] } });
    const change = (at: string[], was: unknown, is: unknown) => [
      { kind: 'draft' as const, id: draft.id, patches: [{ at, was, is }] },
    ];
    await here.doAt('own', 'a', '', change(['set', 'front.extension'], draft.set['front.extension'], 61), []);
    await there.doAt('own', 'b', '', change(['set', 'back.extension'], draft.set['back.extension'], 122), []);
    const both = (await here.readShelf('own')).drafts[0];
    expect(both?.value.set).toMatchObject({ 'front.extension': 61, 'back.extension': 122 });
    const before = await here.readShelf('own');
    const clash = change(['set', 'front.extension'], draft.set['front.extension'], 70);
    // What is told is what is there, and what was wanted instead.
    expect(await there.doAt('own', 'b', '', clash, [])).toEqual({
      ok: false,
      clashes: change(['set', 'front.extension'], 61, 70),
    });
    expect(await here.readShelf('own')).toEqual(before);
    expect(await there.writeBatch('own', { changes: clash, put: [], drop: [] }, () => undefined)).toMatchObject({
      ok: true,
    });
    const after = (await here.readShelf('own')).drafts[0];
    expect(after?.value.set['front.extension']).toBe(70);
    expect(after?.revision).toBeGreaterThan(both?.revision ?? NaN);
  });

  it('keeps the last two hundred acts of a place', async () => {
    const here = await openWindow();
    await here.doOnShelf('own', 'Brought in', { put: { people: [person], drafts: [draft] } });
    for (let i = 0; i < 205; i++) await here.rename('crew', `Name ${i}`);
    const acts = await here.acts('crew');
    expect(acts).toHaveLength(200);
    expect(acts.at(-1)?.changes[0]?.patches).toEqual([{ at: ['name'], was: 'Name 203', is: 'Name 204' }]);
    expect(acts.map((a) => a.rank)).toEqual([...acts.map((a) => a.rank)].sort((a, b) => a - b));
    expect(await here.acts('shelf')).toHaveLength(1);
  });

  it('writes all of a batch or nothing of it', async () => {
    const here = await openWindow();
    await here.doOnShelf('own', 'Brought in', { put: { people: [person], drafts: [draft] } });
    const before = await here.readShelf('own');
    const name = (): string => 'not data';
    const changes = [
      { kind: 'person' as const, id: person.id, patches: [{ at: ['note'], was: person.note, is: 'Other' }] },
      { kind: 'draft' as const, id: draft.id, patches: [{ at: ['name'], was: draft.name, is: name }] },
    ];
    await expect(here.doAt('own', 'shelf', '', changes, [])).rejects.toThrow();
    expect(await here.readShelf('own')).toEqual(before);
    expect(await here.acts('shelf')).toHaveLength(1);
  });

  it('is stepped through to any act, and before them all', async () => {
    const here = await openWindow();
    await here.doOnShelf('own', 'Brought in', { put: { people: [person], drafts: [draft] } });
    for (const name of ['One', 'Two', 'Three']) await here.rename('crew', name);
    const [one] = await here.acts('crew');
    await here.stepTo('own', await here.acts('crew'), one);
    expect(await here.named()).toBe('One');
    await here.stepTo('own', await here.acts('crew'), undefined);
    expect(await here.named()).toBe(draft.name);
    const acts = await here.acts('crew');
    await here.stepTo('own', acts, acts[2]);
    expect(await here.named()).toBe('Three');
  });

  it('puts and takes away whole records, and brings them back', async () => {
    const here = await openWindow();
    await here.doOnShelf('own', 'Brought in', { put: DEMO_WORKBOOK });
    const before = await here.readShelf('own');
    const ids = (list: readonly { readonly id: string }[]): string[] => list.map(({ id }) => id);
    await here.doOnShelf('own', 'Cleared', {
      remove: { people: ids(DEMO_WORKBOOK.people), drafts: ids(DEMO_WORKBOOK.drafts) },
    });
    expect((await here.readShelf('own')).people).toEqual([]);
    const [, cleared] = await here.acts('shelf');
    if (!cleared) throw new Error('two acts');
    await here.undoAct('own', cleared);
    const after = await here.readShelf('own');
    expect(after.drafts.map((d) => d.value)).toEqual(before.drafts.map((d) => d.value));
    expect(after.drafts.every((d, i) => d.revision > (before.drafts[i]?.revision ?? NaN))).toBe(true);
  });
});

describe('a person who is forgotten', () => {
  it('goes with their drafts and with all that the log holds of them, and nobody else does', async () => {
    const here = await openWindow();
    await here.doOnShelf('own', 'Brought in', { put: DEMO_WORKBOOK });
    const theirs = DEMO_WORKBOOK.drafts.filter((d) => d.personId === person.id).map((d) => d.id);
    await here.rename(`draft:${draft.id}`, 'Renamed');
    await here.doOnShelf('own', 'Deleted', { remove: { drafts: [draft.id] } });
    await here.forgetPerson('own', person.id);
    const shelf = await here.readShelf('own');
    expect(shelf.people).toHaveLength(DEMO_WORKBOOK.people.length - 1);
    expect(shelf.drafts.map((d) => d.id).filter((id) => theirs.includes(id))).toEqual([]);
    expect(shelf.drafts).toHaveLength(DEMO_WORKBOOK.drafts.length - theirs.length);
    const left = [...(await here.acts('shelf')), ...(await here.acts(`draft:${draft.id}`))];
    expect(JSON.stringify(left)).not.toContain(person.id);
    expect(JSON.stringify(left)).not.toContain(person.name);
    expect(left).toHaveLength(1);
    // What is left of the act that brought all in is undone without them.
    const [brought] = left;
    if (!brought) throw new Error('one act is left');
    expect(await here.undoAct('own', brought)).toMatchObject({ ok: true });
    expect((await here.readShelf('own')).people).toEqual([]);
  });
});

describe('the name of a file', () => {
  it('keeps letters and figures of any language and nothing that a disk refuses', () => {
    expect(fileName('Cellist: Wide-legged dress / trouser?')).toBe('cellist-wide-legged-dress-trouser');
    expect(fileName('Größe 44 ½')).toBe('größe-44-½');
    expect(fileName('???')).toBe('draft');
  });
});
