import NativeSelect from '@mui/material/NativeSelect';
import Button from '@mui/material/Button';
import { useMemo, useState } from 'react';
import { Link, useParams } from 'react-router';
import { newestFirst, valuesOf, type MeasurementSet, type Person } from '../../core/kept/index.js';
import {
  compareSets,
  MEASUREMENT_IDS,
  measurementLabel,
  nearestSizes,
  SHIPPED_CHARTS,
  type Measured,
  type MeasurementId,
  type SizeChart,
} from '../../core/measure/index.js';
import { formatFigure, tapeFor, type Tape } from '../../core/units/index.js';
import { withFractions } from '../shared/fractions.js';
import { Opening } from '../shared/Opening.js';
import { PageHead } from '../head/PageHead.js';
import { signedFigure, signedPercent } from '../shared/signed.js';
import { useShelfActs } from '../shared/shelf-acts.js';
import { usePreferences } from '../store/preferences.js';
import { useShelf } from '../store/queries.js';
import { roomOf, type RoomId } from '../store/rooms.js';
import { useMode } from '../shared/theme-mode.js';
import { FigureChart, ShareChart, type FigurePoint } from './FigureChart.js';
import { ForgetPerson } from './ForgetPerson.js';
import './people.css';

const NOTHING: Measured = {};

const SOURCE_WORDS: Readonly<Record<MeasurementSet['source'], string>> = {
  body: 'from the body',
  pair: 'from a finished pair',
  chart: 'from a size chart',
};

const setName = (set: MeasurementSet): string => `${set.date}, ${SOURCE_WORDS[set.source]}`;
/** The figures of a person in mm at every date they were taken from the body, oldest first. */
function historyOf(person: Person, id: MeasurementId): FigurePoint[] {
  return newestFirst(person)
    .filter((s) => s.source === 'body')
    .flatMap((s) => {
      const mm = valuesOf(s)[id];
      return mm === undefined ? [] : [{ date: s.date, mm }];
    })
    .reverse();
}

function Picker({
  label,
  value,
  choices,
  onChoose,
}: {
  label: string;
  value: string;
  choices: readonly (readonly [string, string])[];
  onChoose: (value: string) => void;
}) {
  return (
    <label className="picker">
      {label}{' '}
      <NativeSelect
        value={value}
        onChange={(event) => {
          onChoose(event.target.value);
        }}
      >
        {choices.map(([id, words]) => (
          <option key={id} value={id}>
            {words}
          </option>
        ))}
      </NativeSelect>
    </label>
  );
}

/** How far the figures of two sets lie apart, as bars. */
function Shares({ before, after }: { before: Measured; after: Measured }) {
  const dark = useMode(usePreferences((p) => p.theme)) === 'dark';
  const bars = useMemo(
    () =>
      compareSets(before, after).flatMap((row) =>
        row.share === undefined ? [] : [{ label: measurementLabel(row.id), share: row.share }],
      ),
    [before, after],
  );
  return bars.length === 0 ? (
    <p className="quiet">They share no figure.</p>
  ) : (
    <ShareChart bars={bars} label="Differences in per cent" dark={dark} />
  );
}

function Comparison({ person, tape, charts }: { person: Person; tape: Tape; charts: readonly SizeChart[] }) {
  const sets = newestFirst(person);
  const [first, second] = sets;
  const suited = charts.find((c) => c.figure === person.figure) ?? charts[0];
  const others: (readonly [string, string])[] = [
    ...sets.map((s) => [`set ${s.id}`, setName(s)] as const),
    ...charts.map((c) => [`chart ${c.id}`, `nearest size of “${c.name}”`] as const),
  ];
  const [afterId, setAfterId] = useState(first?.id ?? '');
  const [beforeId, setBeforeId] = useState(second ? `set ${second.id}` : `chart ${suited?.id ?? ''}`);
  const after = sets.find((s) => s.id === afterId) ?? first;
  if (!after) return null;
  const chart = charts.find((c) => beforeId === `chart ${c.id}`);
  const near = chart && nearestSizes(chart, valuesOf(after))[0];
  const set = sets.find((s) => beforeId === `set ${s.id}`);
  const before = near ? near.size.values : set ? valuesOf(set) : NOTHING;
  const rows = compareSets(before, valuesOf(after));
  const show = (mm: number | undefined): string => (mm === undefined ? '–' : withFractions(formatFigure(mm, tape)));
  return (
    <section aria-label="Comparison">
      <h2>One set against another</h2>
      <div className="page-head">
        <Picker
          label="Hold"
          value={after.id}
          choices={sets.map((s) => [s.id, setName(s)] as const)}
          onChoose={setAfterId}
        />
        <Picker label="against" value={beforeId} choices={others} onChoose={setBeforeId} />
      </div>
      {near && chart && (
        <p>
          The nearest size of “{chart.name}” is <strong>{near.size.name}</strong>.
        </p>
      )}
      <div className="comparison">
        <table className="figures compare" aria-label="Figures of both">
          <thead>
            <tr>
              <th scope="col">{tape.unit}</th>
              <th scope="col">{near ? `Size ${near.size.name}` : (set?.date ?? '')}</th>
              <th scope="col">{after.date}</th>
              <th scope="col">Differs</th>
              <th scope="col">Per cent</th>
            </tr>
          </thead>
          <tbody>
            {rows.map((row) => (
              <tr key={row.id} data-compare={row.id}>
                <th scope="row">{measurementLabel(row.id)}</th>
                <td>{show(row.before)}</td>
                <td>{show(row.after)}</td>
                <td>{row.by === undefined ? '' : signedFigure(row.by, tape)}</td>
                <td>{row.share === undefined ? '' : signedPercent(row.share)}</td>
              </tr>
            ))}
          </tbody>
        </table>
        <Shares before={before} after={valuesOf(after)} />
      </div>
    </section>
  );
}

