import type { Mark } from '../../core/alter/index.js';
import type { Path, Point } from '../../core/geometry/index.js';
import type { PanelName } from '../../core/method/index.js';
import { pathData } from '../../formats/index.js';
import { pathToBoard, toBoard } from './arrange.js';
import type { Drawn } from './drawn-board.js';
import { toScreen } from './view.js';

/** How an alteration would be done on paper: cut, hinge, wedge, and the seam as it was. */
export function PaperMarks({ marks, panel, drawn }: { marks: readonly Mark[]; panel: PanelName; drawn: Drawn }) {
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
