import { useEffect, useRef, type PointerEvent, type ReactNode } from 'react';
import { mapPath, point, type Box, type Path, type Point } from '../../core/geometry/index.js';
import { LEVELS, type PanelName } from '../../core/method/index.js';
import type { LessonOnBody } from '../../core/practice/index.js';
import type { Unit } from '../../core/units/index.js';
import { stepsOf } from '../../core/steps/index.js';
import { pathData } from '../../formats/index.js';
import { useDrag } from '../shared/use-drag.js';

/** A grip that is moved on the drawing, by the hand or by keys. */
export interface Grip {
  readonly id: string;
  readonly label: string;
  readonly at: Point;
}

/** A grip in the hand, and the drawing it is on. */
interface HeldGrip {
  readonly id: string;
  readonly paper: SVGSVGElement;
}

interface TaskDrawingProps {
  readonly on: LessonOnBody;
  readonly unit: Unit;
  readonly panel: PanelName;
  readonly step: string;
  /** What of the panel is shown, in panel coordinates, mm. */
  readonly box: Box;
  readonly grips: readonly Grip[];
  /** What the learner draws, and the master's line once it is shown. */
  readonly drawn: Path;
  readonly guides: Path;
  readonly master: Path;
  readonly masterPoint: Point | undefined;
  /** A whole step of the hand, coarse and fine, in mm. */
  readonly stepBy: (fine: boolean) => number;
  readonly onMove: (id: string, to: Point) => void;
  readonly onEnter: () => void;
}

/** Signs on the drawing are so large, in hundredths of what is shown. */
const GRIP = 1.6;
const WORDS = 3;

/** The front lies with its side at the right, as on the board: x is turned. */
const turned = (panel: PanelName): 1 | -1 => (panel === 'front' ? -1 : 1);

/**
 * The paper of one panel as far as it is drawn, with what the learner places or draws on it. Grips are moved by the hand and
 * by arrow keys, Enter asks for the verdict.
 */
export function TaskDrawing({
  on,
  unit,
  panel,
  step,
  box,
  grips,
  drawn,
  guides,
  master,
  masterPoint,
  stepBy,
  onMove,
  onEnter,
}: TaskDrawingProps) {
  const svg = useRef<SVGSVGElement>(null);
  // The keys go to the first grip as the exercise comes.
  useEffect(() => {
    svg.current?.querySelector<SVGElement>('[data-grip]')?.focus({ preventScroll: true });
  }, []);
  const way = turned(panel);
  const seen = (p: Point): Point => point(way * p.x, p.y);
  const data = (path: Path): string => pathData(mapPath(path, seen));
  const steps = stepsOf(on.draft, unit);
  const at = steps.findIndex((s) => s.id === step);
  const before = steps.slice(0, at).filter((s) => s.panel === panel);
  const [minX, maxX] = way === 1 ? [box.minX, box.maxX] : [-box.maxX, -box.minX];
  const [width, height] = [maxX - minX, box.maxY - box.minY];
  const size = Math.max(width, height) / 100;
  const placeOf = (paper: SVGSVGElement, screen: Point): Point | undefined => {
    const matrix = paper.getScreenCTM()?.inverse();
    if (!matrix) return undefined;
    const p = new DOMPoint(screen.x, screen.y).matrixTransform(matrix);
    return point(way * p.x, p.y);
  };
  const nearest = (p: Point): Grip | undefined =>
    [...grips].sort((a, b) => Math.hypot(a.at.x - p.x, a.at.y - p.y) - Math.hypot(b.at.x - p.x, b.at.y - p.y))[0];
  const moveTo = ({ id, paper }: HeldGrip, screen: Point, fine: boolean): void => {
    const p = placeOf(paper, screen);
    if (!p) return;
    const by = stepBy(fine);
    onMove(id, point(Math.round(p.x / by) * by, Math.round(p.y / by) * by));
  };
  const { on: handlers } = useDrag<HeldGrip>({
    move: (held, { to, fine }) => {
      moveTo(held, to, fine);
    },
    drop: (held, { to, fine }) => {
      moveTo(held, to, fine);
    },
    giveUp: () => undefined,
  });
  /** A press takes the nearest grip there at once. */
  const take = (event: PointerEvent): HeldGrip | undefined => {
    const at = point(event.clientX, event.clientY);
    const paper = event.currentTarget as SVGSVGElement;
    const p = placeOf(paper, at);
    const grip = p && nearest(p);
    if (!grip) return undefined;
    const held = { id: grip.id, paper };
    moveTo(held, at, event.shiftKey);
    return held;
  };
  const signs: ReactNode[] = grips.map((grip) => {
    const p = seen(grip.at);
    return (
      <circle
        key={grip.id}
        className="practise-grip"
        data-grip={grip.id}
        data-x={grip.at.x.toFixed(2)}
        data-y={grip.at.y.toFixed(2)}
        role="slider"
        tabIndex={0}
        aria-label={grip.label}
        aria-valuenow={Math.round(grip.at.y)}
        aria-valuetext={`${grip.label}: arrow keys move it`}
        cx={p.x}
        cy={p.y}
        r={size * GRIP}
        onKeyDown={(event) => {
          const [x, y] =
            { ArrowLeft: [-way, 0], ArrowRight: [way, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] }[event.key] ?? [];
          if (event.key === 'Enter') onEnter();
          else if (x !== undefined && y !== undefined) {
            const by = stepBy(event.shiftKey);
            onMove(grip.id, point(grip.at.x + x * by, grip.at.y + y * by));
          } else return;
          event.preventDefault();
        }}
      />
    );
  });
  return (
    <svg
      ref={svg}
      className="drawing practise-drawing"
      viewBox={`${minX} ${box.minY} ${width} ${height}`}
      aria-label={`The ${panel}, as far as it is drawn`}
      {...handlers(take)}
    >
      {[
        ['waist', 0] as const,
        ...LEVELS.map(([id, words]) => [words.toLowerCase(), on.draft.block.levels[id]] as const),
      ].map(([words, y]) => (
        <g key={words}>
          <line className="frame-line" x1={minX} x2={maxX} y1={y} y2={y} />
          <text x={minX + size} y={y - size * 0.6} fontSize={size * WORDS} style={{ fontSize: size * WORDS }}>
            {words}
          </text>
        </g>
      ))}
      <g className={`piece-${panel}`}>
        {before.map(({ id, construction, seams }) => (
          <g key={id}>
            {construction.map((path, i) => (
              <path key={`c${i}`} className="paper-line construction" d={data(path)} />
            ))}
            {seams.map((path, i) => (
              <path key={`s${i}`} className="paper-line stitching" d={data(path)} />
            ))}
          </g>
        ))}
        {master.length > 0 && <path className="paper-line practise-master" data-master d={data(master)} />}
        {guides.length > 0 && <path className="paper-line construction" d={data(guides)} />}
        {drawn.length > 0 && <path className="paper-line practise-line" data-drawn d={data(drawn)} />}
      </g>
      {masterPoint && (
        <circle className="practise-master-point" cx={way * masterPoint.x} cy={masterPoint.y} r={size * GRIP * 0.6} />
      )}
      {signs}
    </svg>
  );
}
