import type { LessonAnswer } from '../../core/practice/index.js';
import { withFractions } from '../shared/fractions.js';

const VERDICTS: Readonly<Record<LessonAnswer['verdict'], string>> = {
  right: '✓ right',
  near: '≈ near',
  slip: '✕ a slip',
  wrong: '✕ wrong',
};

/** Every answer of a lesson with what was told of it. */
export function AnswerTable({ answers }: { readonly answers: readonly LessonAnswer[] }) {
  return (
    <div className="practise-scroll">
      <table className="figures practise-answers">
        <thead>
          <tr>
            <th scope="col">Asked</th>
            <th scope="col">Answer</th>
            <th scope="col">Verdict</th>
            <th scope="col">Hints</th>
            <th scope="col" className="practise-told">
              What was told
            </th>
          </tr>
        </thead>
        <tbody>
          {answers.map((a, i) => (
            <tr key={i} data-verdict={a.verdict}>
              <th scope="row">{a.asked}</th>
              <td>{withFractions(a.answer)}</td>
              <td>{VERDICTS[a.verdict]}</td>
              <td>{a.hints}</td>
              <td className="practise-told">{withFractions(a.said)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
