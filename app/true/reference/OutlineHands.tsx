import { useEffect, useMemo, useState, type PointerEvent } from 'react';
import type { Point } from '../../../core/geometry/index.js';
import type { PanelName } from '../../../core/method/index.js';
import { cutStretch, stretchAt, type Reference } from '../../../core/reference/index.js';
import { formatLength } from '../../../core/units/index.js';
import { pathData } from '../../../formats/index.js';
import { pathToBoard, toBoard } from '../../board/arrange.js';
import type { Drawn } from '../../board/drawn-board.js';
import { useBoard } from '../../board/board-store.js';
import { Tag } from '../../board/Tag.js';
import { fromScreen, toScreen } from '../../board/view.js';
import { changeReference, layReference } from '../../store/reference-work.js';
import { useChange } from '../../store/work-context.js';
import {
  draggedReference,
  measured,
  onOutlineAt,
  outlineHeldAt,
  outlinesOf,
  type OnOutline,
  type OutlineTool,
} from './reference-hands.js';

/** How near, in pixels, an outline must be to be taken hold of. */
const REACH = 18;

/** A stretch of a piece's outline that is chosen. */
export interface ChosenStretch {
  readonly panel: PanelName;
  readonly index: number;
  readonly stretch: number;
}

interface OutlineHandsProps {
  readonly reference: Reference;
  readonly drawn: Drawn;
  readonly tool: OutlineTool | undefined;
  readonly taken: readonly OnOutline[];
  readonly chosen: ChosenStretch | undefined;
  readonly onTake: (taken: readonly OnOutline[]) => void;
  readonly onChoose: (chosen: ChosenStretch | undefined) => void;
  readonly onPanel: (panel: PanelName) => void;
}

/** Hands on the outline: it is moved, turned, measured, divided, and its stretches are chosen. */
export function OutlineHands(props: OutlineHandsProps) {
  const { reference, drawn, tool, taken, chosen, onTake, onChoose, onPanel } = props;
  const { draft, arranged, view, size, tape } = drawn;
  const change = useChange();
  const trial = useBoard((s) => s.referenceTrial);
  const set = useBoard((s) => s.set);
  const [drag, setDrag] = useState<{ panel: PanelName; from: Point; lying: Reference }>();
  const outlines = useMemo(() => outlinesOf(trial ?? reference), [trial, reference]);
  const reach = REACH / view.scale;

  useEffect(() => {
    if (!drag) return;
    const escape = (event: KeyboardEvent): void => {
      if (event.key !== 'Escape') return;
      event.stopPropagation();
      setDrag(undefined);
      set({ referenceTrial: undefined });
    };
    window.addEventListener('keydown', escape, true);
    return () => {
      window.removeEventListener('keydown', escape, true);
    };
  }, [drag, set]);

  const boardPoint = (event: PointerEvent<SVGRectElement>): Point => {
    const box = event.currentTarget.ownerSVGElement?.getBoundingClientRect();
    return fromScreen({ x: event.clientX - (box?.left ?? 0), y: event.clientY - (box?.top ?? 0) }, view);
  };
  const shown = outlines[chosen?.panel ?? 'front'].find((s) => s.index === chosen?.index);
  const stretch = chosen && shown?.stretches[chosen.stretch];
  const screen = ({ panel, place }: OnOutline): Point => toScreen(toBoard(place.at, arranged[panel]), view);
  const [first, second] = taken;
  const reading = first && second ? measured(outlines, arranged, first, second) : undefined;

  const press = (at: Point, event: PointerEvent<SVGRectElement>): void => {
    if (tool === 'move' || tool === 'turn') {
      const panel = outlineHeldAt(outlines, arranged, at, reach);
      if (!panel) return;
      event.stopPropagation();
      event.currentTarget.setPointerCapture(event.pointerId);
      setDrag({ panel, from: at, lying: reference });
      onPanel(panel);
      return;
    }
    const on = onOutlineAt(outlines, arranged, at, reach);
    if (!on) return;
    event.stopPropagation();
    onPanel(on.panel);
    const shape = outlines[on.panel].find((s) => s.index === on.place.index);
    if (!shape) return;
    if (tool === 'measure') onTake(taken.length === 1 ? [...taken, on] : [on]);
    else if (tool === 'divide') {
      change(changeReference((r) => cutStretch(r, shape.index, on.place.length / shape.length)));
      onChoose(undefined);
    } else onChoose({ panel: on.panel, index: shape.index, stretch: stretchAt(shape, on.place.length) });
  };

  return (
    <>
      <rect
        className="tool-sheet"
        data-outline-sheet={tool ?? 'choose'}
        width={size.width}
        height={size.height}
        fill="transparent"
        onPointerDown={(event) => {
          press(boardPoint(event), event);
        }}
        onPointerMove={(event) => {
          if (!drag || (tool !== 'move' && tool !== 'turn')) return;
          event.stopPropagation();
          const to = boardPoint(event);
          set({
            referenceTrial: draggedReference(drag.lying, tool, drag.panel, draft.block, arranged, drag.from, to),
          });
        }}
        onPointerUp={(event) => {
          if (!drag) return;
          event.stopPropagation();
          setDrag(undefined);
          if (trial) change(layReference(trial));
          set({ referenceTrial: undefined });
        }}
        onPointerCancel={() => {
          setDrag(undefined);
          set({ referenceTrial: undefined });
        }}
      />
      {stretch && chosen && stretch.path.length > 0 && (
        <g transform={`translate(${view.x} ${view.y}) scale(${view.scale})`} pointerEvents="none">
          <path className="paper-line outline-chosen" d={pathData(pathToBoard(stretch.path, arranged[chosen.panel]))} />
        </g>
      )}
      <g pointerEvents="none">
        {reading && first && second && (
          <line
            className="measure-line"
            x1={screen(first).x}
            y1={screen(first).y}
            x2={screen(second).x}
            y2={screen(second).y}
          />
        )}
        {taken.map((on, i) => (
          <circle key={i} className="measure-line" cx={screen(on).x} cy={screen(on).y} r={4} />
        ))}
        {reading && second && (
          <Tag
            at={screen(second)}
            size={size}
            lines={[
              `Straight ${formatLength(reading.straight, tape)}`,
              ...(reading.along === undefined ? [] : [`along it ${formatLength(reading.along, tape)}`]),
            ]}
          />
        )}
      </g>
    </>
  );
}
