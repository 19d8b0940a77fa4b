import Button from '@mui/material/Button';
import { useEffect, useMemo, useState } from 'react';
import { effectFigures, offersFor, type Effect, type Offer } from '../../core/correct/index.js';
import type { Check, Verdict } from '../../core/check/index.js';
import type { Unit } from '../../core/units/index.js';
import { useBoard } from '../board/board-store.js';
import { withFractions } from '../shared/fractions.js';
import { LONGEST_MS, within } from '../shared/within.js';
import { addAlterations, newAlteration, tryAlterations } from '../store/alteration-work.js';
import { inputNow } from '../store/sheets.js';
import { useChange, useOpenWork, useTape, useUnit, useWork } from '../store/work-context.js';
import { labelOf, VERDICTS, wantsOf } from './check-words.js';
import { Gauge } from './Gauge.js';

const Sign = ({ verdict }: { verdict: Verdict }) => (
  <>
    <span className="verdict" data-verdict={verdict} aria-hidden="true">
      {VERDICTS[verdict].sign}
    </span>
    <span className="visually-hidden">{VERDICTS[verdict].word}</span>
  </>
);

function EffectRow({ effect, unit }: { effect: Effect; unit: Unit }) {
  const { now, then } = effectFigures(effect, unit);
  if (typeof effect.is === 'string' || typeof effect.was === 'string') {
    return (
      <tr data-effect={effect.id}>
        <th scope="row">{effect.label}</th>
        <td colSpan={3} className="words">
          {withFractions(now)} now, {withFractions(then)} then <Sign verdict={effect.verdictIs} />
        </td>
      </tr>
    );
  }
  return (
    <tr data-effect={effect.id}>
      <th scope="row">{effect.label}</th>
      <td className="number">{withFractions(now)}</td>
      <td className="number">
        {withFractions(then)} <Sign verdict={effect.verdictIs} />
      </td>
      <td>
        <Gauge value={effect.is} low={effect.low} high={effect.high} width={40} />
      </td>
    </tr>
  );
}

function OfferLine({ offer, check, onTaken }: { offer: Offer; check: Check; onTaken: () => void }) {
  const change = useChange();
  const unit = useUnit();
  const tape = useTape();
  const list = useWork(({ work }) => work.draft.alterations);
  const set = useBoard((s) => s.set);
  const [shown, setShown] = useState(false);
  const made = (): ReturnType<typeof newAlteration>[] =>
    offer.works.map((work) => newAlteration(work, `For the check “${labelOf(check, tape).toLowerCase()}”`));
  const show = (): void => {
    setShown(true);
    change(tryAlterations([...list, ...made()]));
  };
  const hide = (): void => {
    setShown(false);
    change(tryAlterations(undefined));
  };
  return (
    <li
      data-offer={offer.id}
      data-shown={shown}
      onPointerMove={(event) => {
        // Only a hand that moves: a list that shifts under a resting pointer shows nothing.
        if (!shown && (event.movementX !== 0 || event.movementY !== 0)) show();
      }}
      onPointerLeave={hide}
    >
      <strong>{withFractions(offer.said)}</strong>
      {offer.effects.length > 0 && (
        <table className="effects" aria-label="What it does to the checks">
          <thead>
            <tr>
              <th scope="col">Check</th>
              <th scope="col" className="number">
                Now
              </th>
              <th scope="col" className="number">
                Then
              </th>
              <th scope="col">
                <span className="visually-hidden">Band</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {offer.effects.map((effect) => (
              <EffectRow key={effect.id} effect={effect} unit={unit} />
            ))}
          </tbody>
        </table>
      )}
      <span className="quiet">{offer.effects.length === 0 ? 'No check changes.' : 'All others unchanged.'}</span>
      {offer.caution && <span className="quiet">{offer.caution}</span>}
      <Button
        size="small"
        variant="outlined"
        onFocus={show}
        onBlur={hide}
        onClick={() => {
          const alterations = made();
          change(addAlterations(alterations));
          set({ alteration: alterations[0]?.id });
          onTaken();
        }}
      >
        Take
      </Button>
    </li>
  );
}

interface OffersProps {
  readonly check: Check;
  /** Called once one is taken: its button is gone, so that the focus must go on. */
  readonly onTaken: () => void;
}

/** What would correct a check, each with its effect on all others, shown on the piece while pointed at. */
export function Offers({ check, onTaken }: OffersProps) {
  const open = useOpenWork();
  const change = useChange();
  const unit = useUnit();
  const work = useWork((s) => s.work);
  const leg = useWork((s) => s.leg);
  useEffect(
    () => () => {
      change(tryAlterations(undefined));
    },
    [change],
  );
  const { offers, stopped } = useMemo(() => {
    // Worked out from what is kept, not from a trial on the board.
    const draft = open.computed.getState().before ?? open.computed.getState().draft;
    const over = within(LONGEST_MS);
    const found = draft ? offersFor(inputNow(work, leg), draft, check.id, unit, over) : [];
    return { offers: found, stopped: over() };
  }, [open, work, leg, check.id, unit]);
  const cut = stopped && (
    <p className="quiet">
      The list of alterations is long: not every correction could be tried in two seconds. Switch some off to see more.
    </p>
  );
  if (offers.length === 0) {
    return (
      cut || (
        <p className="quiet">
          {check.verdict === 'unknown' && check.wants
            ? `Measure the ${wantsOf(check) ?? ''} to know.`
            : check.verdict === 'in'
              ? 'In its band: nothing to correct.'
              : 'No correction on the piece is offered for this check.'}
        </p>
      )
    );
  }
  return (
    <>
      <ul className="offers">
        {offers.map((offer) => (
          <OfferLine key={offer.id} offer={offer} check={check} onTaken={onTaken} />
        ))}
      </ul>
      {cut}
    </>
  );
}
