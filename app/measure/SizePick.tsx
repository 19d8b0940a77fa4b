import Button from '@mui/material/Button';
import { useState } from 'react';
import { valuesOf } from '../../core/kept/index.js';
import {
  compareSets,
  measurementLabel,
  nearestSizes,
  SHIPPED_CHARTS,
  type SizeChart,
} from '../../core/measure/index.js';
import { formatFigure } from '../../core/units/index.js';
import { withFractions } from '../shared/fractions.js';
import { signedFigure } from '../shared/signed.js';
import { useShelf } from '../store/queries.js';
import { useChange, useCurrentSet, useTape, useWork } from '../store/work-context.js';
import { changeSet, takeSize } from '../store/work-changes.js';
import type { RoomId } from '../store/rooms.js';
import { PickLine } from '../shared/PickLine.js';

/** A size from a chart: picked, or the nearest to the person, with the differences, and taken into the set. */
export function SizePick({ room }: { room: RoomId }) {
  const shelf = useShelf(room);
  const person = useWork(({ work }) => work.person);
  const set = useCurrentSet();
  const tape = useTape();
  const change = useChange();
  const own = (shelf.data?.charts ?? []).map((c) => c.value as SizeChart);
  const charts = [...own, ...SHIPPED_CHARTS];
  const suited = charts.find((c) => c.figure === person.figure) ?? charts.find((c) => c.id === 'women') ?? charts[0];
  const [chartId, setChartId] = useState<string>();
  const chart = charts.find((c) => c.id === chartId) ?? charts.find((c) => c.name === set.size?.chart) ?? suited;
  // Against the figures of this set, or while it is empty against the newest the person has from elsewhere.
  const measured =
    set.source !== 'chart' && Object.keys(set.values).length > 0
      ? valuesOf(set)
      : valuesOf(person.sets.findLast((s) => s.source !== 'chart' && Object.keys(valuesOf(s)).length > 0) ?? set);
  const near = chart ? nearestSizes(chart, measured) : [];
  const [nearest] = near.filter((n) => Number.isFinite(n.distance));
  const [sizeName, setSizeName] = useState<string>();
  const size =
    chart?.sizes.find((s) => s.name === sizeName) ??
    chart?.sizes.find((s) => s.name === set.size?.name) ??
    nearest?.size ??
    chart?.sizes[Math.floor((chart.sizes.length - 1) / 2)];
  if (!chart || !size) return <p className="quiet">There are no size charts.</p>;
  const rows = compareSets(size.values, measured).filter((r) => r.before !== undefined);
  return (
    <>
      <PickLine
        label="Chart"
        value={chart.id}
        choices={charts.map((c) => [c.id, c.name] as const)}
        onChoose={(id) => {
          setChartId(id);
          setSizeName(undefined);
        }}
      />
      <PickLine
        label="Size"
        value={size.name}
        choices={chart.sizes.map((s) => [s.name, s === nearest?.size ? `${s.name}, the nearest` : s.name] as const)}
        onChoose={setSizeName}
      />
      <table className="figures" aria-label={`Size ${size.name} and ${person.name}`}>
        <thead>
          <tr>
            <th scope="col">{tape.unit}</th>
            <th scope="col">Size</th>
            <th scope="col">Person</th>
            <th scope="col">Differs</th>
          </tr>
        </thead>
        <tbody>
          {rows.map((r) => (
            <tr key={r.id}>
              <th scope="row">{measurementLabel(r.id)}</th>
              <td>{withFractions(formatFigure(r.before ?? 0, tape))}</td>
              <td>{r.after === undefined ? '–' : withFractions(formatFigure(r.after, tape))}</td>
              <td>{r.by === undefined ? '' : signedFigure(r.by, tape)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {set.source === 'chart' && (
        <Button
          variant="contained"
          onClick={() => {
            change(takeSize(chart, size));
          }}
        >
          Take size {size.name}
        </Button>
      )}
      {set.source === 'chart' && set.size && (
        <p className="quiet">
          This set holds size {set.size.name} of “{set.size.chart}”.{' '}
          <Button
            size="small"
            onClick={() => {
              change(changeSet({ source: 'body' }));
            }}
          >
            Change its figures by hand
          </Button>
        </p>
      )}
    </>
  );
}
