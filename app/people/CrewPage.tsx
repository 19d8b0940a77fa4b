import Button from '@mui/material/Button';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import {
  DataGrid,
  type GridCellParams,
  type GridColDef,
  type GridRenderCellParams,
  type GridRowSelectionModel,
} from '@mui/x-data-grid';
import { useDeferredValue, useMemo, useRef, useState, type ClipboardEvent } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { newPerson, type Person } from '../../core/kept/index.js';
import { isMeasurementId, measurementLabel, type MeasurementId } from '../../core/measure/index.js';
import { exactFigure, formatFigure, tapeFor, type Unit } from '../../core/units/index.js';
import { writePeople } from '../../formats/csv/index.js';
import { withFractions } from '../shared/fractions.js';
import { Opening } from '../shared/Opening.js';
import { PageNav } from '../shared/PageNav.js';
import { saveFile } from '../shared/save-file.js';
import { contentOf, useShelfActs } from '../shared/shelf-acts.js';
import { usePreferences } from '../store/preferences.js';
import { useShelf } from '../store/queries.js';
import { ROOM_LABELS, roomOf, type RoomId } from '../store/rooms.js';
import { changeAct, takeAwayAct } from '../store/shelf-history.js';
import {
  cellsOf,
  crewLine,
  crewShown,
  FIGURE_COLUMNS,
  pasteCells,
  writeCell,
  type CrewField,
  type CrewFilter,
  type CrewLine,
} from './crew-rows.js';
import { ImportPeople } from './ImportPeople.js';

const newId = (): string => crypto.randomUUID();
const MOST_TOLD = 6;
const WRITABLE: readonly CrewField[] = ['name', 'date', ...FIGURE_COLUMNS];

/** A figure as it is put into the cell to be changed: exact, in the unit of the table. */
const editable = (mm: number | undefined, unit: Unit): string => (mm === undefined ? '' : exactFigure(mm, unit));

/** Wide enough for the whole heading. */
const columnWidth = (label: string): number => Math.max(84, 28 + 8 * label.length);

function columnsFor(unit: Unit, room: RoomId): GridColDef<CrewLine>[] {
  const tape = tapeFor(unit);
  const figure = (id: MeasurementId): GridColDef<CrewLine> => ({
    field: id,
    headerName: measurementLabel(id),
    width: columnWidth(measurementLabel(id)),
    align: 'right',
    headerAlign: 'right',
    editable: true,
    sortComparator: (a: string, b: string) => (Number(a) || 0) - (Number(b) || 0),
    valueGetter: (_, line) => editable(line.values[id], unit),
    renderCell: ({ row }: GridRenderCellParams<CrewLine>) => {
      const mm = row.values[id];
      const doubted = row.doubts.some((d) => d.field === id);
      if (mm === undefined) return row.missing.includes(id) ? <span className="missing-cell">needed</span> : '';
      return (
        <span data-doubted={doubted}>
          {doubted && <span aria-label="doubtful">! </span>}
          {withFractions(formatFigure(mm, tape))}
        </span>
      );
    },
  });
  return [
    {
      field: 'name',
      headerName: 'Person or role',
      width: 168,
      editable: true,
      valueGetter: (_, line) => line.person.name,
    },
    {
      field: 'open',
      headerName: 'Measure',
      width: 92,
      sortable: false,
      renderCell: ({ row }: GridRenderCellParams<CrewLine>) => (
        <Link to={`/${room}/person/${row.id}`} aria-label={`Measure ${row.person.name}`}>
          Measure
        </Link>
      ),
    },
    {
      field: 'state',
      headerName: 'Stands',
      width: 128,
      valueGetter: (_, line) => (line.missing.length > 0 ? 2 : line.doubts.length > 0 ? 1 : 0),
      renderCell: ({ row }: GridRenderCellParams<CrewLine>) =>
        row.missing.length > 0 ? (
          <span title={`Still to be taken: ${row.missing.map(measurementLabel).join(', ')}`}>
            <span aria-hidden="true">○</span> {row.missing.length} to take
          </span>
        ) : row.doubts.length > 0 ? (
          <span className="doubtful" title={row.doubts.map((d) => d.sentence).join(' ')}>
            <span aria-hidden="true">!</span> doubtful
          </span>
        ) : (
          <span>
            <span aria-hidden="true">✓</span> complete
          </span>
        ),
    },
    { field: 'date', headerName: 'Measured', width: 112, editable: true, valueGetter: (_, line) => line.set.date },
    ...FIGURE_COLUMNS.map(figure),
  ];
}

