import { createStore, type StoreApi } from 'zustand/vanilla';
import type { KeptDraft, KeptRecord, Person, RecordChange, RecordRef, Work } from '../../core/kept/index.js';
import { writeBatch, type Batch, type KeptNow } from './change-log.js';
import { readActs, readRecord } from './database.js';
import { crossOut, noteUnwritten } from './journal.js';
import { onWritten, wroteRecords } from './queries.js';
import type { RoomId } from './rooms.js';
import { isOfWork, outlineNow, workChanges, workWith, type OpenWork } from './open-work.js';

/** How saving stands. */
export type SaveState = 'saved' | 'saving' | 'conflict' | 'failed';

/** How saving stands, with why it failed, or what another window changed as well. */
export interface Saving {
  readonly save: SaveState;
  readonly reason?: string;
  readonly clashes?: readonly RecordChange[];
}

/** Saving of one open piece of work. */
export interface Autosave {
  readonly state: StoreApi<Saving>;
  /** Keeps what is here over what another window wrote, or tries once more to store it. */
  readonly keepMine: () => void;
  /** Takes what another window wrote, in the place of what could not be kept here. */
  readonly takeTheirs: () => Promise<void>;
  /** Writes at once what still waits for the hand to rest. */
  readonly flush: () => void;
  /** The same as the page goes away: what may not come to be written is noted. */
  readonly leave: () => void;
  readonly stop: () => void;
}

/** A hand that moves on within this many ms adds to the same write. */
const REST_MS = 60;

/**
 * Saves the work at every act: what was changed of each record, and the act in the log, in one small write, one after
 * another, complete or not at all. What another window changes elsewhere in the same records is taken over; where both
 * changed the same it stops and says so, and so where the browser refuses to store. `keepsDraft` false saves the person
 * alone.
 */
