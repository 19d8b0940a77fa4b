import NativeSelect from '@mui/material/NativeSelect';
import Button from '@mui/material/Button';
import { useMemo, useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import { SHIPPED_CHARTS, type ChartSize, type Figure, type SizeChart } from '../../core/measure/index.js';
import { newPerson, type KeptChart } from '../../core/kept/index.js';
import { writeChart } from '../../formats/csv/index.js';
import { GarmentPick } from '../shared/GarmentPick.js';
import { NameField } from '../shared/NameField.js';
import { Opening } from '../shared/Opening.js';
import { PageHead } from '../head/PageHead.js';
import { fileName, saveFile } from '../shared/save-file.js';
import { useShelfActs } from '../shared/shelf-acts.js';
import { contentOf } from '../store/database.js';
import { usePreferences } from '../store/preferences.js';
import { useShelf } from '../store/queries.js';
import { roomOf } from '../store/rooms.js';
import { ChartTable } from './ChartTable.js';
import { ImportChart } from './ImportChart.js';
import '../shared/crew-grid.css';

const newId = (): string => crypto.randomUUID();

const FIGURES: readonly (readonly [Figure, string])[] = [
  ['child', 'Children'],
  ['woman', 'Women'],
  ['man', 'Men'],
  ['unknown', 'Not said'],
];

const kept = (chart: SizeChart): KeptChart => chart as KeptChart;

/** Size charts: the three that come with Upstride, and a maker's own, to look at, change, bring in and save. */
export function SizesPage() {
  const room = roomOf(useParams()['room']);
  const shelf = useShelf(room);
  const { act, undoRedo, message } = useShelfActs(room, 'charts');
  const unit = usePreferences((p) => p.unit);
  const go = useNavigate();
  const [chartId, setChartId] = useState<string>();
  const [problem, setProblem] = useState<string>();
  const [importing, setImporting] = useState(false);
  const [making, setMaking] = useState(false);
  const own = useMemo(() => (shelf.data?.charts ?? []).map((c) => c.value as SizeChart), [shelf.data]);
  const charts = [...own, ...SHIPPED_CHARTS];
  const chart = charts.find((c) => c.id === chartId) ?? charts[0];
  if (shelf.isPending || !chart) return <Opening className="page quiet" />;
  const isOwn = own.some((c) => c.id === chart.id);
  const put = (next: SizeChart, said: string): Promise<void> => act({ said, put: { charts: [kept(next)] } });
  const copy = async (): Promise<void> => {
    const next: SizeChart = { ...chart, id: newId(), name: `${chart.name}, copy`, note: '' };
    await put(next, `Copied “${chart.name}”`);
    setChartId(next.id);
  };
  const asPeople = async (): Promise<void> => {
    const now = new Date();
    const people = chart.sizes.map((size) => {
      const person = newPerson(newId, `${chart.name} ${size.name}`, unit, now);
      const sets = person.sets.map((s) => ({
        ...s,
        source: 'chart' as const,
        values: { ...size.values },
        size: { chart: chart.name, name: size.name },
      }));
      return { ...person, figure: chart.figure, sets };
    });
    await act({ said: `Took ${people.length} sizes into the crew`, put: { people } });
    await go(`/${room}/crew`);
  };
  return (
    <>
      <PageHead room={room} title="Size charts" undoRedo={undoRedo} />
      <main id="page" className="page wide-page crew">
        <h1 className="visually-hidden">Size charts</h1>
        <div className="page-head">
          <label>
            Chart{' '}
            <NativeSelect
              value={chart.id}
              onChange={(event) => {
                setChartId(event.target.value);
                setProblem(undefined);
              }}
            >
              {charts.map((c) => (
                <option key={c.id} value={c.id}>
                  {c.name}
                </option>
              ))}
            </NativeSelect>
          </label>
          <span className="spring" />
          <Button
            variant={isOwn ? 'outlined' : 'contained'}
            onClick={() => {
              void copy();
            }}
          >
            {isOwn ? 'Copy' : 'Copy to change it'}
          </Button>
          <Button
            variant="outlined"
            disabled={chart.sizes.length === 0}
            onClick={() => {
              setMaking(true);
            }}
          >
            Draft its sizes
          </Button>
          <Button
            variant="outlined"
            onClick={() => {
              setImporting(true);
            }}
          >
            Bring in a table
          </Button>
          <Button
            variant="outlined"
            onClick={() => {
              saveFile(`${fileName(chart.name)}.csv`, writeChart(chart, unit), 'text/csv');
            }}
          >
            Save table
          </Button>
          <Button
            onClick={() => {
              void asPeople();
            }}
          >
            Take its sizes into the crew
          </Button>
          {isOwn && (
            <Button
              onClick={() => {
                void act({ said: `Deleted “${chart.name}”`, remove: { charts: [chart.id] } });
              }}
            >
              Delete chart
            </Button>
          )}
        </div>
        {isOwn ? (
          <div className="page-head">
            <label htmlFor="chart-name">Name</label>
            <NameField
              id="chart-name"
              label="Name of the chart"
              className="text-field"
              value={chart.name}
              onCommit={(name) => {
                void put({ ...chart, name }, `Renamed “${chart.name}”`);
              }}
            />
            <label>
              For{' '}
              <NativeSelect
                value={chart.figure}
                onChange={(event) => {
                  void put({ ...chart, figure: event.target.value as Figure }, `Changed whom “${chart.name}” is for`);
                }}
              >
                {FIGURES.map(([id, words]) => (
                  <option key={id} value={id}>
                    {words}
                  </option>
                ))}
              </NativeSelect>
            </label>
            <Button
              size="small"
              variant="outlined"
              onClick={() => {
                const last = chart.sizes.at(-1);
                const names = new Set(chart.sizes.map((s) => s.name));
                let n = chart.sizes.length + 1;
                while (names.has(String(n))) n += 1;
                const fresh: ChartSize = { name: String(n), values: { ...last?.values } };
                void put({ ...chart, sizes: [...chart.sizes, fresh] }, `Added size ${n}`);
              }}
            >
              Add a size
            </Button>
            <Button
              size="small"
              disabled={chart.sizes.length === 0}
              onClick={() => {
                const last = chart.sizes.at(-1);
                void put({ ...chart, sizes: chart.sizes.slice(0, -1) }, `Took out size ${last?.name ?? ''}`);
              }}
            >
              Take out the last
            </Button>
          </div>
        ) : (
          <p className="quiet">{chart.note} Copy it to change it.</p>
        )}
        {problem !== undefined && (
          <p className="problem" role="alert">
            {problem}
          </p>
        )}
        <ChartTable
          key={chart.id + unit}
          chart={chart}
          own={isOwn}
          unit={unit}
          onRefuse={setProblem}
          onWrite={(next) => {
            void put(next, `Changed “${chart.name}”`);
          }}
        />
        {making && (
          <GarmentPick
            room={room}
            shelf={contentOf(shelf.data)}
            run={{ name: chart.name, of: { from: 'chart', chart: chart.id, sizes: chart.sizes.map((s) => s.name) } }}
            onClose={() => {
              setMaking(false);
            }}
          />
        )}
        {importing && (
          <ImportChart
            unit={unit}
            onClose={() => {
              setImporting(false);
            }}
            onTaken={async (sizes, name) => {
              const next: SizeChart = { id: newId(), name, note: '', figure: 'unknown', sizes };
              await put(next, `Brought in “${name}”: ${sizes.length} sizes`);
              setChartId(next.id);
            }}
          />
        )}
        {message}
      </main>
    </>
  );
}
