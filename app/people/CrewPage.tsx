import Button from '@mui/material/Button';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import useMediaQuery from '@mui/material/useMediaQuery';
import type { GridRowSelectionModel } from '@mui/x-data-grid';
import { useCallback, useDeferredValue, useEffect, useMemo, useRef, useState, type ClipboardEvent } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { dayOf, newPerson, type Person } from '../../core/kept/index.js';
import { isMeasurementId, measurementLabel } from '../../core/measure/index.js';
import { writePeople } from '../../formats/csv/index.js';
import { GarmentPick } from '../shared/GarmentPick.js';
import { Opening } from '../shared/Opening.js';
import { PageHead } from '../head/PageHead.js';
import { saveFile } from '../shared/save-file.js';
import { StorageFault } from '../shared/StorageFault.js';
import { useShelfActs } from '../shared/shelf-acts.js';
import { contentOf } from '../store/database.js';
import { usePreferences } from '../store/preferences.js';
import { useShelf } from '../store/queries.js';
import { roomOf } from '../store/rooms.js';
import {
  cellsOf,
  crewLine,
  crewShown,
  isHeader,
  FIGURE_COLUMNS,
  WRITABLE,
  pasteCells,
  writeCell,
  type CrewField,
  type CrewFilter,
  type CrewLine,
} from './crew-rows.js';
import { CrewGrid } from './CrewGrid.js';
import { CrewRows } from './CrewRows.js';
import { ImportPeople } from './ImportPeople.js';
import '../shared/crew-grid.css';
import './people.css';

const newId = (): string => crypto.randomUUID();
const MOST_TOLD = 6;
/** More people than these do not fit into an address; the forms are then for everybody. */
const MOST_IN_ADDRESS = 200;