/** One figure at every date it was taken, as a chart; taken once, in words. */
function OverTime({ person, id, tape }: { person: Person; id: MeasurementId; tape: Tape }) {
  const dark = useMode(usePreferences((p) => p.theme)) === 'dark';
  const points = useMemo(() => historyOf(person, id), [person, id]);
  const [first] = points;
  if (points.length > 1) return <FigureChart points={points} label={measurementLabel(id)} tape={tape} dark={dark} />;
  return (
    <p className="quiet">
      It was taken once, {withFractions(formatFigure(first?.mm ?? 0, tape))} {tape.unit} on {first?.date}. Take it again
      to see how it moves.
    </p>
  );
}

function History({ room, person, charts }: { room: RoomId; person: Person; charts: readonly SizeChart[] }) {
  const { act, undoRedo, message } = useShelfActs(room, 'crew');
  const shelf = useShelf(room);
  const tape = tapeFor(person.unit);
  const measured = MEASUREMENT_IDS.filter((id) => historyOf(person, id).length > 0);
  const [wanted, setWanted] = useState<string>();
  const id = measured.find((m) => m === wanted) ?? measured[0];
  const drafts = (shelf.data?.drafts ?? []).map((d) => d.value).filter((d) => d.personId === person.id);
  const remove = (set: MeasurementSet): void => {
    const next = { ...person, sets: person.sets.filter((s) => s.id !== set.id) };
    void act({ said: `Deleted the set of ${set.date}`, put: { people: [next] } });
  };
  return (
    <>
      <PageHead room={room} title={person.name} undoRedo={undoRedo} />
      <main id="page" className="page">
        <div className="page-head">
          <h1>{person.name}</h1>
          <span className="spring" />
          <ForgetPerson room={room} person={person} drafts={drafts.length} />
          <Button variant="contained" component={Link} to={`/${room}/person/${person.id}`}>
            Measure
          </Button>
        </div>
        {person.note && <p className="quiet">{person.note}</p>}
        <h2>Sets of measurements</h2>
        <table className="figures" aria-label="Sets of measurements">
          <thead>
            <tr>
              <th scope="col">Taken</th>
              <th scope="col">By</th>
              <th scope="col">Figures</th>
              <th scope="col">Corrected</th>
              <th scope="col">Drafts from it</th>
              <th scope="col">
                <span className="visually-hidden">Acts</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {newestFirst(person).map((set) => {
              const used = drafts.filter((d) => d.setId === set.id);
              return (
                <tr key={set.id} data-set={set.id}>
                  <th scope="row">
                    {setName(set)}
                    {set.note && <div className="quiet">{set.note}</div>}
                  </th>
                  <td>{set.taker}</td>
                  <td>{Object.keys(valuesOf(set)).length}</td>
                  <td>{set.corrected.length || ''}</td>
                  <td>
                    {used.map((d) => (
                      <div key={d.id}>
                        <Link to={`/${room}/draft/${d.id}/measure`}>{d.name}</Link>
                      </div>
                    ))}
                  </td>
                  <td>
                    {used.length === 0 && person.sets.length > 1 && (
                      <Button
                        size="small"
                        onClick={() => {
                          remove(set);
                        }}
                      >
                        Delete
                      </Button>
                    )}
                  </td>
                </tr>
              );
            })}
          </tbody>
        </table>
        <h2>A figure over time</h2>
        {id ? (
          <>
            <Picker
              label="Figure"
              value={id}
              choices={measured.map((m) => [m, measurementLabel(m)] as const)}
              onChoose={setWanted}
            />
            <OverTime person={person} id={id} tape={tape} />
          </>
        ) : (
          <p className="quiet">Nothing has been taken from the body yet.</p>
        )}
        <Comparison person={person} tape={tape} charts={charts} />
        {message}
      </main>
    </>
  );
}

/** A person's history: their sets, each figure over time, one set against another or against the nearest size. */
export function PersonPage() {
  const { room: roomName, personId } = useParams();
  const room = roomOf(roomName);
  const shelf = useShelf(room);
  const charts = useMemo(
    () => [...(shelf.data?.charts ?? []).map((c) => c.value as SizeChart), ...SHIPPED_CHARTS],
    [shelf.data],
  );
  if (shelf.isPending) return <Opening className="page quiet" />;
  const person = shelf.data?.people.find((p) => p.id === personId)?.value;
  if (!person) {
    return (
      <main className="page">
        <h1>This person is not here</h1>
        <p>They may have been deleted, or belong to another workroom.</p>
        <Button component={Link} to={`/${room}/crew`} variant="contained">
          The crew
        </Button>
      </main>
    );
  }
  return <History key={person.id} room={room} person={person} charts={charts} />;
}
