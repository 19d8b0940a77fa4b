import { useState } from 'react';
import { bodyOf } from '../../core/chain/index.js';
import { valuesOf } from '../../core/kept/index.js';
import { figuresOf, howTaken, MEASUREMENTS, type Known, type MeasurementId } from '../../core/measure/index.js';
import { refusalSentence } from '../../core/refusal/index.js';
import { formatFigure, formatLength, readerIn } from '../../core/units/index.js';
import { withFractions } from '../shared/fractions.js';
import { LengthField } from '../shared/LengthField.js';
import { SourceMark } from '../shared/SourceMark.js';
import { inputNow } from '../store/sheets.js';
import { useChange, useComputed, useCurrentSet, useTape, useUnit, useWork } from '../store/work-context.js';
import { changeMeasurement } from '../store/work-changes.js';
import { useMeasuring } from './measuring-store.js';
import { RulesList } from './RulesList.js';
import { TakingWords } from './TakingWords.js';

/** What stands in for a figure that was not measured, with its sum; nothing where it was, or where no rule serves. */
export function useEstimate(
  id: MeasurementId,
): { readonly known: Extract<Known, { source: 'estimate' }>; readonly sum: string } | undefined {
  const work = useWork((s) => s.work);
  const tape = useTape();
  const body = bodyOf(inputNow(work));
  const known = body.get(id);
  if (known?.source !== 'estimate') return undefined;
  const sum = known.rule.sum(figuresOf(body), (mm) => formatLength(mm, tape));
  const told = sum === known.rule.rule ? sum : `${known.rule.rule} = ${sum}`;
  const what = known.taken
    ? `At the crotch line ${formatLength(known.mm, tape)}`
    : known.adopted
      ? 'Adopted'
      : 'Estimated';
  return { known, sum: `${what}: ${told}` };
}

/** The field of one measurement: its figure or its estimate, and what is wrong with it. */
export function MeasurementField({ id, onNext }: { id: MeasurementId; onNext: () => void }) {
  const info = MEASUREMENTS.get(id);
  const set = useCurrentSet();
  const unit = useUnit();
  const tape = useTape();
  const change = useChange();
  const refusal = useComputed((c) => c.refusals.find((r) => r.field === id));
  const estimate = useEstimate(id);
  return (
    <LengthField
      id={`measure-${id}`}
      label={info?.label ?? id}
      mm={valuesOf(set)[id]}
      unit={unit}
      allowEmpty
      source={estimate && !estimate.known.taken ? 'estimate' : 'measured'}
      placeholder={estimate ? withFractions(`≈ ${formatFigure(estimate.known.mm, tape)}`) : ''}
      problem={refusal && refusalSentence(refusal, readerIn(unit))}
      describedBy={`measure-${id}-how`}
      onCommit={(next) => {
        change(changeMeasurement(id, next));
      }}
      onNext={onNext}
    />
  );
}

/** One measurement in the list: its field; while it is in hand, how it is taken and what the rules give. */
export function MeasurementLine({ id, onNext }: { id: MeasurementId; onNext: () => void }) {
  const info = MEASUREMENTS.get(id);
  const measuring = useMeasuring();
  const estimate = useEstimate(id);
  const [taken, setTaken] = useState(false);
  // It stays open until another is in hand: a line that closed as a button is pressed would move the button away.
  const open = taken && measuring.inHand === id;
  if (!info) return null;
  const taking = howTaken(id);
  return (
    <div
      className="line"
      data-line={id}
      onFocus={() => {
        setTaken(true);
        measuring.set({ inHand: id });
      }}
    >
      <label htmlFor={`measure-${id}`}>{info.label}</label>
      <MeasurementField id={id} onNext={onNext} />
      <SourceMark source={estimate && !estimate.known.taken ? 'estimate' : 'measured'} label={info.label} />
      <div className="sum" id={`measure-${id}-how`}>
        {open ? taking.how : estimate && withFractions(estimate.sum)}
      </div>
      {open && (
        <div className="in-hand">
          <TakingWords taking={taking} />
          <RulesList id={id} />
        </div>
      )}
    </div>
  );
}
