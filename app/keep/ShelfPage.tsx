import Button from '@mui/material/Button';
import Snackbar from '@mui/material/Snackbar';
import { useEffect, useMemo, useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { newDraft, newPerson, type KeptDraft, type Workbook, type Person, type Work } from '../../core/kept/index.js';
import { Opening } from '../shared/Opening.js';
import { OpenWorkbook } from '../shared/OpenWorkbook.js';
import { UndoRedo } from '../shared/UndoRedo.js';
import { saveFile } from '../shared/save-file.js';
import { usePreferences } from '../store/preferences.js';
import { useShelf, useShelfChange, useStartOver } from '../store/queries.js';
import { ROOM_LABELS, roomOf } from '../store/rooms.js';
import { ShelfRow } from './ShelfRow.js';
import { putAct, removeAct, replaceAct, useShelfHistory, type ShelfAct } from './shelf-history.js';

const newId = (): string => crypto.randomUUID();

interface Row {
  readonly draft: KeptDraft;
  readonly person: Person;
  readonly work: Work;
}

/** Keep: every draft of the workroom, and the workbook as the way out and in. */
export function ShelfPage() {
  const room = roomOf(useParams()['room']);
  const shelf = useShelf(room);
  const change = useShelfChange(room);
  const startOver = useStartOver(room);
  const history = useShelfHistory();
  const unit = usePreferences((p) => p.unit);
  const go = useNavigate();
  const [message, setMessage] = useState<{ words: string; undo: boolean }>();
  const [problem, setProblem] = useState<string>();

  const rows = useMemo((): Row[] => {
    const people = new Map(shelf.data?.people.map((p) => [p.id, p.value]));
    return (shelf.data?.drafts ?? [])
      .flatMap(({ value: draft }) => {
        const person = people.get(draft.personId);
        return person ? [{ draft, person, work: { draft, person } }] : [];
      })
      .sort((a, b) => b.draft.changed.localeCompare(a.draft.changed));
  }, [shelf.data]);
  const idle = useMemo(() => {
    const drafted = new Set(rows.map((r) => r.person.id));
    return (shelf.data?.people ?? []).map((p) => p.value).filter((p) => !drafted.has(p.id));
  }, [rows, shelf.data]);

  const act = async (done: ShelfAct): Promise<void> => {
    await change.mutateAsync(done.forward);
    history.did(room, done);
    setMessage({ words: done.said, undo: true });
  };
  const step = (which: 'takeBack' | 'takeAgain'): void => {
    const found = history[which](room);
    if (!found) return;
    change.mutate(which === 'takeBack' ? found.backward : found.forward);
    setMessage({ words: `${which === 'takeBack' ? 'Undone' : 'Done again'}: ${found.said}`, undo: false });
  };

  useEffect(() => {
    const keys = (event: KeyboardEvent): void => {
      if (!(event.ctrlKey || event.metaKey) || event.target instanceof HTMLInputElement) return;
      const key = event.key.toLowerCase();
      if (key === 'z' || key === 'y') {
        event.preventDefault();
        step(key === 'y' || event.shiftKey ? 'takeAgain' : 'takeBack');
      }
    };
    window.addEventListener('keydown', keys);
    return () => {
      window.removeEventListener('keydown', keys);
    };
  });

  const open = (draft: KeptDraft, station: string): Promise<void> | void => go(`/${room}/draft/${draft.id}/${station}`);

  const startNew = async (known?: Person): Promise<void> => {
    const now = new Date();
    const person = known ?? newPerson(newId, 'New person', unit, now);
    const draft = newDraft(newId, person, 'Trousers', now);
    await act(putAct('New draft', person, draft, known === undefined));
    await open(draft, 'measure');
  };

  const copy = ({ draft, person }: Row): Promise<void> => {
    const now = new Date().toISOString();
    const name = `${draft.name}, copy`;
    return act(
      putAct(
        `Copied “${draft.name}”`,
        person,
        { ...structuredClone(draft), id: newId(), name, created: now, changed: now },
        false,
      ),
    );
  };

  const exportBook = async (): Promise<void> => {
    const { writeWorkbook } = await import('../../core/workbook/index.js');
    const book = {
      people: shelf.data?.people.map((p) => p.value) ?? [],
      drafts: shelf.data?.drafts.map((d) => d.value) ?? [],
    };
    const now = new Date();
    saveFile(`${room}-${now.toISOString().slice(0, 10)}.upstride.json`, writeWorkbook(book, now), 'application/json');
  };

  const importBook = async ({ people, drafts }: Workbook): Promise<void> => {
    const before = {
      people: shelf.data?.people.map((p) => p.value).filter((p) => people.some((q) => q.id === p.id)) ?? [],
      drafts: shelf.data?.drafts.map((d) => d.value).filter((d) => drafts.some((q) => q.id === d.id)) ?? [],
    };
    const fresh = <T extends { id: string }>(now: readonly T[], then: readonly T[]): string[] =>
      now.filter((n) => !then.some((t) => t.id === n.id)).map((n) => n.id);
    await act({
      said: `Opened a workbook: ${drafts.length} drafts, ${people.length} people`,
      forward: { put: { people, drafts } },
      backward: { put: before, removeDrafts: fresh(drafts, before.drafts), removePeople: fresh(people, before.people) },
    });
  };

  const clear = async (): Promise<void> => {
    const before = {
      people: shelf.data?.people.map((p) => p.value) ?? [],
      drafts: shelf.data?.drafts.map((d) => d.value) ?? [],
    };
    await startOver.mutateAsync();
    if (room === 'own') {
      history.did(room, {
        said: 'Cleared the workroom',
        forward: { removeDrafts: before.drafts.map((d) => d.id), removePeople: before.people.map((p) => p.id) },
        backward: { put: before },
      });
    }
    setMessage({
      words: room === 'demo' ? 'The demo workroom is as it came' : 'Cleared the workroom',
      undo: room === 'own',
    });
  };

  return (
    <main className="page">
      <div className="page-head">
        <h1>{ROOM_LABELS[room]}</h1>
        <span className="spring" />
        <UndoRedo
          canUndo={history.past[room].length > 0}
          canRedo={history.future[room].length > 0}
          onUndo={() => {
            step('takeBack');
          }}
          onRedo={() => {
            step('takeAgain');
          }}
        />
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
          disabled={rows.length + idle.length === 0}
        >
          Save workbook
        </Button>
        <OpenWorkbook label="Open workbook" onOpen={importBook} onRefuse={setProblem} />
        <Button
          onClick={() => {
            void clear();
          }}
          disabled={rows.length + idle.length === 0 && room === 'own'}
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
      {shelf.data && rows.length === 0 && (
        <p className="quiet">No drafts yet. Start one from four measurements, or open a workbook.</p>
      )}
      <ul className="shelf">
        {rows.map((row) => (
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
        ))}
      </ul>
      {idle.length > 0 && (
        <>
          <h2>Without a draft</h2>
          <ul className="shelf">
            {idle.map((person) => (
              <li key={person.id}>
                <span />
                <div>
                  <strong>{person.name}</strong>
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
            ))}
          </ul>
        </>
      )}
      <Snackbar
        open={message !== undefined}
        autoHideDuration={8000}
        onClose={(_, reason) => {
          if (reason !== 'clickaway') setMessage(undefined);
        }}
        message={message?.words}
        action={
          message?.undo ? (
            <Button
              color="inherit"
              onClick={() => {
                step('takeBack');
              }}
            >
              Undo
            </Button>
          ) : undefined
        }
      />
    </main>
  );
}
