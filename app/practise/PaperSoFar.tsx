import { useMemo } from 'react';
import type { LessonOnBody } from '../../core/practice/index.js';
import { stepsOf } from '../../core/steps/index.js';
import type { Unit } from '../../core/units/index.js';
import { StepPicture } from '../shared/StepPicture.js';

/** The paper as it is at a step of the work, with what is usually done wrong there. */
export function PaperSoFar({
  on: { draft },
  unit,
  step,
  usual,
}: {
  readonly on: LessonOnBody;
  readonly unit: Unit;
  readonly step: string;
  readonly usual: string;
}) {
  const steps = useMemo(() => stepsOf(draft, unit), [draft, unit]);
  const found = steps.findIndex((s) => s.id === step);
  return (
    <aside className="practise-paper">
      <StepPicture
        block={draft.block}
        steps={steps}
        at={found === -1 ? (step === 'girths' ? 0 : steps.length - 1) : found}
      />
      {usual !== '' && <p className="quiet">{usual}</p>}
    </aside>
  );
}
