import { useMemo } from 'react';
import { boxOf, flatten, mapPath, placeAtLength, type Path, type Point } from '../../core/geometry/index.js';
import { poseAt, posed, type SeamWalk } from '../../core/walk/index.js';
import { pathData } from '../../formats/index.js';
import { pathToBoard, toBoard, type Placement } from '../board/arrange.js';
import { fromScreen, toScreen, type ScreenSize, type View } from '../board/view.js';
import './walk.css';

/** A piece as it is walked. Panel coordinates, mm. */
export interface WalkedPiece {
  readonly className: string;
  /** Round the piece, where it is closed. */
  readonly outline: Path | undefined;
  readonly lines: readonly Path[];
  readonly closedWaist?: Path | undefined;
}

interface WalkDrawingProps {
  readonly walk: SeamWalk;
  /** How far has been walked, in mm. */
  readonly length: number;
  readonly standing: WalkedPiece;
  readonly walked: WalkedPiece;
  /** How the piece that stands still lies on the board, and how that is seen. */
  readonly place: Placement;
  readonly view: View;
  readonly size: ScreenSize;
  /** True where the view holds all that is passed over; else the pieces are brought to the middle of the board. */
  readonly held?: boolean;
}

function Piece({ piece, place, carry }: { piece: WalkedPiece; place: Placement; carry: (path: Path) => Path }) {
  const data = (path: Path): string => pathData(pathToBoard(carry(path), place));
  return (
    <>
      <g className={piece.className}>
        {piece.outline && <path className="body" d={`${data(piece.outline)}Z`} />}
        {piece.lines.map((path, i) => (
          <path key={i} className="paper-line stitching" d={data(path)} />
        ))}
      </g>
      {piece.closedWaist && <path className="paper-line closed-waist" d={data(piece.closedWaist)} />}
    </>
  );
}

const stay = (path: Path): Path => path;

/** One piece turned over and walked along the other, edge to edge, with the notches of both. */
export function WalkDrawing({ walk, length, standing, walked, place, view, size, held }: WalkDrawingProps) {
  // Both pieces stay in the middle of the board, wherever the walked one comes to lie.
  const middle = useMemo(() => {
    const pose = poseAt(walk, 0);
    const points = [
      ...standing.lines.flatMap((path) => flatten(path, 4)),
      ...walked.lines.flatMap((path) => flatten(path, 4)).map((p) => posed(pose, p)),
    ].map((p) => toBoard(p, place));
    const box = boxOf(points);
    return (box.minX + box.maxX) / 2;
  }, [walk, standing, walked, place]);
  const shift = held ? 0 : fromScreen({ x: size.width / 2 + 30, y: 0 }, view).x - middle;
  const laid: Placement = { ...place, dx: place.dx + shift };
  const pose = poseAt(walk, length);
  const carry = (path: Path): Path => mapPath(path, (p) => posed(pose, p));
  const spot = (p: Point): Point => toScreen(toBoard(p, laid), view);
  const here = spot(placeAtLength(walk.first, length).at);
  return (
    <g pointerEvents="none" data-walk={walk.id} data-length={Math.round(length)}>
      <g transform={`translate(${view.x} ${view.y}) scale(${view.scale})`}>
        <Piece piece={standing} place={laid} carry={stay} />
        <Piece piece={walked} place={laid} carry={carry} />
      </g>
      {walk.marks.map((mark) => {
        const f = spot(placeAtLength(walk.first, mark.first).at);
        const b = spot(posed(pose, placeAtLength(walk.second, mark.second).at));
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
