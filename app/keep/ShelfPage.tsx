import Button from '@mui/material/Button';
import NativeSelect from '@mui/material/NativeSelect';
import { lazy, Suspense, useDeferredValue, useEffect, useMemo, useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { dayOf, newDraft, newPerson, type Person } from '../../core/kept/index.js';
import type { WorkbookContent } from '../../core/workbook/index.js';
import { PageHead } from '../head/PageHead.js';
import { GrowingList } from '../shared/GrowingList.js';
import { Opening } from '../shared/Opening.js';
import { OpenWorkbook } from '../shared/OpenWorkbook.js';
import { fileName, saveFile } from '../shared/save-file.js';
import { StorageFault } from '../shared/StorageFault.js';
import { useShelfActs } from '../shared/shelf-acts.js';
import { contentOf, readShelf } from '../store/database.js';
import { usePreferences, type Preferences } from '../store/preferences.js';
import { resetDemoRoom, useShelf } from '../store/queries.js';
import { writeBook } from '../store/open-book.js';
import { ROOM_LABELS, roomOf, type RoomId } from '../store/rooms.js';
import { LeftUnstored } from './LeftUnstored.js';
import { goesBy, savedSaid, shelfEntries, shelfLines, type ShelfEntry } from './shelf-rows.js';
import { ShelfRow } from './ShelfRow.js';
import './shelf.css';

const Starts = lazy(() => import('../start/Starts.js').then((m) => ({ default: m.Starts })));

const newId = (): string => crypto.randomUUID();

const ORDERS: readonly (readonly [Preferences['shelfOrder'], string])[] = [
  ['changed', 'Changed last'],
  ['person', 'By person'],
  ['name', 'By name'],
];

/** So long after the shelf has come, in ms, photos that nothing names are looked for. */
const SWEEP_AFTER = 5000;

/** Saves records as a workbook file, with the photos of a room where one is named. */
async function saveBook(content: WorkbookContent, name: string, photosOf?: RoomId): Promise<void> {
  // A large one would hold the page up; where no worker can be had, the page writes it all the same.
  const book = await writeBook(content, photosOf).catch(async () => {
    const { bookText } = await import('../store/book-text.js');
    return bookText(content, photosOf);
  });
  saveFile(`${name}.upstride.json`, book, 'application/json');
}

/** Keep: every draft of the workroom, and the workbook as the way out and in. */
export function ShelfPage() {
  const room = roomOf(useParams()['room']);
  const shelf = useShelf(room);
  const { act, tell, undoRedo, message } = useShelfActs(room, 'shelf');
  const { unit, shelfOrder, savedToFile, set } = usePreferences();
  const go = useNavigate();
  const [problem, setProblem] = useState<string>();
  const [search, setSearch] = useState('');
  const sought = useDeferredValue(search);
  const { entries, idle } = useMemo(() => shelfEntries(shelf.data ?? { people: [], drafts: [] }), [shelf.data]);
  const lines = useMemo(() => shelfLines(entries, sought, shelfOrder), [entries, sought, shelfOrder]);
  const people = useMemo(() => idle.filter((p) => goesBy(sought, p.name.toLocaleLowerCase())), [idle, sought]);
  const none = entries.length + idle.length === 0;
  const saved = savedSaid(savedToFile[room], entries, new Date());

  // What no draft and no act names any more is taken away while nothing else is asked for.
  const read = shelf.data !== undefined;
  useEffect(() => {
    if (!read) return undefined;
    const timer = window.setTimeout(() => {
      void import('../store/sweep-photos.js')
        .then(({ sweepPhotos }) => sweepPhotos(room, Date.now()))
        .catch(() => undefined);
    }, SWEEP_AFTER);
    return () => {
      window.clearTimeout(timer);
    };
  }, [room, read]);

  const startNew = async (known?: Person): Promise<void> => {
    const now = new Date();
    const person = known ?? newPerson(newId, 'New person', unit, now);
    const draft = newDraft(newId, person, 'Trousers', now);
    await act({ said: `New draft for ${person.name}`, put: { people: known ? [] : [person], drafts: [draft] } });
    await go(`/${room}/draft/${draft.id}/measure`);
  };

  const copy = ({ draft }: ShelfEntry): Promise<void> => {
    const now = new Date().toISOString();
    const name = `${draft.name}, copy`;
    const copied = { ...structuredClone(draft), id: newId(), name, created: now, changed: now };
    return act({ said: `Copied “${draft.name}”`, put: { drafts: [copied] } });
  };

  const saveAll = async (): Promise<void> => {
    const now = new Date();
    await saveBook(contentOf(shelf.data), `${room}-${dayOf(now)}`, room);
    set({ savedToFile: { ...savedToFile, [room]: now.toISOString() } });
  };

  const clear = async (): Promise<void> => {
    if (room === 'demo') {
      await resetDemoRoom();
      tell('The demo workroom is as it came', false);
      return;
    }
    const ids = (records: readonly { readonly id: string }[]): string[] => records.map(({ id }) => id);
    const { people: persons, drafts, charts, styles } = contentOf(shelf.data);
    await act({
      said: 'Cleared the workroom',
      remove: { people: ids(persons), drafts: ids(drafts), charts: ids(charts), styles: ids(styles) },
    });
  };

  return (
    <>
      <PageHead room={room} title="Drafts" undoRedo={undoRedo} />
      <main id="page" className="page">
        <h1 className="visually-hidden">{ROOM_LABELS[room]}: drafts</h1>
        <div className="page-head">
          <Button
            variant="contained"
            onClick={() => {
              void startNew();
            }}
          >
            New draft
          </Button>
          {(shelf.isPending || !none) && (
            <>
              <input
                type="search"
                className="text-field search"
                aria-label="Search drafts and people"
                placeholder="Search drafts, people, notes"
                value={search}
                onChange={(event) => {
                  setSearch(event.target.value);
                }}
              />
              <NativeSelect
                inputProps={{ 'aria-label': 'Order of the shelf' }}
                value={shelfOrder}
                onChange={(event) => {
                  set({ shelfOrder: event.target.value as Preferences['shelfOrder'] });
                }}
              >
                {ORDERS.map(([order, label]) => (
                  <option key={order} value={order}>
                    {label}
                  </option>
                ))}
              </NativeSelect>
            </>
          )}
          <span className="spring" />
          <Button
            variant="outlined"
            onClick={() => {
              void saveAll();
            }}
            disabled={none && (shelf.data?.charts.length ?? 0) === 0}
          >
            Save workbook
          </Button>
          <OpenWorkbook
            room={room}
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
          <Suspense fallback={undefined}>
            <p>No drafts here yet. Start one:</p>
            <Starts room={room} onRefuse={setProblem} />
          </Suspense>
        )}
        {!none && lines.length + people.length === 0 && (
          <p className="quiet">Nothing goes by “{search}”. Search by a part of a draft’s or a person’s name.</p>
        )}
        {lines.length > 0 && (
          <GrowingList className="shelf" items={lines}>
            {(line) => {
              const { draft, person } = line;
              return (
                <ShelfRow
                  key={draft.id}
                  room={room}
                  line={line}
                  onRename={(name) => {
                    void act({ said: `Renamed “${draft.name}”`, put: { drafts: [{ ...draft, name }] } });
                  }}
                  onNote={(note) => {
                    const noted = { ...draft, note: note === '' ? undefined : note };
                    void act({ said: `Note on “${draft.name}”`, put: { drafts: [noted] } });
                  }}
                  onCopy={() => {
                    void copy(line);
                  }}
                  onHandOver={() => {
                    void saveBook(
                      { people: [person], drafts: [draft], charts: [], practice: [], styles: [] },
                      fileName(`${person.name} ${draft.name}`),
                    );
                  }}
                  onDelete={() => {
                    void act({ said: `Deleted “${draft.name}”`, remove: { drafts: [draft.id] } });
                  }}
                />
              );
            }}
          </GrowingList>
        )}
        {people.length > 0 && (
          <>
            <h2>Without a draft</h2>
            <GrowingList className="shelf" items={people}>
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
        {room === 'own' && !none && (
          <p
            className={saved.due ? 'doubt' : 'quiet'}
            role={saved.due ? 'note' : undefined}
            data-testid="saved-to-file"
          >
            {saved.words} {saved.due && 'Save the workbook, and keep the file where it is safe.'}
          </p>
        )}
        {message}
      </main>
    </>
  );
}
