import Button from '@mui/material/Button';
import { sayAlteration } from '../../core/alter/index.js';
import type { Check } from '../../core/check/index.js';
import { offersFor, sayEffect, type Offer } from '../../core/correct/index.js';
import { setOf } from '../../core/kept/index.js';
import { useMemo } from 'react';
import { bandOf, comparesOf, labelOf, restsOn, said, VERDICTS } from '../checks/check-words.js';
import { withFractions } from '../shared/fractions.js';
import { LONGEST_MS, within } from '../shared/within.js';
import { ViewHead } from '../shared/ViewHead.js';
import { inputNow, methodName } from '../store/sheets.js';
import { useComputed, useTape, useUnit, useWork } from '../store/work-context.js';
import './true.css';

const GROUPS: readonly (readonly [Check['against'], string])[] = [
  ['body', 'Against the body'],
  ['itself', 'Against itself'],
];

/**
 * What would bring each check in, the first correction that does; and whether there was not the time to try them all.
 */
function useWays(): { readonly ways: ReadonlyMap<string, Offer>; readonly stopped: boolean } {
  const work = useWork((s) => s.work);
  const leg = useWork((s) => s.leg);
  const draft = useComputed((c) => c.draft);
  const unit = useUnit();
  return useMemo(() => {
    const over = within(LONGEST_MS);
    const ways = new Map<string, Offer>();
    for (const check of draft?.checks ?? []) {
      if (!draft || (check.verdict !== 'out' && check.verdict !== 'near')) continue;
      const offer = offersFor(inputNow(work, leg), draft, check.id, unit, over).find((o) => o.brings === 'in');
      if (offer) ways.set(check.id, offer);
    }
    return { ways, stopped: over() };
  }, [work, leg, draft, unit]);
}

/** What would bring a check in, in one line. */
function Way({ check, offer }: { check: Check; offer: Offer | undefined }) {
  const unit = useUnit();
  if (!offer) return null;
  const rest = offer.effects.filter((e) => e.id !== check.id).map((e) => sayEffect(e, unit));
  return (
    <>
      {' '}
      <em>
        {withFractions(offer.said)}
        {rest.length > 0 && ` (${withFractions(rest.join('; '))})`}.
      </em>
    </>
  );
}

/** Every check with figure, band, what it rests on and what would correct it, for reading and for print. */
export function ReportView() {
  const draft = useComputed((c) => c.draft);
  const work = useWork((s) => s.work);
  const tape = useTape();
  const unit = useUnit();
  const { ways, stopped } = useWays();
  if (!draft) return <p className="quiet">Enter the four measurements first.</p>;
  const { alterations } = work.draft;
  const counts = (['in', 'near', 'out', 'unknown'] as const)
    .map((verdict) => [verdict, draft.checks.filter((c) => c.verdict === verdict).length] as const)
    .filter(([, n]) => n > 0);
  return (
    <main className="board report" aria-label="Check report" tabIndex={0}>
      <ViewHead title="Check report" station="True" />
      <p>
        <strong>{work.person.name}</strong>, {work.draft.name}, by {methodName(work.draft)}, from the measurements of{' '}
        {setOf(work).date}. {counts.map(([verdict, n]) => `${n} ${VERDICTS[verdict].word}`).join(', ')}.{' '}
        <Button
          size="small"
          variant="outlined"
          className="no-print"
          onClick={() => {
            window.print();
          }}
        >
          Print the report
        </Button>
      </p>
      <table className="figures report-table">
        {stopped && (
          <p className="quiet">The list of alterations is long: not every correction could be tried in two seconds.</p>
        )}
        {GROUPS.map(([against, title]) => (
          <tbody key={against}>
            <tr>
              <th scope="colgroup" colSpan={6}>
                {title} ({tape.unit})
              </th>
            </tr>
            {draft.checks
              .filter((c) => c.against === against)
              .map((check) => (
                <tr key={check.id} data-report={check.id}>
                  <td>
                    <span className="verdict" data-verdict={check.verdict} aria-hidden="true">
                      {VERDICTS[check.verdict].sign}
                    </span>{' '}
                    {VERDICTS[check.verdict].word}
                  </td>
                  <th scope="row">{labelOf(check, tape)}</th>
                  <td className="number">{said(check, tape)}</td>
                  <td>{bandOf(check, tape)}</td>
                  <td>{restsOn(check)}</td>
                  <td>
                    {comparesOf(check, tape)}
                    <Way check={check} offer={ways.get(check.id)} />
                  </td>
                </tr>
              ))}
          </tbody>
        ))}
      </table>
      <h3>{alterations.length === 0 ? 'No alterations' : 'Alterations, in order'}</h3>
      <ol>
        {alterations.map((a) => (
          <li key={a.id}>
            {withFractions(sayAlteration(a.work, unit, a.leg))}
            {a.on ? '' : ' (switched off)'}
          </li>
        ))}
      </ol>
    </main>
  );
}
