import { memo } from 'react';
import { line, point, type Path } from '../../core/geometry/index.js';
import { EDGE_NAMES, levelSpan, outlineOf, type EdgeName, type Panel } from '../../core/draft/index.js';
import type { Levels } from '../../core/method/index.js';
import { pathData } from '../../formats/index.js';
import { pathToBoard, type Placement } from './arrange.js';
import type { Lit } from './board-store.js';

interface PieceDrawingProps {
  readonly panel: Panel;
  readonly levels: Levels;
  readonly place: Placement;
  readonly lit: Lit;
  readonly inHand: boolean;
  readonly showConstruction: boolean;
  readonly onPoint: (edge: EdgeName | undefined) => void;
}

/** One piece on the board, drawn with its real curves, in board coordinates (mm). */
export const PieceDrawing = memo(function PieceDrawing(props: PieceDrawingProps) {
  const { panel, levels, place, lit, inHand, showConstruction, onPoint } = props;
  const data = (path: Path): string => pathData(pathToBoard(path, place));
  const { points } = panel;
  const isLit = (edge: EdgeName): boolean => lit.edges.some((e) => e.panel === panel.name && e.edge === edge);
  const litLevel = lit.at ?? (lit.level === undefined ? undefined : levels[lit.level]);
  const litSpan = litLevel === undefined ? undefined : levelSpan(panel, litLevel);
  return (
    <g className={`piece-${panel.name}${inHand ? ' in-hand' : ''}`} data-piece={panel.name}>
      <path className="body" d={`${data(outlineOf(panel))}Z`} />
      {showConstruction && (
        <>
          <path className="paper-line construction" d={data([line(points.corner, points.hollow)])} />
          <path
            className="paper-line construction"
            d={data([
              line(point(points.corner.x, 0), points.corner),
              line(points.corner, point(points.crotchPoint.x, points.corner.y)),
            ])}
          />
          <path
            className="paper-line crease-line"
            d={data([line(point(panel.crease, points.centreWaist.y), point(panel.crease, levels.hemLevel))])}
          />
        </>
      )}
      {panel.darts.map((dart, i) => (
        <path
          key={i}
          className="paper-line dart-line"
          d={data([line(dart.centreLeg, dart.apex), line(dart.apex, dart.sideLeg)])}
        />
      ))}
      {litSpan && litLevel !== undefined && (
        <path
          className="paper-line stitching lit"
          d={data([line(point(litSpan[0], litLevel), point(litSpan[1], litLevel))])}
        />
      )}
      {EDGE_NAMES.map((edge) => (
        <path
          key={edge}
          className={`paper-line stitching${isLit(edge) ? ' lit' : ''}`}
          data-edge={`${panel.name}.${edge}`}
          d={data(panel.edges[edge])}
        />
      ))}
      {EDGE_NAMES.map((edge) => (
        <path
          key={edge}
          className="paper-line hit"
          d={data(panel.edges[edge])}
          onPointerEnter={() => {
            onPoint(edge);
          }}
          onPointerLeave={() => {
            onPoint(undefined);
          }}
        />
      ))}
    </g>
  );
});

/** The outline of a piece as it was before a handle was taken hold of. */
export const GhostOutline = memo(function GhostOutline({ panel, place }: { panel: Panel; place: Placement }) {
  return <path className="paper-line ghost" d={pathData(pathToBoard(outlineOf(panel), place))} />;
});
