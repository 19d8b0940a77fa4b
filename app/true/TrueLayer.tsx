import { useEffect, useRef, useState, type PointerEvent } from 'react';
import { sayAlteration, type Alteration, type AlterationWork, type Mark } from '../../core/alter/index.js';
import { dot, subtract, unit as unitOf, type Path, type Point } from '../../core/geometry/index.js';
import { PANEL_NAMES, type PanelName } from '../../core/method/index.js';
import { handStep } from '../../core/units/index.js';
import { pathData } from '../../formats/index.js';
import { pathToBoard, toBoard, toPanel } from '../board/arrange.js';
import type { Drawn } from '../board/drawn-board.js';
import { Tag } from '../board/Tag.js';
import { fromScreen, toScreen } from '../board/view.js';
import { addAlterations, changeAlteration, newAlteration, tryAlterations } from '../store/alteration-work.js';
import { useChange, useUnit, useWork } from '../store/work-context.js';
import { cutBetween, dartHoldAt, holdAt, pulledTo, workOfDrag, type Hold } from './gestures.js';
import { useBoard } from '../board/board-store.js';
import { useTrue } from './true-store.js';

/** How near, in pixels, a seam must be to be taken hold of. */
const REACH = 22;

/** How an alteration would be done on paper: cut, hinge, wedge, and the seam as it was. */
function PaperMarks({ marks, panel, drawn }: { marks: readonly Mark[]; panel: PanelName; drawn: Drawn }) {
  const { arranged, view } = drawn;
  const spot = (p: Point): Point => toScreen(toBoard(p, arranged[panel]), view);
  const data = (path: Path): string => pathData(pathToBoard(path, arranged[panel]));
  return (
    <g pointerEvents="none" className="paper-marks" data-marks={panel}>
      {marks.map((mark, i) => {
        const points = mark.points.map(spot);
        const list = points.map((p) => `${p.x},${p.y}`).join(' ');
        if (mark.kind === 'wedge') return <polygon key={i} className="alter-wedge" points={list} />;
        if (mark.kind === 'cut') return <polyline key={i} className="alter-cut" points={list} />;
        if (mark.kind === 'seam') {
          return (
            <g key={i} transform={`translate(${view.x} ${view.y}) scale(${view.scale})`}>
              <path className="paper-line alter-was" d={data(mark.path)} />
            </g>
          );
        }
        return points.map((p, k) => <circle key={`${i}.${k}`} className="alter-hinge" cx={p.x} cy={p.y} r={6} />);
      })}
    </g>
  );
}

/** The handle at the opened end of a wedge: it is pulled open or shut. */
function WedgeHandle({
  alteration,
  mark,
  panel,
  drawn,
}: {
  alteration: Alteration;
  mark: Mark;
  panel: PanelName;
  drawn: Drawn;
}) {
  const change = useChange();
  const unit = useUnit();
  const list = useWork(({ work }) => work.draft.alterations);
  const held = useRef<{ from: Point; by: number; axis: Point }>(undefined);
  const { arranged, view } = drawn;
  const { work } = alteration;
  if (work.kind !== 'wedge') return null;
  const [p, , , opened] = mark.points;
  if (!p || !opened) return null;
  const at = toScreen(toBoard(opened, arranged[panel]), view);
  const apart = subtract(opened, p);
  const axis = unitOf({ x: apart.x * Math.sign(work.by || 1), y: apart.y * Math.sign(work.by || 1) });
  const withBy = (by: number): Alteration => ({ ...alteration, work: { ...work, by } });
  const panelPoint = (event: PointerEvent): Point =>
    toPanel(fromScreen({ x: event.clientX, y: event.clientY }, view), arranged[panel]);
  const keep = (by: number): void => {
    change(changeAlteration(alteration.id, () => withBy(by)));
  };
  return (
    <g
      className={`handle piece-${panel}`}
      role="slider"
      tabIndex={0}
      aria-label="Opening of the wedge"
      aria-valuenow={work.by}
      aria-valuetext={sayAlteration(work, unit)}
      data-handle="wedge"
      transform={`translate(${at.x} ${at.y})`}
      onPointerDown={(event) => {
        event.stopPropagation();
        event.currentTarget.setPointerCapture(event.pointerId);
        held.current = { from: panelPoint(event), by: work.by, axis };
      }}
      onPointerMove={(event) => {
        if (!held.current) return;
        const gone = dot(subtract(panelPoint(event), held.current.from), held.current.axis);
        const by = pulledTo(held.current.by, gone, handStep(unit, true));
        change(tryAlterations(list.map((a) => (a.id === alteration.id ? withBy(by) : a))));
      }}
      onPointerUp={(event) => {
        if (!held.current) return;
        const gone = dot(subtract(panelPoint(event), held.current.from), held.current.axis);
        const by = pulledTo(held.current.by, gone, handStep(unit, true));
        held.current = undefined;
        keep(by);
      }}
      onPointerCancel={() => {
        held.current = undefined;
        change(tryAlterations(undefined));
      }}
      onKeyDown={(event) => {
        const step = handStep(unit, event.shiftKey);
        const by = { ArrowUp: step, ArrowRight: step, ArrowDown: -step, ArrowLeft: -step }[event.key];
        if (by === undefined) return;
        event.preventDefault();
        keep(pulledTo(work.by, by, step));
      }}
    >
      <circle className="touch" r={20} />
      <circle className="ring" r={12} />
      <circle className="grip" r={6.5} />
    </g>
  );
}

