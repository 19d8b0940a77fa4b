import Button from '@mui/material/Button';
import { doubtsOf } from '../../core/kept/index.js';
import { withFractions } from '../shared/fractions.js';
import { useChange, useComputed, useCurrentSet, useUnit, useWork } from '../store/work-context.js';
import { changeMeasurement } from '../store/work-store.js';

/** What looks wrong in the set in hand, each with its way out; a slip of the hand is corrected with one press. */
export function Doubts() {
  const person = useWork(({ work }) => work.person);
  const set = useCurrentSet();
  const unit = useUnit();
  const change = useChange();
  const refused = useComputed((c) => c.refusals);
  // A figure that cannot be drafted at all has its sentence at the field: it need not be doubted as well.
  const doubts = doubtsOf(person, set, unit).filter((d) => !refused.some((r) => r.field === d.field));
  return doubts.map((d) => (
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
  ));
}
