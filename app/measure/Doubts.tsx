import Button from '@mui/material/Button';
import { doubtsOf, risesAsk } from '../../core/kept/index.js';
import { measurementLabel } from '../../core/measure/index.js';
import { withFractions } from '../shared/fractions.js';
import { useChange, useComputed, useCurrentSet, useUnit, useWork } from '../store/work-context.js';
import { answerRises, changeMeasurement } from '../store/work-changes.js';

/** Asks whether the rises of the set before hold for a body that has changed. */
function RisesAsked() {
  const person = useWork(({ work }) => work.person);
  const set = useCurrentSet();
  const change = useChange();
  const ask = risesAsk(person, set);
  if (!ask) return null;
  const { girth, share, since, rises, traced } = ask;
  const moved = `${share > 0 ? '+' : '−'}${Math.round(Math.abs(share) * 100)} %`;
  const shape = traced ? 'the traced shape of the rise' : 'the shape of the rise';
  return (
    <div className="doubt" role="note" data-rises-ask="">
      {measurementLabel(girth)} {moved} since {since}
      {rises.length > 0 && ', and the rises are still those of then'}. Keep {shape}, and check its length again?{' '}
      <div className="acts">
        <Button
          size="small"
          variant="outlined"
          onClick={() => {
            change(answerRises('again'));
            window.setTimeout(() => document.getElementById('measure-frontRise')?.focus(), 0);
          }}
        >
          Keep it, measure again
        </Button>
        <Button
          size="small"
          variant="outlined"
          onClick={() => {
            change(answerRises('hold'));
          }}
        >
          The length holds too
        </Button>
      </div>
    </div>
  );
}

/** What looks wrong in the set in hand, each with its way out; a slip of the hand is corrected with one press. */
export function Doubts() {
  const person = useWork(({ work }) => work.person);
  const set = useCurrentSet();
  const unit = useUnit();
  const change = useChange();
  const refused = useComputed((c) => c.refusals);
  // A figure that cannot be drafted at all has its sentence at the field: it need not be doubted as well.
  const doubts = doubtsOf(person, set, unit).filter((d) => !refused.some((r) => r.field === d.field));
  return (
    <>
      <RisesAsked />
      {doubts.map((d) => (
        <div className="doubt" key={d.field + d.sentence} role="note" data-doubt={d.field}>
          {withFractions(d.sentence)}{' '}
          {d.correction && set.source !== 'pair' && (
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
    </>
  );
}
