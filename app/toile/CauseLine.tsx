import { useMemo, useState } from 'react';
import { sayAlteration } from '../../core/alter/index.js';
import { checkLabel, plainValue, type Check } from '../../core/check/index.js';
import type { Fitting } from '../../core/kept/index.js';
import { NO_STYLE, waistDropOf } from '../../core/style/index.js';
import {
  bandDone,
  bandOf,
  DOES,
  seenNamed,
  WAYS,
  worksOf,
  type AmountFrom,
  type Evidence,
  type Learnt,
  type RankedCause,
} from '../../core/toile/index.js';
import { formatAngle, formatLength, tapeFor, type Unit } from '../../core/units/index.js';
import { withFractions } from '../shared/fractions.js';
import { LengthField } from '../shared/LengthField.js';
import { newId } from '../shared/new-id.js';
import { PickLine } from '../shared/PickLine.js';
import { takeCause } from '../store/fitting-work.js';
import { useChange, useComputed, useUnit, useWork } from '../store/work-context.js';
import { BandEffect } from './BandEffect.js';
import { EffectItems } from './EffectItems.js';
import { TakeActs } from './TakeActs.js';
import { useKnowledge } from './use-knowledge.js';

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

const NO_BAND = 'This style has no band. Choose one at Finish, or another way here.';

/** A cause, what speaks for it, and what is done about it by how much. */
export function CauseLine({ fitting, ranked }: { readonly fitting: Fitting; readonly ranked: RankedCause }) {
  const { cause, seen, evidence, from, leg, learnt } = ranked;
  const unit = useUnit();
  const change = useChange();
  const [own, setOwn] = useState<number>();
  const ways = WAYS[cause.does];
  const [does, setDoes] = useState(cause.does);
  const amount = own ?? ranked.amount;
  const none = amount <= 0;
  const taken = fitting.taken.includes(cause.id);
  const draft = useComputed((c) => c.draft);
  const style = useWork(({ work }) => work.draft.style) ?? NO_STYLE;
  // What a figure misses is told at the waist; what is pinned or typed is held at the top edge.
  const drop = draft && (from !== 'figure' || own !== undefined) ? waistDropOf(draft, style, unit) : 0;
  const works = useMemo(() => (draft ? worksOf(does, amount, draft.block, drop) : []), [does, amount, draft, drop]);
  const next = useMemo(() => bandOf(does, amount, style), [does, amount, style]);
  const band = useMemo(
    () => (draft && typeof next === 'object' ? bandDone(draft, style, next, amount, unit) : undefined),
    [draft, style, next, amount, unit],
  );
  const refused = next === 'noBand' ? NO_BAND : band && 'refused' in band ? band.refused : undefined;
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
      {ways && <PickLine label="Taken in at" value={does} choices={ways} onChoose={setDoes} />}
      <div className="line">
        <label
          htmlFor={`cause-${cause.id}`}
        >{`Amount, of ${drop > 0 && DOES[does].of === DOES.deeperDarts.of ? 'the dropped waist' : DOES[does].of}`}</label>
        <LengthField
          id={`cause-${cause.id}`}
          label={`Amount: ${cause.words}`}
          mm={amount}
          unit={unit}
          problem={none ? `${cause.words}: give an amount above 0.` : refused && `${cause.words}: ${refused}`}
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
      {works.length > 0 && (
        <p className="quiet">
          {withFractions(works.map((w) => sayAlteration(w, unit, leg === 'both' ? undefined : leg)).join('; '))}
        </p>
      )}
      <TakeActs
        ready={!none && refused === undefined}
        effect={!none && (next === undefined ? <EffectItems works={works} /> : band && <BandEffect done={band} />)}
        taken={taken}
        words={['Take', 'Take again']}
        labels={{ does: `What it does: ${cause.words}`, take: `Take: ${cause.words}` }}
        onTake={() => {
          const alterations = works.map((work) => ({
            id: newId(),
            on: true,
            note: cause.words,
            work,
            ...(leg !== 'both' && { leg }),
          }));
          const done = { cause: cause.id, by: amount, leg };
          change(takeCause(fitting.id, done, alterations, typeof next === 'object' ? next : undefined));
        }}
      />
    </li>
  );
}
