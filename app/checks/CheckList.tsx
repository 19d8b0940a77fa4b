import { useRef } from 'react';
import { Link, useParams } from 'react-router';
import type { Check, CheckId } from '../../core/check/index.js';
import { UNLIT, useBoard } from '../board/board-store.js';
import { withFractions } from '../shared/fractions.js';
import { useTape } from '../store/work-context.js';
import { bandOf, comparesOf, labelOf, restsOn, said, VERDICTS } from './check-words.js';
import { Gauge } from './Gauge.js';
import { litBy } from './lit-by.js';
import { Offers } from './Offers.js';
import { remedyOf } from './remedies.js';
import './checks.css';

function Detail({ check, onTaken }: { check: Check; onTaken: () => void }) {
  const { room, draftId } = useParams();
  const tape = useTape();
  const remedy = remedyOf(check);
  return (
    <div className="check-detail">
      <Gauge value={check.value} low={check.low} high={check.high} width={160} />
      <p>{withFractions(comparesOf(check, tape))}</p>
      <p className="quiet">Rests on {restsOn(check)}.</p>
      {remedy && room !== undefined && draftId !== undefined && (
        <p>
          <Link to={`/${room}/draft/${draftId}/${remedy.at}`}>{remedy.label}</Link>
        </p>
      )}
      {draftId !== undefined && check.verdict !== 'unknown' && <Offers check={check} onTaken={onTaken} />}
    </div>
  );
}

/** A check as a line that opens to its band, its meaning and its corrections. */
export function CheckLine({
  check,
  open,
  onOpen,
}: {
  check: Check;
  open: boolean;
  onOpen: (id: CheckId | undefined) => void;
}) {
  const tape = useTape();
  const line = useRef<HTMLButtonElement>(null);
  const light = useBoard((s) => s.set);
  const { sign, word } = VERDICTS[check.verdict];
  return (
    <>
      <button
        ref={line}
        type="button"
        className="check-line"
        data-check-line={check.id}
        data-verdict={check.verdict}
        aria-expanded={open}
        onClick={() => {
          onOpen(open ? undefined : check.id);
        }}
        onPointerEnter={() => {
          light({ lit: litBy(check) });
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
      {open && (
        <Detail
          check={check}
          onTaken={() => {
            line.current?.focus();
          }}
        />
      )}
    </>
  );
}
