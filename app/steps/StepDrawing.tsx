import type { Path } from '../../core/geometry/index.js';
import { PANEL_NAMES } from '../../core/method/index.js';
import type { WorkedStep } from '../../core/steps/index.js';
import { pathData } from '../../formats/index.js';
import { pathToBoard, toBoard } from '../board/arrange.js';
import type { Drawn } from '../board/drawn-board.js';
import { toScreen } from '../board/view.js';

const LETTER = 7.2;

/** The paper as it is after a step: what was drawn before, quieter, and what this step adds, with its points named. */
export function StepDrawing({ steps, at, drawn }: { steps: readonly WorkedStep[]; at: number; drawn: Drawn }) {
  const { arranged, view, size } = drawn;
  const now = steps[at];
  const done = steps.slice(0, at + 1);
  return (
    <g pointerEvents="none" data-step={now?.id}>
      <g transform={`translate(${view.x} ${view.y}) scale(${view.scale})`}>
        {done.map((step) => {
          const { panel } = step;
          if (!panel) return undefined;
          const data = (path: Path): string => pathData(pathToBoard(path, arranged[panel]));
          const fresh = step === now;
          return (
            <g key={step.id} className={`piece-${panel}${fresh ? ' step-now' : ' step-done'}`} data-done={step.id}>
              {step.construction.map((path, i) => (
                <path key={`c${i}`} className="paper-line construction" pathLength={1} d={data(path)} />
              ))}
              {step.seams.map((path, i) => (
                <path key={`s${i}`} className="paper-line stitching" pathLength={1} d={data(path)} />
              ))}
            </g>
          );
        })}
      </g>
      {PANEL_NAMES.map((name) => {
        if (now?.panel !== name) return undefined;
        const taken: { x: number; y: number }[] = [];
        return now.points.map((p) => {
          const spot = toScreen(toBoard(p.at, arranged[name]), view);
          const width = p.label.length * LETTER;
          const left = spot.x + 10 + width > size.width;
          let y = spot.y - 8;
          while (taken.some((t) => Math.abs(t.x - spot.x) < width + 40 && Math.abs(t.y - y) < 17)) y += 17;
          taken.push({ x: spot.x, y });
          return (
            <g key={p.label}>
              <circle className="step-point" cx={spot.x} cy={spot.y} r={4.5} />
              <text className="halo step-name" x={spot.x + (left ? -9 : 9)} y={y} textAnchor={left ? 'end' : 'start'}>
                {p.label}
              </text>
            </g>
          );
        });
      })}
    </g>
  );
}
