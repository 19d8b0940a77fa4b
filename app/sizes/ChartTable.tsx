import useMediaQuery from '@mui/material/useMediaQuery';
import { DataGrid, type GridColDef } from '@mui/x-data-grid';
import {
  isMeasurementId,
  MEASUREMENT_IDS,
  measurementLabel,
  PAIR_IDS,
  type ChartSize,
  type MeasurementId,
  type SizeChart,
} from '../../core/measure/index.js';
import { exactFigure, formatFigure, tapeFor, type Unit } from '../../core/units/index.js';
import { withFractions } from '../shared/fractions.js';
import { SizeRows } from './SizeRows.js';
import { writeSize } from './write-size.js';

interface SizeLine {
  readonly id: number;
  readonly size: ChartSize;
}

/** A chart as a table, or size by size where it is narrow; a maker's own is changed in place, in any notation. */
export function ChartTable({
  chart,
  own,
  unit,
  onWrite,
  onRefuse,
}: {
  chart: SizeChart;
  own: boolean;
  unit: Unit;
  onWrite: (chart: SizeChart) => void;
  onRefuse: (sentence: string | undefined) => void;
}) {
  const tape = tapeFor(unit);
  const narrow = useMediaQuery('(max-width: 520px)');
  const ids = MEASUREMENT_IDS.filter((id) => own || chart.sizes.some((s) => s.values[id] !== undefined)).filter(
    (id) => !(PAIR_IDS as readonly string[]).includes(id),
  );
  if (narrow) {
    return (
      <SizeRows
        chart={chart}
        ids={ids}
        own={own}
        unit={unit}
        onWrite={(at, field, text) => {
          const done = writeSize(chart, at, field, text, unit);
          onRefuse(done.ok ? undefined : done.sentence);
          if (done.ok) onWrite(done.chart);
        }}
      />
    );
  }
  const columns: GridColDef<SizeLine>[] = [
    {
      field: 'name',
      headerName: 'Size',
      width: 100,
      editable: own,
      sortable: false,
      valueGetter: (_, line) => line.size.name,
    },
    ...ids.map((id): GridColDef<SizeLine> => ({
      field: id,
      headerName: measurementLabel(id),
      width: 96,
      align: 'right',
      headerAlign: 'right',
      editable: own,
      sortable: false,
      valueGetter: (_, line) => {
        const mm = line.size.values[id];
        return mm === undefined ? '' : exactFigure(mm, unit);
      },
      renderCell: ({ row }) => {
        const mm = row.size.values[id];
        return mm === undefined ? '' : withFractions(formatFigure(mm, tape));
      },
    })),
  ];
  return (
    <div className="crew-grid">
      <DataGrid
        rows={chart.sizes.map((size, id): SizeLine => ({ id, size }))}
        columns={columns}
        density="compact"
        disableRowSelectionOnClick
        disableColumnMenu
        hideFooter
        processRowUpdate={(next, before) => {
          const typed = next as unknown as Record<string, unknown>;
          const field = ['name', ...ids].find((f) => typeof typed[f] === 'string');
          if (field === undefined) return before;
          const text = String(typed[field]);
          const was =
            field === 'name' ? before.size.name : exactFigure(before.size.values[field as MeasurementId] ?? NaN, unit);
          if (text === was) return before;
          const done = writeSize(
            chart,
            before.id,
            field === 'name' || isMeasurementId(field) ? field : 'name',
            text,
            unit,
          );
          if (!done.ok) throw new Error(done.sentence);
          onRefuse(undefined);
          onWrite(done.chart);
          return { id: before.id, size: done.chart.sizes[before.id] ?? before.size };
        }}
        onProcessRowUpdateError={(fault: unknown) => {
          onRefuse(fault instanceof Error ? fault.message : String(fault));
        }}
        localeText={{ noRowsLabel: 'No sizes yet. Add one, or bring in a table.' }}
      />
    </div>
  );
}
