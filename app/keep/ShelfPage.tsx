import Button from '@mui/material/Button';
import { useDeferredValue, useMemo, useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { dayOf, newDraft, newPerson, type KeptDraft, type Person, type Work } from '../../core/kept/index.js';
import { GrowingList } from '../shared/GrowingList.js';
import { Opening } from '../shared/Opening.js';
import { OpenWorkbook } from '../shared/OpenWorkbook.js';
import { PageNav } from '../shared/PageNav.js';
import { saveFile } from '../shared/save-file.js';
import { StorageFault } from '../shared/StorageFault.js';
import { useShelfActs } from '../shared/shelf-acts.js';
import { contentOf, readShelf } from '../store/database.js';
import { usePreferences } from '../store/preferences.js';
import { resetDemoRoom, useShelf } from '../store/queries.js';
import { ROOM_LABELS, roomOf } from '../store/rooms.js';
import { LeftUnstored } from './LeftUnstored.js';
import { ShelfRow } from './ShelfRow.js';

const newId = (): string => crypto.randomUUID();

interface Row {
  readonly draft: KeptDraft;
  readonly person: Person;
  readonly work: Work;
  /** What is searched: names in small letters. */
  readonly words: string;
}

/** Keep: every draft of the workroom, and the workbook as the way out and in. */
export function ShelfPage() {
  const room = roomOf(useParams()['room']);
  const shelf = useShelf(room);
  const { act, tell, undoRedo, message } = useShelfActs(room, 'shelf');
  const unit = usePreferences((p) => p.unit);
  const go = useNavigate();
  const [problem, setProblem] = useState<string>();
  const [search, setSearch] = useState('');
  const sought = useDeferredValue(search);

  const rows = useMemo((): Row[] => {
    const people = new Map(shelf.data?.people.map((p) => [p.id, p.value]));
    return (shelf.data?.drafts ?? [])
      .flatMap(({ value: draft }) => {
        const person = people.get(draft.personId);
        const words = `${draft.name} ${person?.name ?? ''}`.toLocaleLowerCase();
        return person ? [{ draft, person, work: { draft, person }, words }] : [];
      })
      .sort((a, b) => b.draft.changed.localeCompare(a.draft.changed));
  }, [shelf.data]);
  const idle = useMemo(() => {
    const drafted = new Set(rows.map((r) => r.person.id));
    return (shelf.data?.people ?? []).map((p) => p.value).filter((p) => !drafted.has(p.id));
  }, [rows, shelf.data]);
  const wanted = useMemo(() => {
    const words = sought.toLocaleLowerCase().split(/\s+/).filter(Boolean);
    const has = (text: string): boolean => words.every((w) => text.includes(w));
    return {
      rows: rows.filter((r) => has(r.words)),
      idle: idle.filter((p) => has(p.name.toLocaleLowerCase())),
    };
  }, [rows, idle, sought]);
  const none = rows.length + idle.length === 0;

  const startNew = async (known?: Person): Promise<void> => {
    const now = new Date();
    const person = known ?? newPerson(newId, 'New person', unit, now);
    const draft = newDraft(newId, person, 'Trousers', now);
    await act({ said: `New draft for ${person.name}`, put: { people: known ? [] : [person], drafts: [draft] } });
    await go(`/${room}/draft/${draft.id}/measure`);
  };

  const copy = ({ draft }: Row): Promise<void> => {
    const now = new Date().toISOString();
    const name = `${draft.name}, copy`;
    const copied = { ...structuredClone(draft), id: newId(), name, created: now, changed: now };
    return act({ said: `Copied “${draft.name}”`, put: { drafts: [copied] } });
  };

  const exportBook = async (): Promise<void> => {
    const { writeWorkbook } = await import('../../core/workbook/index.js');
    const now = new Date();
    const name = `${room}-${dayOf(now)}.upstride.json`;
    saveFile(name, writeWorkbook(contentOf(shelf.data), now), 'application/json');
  };

  const clear = async (): Promise<void> => {
    if (room === 'demo') {
      await resetDemoRoom();
      tell('The demo workroom is as it came', false);
      return;
    }
    const ids = (records: readonly { readonly id: string }[]): string[] => records.map(({ id }) => id);
    const { people, drafts, charts } = contentOf(shelf.data);
    await act({
      said: 'Cleared the workroom',
      remove: { people: ids(people), drafts: ids(drafts), charts: ids(charts) },
    });
  };

  return (
    <main className="page">
      <div className="page-head">
        <h1>{ROOM_LABELS[room]}</h1>
        <PageNav room={room} />
        <span className="spring" />
        {undoRedo}
        <Button
          variant="contained"
          onClick={() => {
            void startNew();
          }}
        >
          New draft
        </Button>
        <Button
          variant="outlined"
          onClick={() => {
            void exportBook();
          }}
          disabled={none && (shelf.data?.charts.length ?? 0) === 0}
        >
          Save workbook
        </Button>
        <OpenWorkbook
          label="Open workbook"
          here={async () => contentOf(await readShelf(room))}
          onMerged={async (put, told) => {
            await act({ said: told, put });
          }}
          onRefuse={setProblem}
        />
        <Button
          onClick={() => {
            void clear();
          }}
          disabled={none && room === 'own'}
        >
          {room === 'demo' ? 'Reset demo' : 'Clear workroom'}
        </Button>
        <Button component={Link} to={room === 'demo' ? '/own' : '/demo'}>
          {room === 'demo' ? 'My workroom' : 'The demo'}
        </Button>
      </div>
      {problem !== undefined && (
        <p className="problem" role="alert">
          {problem}
        </p>
      )}
      {shelf.isError && <StorageFault fault={shelf.error} />}
      <LeftUnstored room={room} />
      {shelf.isPending && <Opening className="quiet" />}
      {shelf.data && none && (
        <p className="quiet">No drafts yet. Start one from four measurements, or open a workbook.</p>
      )}
      {!none && (
        <input
          type="search"
          className="text-field search"
          aria-label="Search drafts and people"
          placeholder="Search drafts and people"
          value={search}
          onChange={(event) => {
            setSearch(event.target.value);
          }}
        />
      )}
      {!none && wanted.rows.length + wanted.idle.length === 0 && (
        <p className="quiet">Nothing goes by “{search}”. Search by a part of a draft’s or a person’s name.</p>
      )}
      <GrowingList className="shelf" items={wanted.rows}>
        {(row) => (
          <ShelfRow
            key={row.draft.id}
            work={row.work}
            to={`/${room}/draft/${row.draft.id}/draft`}
            onRename={(name) => {
              void act({ said: `Renamed “${row.draft.name}”`, put: { drafts: [{ ...row.draft, name }] } });
            }}
            onCopy={() => {
              void copy(row);
            }}
            onDelete={() => {
              void act({ said: `Deleted “${row.draft.name}”`, remove: { drafts: [row.draft.id] } });
            }}
          />
        )}
      </GrowingList>
      {wanted.idle.length > 0 && (
        <>
          <h2>Without a draft</h2>
          <GrowingList className="shelf" items={wanted.idle}>
            {(person) => (
              <li key={person.id}>
                <span />
                <div>
                  <Link className="name" to={`/${room}/person/${person.id}`}>
                    {person.name}
                  </Link>
                  <div className="quiet">{person.note}</div>
                </div>
                <Button
                  onClick={() => {
                    void startNew(person);
                  }}
                >
                  New draft
                </Button>
              </li>
            )}
          </GrowingList>
        </>
      )}
      {message}
    </main>
  );
}
