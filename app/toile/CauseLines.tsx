import Button from '@mui/material/Button';
import { useMemo, useState } from 'react';
import { causesOf, isTakenOut } from '../../core/toile/index.js';
import { useComputed, useUnit, useWork } from '../store/work-context.js';
import { CauseLine } from './CauseLine.js';
import { KnowledgeLines } from './KnowledgeLines.js';
import { useFitting } from './use-fitting.js';
import { useKnowledge } from './use-knowledge.js';
import { useTaught } from './use-taught.js';

/** No more causes are told at first: what lies further down speaks for little. */
const FIRST = 4;

/** What may be behind what was seen, the likeliest first, each with what is done about it and what that does. */
export function CauseLines() {
  const { fitting } = useFitting();
  const draft = useComputed((c) => c.draft);
  const unit = useUnit();
  const [all, setAll] = useState(false);
  const taught = useTaught();
  const knowledge = useKnowledge();
  const alterations = useWork(({ work }) => work.draft.alterations);
  const causes = useMemo(() => {
    if (!fitting || !draft) return [];
    // A fold that is out of the paper already is not asked for once more.
    const open = fitting.pins.filter(({ fold }) => !fold || !isTakenOut(fold, alterations));
    return causesOf({ seen: fitting.seen, pins: open }, draft, unit, taught, knowledge);
  }, [fitting, draft, unit, taught, knowledge, alterations]);
  if (!fitting || causes.length === 0)
    return (
      <>
        <p className="quiet">
          {fitting
            ? 'Nothing was seen or pinned yet that a cause is known for.'
            : 'Begin a fitting, and note what you see.'}
        </p>
        <KnowledgeLines />
      </>
    );
  const shown = all ? causes : causes.slice(0, FIRST);
  return (
    <>
      <p className="quiet">The likeliest first. Do one, look again; the choice is yours.</p>
      <ol className="causes">
        {shown.map((cause) => (
          <CauseLine key={`${fitting.id} ${cause.cause.id}`} fitting={fitting} ranked={cause} />
        ))}
      </ol>
      {causes.length > FIRST && (
        <Button
          size="small"
          onClick={() => {
            setAll(!all);
          }}
        >
          {all ? 'Fewer' : `${causes.length - FIRST} more that may be`}
        </Button>
      )}
      <KnowledgeLines />
    </>
  );
}
