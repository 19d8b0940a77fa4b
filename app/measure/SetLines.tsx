import Button from '@mui/material/Button';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import { useId, useState } from 'react';
import { dayOf, newerSet, newestFirst, newSet, setOf, type MeasurementSet } from '../../core/kept/index.js';
import { EMPTY_PAIR, measurementLabel } from '../../core/measure/index.js';
import { formatLength } from '../../core/units/index.js';
import { withFractions } from '../shared/fractions.js';
import { LengthField } from '../shared/LengthField.js';
import { PickLine } from '../shared/PickLine.js';
import { NameField } from '../shared/NameField.js';
import { usePreferences } from '../store/preferences.js';
import { useChange, useCurrentSet, useTape, useUnit, useWork } from '../store/work-context.js';
import { addSet, changeSet, moveToSet } from '../store/work-changes.js';
import { useMeasuring } from './measuring-store.js';

const newId = (): string => crypto.randomUUID();

const NEW_SETS: readonly (readonly ['again' | MeasurementSet['source'], string])[] = [
  ['body', 'From the body, empty'],
  ['again', 'From the body, starting from these figures'],
  ['pair', 'From a finished pair'],
  ['chart', 'From a size chart'],
];

function AddSet() {
  const [at, setAt] = useState<HTMLElement>();
  const set = useCurrentSet();
  const unit = useUnit();
  const change = useChange();
  const add = (kind: (typeof NEW_SETS)[number][0]): void => {
    setAt(undefined);
    const fresh = newSet(newId, unit, new Date(), kind === 'again' ? 'body' : kind);
    // A new set is made to be filled in.
    const { sections, set: prefer } = usePreferences.getState();
    prefer({ sections: { ...sections, measure: 'figures' } });
    if (kind === 'again') {
      const { values, adopted, heights, waistSits, waistBelow, inseamTo } = set;
      change(addSet({ ...fresh, values, adopted, heights, waistSits, waistBelow, inseamTo }));
    } else change(addSet(kind === 'pair' ? { ...fresh, pair: EMPTY_PAIR } : fresh));
  };
  return (
    <>
      <Button
        size="small"
        variant="outlined"
        aria-haspopup="menu"
        onClick={(event) => {
          setAt(event.currentTarget);
        }}
      >
        Add a set
      </Button>
      <Menu
        open={at !== undefined}
        anchorEl={at}
        onClose={() => {
          setAt(undefined);
        }}
      >
        {NEW_SETS.map(([kind, words]) => (
          <MenuItem
            key={kind}
            onClick={() => {
              add(kind);
            }}
          >
            {words}
          </MenuItem>
        ))}
      </Menu>
    </>
  );
}

/** What a set was corrected from, newest first. */
function Corrections() {
  const set = useCurrentSet();
  const tape = useTape();
  if (set.corrected.length === 0) return null;
  return (
    <>
      <h3>Corrected</h3>
      <ul className="notes">
        {[...set.corrected].reverse().map((c, i) => (
          <li key={`${c.at} ${i}`}>
            {dayOf(c.at)}: {measurementLabel(c.id)} was{' '}
            {c.was === null ? 'missing' : withFractions(formatLength(c.was, tape))}
          </li>
        ))}
      </ul>
    </>
  );
}

/** Says that a newer set waits, and what it would change. */
export function NewerNote() {
  const work = useWork((s) => s.work);
  const measuring = useMeasuring();
  const newer = newerSet(work.person, setOf(work));
  if (!newer) return null;
  return (
    <div className="doubt" role="note" data-newer={newer.date}>
      A newer set was taken on {newer.date}.{' '}
      <Button
        size="small"
        variant="outlined"
        onClick={() => {
          measuring.set({ comparing: !measuring.comparing });
        }}
      >
        {measuring.comparing ? 'Back to measuring' : 'What would change'}
      </Button>
    </div>
  );
}

/** Which set of measurements the draft is made from, and what is known of it. */
export function SetLines() {
  const work = useWork((s) => s.work);
  const set = setOf(work);
  const unit = useUnit();
  const change = useChange();
  const dateId = useId();
  const takerId = useId();
  const noteId = useId();
  return (
    <>
      <PickLine
        label="Set of measurements"
        value={set.id}
        choices={newestFirst(work.person).map((s) => [s.id, `${s.date}, ${s.source}`] as const)}
        onChoose={(id) => {
          change(moveToSet(id));
        }}
      />
      <div className="set-acts">
        <AddSet />
      </div>
      <div className="line">
        <label htmlFor={dateId}>Taken on</label>
        <input
          id={dateId}
          type="date"
          className="text-field wide"
          value={set.date}
          onChange={(event) => {
            if (event.target.value) change(changeSet({ date: event.target.value }));
          }}
        />
      </div>
      <div className="line">
        <label htmlFor={takerId}>Taken by</label>
        <NameField
          id={takerId}
          label="Taken by"
          className="text-field wide"
          allowEmpty
          value={set.taker}
          onCommit={(taker) => {
            change(changeSet({ taker }));
          }}
        />
      </div>
      <PickLine
        label="By oneself"
        value={set.byOneself ? 'yes' : 'no'}
        choices={[
          ['no', 'no'],
          ['yes', 'yes: depths and rises are in doubt'],
        ]}
        onChoose={(by) => {
          change(changeSet({ byOneself: by === 'yes' }));
        }}
      />
      <PickLine
        label="Waist taken"
        value={set.waistSits}
        choices={[
          ['natural', 'at the natural waist'],
          ['low', 'low'],
          ['high', 'high'],
        ]}
        onChoose={(waistSits) => {
          change(changeSet({ waistSits }));
        }}
      />
      {set.waistSits === 'low' && (
        <div className="line">
          <label htmlFor={`${dateId}-below`}>Below the natural waist</label>
          <LengthField
            id={`${dateId}-below`}
            label="Below the natural waist"
            mm={set.waistBelow}
            unit={unit}
            onCommit={(mm) => {
              if (mm !== undefined && mm >= 0 && mm <= 300) change(changeSet({ waistBelow: mm }));
            }}
          />
        </div>
      )}
      <PickLine
        label="Inseam taken to"
        value={set.inseamTo}
        choices={[
          ['floor', 'the floor'],
          ['ankle', 'the ankle bone'],
        ]}
        onChoose={(inseamTo) => {
          change(changeSet({ inseamTo }));
        }}
      />
      <div className="line">
        <label htmlFor={noteId}>Note</label>
        <NameField
          id={noteId}
          label="Note on the set"
          className="text-field wide"
          allowEmpty
          value={set.note}
          onCommit={(note) => {
            change(changeSet({ note }));
          }}
        />
      </div>
      <Corrections />
    </>
  );
}
