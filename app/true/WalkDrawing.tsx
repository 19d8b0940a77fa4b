import { useMemo } from 'react';
import { EDGE_NAMES, outlineOf, type Panel } from '../../core/draft/index.js';
import { boxOf, flatten, mapPath, placeAtLength, type Path, type Point } from '../../core/geometry/index.js';
import { closedWaistAtSide, poseAt, posed, type SeamWalk } from '../../core/walk/index.js';
import { pathData } from '../../formats/index.js';
import { pathToBoard, toBoard, type Placement } from '../board/arrange.js';
import type { Drawn } from '../board/Board.js';
import { fromScreen, toScreen } from '../board/view.js';

interface WalkDrawingProps {
  readonly walk: SeamWalk;
  /** How far the back has been walked, in mm. */
  readonly length: number;
  readonly drawn: Drawn;
}

function Outline({ panel, place, carry }: { panel: Panel; place: Placement; carry: (path: Path) => Path }) {
  return (
    <g className={`piece-${panel.name}`}>
      <path className="body" d={`${pathData(pathToBoard(carry(outlineOf(panel)), place))}Z`} />
      {EDGE_NAMES.map((edge) => (
        <path key={edge} className="paper-line stitching" d={pathData(pathToBoard(carry(panel.edges[edge]), place))} />
      ))}
    </g>
  );
}

/** The back turned over and walked along the front, edge to edge, with the notches of both. */
export function WalkDrawing({ walk, length, drawn }: WalkDrawingProps) {
  const { draft, arranged, view, size } = drawn;
  const { front, back } = draft.block;
  const place = arranged.front;
  // Both pieces stay in the middle of the board, wherever the back comes to lie.
  const middle = useMemo(() => {
    const pose = poseAt(walk, 0);
    const points = [...flatten(outlineOf(front), 4), ...flatten(outlineOf(back), 4).map((p) => posed(pose, p))].map(
      (p) => toBoard(p, place),
    );
    const box = boxOf(points);
    return (box.minX + box.maxX) / 2;
  }, [walk, front, back, place]);
  const shift = fromScreen({ x: size.width / 2 + 30, y: 0 }, view).x - middle;
  const laid: Placement = { ...place, dx: place.dx + shift };
  const pose = poseAt(walk, length);
  const carry = (path: Path): Path => mapPath(path, (p) => posed(pose, p));
  const data = (path: Path): string => pathData(pathToBoard(path, laid));
  const spot = (p: Point): Point => toScreen(toBoard(p, laid), view);
  const here = spot(placeAtLength(walk.front, length).at);
  return (
    <g pointerEvents="none" data-walk={walk.id} data-length={Math.round(length)}>
      <g transform={`translate(${view.x} ${view.y}) scale(${view.scale})`}>
        <Outline panel={front} place={laid} carry={(path) => path} />
        <Outline panel={back} place={laid} carry={carry} />
        {walk.id === 'waist' && (
          <>
            <path className="paper-line closed-waist" d={data(closedWaistAtSide(front))} />
            <path className="paper-line closed-waist" d={data(carry(closedWaistAtSide(back)))} />
          </>
        )}
      </g>
      {walk.marks.map((mark) => {
        const f = spot(placeAtLength(walk.front, mark.front).at);
        const b = spot(posed(pose, placeAtLength(walk.back, mark.back).at));
        return (
          <g key={mark.label}>
            <circle className="walk-mark" style={{ stroke: 'var(--front)' }} cx={f.x} cy={f.y} r={6} />
            <circle className="walk-mark" style={{ stroke: 'var(--back)' }} cx={b.x} cy={b.y} r={3} />
          </g>
        );
      })}
      <circle className="walk-here" cx={here.x} cy={here.y} r={5} />
    </g>
  );
}
