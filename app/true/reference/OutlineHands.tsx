import { useMemo, type PointerEvent } from 'react';
import { add, scale, subtract, type Point } from '../../../core/geometry/index.js';
import type { PanelName } from '../../../core/method/index.js';
import { cutStretch, stretchAt, type Reference } from '../../../core/reference/index.js';
import { formatLength } from '../../../core/units/index.js';
import { pathData } from '../../../formats/index.js';
import { pathToBoard, toBoard } from '../../board/arrange.js';
import type { Drawn } from '../../board/drawn-board.js';
import { useBoard } from '../../board/board-store.js';
import { Tag } from '../../board/Tag.js';
import { fromScreen, toScreen } from '../../board/view.js';
import type { Pull } from '../../shared/drag.js';
import { useDrag } from '../../shared/use-drag.js';
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

/** An outline in the hand: by which tool, where it was taken, and how it lay. */
interface HeldOutline {
  readonly tool: 'move' | 'turn';
  readonly panel: PanelName;
  readonly from: Point;
  readonly lying: Reference;
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
  const outlines = useMemo(() => outlinesOf(trial ?? reference), [trial, reference]);
  const reach = REACH / view.scale;

  const boardPoint = (event: PointerEvent): Point => {
    const box = (event.currentTarget as SVGElement).ownerSVGElement?.getBoundingClientRect();
    return fromScreen({ x: event.clientX - (box?.left ?? 0), y: event.clientY - (box?.top ?? 0) }, view);
  };
  const letLie = (): void => {
    set({ referenceTrial: undefined });
  };
  const draggedTo = ({ tool: by, panel, from, lying }: HeldOutline, pull: Pull): Reference => {
    const to = add(from, scale(subtract(pull.to, pull.from), 1 / view.scale));
    return draggedReference(lying, by, panel, draft.block, arranged, from, to);
  };
  const { on } = useDrag<HeldOutline>({
    move: (held, pull) => {
      set({ referenceTrial: draggedTo(held, pull) });
    },
    drop: (held, pull) => {
      change(layReference(draggedTo(held, pull)));
      letLie();
    },
    giveUp: letLie,
  });
  const shown = outlines[chosen?.panel ?? 'front'].find((s) => s.index === chosen?.index);
  const stretch = chosen && shown?.stretches[chosen.stretch];
  const screen = ({ panel, place }: OnOutline): Point => toScreen(toBoard(place.at, arranged[panel]), view);
  const [first, second] = taken;
  const reading = first && second ? measured(outlines, arranged, first, second) : undefined;

  /** What a press takes hold of to move or turn; a press of another tool does its work at once. */
  const press = (event: PointerEvent): HeldOutline | undefined => {
    const at = boardPoint(event);
    if (tool === 'move' || tool === 'turn') {
      const panel = outlineHeldAt(outlines, arranged, at, reach);
      if (panel) onPanel(panel);
      return panel && { tool, panel, from: at, lying: reference };
    }
    const taking = onOutlineAt(outlines, arranged, at, reach);
    if (!taking) return undefined;
    event.stopPropagation();
    onPanel(taking.panel);
    const shape = outlines[taking.panel].find((s) => s.index === taking.place.index);
    if (!shape) return undefined;
    if (tool === 'measure') onTake(taken.length === 1 ? [...taken, taking] : [taking]);
    else if (tool === 'divide') {
      change(changeReference((r) => cutStretch(r, shape.index, taking.place.length / shape.length)));
      onChoose(undefined);
    } else onChoose({ panel: taking.panel, index: shape.index, stretch: stretchAt(shape, taking.place.length) });
    return undefined;
  };

  return (
    <>
      <rect
        className="tool-sheet"
        data-outline-sheet={tool ?? 'choose'}
        width={size.width}
        height={size.height}
        fill="transparent"
        {...on(press)}
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
