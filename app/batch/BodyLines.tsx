import Button from '@mui/material/Button';
import { useRef, useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { drawnInput, type BatchRow } from '../../core/batch/index.js';
import { CLOTH_LABELS } from '../../core/cloth/index.js';
import { changeOf, draftOfBody, type Run, type RunBody } from '../../core/kept/index.js';
import { clothWords, toBuy } from '../../core/lay/index.js';
import { refusalsSentence } from '../../core/refusal/index.js';
import { formatLength, readerIn } from '../../core/units/index.js';
import { withFractions } from '../shared/fractions.js';
import { newId } from '../shared/new-id.js';
import { doAt } from '../store/place-acts.js';
import { useActs } from '../store/queries.js';
import { roomOf } from '../store/rooms.js';
import { changeRun, setOwn } from '../store/run-work.js';
import { useChange, useTape, useUnit } from '../store/work-context.js';
import { inputNow } from '../store/sheets.js';
import { askWords } from './row-words.js';
import { gradingOf } from './tasks.js';

/** The body in hand: what its garment asks for, what it takes, and what can be done for it alone. */
export function BodyLines({
  run,
  body,
  row,
  onTrue,
}: {
  readonly run: Run;
  readonly body: RunBody;
  readonly row: BatchRow | undefined;
  readonly onTrue: (bodies: readonly RunBody[]) => void;
}) {
  const room = roomOf(useParams()['room']);
  const { data: acts = [] } = useActs(room, 'shelf');
  const go = useNavigate();
  const change = useChange();
  const unit = useUnit();
  const tape = useTape();
  const [fault, setFault] = useState<string>();
  const making = useRef(false);
  const isPerson = run.of.from === 'people';
  const { work, own } = body;

  const openOwn = async (): Promise<void> => {
    if (making.current) return;
    making.current = true;
    try {
      const grading = gradingOf(body);
      const drawn = grading && drawnInput({ ...inputNow(body.work), grading });
      if (drawn && !drawn.ok) throw new Error(refusalsSentence(drawn.refusals, readerIn(unit)));
      const { draft, person } = draftOfBody(body, newId, new Date(), drawn?.value.pattern);
      const made = [
        ...(person ? [changeOf({ kind: 'person', id: person.id }, undefined, person)] : []),
        changeOf({ kind: 'draft', id: draft.id }, undefined, draft),
      ].flatMap((one) => one ?? []);
      const written = await doAt(room, 'shelf', `“${draft.name}” made of a run`, made, acts);
      if (!written.ok) throw new Error('It was changed elsewhere.');
      change(setOwn(run.id, [[body.key, { set: {}, alterations: [], draft: draft.id }]]));
      await go(`/${room}/draft/${draft.id}/draft`);
    } catch (reason) {
      setFault(`The draft could not be kept: ${reason instanceof Error ? reason.message : String(reason)} Try again.`);
    } finally {
      making.current = false;
    }
  };

  const takeOut = (): void => {
    const of: Run['of'] =
      run.of.from === 'people'
        ? { ...run.of, people: run.of.people.filter((id) => id !== body.key) }
        : { ...run.of, sizes: run.of.sizes.filter((name) => name !== body.key) };
    change(changeRun(run.id, { of }));
  };

  return (
    <section aria-label={body.name} data-body-in-hand={body.key}>
      <h3>{body.name}</h3>
      <p className="quiet">
        {isPerson ? `Measured ${body.note}` : body.note}
        {own
          ? `; by a draft of its own, “${own.name}”`
          : `${body.graded ? '; by the grade rule' : ''}${body.byHand ? '; with changes by hand' : ''}`}
        .
      </p>
      {row && !row.ok && <p className="doubt">{row.sentence}</p>}
      {row?.ok && (
        <>
          <ul className="row-told">
            {row.asks.map((ask) => (
              <li key={ask.id} className={`verdict-${ask.verdict}`}>
                {ask.verdict === 'out' ? '✕' : '!'} {withFractions(askWords(ask, tape))}
              </li>
            ))}
            {row.leftOut.map((words) => (
              <li key={words} className="verdict-out">
                Left out: {words}
              </li>
            ))}
            {row.asks.length === 0 && row.leftOut.length === 0 && <li className="verdict-in">✓ All checks in band.</li>}
            {row.estimated.length > 0 && <li className="quiet">Estimated: {row.estimated.join(', ')}.</li>}
            {row.cloth.map(({ kind, length, width }) => (
              <li key={kind} className="quiet">
                {CLOTH_LABELS[kind]}: about {withFractions(clothWords(toBuy(length, unit), unit))} of cloth{' '}
                {withFractions(formatLength(width, tape))} wide
              </li>
            ))}
          </ul>
        </>
      )}
      <div className="acts">
        {own ? (
          <Button size="small" variant="outlined" component={Link} to={`/${room}/draft/${own.id}/draft`}>
            Open its draft
          </Button>
        ) : (
          <>
            <Button
              size="small"
              variant="outlined"
              disabled={!row?.ok || row.asks.length === 0}
              onClick={() => {
                onTrue([body]);
              }}
            >
              True it
            </Button>
            <Button
              size="small"
              variant="outlined"
              onClick={() => {
                void openOwn();
              }}
            >
              Make it a draft of its own
            </Button>
          </>
        )}
        {body.byHand && (
          <Button
            size="small"
            onClick={() => {
              change(setOwn(run.id, [[body.key, undefined]]));
            }}
          >
            Give back to the garment
          </Button>
        )}
        {isPerson && (
          <Button size="small" component={Link} to={`/${room}/person/${work.person.id}`}>
            Measure
          </Button>
        )}
        <Button size="small" onClick={takeOut}>
          Take out of the run
        </Button>
      </div>
      {fault !== undefined && (
        <p className="problem" role="alert">
          {fault}
        </p>
      )}
    </section>
  );
}
