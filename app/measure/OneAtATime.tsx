import Button from '@mui/material/Button';
import { valuesOf } from '../../core/kept/index.js';
import { howTaken, MEASUREMENTS, REQUIRED_IDS, type MeasurementId } from '../../core/measure/index.js';
import { withFractions } from '../shared/fractions.js';
import { useCurrentSet } from '../store/work-context.js';
import { MeasurementField, useEstimate } from './MeasurementLine.js';
import { useMeasuring } from './measuring-store.js';
import { RulesList } from './RulesList.js';
import { TakingWords } from './TakingWords.js';

/** One measurement large, for a tape in one hand: type or dictate, press Enter, and the next one comes. */
export function OneAtATime({ order }: { order: readonly MeasurementId[] }) {
  const measuring = useMeasuring();
  const set = useCurrentSet();
  const at = Math.max(0, order.indexOf(measuring.inHand));
  const id = order[at] ?? 'waist';
  const info = MEASUREMENTS.get(id);
  const estimate = useEstimate(id);
  const taken = order.filter((o) => valuesOf(set)[o] !== undefined).length;
  const go = (step: number): void => {
    const next = order[at + step];
    if (!next) return;
    measuring.set({ inHand: next });
    window.setTimeout(() => {
      document.getElementById(`measure-${next}`)?.focus();
    }, 0);
  };
  if (!info) return null;
  const taking = howTaken(id);
  return (
    <section className="one-at-a-time" aria-label="One at a time">
      <p className="quiet">
        {at + 1} of {order.length}, {taken} taken
      </p>
      <h2>
        <label htmlFor={`measure-${id}`}>{info.label}</label>
        {(REQUIRED_IDS as readonly string[]).includes(id) && <span className="quiet"> needed</span>}
      </h2>
      <div key={id} className="large-field" data-line={id}>
        <MeasurementField
          id={id}
          onNext={() => {
            go(1);
          }}
        />
      </div>
      {estimate && <p className="quiet">{withFractions(estimate.sum)}</p>}
      <div className="steps">
        <Button
          variant="outlined"
          size="large"
          disabled={at === 0}
          onClick={() => {
            go(-1);
          }}
        >
          Back
        </Button>
        <Button
          variant="contained"
          size="large"
          disabled={at === order.length - 1}
          onClick={() => {
            go(1);
          }}
        >
          Next
        </Button>
      </div>
      <p>{taking.how}</p>
      <TakingWords taking={taking} />
      <RulesList id={id} />
    </section>
  );
}
