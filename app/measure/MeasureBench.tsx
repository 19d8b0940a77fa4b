import Button from '@mui/material/Button';
import NativeSelect from '@mui/material/NativeSelect';
import { useEffect, useId, useMemo, useState } from 'react';
import {
  findDoubts,
  isMeasurementId,
  MEASUREMENTS,
  REQUIRED_IDS,
  type Figure,
  type MeasurementId,
} from '../../core/measure/index.js';
import { showSum } from '../../core/method/index.js';
import { refusalSentence } from '../../core/refusal/index.js';
import { formatFigure } from '../../core/units/index.js';
import { withFractions } from '../shared/fractions.js';
import { LengthField } from '../shared/LengthField.js';
import { NameField } from '../shared/NameField.js';
import { SourceMark } from '../shared/SourceMark.js';
import { useChange, useComputed, useCurrentSet, useTape, useUnit, useWork } from '../store/work-context.js';
import { changeMeasurement, changePerson, changeSet, moveToSet } from '../store/work-store.js';

const FIGURES: readonly (readonly [Figure, string])[] = [
  ['unknown', 'Not said'],
  ['woman', 'Woman’s'],
  ['man', 'Man’s'],
  ['child', 'Child’s'],
];

const ORDER: readonly MeasurementId[] = [...MEASUREMENTS.keys()];
const OPTIONAL = ORDER.filter((id) => !(REQUIRED_IDS as readonly string[]).includes(id));

function MeasurementLine({ id, onNext }: { id: MeasurementId; onNext: () => void }) {
  const info = MEASUREMENTS.get(id);
  const set = useCurrentSet();
  const unit = useUnit();
  const tape = useTape();
  const change = useChange();
  const worked = useComputed((c) => c.draft?.worked);
  const refusal = useComputed((c) => c.refusals.find((r) => r.field === id));
  const [open, setOpen] = useState(false);
  const fieldId = `measure-${id}`;
  const mm = set.values[id];
  const known = worked?.body.get(id);
  const estimate = mm === undefined && known?.source === 'estimate' ? known : undefined;
  if (!info) return null;
  return (
    <div
      className="line"
      data-line={id}
      onFocus={() => {
        setOpen(true);
      }}
      onBlur={() => {
        setOpen(false);
      }}
    >
      <label htmlFor={fieldId}>{info.label}</label>
      <LengthField
        id={fieldId}
        label={info.label}
        mm={mm}
        unit={unit}
        allowEmpty
        source={estimate ? 'estimate' : 'measured'}
        placeholder={estimate ? withFractions(`≈ ${formatFigure(estimate.mm, tape)}`) : ''}
        problem={refusal && refusalSentence(refusal)}
        describedBy={`${fieldId}-how`}
        onCommit={(next) => {
          change(changeMeasurement(id, next));
        }}
        onNext={onNext}
      />
      <SourceMark source={estimate ? 'estimate' : 'measured'} label={info.label} />
      <div className="sum" id={`${fieldId}-how`}>
        {open ? info.how : estimate && worked ? withFractions(`Estimated: ${showSum(worked, id, unit).told}`) : ''}
      </div>
    </div>
  );
}

/** The bench at Measure: whose figures, the required four, what sharpens the draft, and what looks wrong. */
export function MeasureBench() {
  const person = useWork(({ work }) => work.person);
  const set = useCurrentSet();
  const unit = useUnit();
  const change = useChange();
  const nameId = useId();
  const figureId = useId();
  const setId = useId();
  const refused = useComputed((c) => c.refusals);
  // A figure that cannot be drafted at all has its sentence at the field: it need not be doubted as well.
  const doubts = useMemo(
    () => findDoubts(set.values, unit).filter((d) => !refused.some((r) => r.field === d.field)),
    [set.values, unit, refused],
  );
  const empty = Object.keys(set.values).length === 0;
  useEffect(() => {
    // A new person: the cursor waits where the tape begins.
    if (empty) document.getElementById('measure-waist')?.focus();
  }, [empty]);
  const next = (id: MeasurementId) => (): void => {
    const following = ORDER[ORDER.indexOf(id) + 1];
    if (following) document.getElementById(`measure-${following}`)?.focus();
  };
  return (
    <>
      <div className="line">
        <label htmlFor={nameId}>Person or role</label>
        <NameField
          id={nameId}
          label="Person or role"
          className="text-field wide"
          value={person.name}
          onCommit={(name) => {
            change(changePerson({ name }));
          }}
        />
      </div>
      <div className="line">
        <label htmlFor={figureId}>Figure</label>
        <NativeSelect
          inputProps={{ id: figureId }}
          sx={{ gridColumn: '2 / -1' }}
          value={person.figure}
          onChange={(event) => {
            change(changePerson({ figure: event.target.value as Figure }));
          }}
        >
          {FIGURES.map(([id, label]) => (
            <option key={id} value={id}>
              {label}
            </option>
          ))}
        </NativeSelect>
      </div>
      <div className="line">
        <label htmlFor={setId}>Taken on</label>
        {person.sets.length > 1 ? (
          <NativeSelect
            inputProps={{ id: setId }}
            sx={{ gridColumn: '2 / -1' }}
            value={set.id}
            onChange={(event) => {
              change(moveToSet(event.target.value));
            }}
          >
            {person.sets.map((s) => (
              <option key={s.id} value={s.id}>
                {s.date}
              </option>
            ))}
          </NativeSelect>
        ) : (
          <input
            id={setId}
            type="date"
            className="text-field"
            style={{ gridColumn: '2 / -1' }}
            value={set.date}
            onChange={(event) => {
              if (event.target.value) change(changeSet({ date: event.target.value }));
            }}
          />
        )}
      </div>
      <h3>The four that are needed</h3>
      {REQUIRED_IDS.map((id) => (
        <MeasurementLine key={id} id={id} onNext={next(id)} />
      ))}
      {doubts.map((d) => (
        <div className="doubt" key={d.field + d.sentence} role="note">
          {withFractions(d.sentence)}{' '}
          {d.correction && isMeasurementId(d.field) && (
            <Button
              size="small"
              variant="outlined"
              onClick={() => {
                change(changeMeasurement(d.field, d.correction?.mm));
              }}
            >
              {withFractions(d.correction.label)}
            </Button>
          )}
        </div>
      ))}
      <h3>What sharpens the draft</h3>
      {OPTIONAL.map((id) => (
        <MeasurementLine key={id} id={id} onNext={next(id)} />
      ))}
    </>
  );
}
