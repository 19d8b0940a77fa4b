import { useMemo, type KeyboardEvent } from 'react';
import type { Draft } from '../../core/chain/index.js';
import { add, scale, subtract, type Point } from '../../core/geometry/index.js';
import { handStep, type Tape } from '../../core/units/index.js';
import type { Pull } from '../shared/drag.js';
import { takeLine } from '../shared/line-in-hand.js';
import { useDrag } from '../shared/use-drag.js';
import { usePreferences } from '../store/preferences.js';
import type { Change } from '../store/work-changes.js';
import { useChange, useWork } from '../store/work-context.js';
import { toBoard, toPanel, type Placement } from './arrange.js';
import { useBoard } from './board-store.js';
import { gripsOf, type Grip } from './grips.js';
import type { Move, Place } from './handles.js';
import { Tag } from './Tag.js';
import { fromScreen, toScreen, type ScreenSize, type View } from './view.js';

interface HandleLayerProps {
  readonly draft: Draft;
  readonly place: Placement;
  readonly view: View;
  readonly size: ScreenSize;
  readonly tape: Tape;
  readonly refused: boolean;
}

/** The handle at which a first drag is invited. */
const INVITED = 'crotch';

const DOES: Record<Place['does'], string> = {
  across: 'M-8 0H8M-8 0l3.5 -3.5M-8 0l3.5 3.5M8 0l-3.5 -3.5M8 0l-3.5 3.5',
  along: 'M0 -8V8M0 -8l-3.5 3.5M0 -8l3.5 3.5M0 8l-3.5 -3.5M0 8l3.5 -3.5',
  both: 'M-7 0H7M0 -7V7',
  turns: 'M-6 4A8 8 0 0 1 6 4M6 4l.5 -5M6 4l-5 -.5',
};

const WAYS: Readonly<Record<string, Point>> = {
  ArrowLeft: { x: -1, y: 0 },
  ArrowRight: { x: 1, y: 0 },
  ArrowUp: { x: 0, y: -1 },
  ArrowDown: { x: 0, y: 1 },
};

/** The handles of the piece in hand: drag or nudge by keys, the figure beside them, Escape gives the drag up. */
export function HandleLayer({ draft, place, view, size, tape, refused }: HandleLayerProps) {
  const inHand = useBoard((s) => s.inHand);
  const change = useChange();
  const kept = useWork(({ work }) => work.draft.pattern);
  const laid = useWork(({ preview }) => preview?.pattern);
  const pattern = useMemo(() => kept && { ...kept, ...laid }, [kept, laid]);
  const grips = useMemo(() => gripsOf(draft, inHand, pattern, tape), [draft, inHand, pattern, tape]);
  const wishOf = (grip: Grip, { from, to, fine, alone }: Pull): readonly [Point, Move] => {
    const moved = fromScreen(subtract(to, from), { ...view, x: 0, y: 0 });
    const lies = toPanel(add(toBoard(grip.at, place), moved), place);
    return [lies, { step: handStep(tape.unit, fine), modified: alone }];
  };
  const { held, on } = useDrag<Grip>({
    move: (grip, pull) => {
      if (!dragged) usePreferences.getState().set({ dragged: true });
      change(grip.show(...wishOf(grip, pull)));
    },
    drop: (grip, pull) => {
      const kept: Change | undefined = refused ? undefined : grip.keep(...wishOf(grip, pull));
      change(kept ?? grip.leave);
    },
    giveUp: (grip) => {
      change(grip.leave);
    },
  });
  const heldId = held?.id;
  const dragged = usePreferences((p) => p.dragged);
  const invited = dragged ? undefined : grips.find((grip) => grip.id === INVITED);
  const tell = ({ tells }: Grip): readonly string[] => (refused ? [...tells, 'no further'] : tells);

  const nudge = (grip: Grip, event: KeyboardEvent<SVGGElement>): void => {
    const alone = event.ctrlKey || event.altKey;
    const way = WAYS[event.key];
    const back = event.key === 'Delete' || event.key === 'Backspace';
    if (!way && !back) return;
    event.preventDefault();
    event.stopPropagation();
    if (!way) {
      change(grip.giveBack(alone));
      return;
    }
    const step = handStep(tape.unit, event.shiftKey);
    const by = { x: (place.mirrored ? -way.x : way.x) * step, y: way.y * step };
    const kept = grip.keep(add(grip.at, scale(by, grip.ofStep)), { step, modified: alone });
    if (!kept) return;
    usePreferences.getState().set({ dragged: true });
    change(kept);
  };

  const shown = grips.find((grip) => grip.id === heldId);
  return (
    <g className={`piece-${inHand} handles`}>
      {grips.map((grip) => {
        const at = toScreen(toBoard(grip.at, place), view);
        return (
          <g
            key={grip.id}
            className="handle"
            data-handle={`${inHand}.${grip.id}`}
            data-held={heldId === grip.id}
            data-invited={grip === invited}
            transform={`translate(${at.x} ${at.y})`}
            tabIndex={0}
            role="slider"
            aria-label={`${inHand === 'front' ? 'Front' : 'Back'}: ${grip.label}`}
            aria-valuenow={Math.round(grip.now)}
            aria-valuetext={tell(grip).join(', ')}
            aria-orientation={grip.does === 'along' ? 'vertical' : 'horizontal'}
            {...on((event) => {
              (event.currentTarget as SVGGElement).focus({ preventScroll: true });
              return grip;
            })}
            onFocus={takeLine(grip.line)}
            onKeyDown={(event) => {
              nudge(grip, event);
            }}
          >
            <title>{grip.label}</title>
            <circle className="touch" r={20} />
            <circle className="ring" r={12} />
            {grip.does === 'across' || grip.does === 'along' ? (
              <rect className="grip" x={-6} y={-6} width={12} height={12} rx={2} />
            ) : (
              <circle className="grip" r={6.5} />
            )}
            {heldId === grip.id && <path className="measure-line" d={DOES[grip.does]} transform="translate(0 -20)" />}
          </g>
        );
      })}
      {invited && !shown && (
        <Tag
          at={toScreen(toBoard(invited.at, place), view)}
          lines={['Take this point and pull it', 'every figure follows']}
          size={size}
        />
      )}
      {shown && <Tag at={toScreen(toBoard(shown.at, place), view)} lines={tell(shown)} size={size} />}
    </g>
  );
}
