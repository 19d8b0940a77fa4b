import { useState } from 'react';
import type { Fitting } from '../../core/kept/index.js';
import { foldPlace, pinPlaces, type PinnedFold, type PinPlace } from '../../core/toile/index.js';
import { formatLength } from '../../core/units/index.js';
import { toBoard } from '../board/arrange.js';
import type { BoardLayer, Drawn } from '../board/drawn-board.js';
import { toScreen } from '../board/view.js';
import { withFractions } from '../shared/fractions.js';
import { changePin } from '../store/fitting-work.js';
import { useChange } from '../store/work-context.js';
import { FoldHandles } from './FoldHandles.js';
import { beforeAt, outward } from './pin-heads.js';
import { TriedLayer } from './TriedLayer.js';
import { useFitting } from './use-fitting.js';
import './toile.css';

/** How far a pin's head stands off what it holds, in pixels. */
const HEAD = 16;
/** A head that would lie above this, in pixels, is put below. */
const TOP = 48;
/** Below this scale, in pixels a millimetre, a pin has only its number. */
const LEAST_SAID = 0.4;

type FittingPin = Fitting['pins'][number];

/** A head above another stands so much higher, in pixels. */
const APART = 15;

/** The pins of the fitting in hand on the pieces: what each takes up, its head outward, its number and amount. */
export const PinLayer: BoardLayer = ({ drawn }) => {
  const { fitting } = useFitting();
  if (!fitting) return null;
  const numbered = fitting.pins.map((pin, i) => ({ pin, number: i + 1 }));
  const put = numbered.flatMap(({ pin, number }) =>
    pin.fold ? [] : pinPlaces(pin.kind, pin.by, drawn.draft.block).map((place) => ({ pin, number, place })),
  );
  const places = put.map(({ place }) => place);
  return (
    <g>
      <TriedLayer drawn={drawn} />
      {put.map(({ pin, number, place }, i) => (
        <PinOnPiece
          key={`${pin.id} ${place.panel}`}
          kind={pin.kind}
          place={place}
          raised={beforeAt(places, i)}
          number={number}
          amounts={[pin.by]}
          drawn={drawn}
        />
      ))}
      {numbered.map(
        ({ pin, number }) =>
          pin.fold && (
            <FoldOnPiece key={pin.id} fitting={fitting.id} pin={pin} fold={pin.fold} number={number} drawn={drawn} />
          ),
      )}
    </g>
  );
};

/** A fold on its piece, its ends to be pulled along the seams. */
function FoldOnPiece({
  fitting,
  pin,
  fold,
  number,
  drawn,
}: {
  readonly fitting: string;
  readonly pin: FittingPin;
  readonly fold: PinnedFold;
  readonly number: number;
  readonly drawn: Drawn;
}) {
  const change = useChange();
  const [trial, setTrial] = useState<PinnedFold>();
  const shown = trial ?? fold;
  const place = foldPlace(shown, pin.by, drawn.draft.block);
  return (
    <>
      {place && (
        <PinOnPiece
          kind={pin.kind}
          place={place}
          raised={0}
          number={number}
          amounts={[pin.by, fold.byTo]}
          drawn={drawn}
        />
      )}
      <FoldHandles
        drawn={drawn}
        fold={shown}
        number={number}
        onTry={setTrial}
        onKeep={(next) => {
          change(changePin(fitting, pin.id, { fold: next }));
        }}
      />
    </>
  );
}

function PinOnPiece({
  kind,
  place,
  raised,
  number,
  amounts,
  drawn: { draft, arranged, view, tape },
}: {
  readonly kind: string;
  readonly place: PinPlace;
  /** How many heads stand at the same place already. */
  readonly raised: number;
  readonly number: number;
  readonly amounts: readonly number[];
  readonly drawn: Drawn;
}) {
  const { panel, corners } = place;
  const spots = corners.map((p) => toScreen(toBoard(p, arranged[panel]), view));
  const [at] = spots;
  if (!at) return null;
  const away = outward(place, draft.block) * (arranged[panel].mirrored ? -1 : 1);
  const up = at.y - HEAD < TOP ? -1 : 1;
  const head = { x: at.x + HEAD * away, y: at.y - (HEAD + raised * APART) * up };
  // Its words stand off the piece at the centre, and on it at the side, where the other piece is near.
  const beside = panel === 'back' ? 1 : -1;
  const said = amounts.map((mm) => formatLength(mm, tape)).join(', ');
  return (
    <g data-pinned={`${kind} ${panel}`} pointerEvents="none">
      <polygon className="pin-fold" points={spots.map(({ x, y }) => `${x},${y}`).join(' ')} />
      <line className="pin-shaft" x1={at.x - 6 * away} y1={at.y + 6 * up} x2={head.x} y2={head.y} />
      <circle className="pin-head" cx={head.x} cy={head.y} r={4} />
      <text className="pin-said" x={head.x + 7 * beside} y={head.y - 3} textAnchor={beside > 0 ? 'start' : 'end'}>
        {view.scale < LEAST_SAID ? number : withFractions(`${number}: ${said}`)}
      </text>
    </g>
  );
}
