import {
  DataGrid,
  type GridColDef,
  type GridRenderCellParams,
  type GridRowSelectionModel,
  type GridSlotProps,
} from '@mui/x-data-grid';
import { memo, useMemo } from 'react';
import { Link } from 'react-router';
import { measurementLabel, type MeasurementId } from '../../core/measure/index.js';
import { exactFigure, formatFigure, tapeFor, type Unit } from '../../core/units/index.js';
import { withFractions } from '../shared/fractions.js';
import type { RoomId } from '../store/rooms.js';
import { FIGURE_COLUMNS, WRITABLE, type CrewField, type CrewLine } from './crew-rows.js';
import { Standing } from './Standing.js';
import '../shared/crew-grid.css';

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
      renderCell: ({ row }: GridRenderCellParams<CrewLine>) => <Standing line={row} />,
    },
    { field: 'date', headerName: 'Measured', width: 112, editable: true, valueGetter: (_, line) => line.set.date },
    ...FIGURE_COLUMNS.map(figure),
  ];
}

/** The browser's own checkbox: a table of a thousand lines is drawn twice as fast with it. */
function PlainCheckbox({
  checked,
  disabled,
  onChange,
  slotProps,
  tabIndex,
  indeterminate,
}: GridSlotProps['baseCheckbox']) {
  return (
    <input
      {...slotProps?.htmlInput}
      type="checkbox"
      className="plain-checkbox"
      checked={checked ?? false}
      disabled={disabled}
      tabIndex={tabIndex}
      aria-checked={indeterminate ? 'mixed' : undefined}
      onChange={onChange}
    />
  );
}

const SLOTS = { baseCheckbox: PlainCheckbox };

/** What a cell holds as one writes it. */
const cellText = (line: CrewLine, field: CrewField, unit: Unit): string =>
  field === 'name' ? line.person.name : field === 'date' ? line.set.date : editable(line.values[field], unit);

interface CrewGridProps {
  readonly rows: readonly CrewLine[];
  readonly unit: Unit;
  readonly room: RoomId;
  readonly selected: GridRowSelectionModel;
  readonly onSelect: (selected: GridRowSelectionModel) => void;
  /** Writes a cell and gives the line as it is then; throws a sentence where the cell cannot be taken over. */
  readonly onWrite: (line: CrewLine, field: CrewField, text: string) => CrewLine;
  readonly onRefuse: (sentence: string) => void;
  /** How many people there are, shown or not. */
  readonly total: number;
}

const ROWS_A_PAGE = 100;
const PAGE_SIZES = [ROWS_A_PAGE];
const START = { pagination: { paginationModel: { pageSize: ROWS_A_PAGE } } };
const NOBODY = { noRowsLabel: 'Nobody yet. Add a person, or bring in a table.' };
const NOBODY_FOUND = { noRowsLabel: 'Nobody goes by that.' };

/** The table of the crew. It is drawn anew only when its lines change, not while one types a search. */
export const CrewGrid = memo(function CrewGrid(props: CrewGridProps) {
  const { rows, unit, room, selected, onSelect, onWrite, onRefuse, total } = props;
  const columns = useMemo(() => columnsFor(unit, room), [unit, room]);
  return (
    <DataGrid
      rows={rows}
      columns={columns}
      rowHeight={44}
      columnHeaderHeight={44}
      rowBufferPx={0}
      columnBufferPx={0}
      checkboxSelection
      slots={SLOTS}
      disableRowSelectionOnClick
      disableColumnMenu
      rowSelectionModel={selected}
      onRowSelectionModelChange={onSelect}
      processRowUpdate={(next, before) => {
        const typed = next as unknown as Record<string, unknown>;
        const field = WRITABLE.find((f) => typeof typed[f] === 'string');
        if (field === undefined || typed[field] === cellText(before, field, unit)) return before;
        return onWrite(before, field, String(typed[field]));
      }}
      onProcessRowUpdateError={(fault: unknown) => {
        onRefuse(fault instanceof Error ? fault.message : String(fault));
      }}
      hideFooter={total <= ROWS_A_PAGE}
      initialState={START}
      pageSizeOptions={PAGE_SIZES}
      localeText={total === 0 ? NOBODY : NOBODY_FOUND}
    />
  );
});
