import { memo } from 'react';
import { pathBox } from '../../core/geometry/index.js';
import type { Piece } from '../../core/piece/index.js';
import { useFinish, type EdgeOf } from './finish-store.js';
import { PartDrawing } from './PartDrawing.js';

/** How often a part is cut, in a few signs: “2 mirrored”, “1 on the fold”. */
const howOften = ({ part: { cut, cloth } }: Piece): string => {
  const how = { mirrored: ' mirrored', alike: '', 'on the fold': ' on the fold' }[cut.how];
  return `${cut.count}${how}${cloth === 'shell' ? '' : `, ${cloth}`}`;
};

/** All pieces in a row at the foot of the board; a press takes one in hand. */
export const PieceRow = memo(function PieceRow({
  pieces,
  inHand,
  lit,
}: {
  pieces: readonly Piece[];
  inHand: string | undefined;
  lit: readonly EdgeOf[];
}) {
  const set = useFinish((f) => f.set);
  return (
    <ul className="piece-row" aria-label="All pieces">
      {pieces.map((piece) => {
        const { part, cut } = piece;
        const box = pathBox(cut);
        const pad = Math.max(box.maxX - box.minX, box.maxY - box.minY) * 0.04;
        return (
          <li key={part.id}>
            <button
              type="button"
              data-piece-button={part.id}
              aria-pressed={part.id === inHand}
              onClick={() => {
                set({ inHand: part.id });
              }}
            >
              <svg
                className="drawing"
                viewBox={`${box.minX - pad} ${box.minY - pad} ${box.maxX - box.minX + 2 * pad} ${box.maxY - box.minY + 2 * pad}`}
                aria-hidden="true"
              >
                <PartDrawing piece={piece} lit={lit} />
              </svg>
              <span className="piece-row-name">{part.name}</span>
              <span className="quiet">{howOften(piece)}</span>
            </button>
          </li>
        );
      })}
    </ul>
  );
});
