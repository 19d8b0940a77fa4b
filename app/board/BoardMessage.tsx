import { refusalSentence, type Refusal } from '../../core/refusal/index.js';
import { readerIn } from '../../core/units/index.js';
import { withFractions } from '../shared/fractions.js';
import { useUnit } from '../store/work-context.js';
import './board.css';

/** Why there is no draft, or why it is not drawn anew, and the way out. */
export function BoardMessage({ refusal, drawn }: { readonly refusal: Refusal; readonly drawn: boolean }) {
  const unit = useUnit();
  return (
    <div className="board-message" role="status">
      {withFractions(refusalSentence(refusal, readerIn(unit)))}
      {drawn && ' The last good draft stays on the board.'}
    </div>
  );
}
