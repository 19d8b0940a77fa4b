import type { Check } from '../../core/check/index.js';
import type { Trued } from '../../core/true-it/index.js';
import { bandOf, labelOf, said, VERDICTS } from '../checks/check-words.js';
import { useTape } from '../store/work-context.js';

/** Checks that are told beside what was done, each with what it found. */
export function ToldChecks({ title, checks }: { title: string; checks: readonly Check[] }) {
  const tape = useTape();
  if (checks.length === 0) return null;
  return (
    <section aria-label={title}>
      <h4>{title}</h4>
      <ul className="trued-list">
        {checks.map((check) => (
          <li key={check.id} data-told={check.id}>
            <span className="verdict" data-verdict={check.verdict} aria-hidden="true">
              {VERDICTS[check.verdict].sign}
            </span>{' '}
            {labelOf(check, tape)}: {said(check, tape)}
          </li>
        ))}
      </ul>
    </section>
  );
}

/** Figures of the targets before and after, with their bands. */
export function BeforeAfter({ trued }: { trued: Trued }) {
  const tape = useTape();
  const of = (checks: readonly Check[], id: string): Check | undefined => checks.find((c) => c.id === id);
  const worse = trued.worse.filter((c) => !trued.targets.some((t) => t === c.id));
  const rows = [...trued.targets.flatMap((id) => of(trued.after, id) ?? []), ...worse];
  return (
    <table className="figures">
      <thead>
        <tr>
          <th scope="col">Check</th>
          <th scope="col">Before</th>
          <th scope="col">After</th>
          <th scope="col">Band ({tape.unit})</th>
        </tr>
      </thead>
      <tbody>
        {rows.map((after) => {
          const before = of(trued.before, after.id);
          return (
            <tr key={after.id} data-trued={after.id} data-verdict={after.verdict}>
              <th scope="row">
                <span className="verdict" data-verdict={after.verdict} aria-hidden="true">
                  {VERDICTS[after.verdict].sign}
                </span>{' '}
                {labelOf(after, tape)}
                <span className="visually-hidden"> {VERDICTS[after.verdict].word}</span>
              </th>
              <td className="number">{before && said(before, tape)}</td>
              <td className="number">{said(after, tape)}</td>
              <td>{bandOf(after, tape)}</td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}