interface Drag {
  readonly hold: Hold;
  readonly from: Point;
  readonly to: Point;
  readonly work: AlterationWork | undefined;
}

/** Hands on the piece at True: the tool's drag makes an alteration, shown at once and kept when let go. */
function ToolLayer({ drawn }: { drawn: Drawn }) {
  const { tool, set } = useTrue();
  const change = useChange();
  const unit = useUnit();
  const list = useWork(({ work }) => work.draft.alterations);
  const [drag, setDrag] = useState<Drag>();
  // The piece is measured as it lay when it was taken hold of.
  const lying = useRef(drawn);
  const { view, size } = drawn;

  useEffect(() => {
    if (!tool) return;
    const escape = (event: KeyboardEvent): void => {
      if (event.key !== 'Escape' || (!drag && event.target instanceof HTMLInputElement)) return;
      event.stopPropagation();
      change(tryAlterations(undefined));
      if (drag) setDrag(undefined);
      else set({ tool: undefined });
    };
    window.addEventListener('keydown', escape, true);
    return () => {
      window.removeEventListener('keydown', escape, true);
    };
  }, [tool, drag, change, set]);

  if (!tool) return null;
  const board = (event: PointerEvent<SVGRectElement>): Point => {
    const box = event.currentTarget.ownerSVGElement?.getBoundingClientRect();
    return fromScreen({ x: event.clientX - (box?.left ?? 0), y: event.clientY - (box?.top ?? 0) }, view);
  };
  const reach = REACH / view.scale;
  const workFor = (at: Point, hold: Hold, from: Point): AlterationWork | undefined => {
    const { draft, arranged } = lying.current;
    if (tool === 'cut') {
      const to = holdAt(draft.block, arranged, at, reach);
      return to && cutBetween(hold, to);
    }
    const place = arranged[hold.panel];
    const by = subtract(toPanel(at, place), toPanel(from, place));
    return workOfDrag(tool, draft.block[hold.panel], hold, by, handStep(unit, true));
  };
  return (
    <>
      <rect
        className="tool-sheet"
        data-tool-sheet={tool}
        width={size.width}
        height={size.height}
        fill="transparent"
        onPointerDown={(event) => {
          const at = board(event);
          lying.current = drawn;
          const { draft, arranged } = drawn;
          const hold =
            tool === 'dart' ? dartHoldAt(draft.block, arranged, at, reach) : holdAt(draft.block, arranged, at, reach);
          if (!hold) return;
          event.stopPropagation();
          event.currentTarget.setPointerCapture(event.pointerId);
          setDrag({ hold, from: at, to: at, work: undefined });
        }}
        onPointerMove={(event) => {
          if (!drag) return;
          event.stopPropagation();
          const at = board(event);
          const work = workFor(at, drag.hold, drag.from);
          setDrag({ ...drag, to: at, work });
          if (tool !== 'cut') change(tryAlterations(work ? [...list, newAlteration(work)] : undefined));
        }}
        onPointerUp={(event) => {
          if (!drag) return;
          event.stopPropagation();
          const work = workFor(board(event), drag.hold, drag.from);
          setDrag(undefined);
          if (!work) {
            change(tryAlterations(undefined));
            return;
          }
          const alteration = newAlteration(work);
          change(addAlterations([alteration]));
          useBoard.getState().set({ alteration: alteration.id });
          if (tool === 'cut') set({ tool: undefined });
        }}
        onPointerCancel={() => {
          setDrag(undefined);
          change(tryAlterations(undefined));
        }}
      />
      {drag && tool === 'cut' && (
        <line
          className="alter-cut"
          pointerEvents="none"
          x1={toScreen(drag.from, view).x}
          y1={toScreen(drag.from, view).y}
          x2={toScreen(drag.to, view).x}
          y2={toScreen(drag.to, view).y}
        />
      )}
      {drag?.work && (
        <Tag at={toScreen(drag.to, view)} size={size} lines={sayAlteration(drag.work, unit).split(', ')} />
      )}
    </>
  );
}

/** What True shows on the board: the chosen alteration as it is done on paper, and hands on the piece. */
export function TrueLayer({ drawn }: { drawn: Drawn }) {
  const chosen = useBoard((s) => s.alteration);
  const tool = useTrue((s) => s.tool);
  const alteration = useWork(({ work, trial }) => (trial ?? work.draft.alterations).find((a) => a.id === chosen));
  const { marks } = drawn.draft.altered;
  const wedge = alteration?.on && alteration.work.kind === 'wedge' ? alteration : undefined;
  return (
    <>
      {chosen !== undefined &&
        PANEL_NAMES.map((name) => (
          <PaperMarks
            key={name}
            panel={name}
            drawn={drawn}
            marks={marks[name].filter((m) => m.alteration === chosen)}
          />
        ))}
      <ToolLayer drawn={drawn} />
      {wedge &&
        !tool &&
        PANEL_NAMES.map((name) => {
          const mark = marks[name].find((m) => m.alteration === chosen && m.kind === 'wedge');
          return mark && <WedgeHandle key={name} alteration={wedge} mark={mark} panel={name} drawn={drawn} />;
        })}
    </>
  );
}
