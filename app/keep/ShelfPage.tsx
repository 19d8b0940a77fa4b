import Button from '@mui/material/Button';
import { useDeferredValue, useMemo, useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { newDraft, newPerson, type KeptDraft, type Person, type Work } from '../../core/kept/index.js';
import { GrowingList } from '../shared/GrowingList.js';
import { Opening } from '../shared/Opening.js';
import { OpenWorkbook } from '../shared/OpenWorkbook.js';
import { PageNav } from '../shared/PageNav.js';
import { saveFile } from '../shared/save-file.js';
import { contentOf, useShelfActs } from '../shared/shelf-acts.js';
import { readShelf } from '../store/database.js';
import { usePreferences } from '../store/preferences.js';
import { useShelf, useStartOver } from '../store/queries.js';
import { ROOM_LABELS, roomOf } from '../store/rooms.js';
import { changeAct, putAct, removeAct, replaceAct, takeAwayAct, useShelfHistory } from '../store/shelf-history.js';
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
  const startOver = useStartOver(room);
  const { act, tell, undoRedo, message } = useShelfActs(room);
  const history = useShelfHistory();
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
    await act(putAct('New draft', person, draft, known === undefined));
    await go(`/${room}/draft/${draft.id}/measure`);
  };

  const copy = ({ draft, person }: Row): Promise<void> => {
    const now = new Date().toISOString();
    const name = `${draft.name}, copy`;
    const copied = { ...structuredClone(draft), id: newId(), name, created: now, changed: now };
    return act(putAct(`Copied “${draft.name}”`, person, copied, false));
  };

  const exportBook = async (): Promise<void> => {
    const { writeWorkbook } = await import('../../core/workbook/index.js');
    const now = new Date();
    const name = `${room}-${now.toISOString().slice(0, 10)}.upstride.json`;
    saveFile(name, writeWorkbook(contentOf(shelf.data), now), 'application/json');
  };

  const clear = async (): Promise<void> => {
    const before = contentOf(shelf.data);
    await startOver.mutateAsync();
    if (room === 'own') history.did(room, takeAwayAct('Cleared the workroom', before));
    tell(room === 'demo' ? 'The demo workroom is as it came' : 'Cleared the workroom', room === 'own');
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
            await act(changeAct(told, contentOf(await readShelf(room)), put));
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
          {room === 'demo' ? 'Go to my workroom' : 'Look round the demo'}
        </Button>
      </div>
      {problem !== undefined && (
        <p className="problem" role="alert">
          {problem}
        </p>
      )}
      {shelf.isError && (
        <p className="problem" role="alert">
          This browser does not let Upstride store anything: {shelf.error.message}. Allow storage for this address and
          load the page again.
        </p>
      )}
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
              void act(replaceAct(`Renamed “${row.draft.name}”`, row.draft, { ...row.draft, name }));
            }}
            onCopy={() => {
              void copy(row);
            }}
            onDelete={() => {
              void act(removeAct(row.draft));
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
