import Button from '@mui/material/Button';
import { useId, useRef, useState } from 'react';
import { judgeSum, type Judged, type SetSum } from '../../core/practice/index.js';
import { withFractions } from '../shared/fractions.js';
import type { Answered } from './use-lesson.js';
import { Verdict } from './Verdict.js';

const HINTS = ['Why it is so', 'The sum by its names', 'The sum by its figures'] as const;

/** What an answer counts as: a slip is missed, as is what is wrong. */
const outcomeOf = (verdict: 'right' | 'near' | 'wrong' | 'slip'): Answered['outcome'] =>
  verdict === 'right' || verdict === 'near' ? verdict : 'missed';

/** A sum that is asked: its figures, a field, hints in three steps, and what came of the answer. */
export function SumTask({
  sum,
  onAnswer,
  onNext,
}: {
  readonly sum: SetSum;
  readonly onAnswer: (what: Answered) => void;
  readonly onNext: () => void;
}) {
  const [text, setText] = useState('');
  const [hints, setHints] = useState(0);
  const [judged, setJudged] = useState<Judged>();
  const first = useRef(true);
  const field = useId();
  const units = sum.unit === 'in' ? 'inches' : 'centimetres';
  const judge = (): void => {
    const found = judgeSum(sum, text);
    setJudged(found);
    if (found.verdict === 'unread' || !first.current) return;
    first.current = false;
    onAnswer({
      outcome: outcomeOf(found.verdict),
      verdict: found.verdict,
      slips: found.verdict === 'slip' ? found.slips.map((s) => s.kind) : [],
      answer: `${text.trim()} ${sum.unit}`,
      asked: sum.label,
      said: found.said,
      hints,
    });
  };
  const done = judged !== undefined && judged.verdict !== 'unread';
  return (
    <form
      className="practise-task"
      data-sum={sum.id}
      onSubmit={(event) => {
        event.preventDefault();
        if (judged?.verdict === 'right') onNext();
        else judge();
      }}
    >
      <h2>{sum.label}</h2>
      <table className="figures practise-given">
        <caption>In {units}</caption>
        <tbody>
          {sum.given.map(({ name, label, figure }) => (
            <tr key={name}>
              <th scope="row">{label}</th>
              <td data-given={name}>{withFractions(figure)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <div className="practise-answer">
        <label htmlFor={field}>Your figure in {units}</label>
        <input
          id={field}
          className="text-field"
          type="text"
          inputMode={sum.unit === 'in' ? 'text' : 'decimal'}
          autoComplete="off"
          autoFocus
          value={text}
          placeholder={sum.unit === 'in' ? '10 3/4' : '27.3'}
          readOnly={judged?.verdict === 'right'}
          onChange={(event) => {
            setText(event.target.value);
          }}
        />
        {judged?.verdict !== 'right' && (
          <Button type="submit" variant={done ? 'outlined' : 'contained'}>
            {done ? 'Try it again' : 'Answer'}
          </Button>
        )}
      </div>
      {hints > 0 && (
        <ol className="practise-hints">
          {sum.hints.slice(0, hints).map((hint, i) => (
            <li key={hint}>
              <span className="quiet">{HINTS[i]}:</span> {withFractions(hint)}
            </li>
          ))}
        </ol>
      )}
      {!done && hints < HINTS.length && (
        <Button
          size="small"
          onClick={() => {
            setHints(hints + 1);
          }}
        >
          Hint {hints + 1} of {HINTS.length}
        </Button>
      )}
      <Verdict verdict={judged?.verdict} said={judged?.said} />
      {done && (
        <Button
          type={judged.verdict === 'right' ? 'submit' : 'button'}
          variant="contained"
          onClick={judged.verdict === 'right' ? undefined : onNext}
        >
          Go on
        </Button>
      )}
    </form>
  );
}
