import { useMemo, type KeyboardEvent } from 'react';
import { lineKind, type ParameterName } from '../../core/method/index.js';
import type { Draft } from '../../core/chain/index.js';
import { add, scale, subtract, type Point } from '../../core/geometry/index.js';
import { formatAngle, formatLength, handStep, type Tape } from '../../core/units/index.js';
import type { Pull } from '../shared/drag.js';
import { takeLine } from '../shared/line-in-hand.js';
import { useDrag } from '../shared/use-drag.js';
import { type HandValues } from '../store/open-work.js';
import { usePreferences } from '../store/preferences.js';
import { giveBack, previewByHand, setByHand } from '../store/work-changes.js';
import { useChange } from '../store/work-context.js';
import { toBoard, toPanel, type Placement } from './arrange.js';
import { useBoard } from './board-store.js';
import { handlesOf, handleWord, type Handle } from './handles.js';
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

const DOES: Record<Handle['does'], string> = {
  across: 'M-8 0H8M-8 0l3.5 -3.5M-8 0l3.5 3.5M8 0l-3.5 -3.5M8 0l-3.5 3.5',
  both: 'M-7 0H7M0 -7V7',
  turns: 'M-6 4A8 8 0 0 1 6 4M6 4l.5 -5M6 4l-5 -.5',
};

/** The handles of the piece in hand: drag or nudge by keys, the figure beside them, Escape gives the drag up. */
export function HandleLayer({ draft, place, view, size, tape, refused }: HandleLayerProps) {
  const inHand = useBoard((s) => s.inHand);
  const change = useChange();
  const panel = draft.block[inHand];
  const handles = useMemo(() => handlesOf(draft.block, inHand), [draft.block, inHand]);
  const valuesAt = (handle: Handle, { from, to, fine, alone }: Pull): HandValues => {
    const moved = fromScreen(subtract(to, from), { ...view, x: 0, y: 0 });
    const lies = toPanel(add(toBoard(handle.at, place), moved), place);
    return handle.drag(lies, { step: handStep(tape.unit, fine), modified: alone });
  };
  const letLie = (): void => {
    change(previewByHand(undefined));
  };
  const { held, on } = useDrag<Handle>({
    move: (handle, pull) => {
      if (!dragged) usePreferences.getState().set({ dragged: true });
      change(previewByHand(valuesAt(handle, pull)));
    },
    drop: (handle, pull) => {
      const values = valuesAt(handle, pull);
      if (Object.keys(values).length > 0 && !refused) change(setByHand(values));
      else letLie();
    },
    giveUp: letLie,
  });
  const heldId = held?.id;
  const dragged = usePreferences((p) => p.dragged);
  const invited = dragged ? undefined : handles.find((h) => h.id === INVITED);

  const figureOf = (name: ParameterName): string => {
    const value = draft.worked[inHand][name];
    if (typeof value !== 'number') return `${handleWord(name)} ${value}`;
    const shown =
      lineKind(`${inHand}.${name}`) === 'length' || name === 'dartAt' ? formatLength(value, tape) : String(value);
    return `${handleWord(name)} ${shown}`;
  };

  const tell = (handle: Handle): string[] => {
    const lines = handle.sets.map(figureOf);
    if (handle.id === 'seat') lines.push(`seat angle ${formatAngle((panel.seatAngle * 180) / Math.PI)}`);
    return refused ? [...lines, 'no further'] : lines;
  };

  const nudge = (handle: Handle, event: KeyboardEvent<SVGGElement>): void => {
    const ways: Record<string, Point> = {
      ArrowLeft: { x: -1, y: 0 },
      ArrowRight: { x: 1, y: 0 },
      ArrowUp: { x: 0, y: -1 },
      ArrowDown: { x: 0, y: 1 },
    };
    if (event.key === 'Delete' || event.key === 'Backspace') {
      event.preventDefault();
      event.stopPropagation();
      const alone = event.ctrlKey || event.altKey;
      const own = handle.sets.map((name) => `${inHand}.${name}`);
      change(giveBack(alone ? own : [...own, ...handle.along]));
      return;
    }
    const way = ways[event.key];
    if (!way) return;
    event.preventDefault();
    event.stopPropagation();
    const step = handStep(tape.unit, event.shiftKey);
    const by = { x: (place.mirrored ? -way.x : way.x) * step, y: way.y * step };
    const to = add(handle.at, scale(by, handle.ofStep));
    const values = handle.drag(to, { step, modified: event.ctrlKey || event.altKey });
    if (Object.keys(values).length === 0) return;
    usePreferences.getState().set({ dragged: true });
    change(setByHand(values));
  };

  const shown = handles.find((h) => h.id === heldId);
  return (
    <g className={`piece-${inHand} handles`}>
      {handles.map((handle) => {
        const at = toScreen(toBoard(handle.at, place), view);
        const value = draft.worked[inHand][handle.sets[0] ?? 'extension'];
        const now = typeof value === 'number' ? value : panel.darts[0] ? 0 : 0;
        return (
          <g
            key={handle.id}
            className="handle"
            data-handle={`${inHand}.${handle.id}`}
            data-held={heldId === handle.id}
            data-invited={handle === invited}
            transform={`translate(${at.x} ${at.y})`}
            tabIndex={0}
            role="slider"
            aria-label={`${inHand === 'front' ? 'Front' : 'Back'}: ${handle.label}`}
            aria-valuenow={Math.round(now)}
            aria-valuetext={tell(handle).join(', ')}
            aria-orientation="horizontal"
            {...on((event) => {
              (event.currentTarget as SVGGElement).focus({ preventScroll: true });
              return handle;
            })}
            onFocus={takeLine(`${inHand}.${handle.sets[0] ?? ''}`)}
            onKeyDown={(event) => {
              nudge(handle, event);
            }}
          >
            <title>{handle.label}</title>
            <circle className="touch" r={20} />
            <circle className="ring" r={12} />
            {handle.does === 'across' ? (
              <rect className="grip" x={-6} y={-6} width={12} height={12} rx={2} />
            ) : (
              <circle className="grip" r={6.5} />
            )}
            {heldId === handle.id && (
              <path className="measure-line" d={DOES[handle.does]} transform="translate(0 -20)" />
            )}
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
