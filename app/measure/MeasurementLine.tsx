import { useState } from 'react';
import { bodyOf } from '../../core/chain/index.js';
import { valuesOf } from '../../core/kept/index.js';
import {
  figuresOf,
  hasRules,
  howTaken,
  MEASUREMENTS,
  type Known,
  type MeasurementId,
} from '../../core/measure/index.js';
import { refusalSentence } from '../../core/refusal/index.js';
import { formatFigure, formatLength, readerIn } from '../../core/units/index.js';
import { withFractions } from '../shared/fractions.js';
import { takeLine } from '../shared/line-in-hand.js';
import { LineTold } from '../shared/LineTold.js';
import { LengthField } from '../shared/LengthField.js';
import { SourceMark } from '../shared/SourceMark.js';
import { inputNow } from '../store/sheets.js';
import { useChange, useComputed, useCurrentSet, useTape, useUnit, useWork } from '../store/work-context.js';
import { changeMeasurement } from '../store/work-changes.js';
import { useMeasuring } from './measuring-store.js';
import { RulesList } from './RulesList.js';

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
  const measuring = useMeasuring((m) => m.set);
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
      describedBy="measure-how"
      onCommit={(next) => {
        change(changeMeasurement(id, next));
      }}
      onNext={onNext}
      onOtherUnit={(typedIn) => {
        if (Object.keys(valuesOf(set)).length <= 1) measuring({ typedIn });
      }}
    />
  );
}

/** One measurement in the list: its field, and on a press what the rules give for it. */
export function MeasurementLine({ id, onNext }: { id: MeasurementId; onNext: () => void }) {
  const info = MEASUREMENTS.get(id);
  const set = useMeasuring((m) => m.set);
  const estimate = useEstimate(id);
  const [open, setOpen] = useState(false);
  if (!info) return null;
  const label = info.label;
  return (
    <div
      className="line"
      data-line={id}
      onFocus={() => {
        set({ inHand: id });
        takeLine(id)();
      }}
    >
      <label htmlFor={`measure-${id}`}>{label}</label>
      <MeasurementField id={id} onNext={onNext} />
      {hasRules(id) ? (
        <button
          type="button"
          className="rules-opener"
          aria-expanded={open}
          aria-label={`Rules for ${label.toLowerCase()}`}
          title={`What the rules give for ${label.toLowerCase()}`}
          onClick={() => {
            setOpen(!open);
          }}
        >
          {estimate && !estimate.known.taken ? '≈' : '…'}
        </button>
      ) : (
        <SourceMark source="measured" label={label} />
      )}
      {open && (
        <div className="in-hand">
          <RulesList id={id} />
        </div>
      )}
      <LineTold line={id} title={label}>
        {estimate ? `${withFractions(estimate.sum)}. ` : ''}
        {howTaken(id).sharpens}
      </LineTold>
    </div>
  );
}
