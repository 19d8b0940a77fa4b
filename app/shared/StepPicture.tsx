import type { Block } from '../../core/draft/index.js';
import type { Path } from '../../core/geometry/index.js';
import type { WorkedStep } from '../../core/steps/index.js';
import { pathData } from '../../formats/index.js';
import { arrange, boardBox, pathToBoard, toBoard } from '../board/arrange.js';
import './step-picture.css';

const MARGIN = 30;

/** The paper after a step as a small picture for the printed steps. */
export function StepPicture({ block, steps, at }: { block: Block; steps: readonly WorkedStep[]; at: number }) {
  const arranged = arrange(block, 'sides');
  const box = boardBox(block, arranged);
  const [width, height] = [box.maxX - box.minX + 2 * MARGIN, box.maxY - box.minY + 2 * MARGIN];
  const now = steps[at];
  return (
    <svg
      className="step-picture"
      viewBox={`${box.minX - MARGIN} ${box.minY - MARGIN} ${width} ${height}`}
      aria-hidden="true"
    >
      {Object.values({ ...block.levels }).map((y) => (
        <line key={y} className="frame" x1={box.minX - MARGIN} x2={box.maxX + MARGIN} y1={y} y2={y} />
      ))}
      {steps.slice(0, at + 1).map(({ id, panel, construction, seams }) => {
        if (!panel) return undefined;
        const data = (path: Path): string => pathData(pathToBoard(path, arranged[panel]));
        return (
          <g key={id} className={id === now?.id ? 'now' : 'done'}>
            {construction.map((path, i) => (
              <path key={`c${i}`} className="thin" d={data(path)} />
            ))}
            {seams.map((path, i) => (
              <path key={`s${i}`} d={data(path)} />
            ))}
          </g>
        );
      })}
      {now?.points.map((p) => {
        const spot = toBoard(p.at, arranged[now.panel ?? 'front']);
        return <circle key={p.label} cx={spot.x} cy={spot.y} r={9} />;
      })}
    </svg>
  );
}
