import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import { useEffect } from 'react';
import { Link } from 'react-router';
import { isMeasurementId, REQUIRED_IDS, type MeasurementId } from '../../core/measure/index.js';
import { BenchSections } from '../shared/BenchSections.js';
import { usePreferences } from '../store/preferences.js';
import type { RoomId } from '../store/rooms.js';
import { useCurrentSet, useWork } from '../store/work-context.js';
import { Doubts } from './Doubts.js';
import { Heights } from './Heights.js';
import { MeasurementLine } from './MeasurementLine.js';
import { OneAtATime } from './OneAtATime.js';
import { PairForm } from './PairForm.js';
import { PersonLines } from './PersonLines.js';
import { NewerNote, SetLines } from './SetLines.js';
import { SizePick } from './SizePick.js';
import { UnitOffer } from './UnitOffer.js';
import { useMeasuringOrder } from './use-order.js';

const isRequired = (id: MeasurementId): boolean => (REQUIRED_IDS as readonly string[]).includes(id);

/** The figures of a body, all at once. */
function AllAtOnce({ order }: { order: readonly MeasurementId[] }) {
  const byNeed = usePreferences((p) => p.measuringOrder) === 'needed';
  const line = (id: MeasurementId) => (
    <MeasurementLine
      key={id}
      id={id}
      onNext={() => {
        const following = order[order.indexOf(id) + 1];
        if (following) document.getElementById(`measure-${following}`)?.focus();
      }}
    />
  );
  if (!byNeed) return <>{order.map(line)}</>;
  return (
    <>
      <h3>The four that are needed</h3>
      {order.filter(isRequired).map(line)}
      <Doubts />
      <h3>What sharpens the draft, most first</h3>
      {order.filter((id) => !isRequired(id)).map(line)}
    </>
  );
}

function BodyFigures() {
  const order = useMeasuringOrder();
  const { measuringWay, measuringOrder, set: prefer } = usePreferences();
  const listed = measuringWay === 'list';
  return (
    <>
      <div className="ways-of-measuring">
        <ToggleButtonGroup
          exclusive
          size="small"
          value={measuringWay}
          aria-label="How to enter"
          onChange={(_, way: typeof measuringWay | null) => {
            if (way) prefer({ measuringWay: way });
          }}
        >
          <ToggleButton value="list">All at once</ToggleButton>
          <ToggleButton value="single">One at a time</ToggleButton>
        </ToggleButtonGroup>
        <ToggleButtonGroup
          exclusive
          size="small"
          value={measuringOrder}
          aria-label="In which order"
          onChange={(_, order_: typeof measuringOrder | null) => {
            if (order_) prefer({ measuringOrder: order_ });
          }}
        >
          <ToggleButton value="needed">Needed first</ToggleButton>
          <ToggleButton value="round">Round</ToggleButton>
        </ToggleButtonGroup>
      </div>
      {!(listed && measuringOrder === 'needed') && <Doubts />}
      {listed ? <AllAtOnce order={order} /> : <OneAtATime order={order} />}
      <Heights />
    </>
  );
}

/** The figures of the set in hand, however they were come by. */
function Figures({ room }: { room: RoomId }) {
  const { source } = useCurrentSet();
  return (
    <>
      <NewerNote />
      <UnitOffer />
      {source === 'body' && <BodyFigures />}
      {source === 'pair' && (
        <>
          <Doubts />
          <PairForm />
        </>
      )}
      {source === 'chart' && (
        <>
          <Doubts />
          <SizePick room={room} />
        </>
      )}
    </>
  );
}

/** The bench at Measure: the figures first; whose they are, which set and which size a press away. */
export function MeasureBench({ room }: { room: RoomId }) {
  const set = useCurrentSet();
  const person = useWork(({ work }) => work.person);
  const empty = Object.keys(set.values).length === 0 && set.source === 'body';
  useEffect(() => {
    // A new person: the cursor waits where the tape begins.
    if (empty) document.getElementById('measure-waist')?.focus();
  }, [empty, set.id]);
  return (
    <BenchSections
      bench="measure"
      above={
        <p className="whose-figures">
          <strong>{person.name}</strong>, {set.source === 'body' ? 'measured' : 'taken'} {set.date}
        </p>
      }
      sections={[
        { id: 'figures', label: 'Figures', holds: isMeasurementId, content: () => <Figures room={room} /> },
        {
          id: 'person',
          label: 'Person',
          content: () => (
            <>
              <PersonLines />
              <p>
                <Link to={`/${room}/person/${person.id}/history`}>History and comparison</Link>
              </p>
            </>
          ),
        },
        { id: 'set', label: 'Set', content: () => <SetLines /> },
        ...(set.source === 'chart' ? [] : [{ id: 'sizes', label: 'Sizes', content: () => <SizePick room={room} /> }]),
      ]}
    />
  );
}
