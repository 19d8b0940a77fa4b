import Button from '@mui/material/Button';
import FormControlLabel from '@mui/material/FormControlLabel';
import Switch from '@mui/material/Switch';
import { useState } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import type { MeasurementSet, Person } from '../../core/kept/index.js';
import { howTaken, MEASUREMENTS, REQUIRED_IDS, ROUND_THE_BODY, type MeasurementId } from '../../core/measure/index.js';
import { formatFigure, tapeFor, type Unit } from '../../core/units/index.js';
import { BodyFigure } from '../body/BodyFigure.js';
import { withFractions } from '../shared/fractions.js';
import { Opening } from '../shared/Opening.js';
import { PageHead } from '../head/PageHead.js';
import { useShelf } from '../store/queries.js';
import { roomOf } from '../store/rooms.js';
import { crewLine } from './crew-rows.js';
import './people.css';

/** More forms than this are drawn only on request: a thousand sheets are seldom meant. */
const MANY = 60;
const isRequired = (id: MeasurementId): boolean => (REQUIRED_IDS as readonly string[]).includes(id);

interface FormProps {
  readonly person: Person | undefined;
  readonly set: MeasurementSet | undefined;
  readonly unit: Unit;
}

/** One sheet: the drawn body, every measurement with how it is taken, and its figure or a line to write on. */
function Form({ person, set, unit }: FormProps) {
  const tape = tapeFor(unit);
  const values = person && set ? crewLine(person).values : {};
  return (
    <article className="form-sheet">
      <header>
        <h2>{person ? person.name : 'Measuring form'}</h2>
        <div>
          {set ? (
            <>
              Taken {set.date}
              {set.taker && ` by ${set.taker}`}
              {set.byOneself && ' by oneself'}; waist {set.waistSits}; inseam to the {set.inseamTo}
            </>
          ) : (
            <>
              {!person && <>Name or role ____________________ </>}
              Date ____________ Taken by ____________ by oneself ☐ Waist: natural ☐ low ☐ high ☐ Inseam to: floor ☐
              ankle ☐
            </>
          )}
        </div>
      </header>
      <div className="form-body">
        <BodyFigure values={values} adopted={{}} figure={person?.figure ?? 'unknown'} inHand="waist" />
        <table className="figures">
          <thead>
            <tr>
              <th scope="col">Round the body</th>
              <th scope="col">{unit}</th>
            </tr>
          </thead>
          <tbody>
            {ROUND_THE_BODY.map((id) => {
              const info = MEASUREMENTS.get(id);
              const mm = values[id];
              return (
                <tr key={id}>
                  <th scope="row">
                    <strong>{info?.label}</strong>
                    {isRequired(id) && ' *'} <span className="quiet">{howTaken(id).how}</span>
                  </th>
                  <td>{mm === undefined ? '________' : withFractions(formatFigure(mm, tape))}</td>
                </tr>
              );
            })}
          </tbody>
        </table>
      </div>
      <footer className="quiet">
        * needed. {set?.note ? `Note: ${set.note}` : 'Note ______________________________'}
      </footer>
    </article>
  );
}

/** Measuring forms for the printer: blank, or filled with what is known of each person. */
export function FormsPage() {
  const room = roomOf(useParams()['room']);
  const [query] = useSearchParams();
  const shelf = useShelf(room);
  const [filled, setFilled] = useState(query.has('people'));
  const [all, setAll] = useState(false);
  if (shelf.isPending) return <Opening className="page quiet" />;
  const unit: Unit = query.get('unit') === 'in' ? 'in' : 'cm';
  const wanted = new Set((query.get('people') ?? '').split(',').filter(Boolean));
  const people = (shelf.data?.people ?? [])
    .map((p) => p.value)
    .filter((p) => wanted.size === 0 || wanted.has(p.id))
    .sort((a, b) => a.name.localeCompare(b.name));
  const shown = all ? people : people.slice(0, MANY);
  return (
    <>
      <div className="no-print">
        <PageHead room={room} title="Measuring forms" />
      </div>
      <main id="page" className="page forms">
        <div className="page-head no-print">
          <h1>Measuring forms</h1>
          <span className="spring" />
          <FormControlLabel
            control={
              <Switch
                checked={filled}
                onChange={(_, on) => {
                  setFilled(on);
                }}
              />
            }
            label={`Filled (${people.length})`}
          />
          <Button
            variant="contained"
            onClick={() => {
              window.print();
            }}
          >
            Print forms
          </Button>
          <Button component={Link} to={`/${room}/crew`}>
            Back to the crew
          </Button>
        </div>
        {filled ? (
          shown.map((person) => <Form key={person.id} person={person} set={crewLine(person).set} unit={unit} />)
        ) : (
          <Form person={undefined} set={undefined} unit={unit} />
        )}
        {filled && shown.length < people.length && (
          <Button
            className="no-print"
            onClick={() => {
              setAll(true);
            }}
          >
            Draw the other {people.length - shown.length} as well
          </Button>
        )}
      </main>
    </>
  );
}