/** The whole crew: everybody's current figures in one table, to edit in place, paste into, filter, print and export. */
export function CrewPage() {
  const room = roomOf(useParams()['room']);
  const shelf = useShelf(room);
  const { act, tell, undoRedo, message } = useShelfActs(room);
  const { unit, set: prefer } = usePreferences();
  const go = useNavigate();
  const [search, setSearch] = useState('');
  const [filter, setFilter] = useState<CrewFilter>('all');
  const [problems, setProblems] = useState<readonly string[]>([]);
  const [importing, setImporting] = useState(false);
  const [selected, setSelected] = useState<GridRowSelectionModel>({ type: 'include', ids: new Set() });
  const focused = useRef<{ readonly id: string; readonly field: string } | undefined>(undefined);
  const sought = useDeferredValue(search);

  const all = useMemo(
    () =>
      (shelf.data?.people ?? [])
        .map((p) => crewLine(p.value))
        .sort((a, b) => a.person.name.localeCompare(b.person.name)),
    [shelf.data],
  );
  const shown = useMemo(() => crewShown(all, sought, filter), [all, sought, filter]);
  const columns = useMemo(() => columnsFor(unit, room), [unit, room]);
  const here = (): ReturnType<typeof contentOf> => contentOf(shelf.data);
  const chosen = shown.filter((line) => (selected.type === 'include') === selected.ids.has(line.id));
  const counts = {
    incomplete: all.filter((l) => l.missing.length > 0).length,
    doubtful: all.filter((l) => l.missing.length === 0 && l.doubts.length > 0).length,
  };

  const write = (line: CrewLine, field: CrewField, text: string): CrewLine => {
    const before =
      field === 'name' ? line.person.name : field === 'date' ? line.set.date : editable(line.values[field], unit);
    if (text === before) return line;
    const done = writeCell(line.person, field, text, unit, new Date());
    if (!done.ok) throw new Error(done.sentence);
    setProblems([]);
    const label = isMeasurementId(field) ? measurementLabel(field) : field;
    void act(changeAct(`${line.person.name}: ${label.toLowerCase()} changed`, here(), { people: [done.person] }));
    return crewLine(done.person);
  };

  const paste = (event: ClipboardEvent): void => {
    const at = focused.current;
    if (!at || event.target instanceof HTMLInputElement) return;
    const cells = cellsOf(event.clipboardData.getData('text/plain'));
    const fields = columns.map((c) => c.field).filter((f) => f !== 'state' && f !== 'open') as CrewField[];
    const from = { line: shown.findIndex((l) => l.id === at.id), column: fields.indexOf(at.field as CrewField) };
    if (cells.length === 0 || from.line === -1 || from.column === -1) return;
    event.preventDefault();
    const now = new Date();
    const people = shown.map((l) => l.person);
    const done = pasteCells(cells, from, people, fields, unit, now, (name) => newPerson(newId, name, unit, now));
    setProblems(done.problems);
    if (done.people.length > 0) {
      const said = `Pasted ${done.written} figures for ${done.people.length} people`;
      void act(changeAct(said, here(), { people: done.people }));
    }
  };

  const add = async (): Promise<void> => {
    const person: Person = newPerson(newId, 'New person', unit, new Date());
    await act(changeAct('New person', here(), { people: [person] }));
    await go(`/${room}/person/${person.id}`);
  };

  const remove = (): void => {
    const ids = new Set(chosen.map((l) => l.id));
    const drafts = here().drafts.filter((d) => ids.has(d.personId));
    const people = chosen.map((l) => l.person);
    const [only] = people;
    const who = people.length === 1 && only ? `“${only.name}”` : `${people.length} people`;
    const along = drafts.length > 0 ? ` and ${drafts.length} ${drafts.length === 1 ? 'draft' : 'drafts'}` : '';
    void act(takeAwayAct(`Deleted ${who}${along}`, { people, drafts }));
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
    saveFile(
      `${room}-crew-${new Date().toISOString().slice(0, 10)}.csv`,
      writePeople(rows, FIGURE_COLUMNS, unit),
      'text/csv',
    );
    tell(`Saved ${rows.length} ${rows.length === 1 ? 'person' : 'people'} as a table`, false);
  };

  const [one] = chosen;
  const formIds = (chosen.length > 0 ? chosen : shown).map((l) => l.id).join(',');
  return (
    <main className="page wide-page crew">
      <div className="page-head">
        <h1>{ROOM_LABELS[room]}</h1>
        <PageNav room={room} />
        <span className="spring" />
        {undoRedo}
        <Button
          variant="contained"
          onClick={() => {
            void add();
          }}
        >
          New person
        </Button>
      </div>
      <div className="page-head">
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
        <ToggleButtonGroup
          exclusive
          size="small"
          value={unit}
          aria-label="Unit"
          onChange={(_, next: Unit | null) => {
            if (next) prefer({ unit: next });
          }}
        >
          <ToggleButton value="cm">cm</ToggleButton>
          <ToggleButton value="in">in</ToggleButton>
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
          to={`/${room}/forms?unit=${unit}${chosen.length > 0 ? `&people=${formIds}` : ''}`}
        >
          Measuring forms
        </Button>
      </div>
      {shelf.isPending && <Opening className="quiet" />}
      {shelf.isError && (
        <p className="problem" role="alert">
          This browser does not let Upstride store anything: {shelf.error.message}. Allow storage for this address and
          load the page again.
        </p>
      )}
      {problems.length > 0 && (
        <div className="problem" role="alert">
          {problems.slice(0, MOST_TOLD).map((p) => (
            <div key={p}>{p}</div>
          ))}
          {problems.length > MOST_TOLD && <div>and {problems.length - MOST_TOLD} more; all else was taken over.</div>}
        </div>
      )}
      {shelf.data && (
        <div className="crew-grid" onPaste={paste}>
          <DataGrid
            rows={shown}
            columns={columns}
            density="compact"
            checkboxSelection
            disableRowSelectionOnClick
            disableColumnMenu
            rowSelectionModel={selected}
            onRowSelectionModelChange={setSelected}
            onCellClick={({ id, field }: GridCellParams<CrewLine>) => {
              focused.current = { id: String(id), field };
            }}
            onCellKeyDown={({ id, field }: GridCellParams<CrewLine>) => {
              focused.current = { id: String(id), field };
            }}
            onCellEditStop={(_, event) => {
              // Nothing entered is lost: a cell that is clicked away from is taken over like one left with Enter.
              if ('key' in event && event.key === 'Escape') setProblems([]);
            }}
            processRowUpdate={(next, before) => {
              const typed = next as unknown as Record<string, unknown>;
              const field = WRITABLE.find((f) => typeof typed[f] === 'string');
              return field === undefined ? before : write(before, field, String(typed[field]));
            }}
            onProcessRowUpdateError={(fault: unknown) => {
              setProblems([fault instanceof Error ? fault.message : String(fault)]);
            }}
            hideFooter={shown.length <= 100}
            initialState={{ pagination: { paginationModel: { pageSize: 100 } } }}
            pageSizeOptions={[100]}
            localeText={{
              noRowsLabel: all.length === 0 ? 'Nobody yet. Add a person, or bring in a table.' : 'Nobody goes by that.',
            }}
          />
        </div>
      )}
      <p className="quiet">
        Double-click or press Enter to change a figure; any notation is read. Click a cell and paste rows from a
        spreadsheet to fill from there; in the name column, rows below the last add people.
      </p>
      {importing && (
        <ImportPeople
          people={here().people}
          unit={unit}
          onClose={() => {
            setImporting(false);
          }}
          onTaken={(people, said) => act(changeAct(said, here(), { people }))}
        />
      )}
      {message}
    </main>
  );
}
