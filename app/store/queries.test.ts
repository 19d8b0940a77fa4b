import 'fake-indexeddb/auto';
import { QueryObserver } from '@tanstack/react-query';
import { afterEach, describe, expect, it } from 'vitest';
import type { Act } from '../../core/kept/index.js';
import type { Shelf } from './database.js';
import { newAct } from './change-log.js';
import { queryClient, shelfKey, showActs, wroteRecords } from './queries.js';

afterEach(() => {
  queryClient.clear();
});

/** A reading that comes to its end when the test says so, with what the test says it has read. */
function readings<T>(): {
  readonly read: () => Promise<T>;
  readonly end: (value: T) => Promise<void>;
  begun: () => number;
} {
  const waiting: ((value: T) => void)[] = [];
  let begun = 0;
  return {
    read: () =>
      new Promise<T>((done) => {
        begun += 1;
        waiting.push(done);
      }),
    end: async (value) => {
      waiting.shift()?.(value);
      await new Promise((rest) => setTimeout(rest, 5));
    },
    begun: () => begun,
  };
}
const said = (acts: readonly Act[] | undefined): string[] => (acts ?? []).map((a) => a.said);
const ACTS = ['acts', 'own', 'crew'];
const act = (words: string): Act => newAct('crew', words, []);

describe('what was written, where it is shown', () => {
  it('is not put out by a reading that began before it was written: the last act stays the one to undo', async () => {
    const reading = readings<Act[]>();
    const [first, second] = [act('first'), act('second')];
    const end = new QueryObserver(queryClient, { queryKey: ACTS, queryFn: reading.read }).subscribe(() => undefined);
    await reading.end([first]);
    void queryClient.invalidateQueries({ queryKey: ACTS });
    expect(reading.begun()).toBe(2);
    showActs('own', 'crew', [second], []);
    expect(said(queryClient.getQueryData(ACTS))).toEqual(['first', 'second']);
    await reading.end([first]);
    expect(said(queryClient.getQueryData(ACTS))).toEqual(['first', 'second']);
    expect(reading.begun()).toBe(3);
    await reading.end([first, second]);
    expect(said(queryClient.getQueryData(ACTS))).toEqual(['first', 'second']);
    end();
  });

  it('is not put out by the first reading either', async () => {
    const reading = readings<Act[]>();
    const [first, second] = [act('first'), act('second')];
    const end = new QueryObserver(queryClient, { queryKey: ACTS, queryFn: reading.read }).subscribe(() => undefined);
    showActs('own', 'crew', [second], []);
    await reading.end([first]);
    expect(said(queryClient.getQueryData(ACTS))).toEqual(['second']);
    await reading.end([first, second]);
    expect(said(queryClient.getQueryData(ACTS))).toEqual(['first', 'second']);
    end();
  });

  it('comes into a shelf that was being read when a record was written', async () => {
    const reading = readings<Shelf>();
    const empty: Shelf = { people: [], drafts: [], charts: [], practice: [], styles: [] };
    const end = new QueryObserver(queryClient, { queryKey: shelfKey('own'), queryFn: reading.read }).subscribe(
      () => undefined,
    );
    wroteRecords('own', [{ kind: 'person', id: 'cook', record: undefined }]);
    await reading.end(empty);
    expect(reading.begun()).toBe(2);
    await reading.end(empty);
    expect(queryClient.getQueryData(shelfKey('own'))).toEqual(empty);
    end();
  });

  it('is read no second time where nothing was being read', async () => {
    const reading = readings<Act[]>();
    const end = new QueryObserver(queryClient, { queryKey: ACTS, queryFn: reading.read }).subscribe(() => undefined);
    await reading.end([]);
    showActs('own', 'crew', [act('only')], []);
    expect(reading.begun()).toBe(1);
    end();
  });
});
