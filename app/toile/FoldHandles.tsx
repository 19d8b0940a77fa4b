import type { Point } from '../../core/geometry/index.js';
import { downSeam, onSeam, seamNear } from '../../core/alter/index.js';
import type { PinnedFold } from '../../core/toile/index.js';
import { formatLength, handStep } from '../../core/units/index.js';
import { EDGE_WORDS } from '../../core/garment/index.js';
import { toBoard, toPanel } from '../board/arrange.js';
import type { Drawn } from '../board/drawn-board.js';
import { fromScreen, toScreen } from '../board/view.js';
import { useDrag } from '../shared/use-drag.js';
import { useUnit } from '../store/work-context.js';

const ENDS = [
  ['from', 'First end'],
  ['to', 'Other end'],
] as const;

/**
 * The two ends of a fold on its piece: each is pulled along the seams, over a corner onto the next as well, or moved by
 * keys. `onTry` is told while the hand moves, and nothing once it has let go.
 */
export function FoldHandles({
  drawn,
  fold,
  number,
  onTry,
  onKeep,
}: {
  readonly drawn: Drawn;
  readonly fold: PinnedFold;
  readonly number: number;
  readonly onTry: (fold: PinnedFold | undefined) => void;
  readonly onKeep: (fold: PinnedFold) => void;
}) {
  return ENDS.map(([end, label]) => (
    <FoldHandle
      key={end}
      drawn={drawn}
      fold={fold}
      end={end}
      label={`${label} of pin ${number}`}
      onTry={onTry}
      onKeep={onKeep}
    />
  ));
}

function FoldHandle({
  drawn: { draft, arranged, view, tape },
  fold,
  end,
  label,
  onTry,
  onKeep,
}: {
  readonly drawn: Drawn;
  readonly fold: PinnedFold;
  readonly end: 'from' | 'to';
  readonly label: string;
  readonly onTry: (fold: PinnedFold | undefined) => void;
  readonly onKeep: (fold: PinnedFold) => void;
}) {
  const unit = useUnit();
  const panel = draft.block[fold.panel];
  const placement = arranged[fold.panel];
  const at = onSeam(panel, fold[end]);
  const pulled = (to: Point): PinnedFold => ({
    ...fold,
    [end]: seamNear(panel, toPanel(fromScreen(to, view), placement)),
  });
  const spot = at && toScreen(toBoard(at.at, placement), view);
  const { on } = useDrag<Point>({
    // Taken off its middle a handle does not jump: it goes by as much as the hand.
    move: (began, { from, to }) => {
      onTry(pulled({ x: began.x + to.x - from.x, y: began.y + to.y - from.y }));
    },
    drop: (began, { from, to }) => {
      onTry(undefined);
      onKeep(pulled({ x: began.x + to.x - from.x, y: began.y + to.y - from.y }));
    },
    giveUp: () => {
      onTry(undefined);
    },
  });
  if (!spot) return null;
  const { edge } = fold[end];
  return (
    <g
      className={`handle piece-${fold.panel}`}
      role="slider"
      tabIndex={0}
      aria-label={label}
      aria-valuenow={Math.round(at.down)}
      aria-valuemin={0}
      aria-valuemax={Math.round(at.long)}
      aria-valuetext={`${formatLength(at.down, tape)} along the ${EDGE_WORDS[edge]}`}
      data-handle={`fold.${end}`}
      transform={`translate(${spot.x} ${spot.y})`}
      {...on(() => spot)}
      onKeyDown={(event) => {
        const step = handStep(unit, event.shiftKey);
        const by = { ArrowDown: step, ArrowRight: step, ArrowUp: -step, ArrowLeft: -step }[event.key];
        if (by === undefined) return;
        event.preventDefault();
        onKeep({ ...fold, [end]: downSeam(panel, edge, at.down + by) });
      }}
    >
      <circle className="touch" r={20} />
      <circle className="ring" r={12} />
      <circle className="grip" r={6.5} />
    </g>
  );
}
