import { useMemo } from 'react';
import type { NestPart } from '../../core/nest/index.js';
import { useTape } from '../store/work-context.js';
import { useBatch } from './batch-store.js';
import { GradeTable } from './GradeTable.js';
import { NestDrawing } from './NestDrawing.js';
import { MOST_NESTED } from './use-nest.js';

/** The nest on the board, with its grade below. */
export function Nest({
  parts,
  failed,
  bodies,
  graded,
}: {
  readonly parts: readonly NestPart[] | undefined;
  readonly failed: boolean;
  /** How many bodies the run has. */
  readonly bodies: number;
  /** Whether they are sizes of a chart. */
  readonly graded: boolean;
}) {
  const { part, cut, stitching, arrows, focus, body } = useBatch();
  const tape = useTape();
  const drawn = useMemo(
    () => (parts ?? []).filter((p) => (part === undefined ? p.onFrame : p.id === part)),
    [parts, part],
  );
  if (failed)
    return <div className="board-empty">The sizes could not be drawn. Look at another view and come back.</div>;
  if (!parts) return <div className="board-empty">The sizes are being drawn …</div>;
  if (drawn.length === 0) return <div className="board-empty">No garment could be made of any size.</div>;
  return (
    <div className="nest">
      <NestDrawing parts={drawn} lines={{ cut, stitching }} arrows={arrows && graded} focus={focus} inHand={body} />
      <div className="nest-figures" tabIndex={0} role="region" aria-label="Grade">
        {bodies > MOST_NESTED && (
          <p className="doubt">
            The first {MOST_NESTED} of {bodies} are drawn: more cannot be told apart.
          </p>
        )}
        {drawn.map((p) => (
          <GradeTable key={p.id} part={p} tape={tape} graded={graded} />
        ))}
      </div>
    </div>
  );
}
