import { useState, type PointerEvent } from 'react';
import { sayAlteration, type Alteration, type AlterationWork, type Mark } from '../../core/alter/index.js';
import { add, dot, scale, subtract, unit as unitOf, type Point } from '../../core/geometry/index.js';
import { PANEL_NAMES, type PanelName } from '../../core/method/index.js';
import { handStep } from '../../core/units/index.js';
import { toBoard, toPanel } from '../board/arrange.js';
import type { Drawn } from '../board/drawn-board.js';
import { PaperMarks } from '../board/PaperMarks.js';
import { Tag } from '../board/Tag.js';
import { fromScreen, toScreen } from '../board/view.js';
import type { Pull } from '../shared/drag.js';
import { useDrag } from '../shared/use-drag.js';
import { useKeys } from '../shared/use-keys.js';
import { addAlterations, changeAlteration, newAlteration, tryAlterations } from '../store/alteration-work.js';
import { useChange, useUnit, useWork } from '../store/work-context.js';
import { cutBetween, dartHoldAt, holdAt, pulledTo, workOfDrag, type Hold } from './gestures.js';
import { useBoard } from '../board/board-store.js';
import { useTrue } from './true-store.js';

/** How near, in pixels, a seam must be to be taken hold of. */
const REACH = 22;

/** A wedge in the hand: how far it stood open, and the way it opens. */
interface HeldWedge {
  readonly by: number;
  readonly axis: Point;
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
  const { arranged, view } = drawn;
  const { work } = alteration;
  const withBy = (by: number): Alteration =>
    work.kind === 'wedge' ? { ...alteration, work: { ...work, by } } : alteration;
  const keep = (by: number): void => {
    change(changeAlteration(alteration.id, () => withBy(by)));
  };
  const pulled = ({ by, axis }: HeldWedge, { from, to }: Pull): number => {
    const spot = (p: Point): Point => toPanel(fromScreen(p, view), arranged[panel]);
    return pulledTo(by, dot(subtract(spot(to), spot(from)), axis), handStep(unit, true));
  };
  const { on } = useDrag<HeldWedge>({
    move: (wedge, pull) => {
      const by = pulled(wedge, pull);
      change(tryAlterations(list.map((a) => (a.id === alteration.id ? withBy(by) : a))));
    },
    drop: (wedge, pull) => {
      keep(pulled(wedge, pull));
    },
    giveUp: () => {
      change(tryAlterations(undefined));
    },
  });
  if (work.kind !== 'wedge') return null;
  const [p, , , opened] = mark.points;
  if (!p || !opened) return null;
  const at = toScreen(toBoard(opened, arranged[panel]), view);
  const apart = subtract(opened, p);
  const axis = unitOf({ x: apart.x * Math.sign(work.by || 1), y: apart.y * Math.sign(work.by || 1) });
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
      {...on(() => ({ by: work.by, axis }))}
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

/** A seam, a point or a dart in the hand, and the board as it lay when it was taken. */
interface HeldSeam {
  readonly hold: Hold;
  readonly from: Point;
  readonly lying: Drawn;
}

/** Hands on the piece at True: the tool's drag makes an alteration, shown at once and kept when let go. */
function ToolLayer({ drawn }: { drawn: Drawn }) {
  const { tool, set } = useTrue();
  const change = useChange();
  const unit = useUnit();
  const list = useWork(({ work }) => work.draft.alterations);
  const [pulled, setPulled] = useState<{ readonly to: Point; readonly work: AlterationWork | undefined }>();
  const { view, size } = drawn;
  const reach = REACH / view.scale;
  const placeOf = ({ from }: HeldSeam, pull: Pull): Point =>
    add(from, scale(subtract(pull.to, pull.from), 1 / view.scale));
  // The piece is measured as it lay when it was taken hold of.
  const workFor = ({ hold, from, lying }: HeldSeam, at: Point): AlterationWork | undefined => {
    const { draft, arranged } = lying;
    if (!tool) return undefined;
    if (tool === 'cut') {
      const to = holdAt(draft.block, arranged, at, reach);
      return to && cutBetween(hold, to);
    }
    const place = arranged[hold.panel];
    const by = subtract(toPanel(at, place), toPanel(from, place));
    return workOfDrag(tool, draft.block[hold.panel], hold, by, handStep(unit, true));
  };
  const letLie = (): void => {
    setPulled(undefined);
    change(tryAlterations(undefined));
  };
  const { held, on } = useDrag<HeldSeam>({
    move: (seam, pull) => {
      const to = placeOf(seam, pull);
      const work = workFor(seam, to);
      setPulled({ to, work });
      if (tool !== 'cut') change(tryAlterations(work ? [...list, newAlteration(work)] : undefined));
    },
    drop: (seam, pull) => {
      const work = workFor(seam, placeOf(seam, pull));
      if (!work) {
        letLie();
        return;
      }
      setPulled(undefined);
      const alteration = newAlteration(work);
      change(addAlterations([alteration]));
      useBoard.getState().set({ alteration: alteration.id });
      if (tool === 'cut') set({ tool: undefined });
    },
    giveUp: letLie,
  });

  useKeys(
    tool && {
      Escape: () => {
        letLie();
        set({ tool: undefined });
      },
    },
    { first: true },
  );

  if (!tool) return null;
  const take = (event: PointerEvent): HeldSeam | undefined => {
    const box = (event.currentTarget as SVGElement).ownerSVGElement?.getBoundingClientRect();
    const at = fromScreen({ x: event.clientX - (box?.left ?? 0), y: event.clientY - (box?.top ?? 0) }, view);
    const { draft, arranged } = drawn;
    const holdOf = tool === 'dart' ? dartHoldAt : holdAt;
    const hold = holdOf(draft.block, arranged, at, reach);
    if (hold) setPulled({ to: at, work: undefined });
    return hold && { hold, from: at, lying: drawn };
  };
  return (
    <>
      <rect
        className="tool-sheet"
        data-tool-sheet={tool}
        width={size.width}
        height={size.height}
        fill="transparent"
        {...on(take)}
      />
      {held && pulled && tool === 'cut' && (
        <line
          className="alter-cut"
          pointerEvents="none"
          x1={toScreen(held.from, view).x}
          y1={toScreen(held.from, view).y}
          x2={toScreen(pulled.to, view).x}
          y2={toScreen(pulled.to, view).y}
        />
      )}
      {pulled?.work && (
        <Tag at={toScreen(pulled.to, view)} size={size} lines={sayAlteration(pulled.work, unit).split(', ')} />
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
