import Button from '@mui/material/Button';
import { useMemo, useState } from 'react';
import { checkLabel, plainValue, type Check } from '../../core/check/index.js';
import type { Fitting } from '../../core/kept/index.js';
import {
  causesOf,
  DOES,
  isTakenOut,
  worksOf,
  seenNamed,
  type AmountFrom,
  type Evidence,
  type Learnt,
  type RankedCause,
} from '../../core/toile/index.js';
import { formatAngle, formatLength, tapeFor, type Unit } from '../../core/units/index.js';
import { sayAlteration } from '../../core/alter/index.js';
import { withFractions } from '../shared/fractions.js';
import { LengthField } from '../shared/LengthField.js';
import { newId } from '../shared/new-id.js';
import { takeCause } from '../store/fitting-work.js';
import { useChange, useComputed, useUnit, useWork } from '../store/work-context.js';
import { KnowledgeLines } from './KnowledgeLines.js';
import { TakeActs } from './TakeActs.js';
import { useFitting } from './use-fitting.js';
import { useKnowledge } from './use-knowledge.js';
import { useTaught } from './use-taught.js';

/** No more causes are told at first: what lies further down speaks for little. */
const FIRST = 4;

const FROM: Readonly<Record<AmountFrom, string>> = {
  pin: 'as pinned',
  figure: 'what the figure misses',
  start: 'a start; pin to know better',
};
const SPEAKS: Readonly<Record<Evidence['speaks'], string>> = {
  for: 'speaks for it',
  neither: 'in its band',
  against: 'speaks against it',
};

/** “37.4 to 38.6 cm”, “at least 37.4 cm”. */
function bandSaid({ low, high }: Check, unit: Unit): string {
  const said = (mm: number): string => formatLength(mm, tapeFor(unit));
  const [from, to] = [low, high].map((mm) => (mm !== undefined && Number.isFinite(mm) ? mm : undefined));
  if (from === undefined) return to === undefined ? '' : `, wanted at most ${said(to)}`;
  return to === undefined ? `, wanted at least ${said(from)}` : `, wanted ${said(from)} to ${said(to)}`;
}

/** “Back rise 36.2 cm, wanted 37.4 cm to 38.6 cm: speaks for it”. */
function evidenceSaid(evidence: Evidence, unit: Unit): string {
  const { speaks } = evidence;
  if ('seatLean' in evidence) return `Seat line leans ${formatAngle(evidence.seatLean)}: ${SPEAKS[speaks]}`;
  const { check } = evidence;
  const value = plainValue(check, unit);
  const said = typeof value === 'number' ? formatLength(value, tapeFor(unit)) : '';
  return `${checkLabel(check, unit)} ${said}${check.kind === 'length' ? bandSaid(check, unit) : ''}: ${SPEAKS[speaks]}`;
}

/** “Of 5 cm given on 2026-05-07, 2 cm came out again: 60 % is offered.” */
const learntSaid = ({ given, back, date, share }: Learnt, unit: Unit): string =>
  `Of ${formatLength(given, tapeFor(unit))} given on ${date}, ${formatLength(back, tapeFor(unit))} came out again: ${Math.round(share * 100)} % of the amount is offered.`;

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

function CauseLine({ fitting, ranked }: { readonly fitting: Fitting; readonly ranked: RankedCause }) {
  const { cause, seen, evidence, from, leg, learnt } = ranked;
  const unit = useUnit();
  const change = useChange();
  const [own, setOwn] = useState<number>();
  const amount = own ?? ranked.amount;
  const none = amount <= 0;
  const taken = fitting.taken.includes(cause.id);
  const block = useComputed((c) => c.draft?.block);
  const works = useMemo(() => (block ? worksOf(cause.does, amount, block) : []), [cause.does, amount, block]);
  const knowledge = useKnowledge();
  const words = seen.flatMap((id) => seenNamed(id, knowledge)?.words.toLowerCase() ?? []);
  return (
    <li data-cause={cause.id}>
      <h3>
        {cause.words}
        {taken && <span className="cause-taken"> taken</span>}
      </h3>
      <p>{cause.why}</p>
      {words.length > 0 && <p className="quiet">Seen: {words.join('; ')}.</p>}
      {evidence.map((e) => (
        <p key={'check' in e ? e.check.id : 'seatLean'} className="quiet" data-speaks={e.speaks}>
          {withFractions(evidenceSaid(e, unit))}
        </p>
      ))}
      <div className="line">
        <label htmlFor={`cause-${cause.id}`}>{`Amount, of ${DOES[cause.does].of}`}</label>
        <LengthField
          id={`cause-${cause.id}`}
          label={`Amount: ${cause.words}`}
          mm={amount}
          unit={unit}
          problem={none ? `${cause.words}: give an amount above 0.` : undefined}
          source={own === undefined ? 'estimate' : 'hand'}
          onCommit={(mm) => {
            if (mm !== undefined) setOwn(mm);
          }}
        />
        <div className="sum">{own === undefined ? FROM[from] : 'your own'}</div>
      </div>
      {learnt && own === undefined && (
        <p className="quiet" data-learnt={learnt.does}>
          {withFractions(learntSaid(learnt, unit))}
        </p>
      )}
      <p className="quiet">
        {withFractions(works.map((w) => sayAlteration(w, unit, leg === 'both' ? undefined : leg)).join('; '))}
      </p>
      <TakeActs
        works={none ? undefined : works}
        taken={taken}
        words={['Take', 'Take again']}
        labels={{ does: `What it does: ${cause.words}`, take: `Take: ${cause.words}` }}
        onTake={(chosen) => {
          change(
            takeCause(
              fitting.id,
              { cause: cause.id, by: amount, leg },
              chosen.map((w) => ({
                id: newId(),
                on: true,
                note: cause.words,
                work: w,
                ...(leg !== 'both' && { leg }),
              })),
            ),
          );
        }}
      />
    </li>
  );
}