/** The whole crew: everybody's current figures in one table, to edit in place, paste into, filter, print and export. */
export function CrewPage() {
  const room = roomOf(useParams()['room']);
  const shelf = useShelf(room);
  const { act, tell, undoRedo, message } = useShelfActs(room, 'crew');
  const unit = usePreferences((p) => p.unit);
  const go = useNavigate();
  const narrow = useMediaQuery('(max-width: 520px)');
  const [search, setSearch] = useState('');
  const [filter, setFilter] = useState<CrewFilter>('all');
  const [problems, setProblems] = useState<readonly string[]>([]);
  const [importing, setImporting] = useState(false);
  const [making, setMaking] = useState(false);
  const [selected, setSelected] = useState<GridRowSelectionModel>({ type: 'include', ids: new Set() });
  const sought = useDeferredValue(search);
  const actNow = useRef(act);
  useEffect(() => {
    actNow.current = act;
  });

  const all = useMemo(
    () =>
      (shelf.data?.people ?? [])
        .map((p) => crewLine(p.value))
        .sort((a, b) => a.person.name.localeCompare(b.person.name)),
    [shelf.data],
  );
  const shown = useMemo(() => crewShown(all, sought, filter), [all, sought, filter]);
  const here = (): ReturnType<typeof contentOf> => contentOf(shelf.data);
  const chosen = shown.filter((line) => (selected.type === 'include') === selected.ids.has(line.id));
  const counts = {
    incomplete: all.filter((l) => l.missing.length > 0).length,
    doubtful: all.filter((l) => l.missing.length === 0 && l.doubts.length > 0).length,
  };

  const write = useCallback(
    (line: CrewLine, field: CrewField, text: string): CrewLine => {
      const done = writeCell(line.person, field, text, unit, new Date());
      if (!done.ok) throw new Error(done.sentence);
      setProblems([]);
      const label = isMeasurementId(field) ? measurementLabel(field) : field;
      const said = `${line.person.name}: ${label.toLowerCase()} changed`;
      void actNow.current({ said, put: { people: [done.person] } });
      return crewLine(done.person);
    },
    [unit],
  );
  const refuse = useCallback((sentence: string) => {
    setProblems([sentence]);
  }, []);

  const paste = (event: ClipboardEvent): void => {
    if (!(event.target instanceof HTMLElement) || event.target instanceof HTMLInputElement) return;
    const field = event.target.closest<HTMLElement>('[role=gridcell]')?.dataset['field'];
    const id = event.target.closest<HTMLElement>('[role=row]')?.dataset['id'];
    const pasted = cellsOf(event.clipboardData.getData('text/plain'));
    const cells = isHeader(pasted[0]) ? pasted.slice(1) : pasted;
    const from = { line: shown.findIndex((l) => l.id === id), column: WRITABLE.indexOf(field as CrewField) };
    if (cells.length === 0 || from.line === -1 || from.column === -1) return;
    event.preventDefault();
    const now = new Date();
    const people = shown.map((l) => l.person);
    const done = pasteCells(cells, from, people, WRITABLE, unit, now, (name) => newPerson(newId, name, unit, now));
    setProblems(done.problems);
    if (done.people.length > 0) {
      const said = `Pasted ${done.written} figures for ${done.people.length} people`;
      void act({ said, put: { people: done.people } });
    }
  };

  const add = async (): Promise<void> => {
    const person: Person = newPerson(newId, 'New person', unit, new Date());
    await act({ said: 'New person', put: { people: [person] } });
    await go(`/${room}/person/${person.id}`);
  };

  const remove = (): void => {
    const ids = new Set(chosen.map((l) => l.id));
    const drafts = here().drafts.filter((d) => ids.has(d.personId));
    const people = chosen.map((l) => l.person);
    const [only] = people;
    const who = people.length === 1 && only ? `“${only.name}”` : `${people.length} people`;
    const along = drafts.length > 0 ? ` and ${drafts.length} ${drafts.length === 1 ? 'draft' : 'drafts'}` : '';
    void act({
      said: `Deleted ${who}${along}`,
      remove: { people: people.map((p) => p.id), drafts: drafts.map((d) => d.id) },
    });
    setSelected({ type: 'include', ids: new Set() });
  };

  const exportCsv = (): void => {
    const rows = (chosen.length > 0 ? chosen : shown).map(({ person, set, values }) => ({
      name: person.name,
      figure: person.figure,
      date: set.date,
      taker: set.taker,
      note: set.note,
      values,
    }));
    saveFile(`${room}-crew-${dayOf(new Date())}.csv`, writePeople(rows, FIGURE_COLUMNS, unit), 'text/csv');
    tell(`Saved ${rows.length} ${rows.length === 1 ? 'person' : 'people'} as a table`, false);
  };

  const [one] = chosen;
  const ids = (chosen.length > 0 ? chosen : shown).map((l) => l.id);
  const formIds = ids.join(',');
  return (
    <>
      <PageHead room={room} title="Crew" undoRedo={undoRedo} />
      <main id="page" className="page wide-page crew">
        <h1 className="visually-hidden">Crew</h1>
        <div className="page-head">
          <Button
            variant="contained"
            onClick={() => {
              void add();
            }}
          >
            New person
          </Button>
          <input
            type="search"
            className="text-field search"
            aria-label="Search the crew"
            placeholder="Search the crew"
            value={search}
            onChange={(event) => {
              setSearch(event.target.value);
            }}
          />
          <ToggleButtonGroup
            exclusive
            size="small"
            value={filter}
            aria-label="Who is shown"
            onChange={(_, next: CrewFilter | null) => {
              if (next) setFilter(next);
            }}
          >
            <ToggleButton value="all">All {all.length}</ToggleButton>
            <ToggleButton value="incomplete">Incomplete {counts.incomplete}</ToggleButton>
            <ToggleButton value="doubtful">Doubtful {all.filter((l) => l.doubts.length > 0).length}</ToggleButton>
          </ToggleButtonGroup>
          <span className="spring" />
          {one && (
            <>
              <Button variant="outlined" component={Link} to={`/${room}/person/${one.id}`}>
                Measure {chosen.length === 1 ? one.person.name : 'the first'}
              </Button>
              <Button component={Link} to={`/${room}/person/${one.id}/history`}>
                History
              </Button>
              <Button onClick={remove}>Delete {chosen.length > 1 ? chosen.length : ''}</Button>
            </>
          )}
          <Button
            variant="outlined"
            disabled={all.length === 0}
            onClick={() => {
              setMaking(true);
            }}
          >
            Draft for {chosen.length > 0 ? chosen.length : 'all'}
          </Button>
          <Button
            variant="outlined"
            onClick={() => {
              setImporting(true);
            }}
          >
            Bring in a table
          </Button>
          <Button variant="outlined" onClick={exportCsv} disabled={all.length === 0}>
            Save table
          </Button>
          <Button
            variant="outlined"
            component={Link}
            to={`/${room}/forms?unit=${unit}${chosen.length > 0 && chosen.length <= MOST_IN_ADDRESS ? `&people=${formIds}` : ''}`}
          >
            Measuring forms
          </Button>
        </div>
        {shelf.isPending && <Opening className="quiet" />}
        {shelf.isError && <StorageFault fault={shelf.error} />}
        {problems.length > 0 && (
          <div className="problem" role="alert">
            {problems.slice(0, MOST_TOLD).map((p) => (
              <div key={p}>{p}</div>
            ))}
            {problems.length > MOST_TOLD && <div>and {problems.length - MOST_TOLD} more; all else was taken over.</div>}
          </div>
        )}
        {shelf.data &&
          (narrow ? (
            <CrewRows rows={shown} unit={unit} room={room} selected={selected} onSelect={setSelected} />
          ) : (
            <div className="crew-grid" onPaste={paste}>
              <CrewGrid
                rows={shown}
                unit={unit}
                room={room}
                selected={selected}
                onSelect={setSelected}
                onWrite={write}
                onRefuse={refuse}
                total={all.length}
              />
            </div>
          ))}
        {!narrow && (
          <p className="quiet">
            Double-click or press Enter to change a figure; any notation is read. Click a cell and paste rows from a
            spreadsheet to fill from there; in the name column, rows below the last add people.
          </p>
        )}
        {making && (
          <GarmentPick
            room={room}
            shelf={here()}
            run={{
              name: chosen.length > 0 ? `${chosen.length} of the crew` : 'The crew',
              of: { from: 'people', people: ids },
            }}
            onClose={() => {
              setMaking(false);
            }}
          />
        )}
        {importing && (
          <ImportPeople
            people={here().people}
            unit={unit}
            onClose={() => {
              setImporting(false);
            }}
            onTaken={(people, said) => act({ said, put: { people } })}
          />
        )}
        {message}
      </main>
    </>
  );
}
