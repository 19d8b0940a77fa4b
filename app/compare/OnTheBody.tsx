import Button from '@mui/material/Button';
import { useMemo } from 'react';
import { useShallow } from 'zustand/shallow';
import type { DraftInput } from '../../core/chain/index.js';
import { CLOTH_MATTER, MOST_RESIDUAL } from '../../core/sew/index.js';
import { formatLength } from '../../core/units/index.js';
import { withFractions } from '../shared/fractions.js';
import { JobProgress } from '../shared/JobProgress.js';
import { useTape, useWork } from '../store/work-context.js';
import { ChangedLines } from '../worn/ChangedLines.js';
import { hang, keyOf, orderFor, stopHanging, useHanging } from '../worn/hang-store.js';
import { useAssumed } from '../worn/use-assumed.js';
import { WornCanvas } from '../worn/WornCanvas.js';
import { wornSide, type WornSide } from '../worn/worn-side.js';
import type { Compared } from './compared.js';

interface HungPairProps {
  /** Whose body it is: that of the draft in hand. */
  readonly wearer: DraftInput;
  readonly one: Compared;
  readonly other: Compared;
}

/** Two drafts sewn in cloth and hung on one body, small, with what differs between them. */
function HungPair({ wearer, one, other }: HungPairProps) {
  const tape = useTape();
  const unit = useWork(({ work }) => work.person.unit);
  const assumed = useAssumed();
  const { cloth, map, hangings } = useHanging(useShallow(({ cloth, map, hangings }) => ({ cloth, map, hangings })));
  const orders = useMemo(
    () => [one, other].map(({ input, style }) => orderFor({ input, style, unit }, wearer, assumed, cloth)),
    [wearer, one, other, unit, assumed, cloth],
  );
  const [first, second] = orders.map((order) => hangings[keyOf(order)]);
  const [a, b] = [first?.so, second?.so];
  const body = first?.body ?? second?.body;
  const done = first?.done === true && second?.done === true;
  const running = [first, second].some((h) => h && !h.done && h.failed === undefined);
  const failed = first?.failed ?? second?.failed;
  const held = done ? b : undefined;
  const sides = useMemo((): WornSide[] => {
    if (!body) return [];
    return [
      ...(a ? [wornSide(one.letter, body.surface, a, held, map)] : []),
      ...(b ? [wornSide(other.letter, body.surface, b, undefined, map)] : []),
    ];
  }, [body, a, b, held, map, one.letter, other.letter]);
  return (
    <section aria-label="On the body" data-hung={done ? 'done' : running ? 'running' : 'none'}>
      <h3>On the body</h3>
      {sides.length > 0 && (
        <>
          <div className="worn-names" aria-hidden>
            {sides.map(({ label }) => (
              <span key={label}>{label}</span>
            ))}
          </div>
          <div className="worn-small">
            <WornCanvas sides={sides} label={`On the body: ${sides.map(({ label }) => label).join(' beside ')}`} />
          </div>
        </>
      )}
      {running ? (
        <JobProgress
          label="Sewing and hanging"
          value={(100 * ((first?.share ?? 0) + (second?.share ?? 0))) / 2}
          onStop={stopHanging}
        />
      ) : (
        !done && (
          <Button
            size="small"
            variant="outlined"
            onClick={() => {
              for (const order of orders) hang(order);
            }}
          >
            Sew and hang {one.letter} and {other.letter}
          </Button>
        )
      )}
      {failed !== undefined && <p className="problem">{failed}</p>}
      {body && !body.sound && (
        <p className="problem">
          No body can be made that reads these measurements within {withFractions(formatLength(MOST_RESIDUAL, tape))}:
          the virtual toile at Toile says which.
        </p>
      )}
      {a && held && body && (
        <>
          <p className="quiet">
            From {other.letter} to {one.letter}, in {CLOTH_MATTER.find(({ id }) => id === cloth)?.label.toLowerCase()}:
          </p>
          <ChangedLines
            before={held.figures}
            after={a.figures}
            risesKnown={body.risesKnown}
            show={(mm) => withFractions(formatLength(mm, tape))}
          />
        </>
      )}
    </section>
  );
}

interface OnTheBodyProps {
  readonly compared: readonly Compared[];
  readonly hidden: ReadonlySet<string>;
}

/** The first two drafts that are shown, on the body of the draft in hand. */
export function OnTheBody({ compared, hidden }: OnTheBodyProps) {
  const [inHand] = compared;
  const [one, other] = compared.filter((c) => c.draft && !hidden.has(c.id));
  if (!inHand || !one || !other) return null;
  return <HungPair wearer={inHand.input} one={one} other={other} />;
}
