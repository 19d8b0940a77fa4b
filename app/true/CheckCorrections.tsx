import Button from '@mui/material/Button';
import NativeSelect from '@mui/material/NativeSelect';
import { useId, useMemo, useState } from 'react';
import { offersFor, sayEffect, type Offer } from '../../core/correct/index.js';
import { worstFirst, type Check, type Verdict } from '../../core/check/index.js';
import { bandOf, labelOf, said, VERDICTS, wantsOf } from '../board/check-words.js';
import { UNLIT, useBoard } from '../board/board-store.js';
import { withFractions } from '../shared/fractions.js';
import { addAlterations, newAlteration, tryAlterations } from '../store/alteration-work.js';
import { inputNow } from '../store/sheets.js';
import { useChange, useComputed, useOpenWork, useTape, useUnit, useWork } from '../store/work-context.js';
import { LONGEST_MS, within } from '../shared/within.js';
import { useTrue } from './true-store.js';

const Sign = ({ verdict }: { verdict: Verdict }) => (
  <span className="verdict" data-verdict={verdict} aria-hidden="true">
    {VERDICTS[verdict].sign}
  </span>
);

function OfferLine({ offer, check }: { offer: Offer; check: Check }) {
  const change = useChange();
  const unit = useUnit();
  const tape = useTape();
  const list = useWork(({ work }) => work.draft.alterations);
  const set = useTrue((s) => s.set);
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
      <ul className="effects" aria-label="What it does to the checks">
        {offer.effects[0]?.id !== check.id && (
          <li>
            <Sign verdict={offer.brings} />
            {labelOf(check, tape).toLowerCase()} {VERDICTS[offer.brings].word}
          </li>
        )}
        {offer.effects.map((effect) => (
          <li key={effect.id}>
            <Sign verdict={effect.verdictIs} />
            {withFractions(sayEffect(effect, unit))}
          </li>
        ))}
        <li className="quiet">{offer.effects.length === 0 ? 'No check changes.' : 'All others unchanged.'}</li>
      </ul>
      {offer.caution && <span className="quiet">{offer.caution}</span>}
      <Button
        size="small"
        variant="outlined"
        onFocus={show}
        onBlur={hide}
        onClick={() => {
          const alterations = made();
          change(addAlterations(alterations));
          set({ chosen: alterations[0]?.id });
        }}
      >
        Take
      </Button>
    </li>
  );
}

/** What would correct a check, each with its effect on all others, shown on the piece while pointed at. */
export function Offers({ check }: { check: Check }) {
  const open = useOpenWork();
  const unit = useUnit();
  const work = useWork((s) => s.work);
  const leg = useWork((s) => s.leg);
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
          <OfferLine key={offer.id} offer={offer} check={check} />
        ))}
      </ul>
      {cut}
    </>
  );
}

function CheckLine({ check, open, onOpen }: { check: Check; open: boolean; onOpen: () => void }) {
  const tape = useTape();
  const light = useBoard((s) => s.set);
  const { sign, word } = VERDICTS[check.verdict];
  return (
    <button
      type="button"
      className="check-line"
      data-check-line={check.id}
      aria-expanded={open}
      onClick={onOpen}
      onPointerEnter={() => {
        light({
          lit: {
            edges: check.about.edges.map(([panel, edge]) => ({ panel, edge })),
            level: check.about.level,
            at: check.about.at,
            check: check.id,
          },
        });
      }}
      onPointerLeave={() => {
        light({ lit: UNLIT });
      }}
    >
      <span className="verdict" data-verdict={check.verdict}>
        {sign}
        <span className="visually-hidden"> {word}</span>
      </span>
      <span>{labelOf(check, tape)}</span>
      <span className="number">
        {check.restsOnEstimate ? '≈' : ''}
        {said(check, tape)}
      </span>
      <span className="quiet">{bandOf(check, tape)}</span>
    </button>
  );
}

/** The checks that ask for something, worst first, and what would correct the one that is opened. */
export function CheckCorrections() {
  const id = useId();
  const shown = useComputed((c) => (c.before ?? c.draft)?.checks);
  const checks = useMemo(() => worstFirst(shown ?? []), [shown]);
  const { check: chosen, set } = useTrue();
  const tape = useTape();
  const asking = checks.filter((c) => c.verdict === 'out' || c.verdict === 'near');
  const other = checks.find((c) => c.id === chosen && !asking.includes(c));
  const listed = other ? [...asking, other] : asking;
  const answered = checks.filter((c) => c.verdict !== 'unknown').length;
  return (
    <section aria-label="Checks and corrections">
      <h3>
        {asking.length === 0
          ? `All ${answered} checks that can be answered are in band`
          : `${asking.length} of ${answered} checks ask for something`}
      </h3>
      {listed.map((check) => (
        <div key={check.id}>
          <CheckLine
            check={check}
            open={chosen === check.id}
            onOpen={() => {
              set({ check: chosen === check.id ? undefined : check.id });
            }}
          />
          {chosen === check.id && <Offers check={check} />}
        </div>
      ))}
      <p>
        <label htmlFor={id} className="quiet">
          Corrections for another check
        </label>{' '}
        <NativeSelect
          inputProps={{ id }}
          value={other?.id ?? ''}
          onChange={(event) => {
            set({ check: checks.find((c) => c.id === event.target.value)?.id });
          }}
        >
          <option value="">choose</option>
          {checks
            .filter((c) => !asking.includes(c))
            .map((c) => (
              <option key={c.id} value={c.id}>
                {labelOf(c, tape)}
              </option>
            ))}
        </NativeSelect>
      </p>
    </section>
  );
}
