import { pinPlaces } from '../../core/toile/index.js';
import { formatLength } from '../../core/units/index.js';
import { toBoard } from '../board/arrange.js';
import type { BoardLayer } from '../board/drawn-board.js';
import { toScreen } from '../board/view.js';
import { withFractions } from '../shared/fractions.js';
import { useFitting } from './use-fitting.js';
import './toile.css';

/** How far a pin's head stands off what it holds, in pixels. */
const HEAD = 16;
/** A head that would lie above this, in pixels, is put below. */
const TOP = 48;
/** Below this scale, in pixels a millimetre, a pin has only its number. */
const LEAST_SAID = 0.4;

/** The pins of the fitting in hand on the pieces: what each takes up, its head outward, its number and amount. */
export const PinLayer: BoardLayer = ({ drawn: { draft, arranged, view, tape } }) => {
  const { fitting } = useFitting();
  return (
    <g pointerEvents="none">
      {(fitting?.pins ?? []).map((pin, i) =>
        pinPlaces(pin.kind, pin.by, draft.block).map(({ panel, corners }) => {
          const spots = corners.map((p) => toScreen(toBoard(p, arranged[panel]), view));
          const [at] = spots;
          if (!at) return null;
          const away = panel === 'back' ? 1 : -1;
          const up = at.y - HEAD < TOP ? -1 : 1;
          const head = { x: at.x + HEAD * away, y: at.y - HEAD * up };
          return (
            <g key={`${pin.id} ${panel}`} data-pinned={`${pin.kind} ${panel}`}>
              <polygon className="pin-fold" points={spots.map(({ x, y }) => `${x},${y}`).join(' ')} />
              <line className="pin-shaft" x1={at.x - 6 * away} y1={at.y + 6 * up} x2={head.x} y2={head.y} />
              <circle className="pin-head" cx={head.x} cy={head.y} r={4} />
              <text className="pin-said" x={head.x + 7 * away} y={head.y - 3} textAnchor={away > 0 ? 'start' : 'end'}>
                {view.scale < LEAST_SAID ? i + 1 : withFractions(`${i + 1}: ${formatLength(pin.by, tape)}`)}
              </text>
            </g>
          );
        }),
      )}
    </g>
  );
};
