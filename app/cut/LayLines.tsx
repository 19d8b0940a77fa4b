import Button from '@mui/material/Button';
import { CLOTH_LABELS, layersOf, remnantOf, type ClothData } from '../../core/cloth/index.js';
import type { Cloth } from '../../core/garment/index.js';
import { clothWords, toBuy, type LeftOver } from '../../core/lay/index.js';
import { formatLength } from '../../core/units/index.js';
import { withFractions } from '../shared/fractions.js';
import { MOST_REMNANTS } from '../../core/workbook/index.js';
import { forgetRemnant, keepRemnant } from '../store/cloth-work.js';
import { useChange, useTape, useUnit, useWork } from '../store/work-context.js';
import type { LayAtHand } from './use-lay.js';

/** A search is gone on with for so long at a press, in ms. */
const ON_MS = 30_000;

/** How long the lay is, how much to buy, what that costs, and what is wrong. */
export function LaySaid({
  lay,
  cloth,
  fault,
  garments,
}: {
  readonly lay: LayAtHand;
  readonly cloth: ClothData;
  /** How many garments it is for. */
  readonly garments: number;
  readonly fault: string | undefined;
}) {
  const unit = useUnit();
  const tape = useTape();
  const { found, busy, failed, anew } = lay;
  const layers = layersOf(cloth);
  const taken = found && found.length * layers;
  const buy = taken && toBuy(taken, unit);
  const short = taken && cloth.inHand !== undefined && taken > cloth.inHand ? taken - cloth.inHand : 0;
  return (
    <div aria-live="polite" className="lay-said">
      {fault !== undefined && <p className="doubt">{withFractions(fault)}</p>}
      {found && buy !== undefined && (
        <p data-to-buy>
          <strong className="to-buy">{withFractions(clothWords(buy, unit))}</strong>{' '}
          {withFractions(
            `of cloth ${formatLength(cloth.width, tape)} wide${cloth.name ? `, ${cloth.name}` : ''}${garments * layers > 1 ? `, for ${garments * layers} garments` : ''}: the lay is ${formatLength(found.length, tape)} long${layers > 1 ? `, in ${layers} layers` : ''}, ${(100 * found.use).toFixed(1)} % of it used.`,
          )}
          {cloth.price !== undefined && ` It costs ${((cloth.price * buy) / 1000).toFixed(2)}.`}
        </p>
      )}
      {short > 0 && (
        <p className="doubt">
          {withFractions(`The cloth in hand is ${formatLength(short, tape)} too short.`)} Under Less stands what would
          help.
        </p>
      )}
      <p className="quiet" data-searching={busy}>
        {busy
          ? 'Looking for a shorter one …'
          : failed
            ? 'The search broke off. Look on, or go on with this lay.'
            : anew
              ? 'The pieces or the cloth have changed since a lay was kept: it was laid anew. Undo gives back what was.'
              : ''}
      </p>
    </div>
  );
}

/** The search: gone on with, and stopped with what it has. */
export function LaySearch({ lay, fault }: { readonly lay: LayAtHand; readonly fault: string | undefined }) {
  // Nothing to go on from yet: there is no button rather than one that fades in.
  if (!lay.busy && !lay.found) return null;
  return (
    <div className="acts">
      {lay.busy ? (
        <Button variant="contained" onClick={lay.stop}>
          Stop
        </Button>
      ) : (
        <Button
          variant="contained"
          disabled={fault !== undefined}
          onClick={() => {
            lay.search(ON_MS);
          }}
        >
          Look on for 30 s
        </Button>
      )}
    </div>
  );
}

/** What is left of the cloth that was bought, where it is worth keeping; kept, it is among the cloths at hand. */
export function LeftLines({
  left,
  cloth,
  kind,
}: {
  readonly left: readonly LeftOver[];
  readonly cloth: ClothData;
  readonly kind: Cloth;
}) {
  const tape = useTape();
  const change = useChange();
  const { name, remnants = [] } = useWork(({ work }) => work.draft);
  const size = ({ length, width }: LeftOver): string => `${formatLength(length, tape)} × ${formatLength(width, tape)}`;
  const called = (one: LeftOver): string => `${cloth.name || CLOTH_LABELS[kind]} left of ${name}, ${size(one)}`;
  return (
    <>
      {left.length > 0 && (
        <p className="quiet" data-left-overs={left.length}>
          {withFractions(`Left whole: ${left.map((f, i) => `${i + 1}, ${size(f)}`).join('; ')}.`)} Room for a facing,
          loops, a trial; what is kept is offered to other garments as cloth.
        </p>
      )}
      <div className="acts">
        {left.map((one, i) => (
          <Button
            key={i}
            size="small"
            variant="outlined"
            disabled={remnants.length >= MOST_REMNANTS || remnants.some((r) => r.name === called(one))}
            onClick={() => {
              change(keepRemnant(remnantOf(cloth, one, called(one))));
            }}
          >
            Keep {i + 1}
          </Button>
        ))}
      </div>
      {remnants.map((one) => (
        <p key={one.name} className="quiet" data-remnant>
          {withFractions(one.name)}, kept.{' '}
          <Button
            size="small"
            aria-label={`Used up: ${one.name}`}
            onClick={() => {
              change(forgetRemnant(one.name));
            }}
          >
            Used up
          </Button>
        </p>
      ))}
    </>
  );
}