export function startAutosave(room: RoomId, open: OpenWork, keepsDraft = true): Autosave {
  const state = createStore<Saving>()(() => ({ save: 'saved' }));
  let written: Work = open.state.getState().work;
  let running = false;
  let timer: ReturnType<typeof setTimeout> | undefined;

  const kept = (changes: readonly RecordChange[]): RecordChange[] =>
    changes.filter(({ kind }) => keepsDraft || kind !== 'draft');

  /** What has to be written for the work and the log to be kept as they are now. */
  const batchNow = (work: Work, whole: boolean): Batch => {
    const { acts, unwritten, dropped } = open.done.getState();
    const outline = outlineNow(open);
    const changes = kept(workChanges(written, work));
    // What follows from the rest is written with the draft, also where nothing else of it was changed; a record that has
    // gone is put back only where it takes part.
    const drawn = keepsDraft && written.draft !== work.draft;
    const taking = (['person', 'draft'] as const).filter(
      (kind) => (kind === 'draft' ? drawn || (whole && keepsDraft) : whole) && !changes.some((c) => c.kind === kind),
    );
    return {
      changes: [...changes, ...taking.map((kind) => ({ kind, id: work[kind].id, patches: [] }))],
      put: acts
        .filter(({ id }) => unwritten.has(id))
        .map((act) => ({ ...act, changes: kept(act.changes) }))
        .filter(({ changes: left }) => left.length > 0),
      drop: dropped,
      follows: { changed: new Date().toISOString(), ...(outline && { outline }) },
    };
  };

  /** The latest revision of each record that was taken over; one that is read late is older. */
  const seen = new Map<string, number>();
  const isNewer = ({ kind, id, record }: KeptNow): boolean =>
    (record?.revision ?? 0) > (seen.get(`${kind} ${id}`) ?? 0);

  /**
   * Lays the records as they are kept under what was changed here since they were asked for; nothing of either is lost.
   * False where both changed the same: then it is told, and stays as it is.
   */
  const takeOver = (records: readonly KeptNow[], asked: Work): boolean => {
    const { work } = open.state.getState();
    const newer = records.filter(isNewer);
    const { person, draft } = Object.fromEntries(newer.map((r) => [r.kind, r.record?.value])) as {
      readonly person?: Person;
      readonly draft?: KeptDraft;
    };
    const now: Work = { person: person ?? asked.person, draft: draft ?? asked.draft };
    const since = workChanges(asked, work);
    const next = workWith(now, since);
    written = next ? now : asked;
    if (!next) {
      state.setState({ save: 'conflict', clashes: since });
      return false;
    }
    for (const { kind, id, record } of newer) if (record) seen.set(`${kind} ${id}`, record.revision);
    if (workChanges(work, next).length > 0)
      open.within('quiet', () => {
        open.state.setState({ work: next });
      });
    return true;
  };

  /** Whether something was noted that is to be crossed out once it is written. */
  let noted = false;
  /** What other windows have written while something was being written here. */
  let missed: readonly KeptNow[] = [];

  const write = async (force = false): Promise<void> => {
    clearTimeout(timer);
    if (running) return;
    running = true;
    try {
      for (;;) {
        const { work } = open.state.getState();
        const { acts, unwritten, dropped } = open.done.getState();
        if (work === written && unwritten.size === 0 && dropped.length === 0) break;
        const batch = batchNow(work, force);
        if (batch.changes.length > 0 || batch.put.length > 0) state.setState({ save: 'saving' });
        const mine = ({ kind }: RecordRef): KeptRecord | undefined => (isOfWork(kind) ? work[kind] : undefined);
        const outcome = await writeBatch(room, batch, force ? mine : undefined);
        if (!outcome.ok) {
          state.setState({ save: 'conflict', clashes: outcome.clashes });
          return;
        }
        // An act that has grown meanwhile is written once more.
        const done = new Set(acts.filter((act) => open.done.getState().acts.includes(act)).map(({ id }) => id));
        open.done.setState((now) => ({
          unwritten: new Set([...now.unwritten].filter((id) => !done.has(id))),
          dropped: now.dropped.filter((id) => !batch.drop.includes(id)),
        }));
        wroteRecords(room, outcome.records);
        if (!takeOver(outcome.records, work)) return;
        if (open.state.getState().work === work) written = work;
      }
      if (noted) crossOut(room, open.place);
      noted = false;
      const late = missed;
      missed = [];
      if (!takeOver(late, open.state.getState().work)) return;
      state.setState({ save: 'saved' }, true);
    } catch (fault) {
      state.setState({ save: 'failed', reason: fault instanceof Error ? fault.message : String(fault) });
    } finally {
      running = false;
    }
  };

  const stopChanges = open.onChange((how) => {
    if (state.getState().save === 'conflict') return;
    clearTimeout(timer);
    if (how === 'more') timer = setTimeout(() => void write(), REST_MS);
    else void write();
  });
  const stopWritten = onWritten((where, records, by) => {
    if (where !== room || by === 'here') return;
    const { work } = open.state.getState();
    const ours = records.filter(
      ({ kind, id }) => isOfWork(kind) && id === work[kind].id && (keepsDraft || kind === 'person'),
    );
    if (!ours.some(({ record }) => record !== undefined)) return;
    if (running || state.getState().save !== 'saved') missed = [...missed, ...ours];
    else takeOver(ours, work);
  });
  return {
    state,
    flush: () => void write(),
    leave: () => {
      void write();
      if (state.getState().save !== 'saving') return;
      noteUnwritten(room, open.place, batchNow(open.state.getState().work, false));
      noted = true;
    },
    stop: () => {
      clearTimeout(timer);
      stopChanges();
      stopWritten();
    },
    keepMine: () => {
      state.setState({ save: 'saving' }, true);
      void write(true);
    },
    takeTheirs: async () => {
      const { work } = open.state.getState();
      const [person, draft] = await Promise.all([
        readRecord(room, 'person', work.person.id),
        keepsDraft ? readRecord(room, 'draft', work.draft.id) : undefined,
      ]);
      const acts = await readActs(room, open.place);
      const theirs: Work = { person: person?.value ?? work.person, draft: draft?.value ?? work.draft };
      written = theirs;
      open.done.setState({ acts, unwritten: new Set(), dropped: [], refused: undefined });
      open.within('quiet', () => {
        open.state.setState({ work: theirs, preview: undefined, trial: undefined });
      });
      state.setState({ save: 'saved' }, true);
    },
  };
}
