import Button from '@mui/material/Button';
import { useState } from 'react';
import type { AdoptedPattern, Block } from '../../../core/draft/index.js';
import { dayOf } from '../../../core/kept/index.js';
import { adoptOutline, type Reference } from '../../../core/reference/index.js';
import { refusalsSentence, type Outcome } from '../../../core/refusal/index.js';
import { readerIn, type Unit } from '../../../core/units/index.js';
import { AdoptedBlock } from '../../shared/AdoptedBlock.js';
import { adoptPattern } from '../../store/reference-work.js';
import { useChange, useWork } from '../../store/work-context.js';

/** Takes the outline over as the block: from then on it is trued, finished and cut in the place of the method's draft. */
export function AdoptOutline({ reference, block, unit }: { reference: Reference; block: Block; unit: Unit }) {
  const change = useChange();
  const pattern = useWork(({ work }) => work.draft.pattern);
  const [refusal, setRefusal] = useState<string>();
  const take = (outcome: Outcome<AdoptedPattern>): void => {
    setRefusal(outcome.ok ? undefined : refusalsSentence(outcome.refusals, readerIn(unit)));
    if (outcome.ok) change(adoptPattern(outcome.value));
  };
  return (
    <section aria-label="Adopt as the block" className="adopt">
      <h3>Adopt as the block</h3>
      {pattern ? (
        <AdoptedBlock />
      ) : (
        <p className="quiet">
          A pattern that fits, or nearly, becomes the block as it lies. Checks, alterations, finish, lay and print then
          work on it; the method stays, and what it asks of the body.
        </p>
      )}
      <p className="acts">
        <Button
          size="small"
          variant={pattern ? 'outlined' : 'contained'}
          onClick={() => {
            take(adoptOutline(reference, block, dayOf(new Date())));
          }}
        >
          {pattern ? 'Adopt it anew' : 'Adopt this outline'}
        </Button>
      </p>
      {refusal !== undefined && <p role="alert">{refusal}</p>}
    </section>
  );
}
