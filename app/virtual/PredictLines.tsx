import Button from '@mui/material/Button';
import { useParams } from 'react-router';
import { predictionsFrom, scoreOf, type FitDifference } from '../../core/sew/index.js';
import { newId } from '../shared/new-id.js';
import { scoreSaid } from '../shared/score-said.js';
import { beginFitting, keepPredicted } from '../store/fitting-work.js';
import { useShelf } from '../store/queries.js';
import { roomOf } from '../store/rooms.js';
import { useChange, useWork } from '../store/work-context.js';

interface PredictLinesProps {
  readonly differences: readonly FitDifference[];
  readonly against: string;
}

/** What was told, kept with a fitting to be looked at on the toile; and how often it was right until now. */
export function PredictLines({ differences, against }: PredictLinesProps) {
  const change = useChange();
  const shelf = useShelf(roomOf(useParams().room));
  const draft = useWork(({ work }) => work.draft);
  const open = (draft.fittings ?? []).filter((f) => f.closed === undefined).at(-1);
  const kept = differences.every(({ id, before, after }) =>
    open?.predicted?.some((p) => p.figure === id && p.before === before && p.after === after),
  );
  const others = (shelf.data?.drafts ?? []).map((d) => d.value).filter((d) => d.id !== draft.id);
  const score = scoreOf([...others, draft].flatMap((d) => d.fittings ?? []).flatMap((f) => f.predicted ?? []));
  return (
    <>
      {differences.length > 0 && (
        <Button
          size="small"
          variant="outlined"
          disabled={kept}
          onClick={() => {
            const predicted = predictionsFrom(differences, against, newId);
            change(open ? keepPredicted(open.id, predicted) : beginFitting(newId(), new Date(), predicted));
          }}
        >
          {kept ? 'Kept with the fitting' : open ? 'Keep with the fitting' : 'Begin a fitting with it'}
        </Button>
      )}
      <p className="quiet" data-score={score.length}>
        {score.length === 0
          ? 'How often it is right is not known yet: keep what it tells, and say at the fitting what the toile showed.'
          : `How often it was right on toiles of this room: ${scoreSaid(score)}.`}
      </p>
    </>
  );
}
