import { memo } from 'react';
import { line, point } from '../../core/geometry/index.js';
import { partOutline, type PartMark } from '../../core/garment/index.js';
import type { Piece } from '../../core/piece/index.js';
import { pathData } from '../../formats/index.js';
import type { EdgeOf } from './finish-store.js';

/** How a mark is drawn on the board. */
const MARK_CLASS = {
  level: 'frame-line',
  crease: 'crease-line',
  dart: 'dart-line',
  fold: 'fold-line',
  placement: 'placement-line',
} as const;

/** How deep a snip is drawn, in mm. */
const SNIP = 7;

/** Which ink a part is drawn in: the legs have their own, all else the plain one. */
export const inkOf = ({ part }: Pick<Piece, 'part'>): string => {
  const leg = part.like ?? part.id;
  return leg === 'front' || leg === 'back' ? `piece-${leg}` : 'piece-other';
};

function MarkLine({ mark }: { mark: PartMark }) {
  if (mark.kind === 'line')
    return <path className={`paper-line ${MARK_CLASS[mark.meaning]}`} d={pathData(mark.path)} />;
  const { x, y } = mark.at;
  return (
    <path
      className="paper-line dart-line"
      d={pathData([line(point(x - 4, y), point(x + 4, y))]) + pathData([line(point(x, y - 4), point(x, y + 4))])}
    />
  );
}

interface PartDrawingProps {
  readonly piece: Piece;
  readonly lit: readonly EdgeOf[];
  /** Nothing for a small picture that is not pointed at. */
  readonly onPoint?: (edge: string | undefined) => void;
}

/** One part with its cut line, its edges as they are sewn, marks and snips, in its own coordinates (mm). */
export const PartDrawing = memo(function PartDrawing({ piece, lit, onPoint }: PartDrawingProps) {
  const { part, cut, notches } = piece;
  const isLit = (edge: string): boolean => lit.some((l) => l.part === part.id && l.edge === edge);
  return (
    <g className={inkOf(piece)} data-part={part.id}>
      <path className="paper-line cut-body" d={`${pathData(cut)}Z`} />
      <path className="body" d={`${pathData(partOutline(part))}Z`} />
      {onPoint && part.marks.map((mark, i) => <MarkLine key={i} mark={mark} />)}
      <path className="paper-line cut-line" d={`${pathData(cut)}Z`} />
      {onPoint &&
        notches.flatMap(({ at, cutAt = at, outward, count }, i) =>
          (count === 1 ? [0] : [-2.5, 2.5]).map((o) => {
            const from = point(cutAt.x - outward.y * o, cutAt.y + outward.x * o);
            const to = point(from.x - outward.x * SNIP, from.y - outward.y * SNIP);
            return <path key={`${i} ${o}`} className="paper-line snip" d={pathData([line(from, to)])} />;
          }),
        )}
      {onPoint && <path className="paper-line grain-line" d={pathData([line(part.grain[0], part.grain[1])])} />}
      {part.edges.map(({ id, path }) => (
        <path
          key={id}
          className={`paper-line stitching${isLit(id) ? ' lit' : ''}`}
          data-edge={`${part.id}.${id}`}
          d={pathData(path)}
        />
      ))}
      {onPoint &&
        part.edges.map(({ id, path }) => (
          <path
            key={id}
            className="paper-line hit"
            d={pathData(path)}
            onPointerEnter={() => {
              onPoint(id);
            }}
            onPointerLeave={() => {
              onPoint(undefined);
            }}
          />
        ))}
    </g>
  );
});
