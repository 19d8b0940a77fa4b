import useMediaQuery from '@mui/material/useMediaQuery';
import { DataGrid, type GridColDef, type GridRowSelectionModel, type GridSortModel } from '@mui/x-data-grid';
import { useMemo, useState } from 'react';
import { rowRank, type BatchRow } from '../../core/batch/index.js';
import type { RunBody } from '../../core/kept/index.js';
import { clothWords, toBuy } from '../../core/lay/index.js';
import type { Tape, Unit } from '../../core/units/index.js';
import { withFractions } from '../shared/fractions.js';
import { PiecePicture } from '../shared/PiecePicture.js';
import { askWords } from './row-words.js';

/** A body of the run as a line of the table, with what was found of it so far. */
export interface RowLine {
  readonly id: string;
  readonly body: RunBody;
  readonly row: BatchRow | undefined;
}

const ROW_HEIGHT = 66;
/** More of what asks for something does not fit into a line; all of it stands on the bench. */
const MOST_SHOWN = 2;
const ROWS_A_PAGE = 100;
const PAGE_SIZES = [ROWS_A_PAGE];
const START = { pagination: { paginationModel: { pageSize: ROWS_A_PAGE } } };
/** What asks for most comes first, once all is done: nothing moves about before. */
const WORST_FIRST: GridSortModel = [{ field: 'asks', sort: 'desc' }];
const AS_LISTED: GridSortModel = [];

/** What a telephone has no room for; all of it stands on the bench of the body that is taken. */
const LEFT_OUT = { estimated: false, cloth: false, hand: false };
const ALL_SHOWN = {};

function columnsFor(unit: Unit, tape: Tape, narrow: boolean, onTake: (key: string) => void): GridColDef<RowLine>[] {
  return [
    {
      field: 'picture',
      headerName: 'Pieces',
      width: narrow ? 60 : 78,
      sortable: false,
      renderCell: ({ row: { row } }) =>
        row?.ok ? (
          <PiecePicture outlines={row.outlines} weight={1} />
        ) : (
          <span className="quiet">{row ? '–' : '…'}</span>
        ),
    },
    {
      field: 'name',
      headerName: 'Person or size',
      width: narrow ? 104 : 148,
      valueGetter: (_, { body }) => body.name,
      renderCell: ({ row: { body } }) => (
        <button
          type="button"
          className="plain-button"
          data-body={body.key}
          onClick={() => {
            onTake(body.key);
          }}
        >
          {body.name}
          <span className="quiet">{body.note}</span>
        </button>
      ),
    },
    {
      field: 'asks',
      headerName: 'Asks for something',
      flex: 1,
      minWidth: narrow ? 110 : 180,
      valueGetter: (_, { row }) => (row ? rowRank(row) : -1),
      renderCell: ({ row: { row } }) => {
        if (!row) return <span className="quiet">not done yet</span>;
        if (!row.ok)
          return (
            <span className="row-asks verdict-out" title={row.sentence}>
              ✕ {row.sentence}
            </span>
          );
        if (row.asks.length === 0 && row.leftOut.length === 0) return <span className="verdict-in">✓ all in band</span>;
        return (
          <span className="row-asks">
            {row.asks.slice(0, MOST_SHOWN).map((ask) => (
              <span key={ask.id} className={`verdict-${ask.verdict}`}>
                <span aria-hidden="true">{ask.verdict === 'out' ? '✕' : '!'}</span>
                <span className="visually-hidden">{ask.verdict}</span> {withFractions(askWords(ask, tape))}
              </span>
            ))}
            {row.asks.length > MOST_SHOWN && <span className="quiet">and {row.asks.length - MOST_SHOWN} more</span>}
            {row.leftOut.length > 0 && (
              <span className="verdict-out">
                {row.leftOut.length} {row.leftOut.length === 1 ? 'alteration' : 'alterations'} left out
              </span>
            )}
          </span>
        );
      },
    },
    {
      field: 'estimated',
      headerName: 'Estimated',
      width: 150,
      valueGetter: (_, { row }) => (row?.ok ? row.estimated.join(', ') : ''),
      renderCell: ({ value }: { value?: string }) => (
        <span className="row-asks quiet" title={value}>
          {value}
        </span>
      ),
    },
    {
      field: 'cloth',
      headerName: 'Shell, about',
      width: 96,
      align: 'right',
      headerAlign: 'right',
      valueGetter: (_, { row }) => (row?.ok ? (row.cloth.find((c) => c.kind === 'shell')?.length ?? 0) : 0),
      renderCell: ({ value }: { value?: number }) =>
        value === undefined || value === 0 ? '' : withFractions(clothWords(toBuy(value, unit), unit)),
    },
    {
      field: 'hand',
      headerName: 'By hand',
      width: 84,
      valueGetter: (_, { body }) => (body.own ? 2 : body.byHand ? 1 : 0),
      renderCell: ({ row: { body } }) =>
        body.own ? 'own draft' : body.byHand ? <span aria-label="set by hand">✎ by hand</span> : '',
    },
  ];
}

/** The bodies of a run with what came of each, what asks for most first. */
export function RowGrid({
  lines,
  unit,
  tape,
  busy,
  inHand,
  selected,
  onSelect,
  onTake,
}: {
  readonly lines: readonly RowLine[];
  readonly unit: Unit;
  readonly tape: Tape;
  readonly busy: boolean;
  readonly inHand: string | undefined;
  readonly selected: GridRowSelectionModel;
  readonly onSelect: (selected: GridRowSelectionModel) => void;
  readonly onTake: (key: string) => void;
}) {
  const narrow = useMediaQuery('(max-width: 520px)');
  const [sorted, setSorted] = useState<GridSortModel>();
  const columns = useMemo(() => columnsFor(unit, tape, narrow, onTake), [unit, tape, narrow, onTake]);
  return (
    <DataGrid
      rows={lines}
      columns={columns}
      columnVisibilityModel={narrow ? LEFT_OUT : ALL_SHOWN}
      sortModel={sorted ?? (busy ? AS_LISTED : WORST_FIRST)}
      onSortModelChange={setSorted}
      rowHeight={ROW_HEIGHT}
      columnHeaderHeight={40}
      checkboxSelection
      disableRowSelectionOnClick
      disableColumnMenu
      rowSelectionModel={selected}
      onRowSelectionModelChange={onSelect}
      getRowClassName={({ id }) => (id === inHand ? 'row-in-hand' : '')}
      onRowClick={({ id }) => {
        onTake(String(id));
      }}
      hideFooter={lines.length <= ROWS_A_PAGE}
      initialState={START}
      pageSizeOptions={PAGE_SIZES}
      localeText={{ noRowsLabel: 'Nobody is shown by this.' }}
    />
  );
}
