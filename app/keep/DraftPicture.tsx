import { memo, useMemo } from 'react';
import { computeDraft } from '../../core/chain/index.js';
import { inputOf, type Work } from '../../core/kept/index.js';
import { boxOf, flatten, type Point } from '../../core/geometry/index.js';
import { outlineOf, type Panel } from '../../core/draft/index.js';

const points = (panel: Panel, move: (p: Point) => Point): Point[] => flatten(outlineOf(panel), 1).map(move);
const text = (list: readonly Point[]): string => list.map((p) => `${p.x.toFixed(0)},${p.y.toFixed(0)}`).join(' ');

/** A small picture of a draft, drawn from its real geometry. */
export const DraftPicture = memo(function DraftPicture({ work }: { work: Work }) {
  const drawn = useMemo(() => {
    const outcome = computeDraft(inputOf(work));
    if (!outcome.ok) return undefined;
    const { front, back } = outcome.value.block;
    const left = points(front, (p) => ({ x: -p.x - 40, y: p.y }));
    const right = points(back, (p) => ({ x: p.x + 40, y: p.y }));
    return { left, right, box: boxOf([...left, ...right]) };
  }, [work]);
  if (!drawn) {
    return (
      <svg className="picture" viewBox="0 0 92 104" role="img" aria-label="Nothing drawn yet">
        <path d="M20 8h52v88H20z" fill="none" stroke="var(--rule)" strokeDasharray="4 4" />
      </svg>
    );
  }
  const { box } = drawn;
  return (
    <svg
      className="picture"
      viewBox={`${box.minX - 20} ${box.minY - 20} ${box.maxX - box.minX + 40} ${box.maxY - box.minY + 40}`}
      role="img"
      aria-label={`Front and back of ${work.draft.name}`}
    >
      <polygon
        points={text(drawn.left)}
        fill="var(--front-fill)"
        stroke="var(--front)"
        strokeWidth={1.3}
        vectorEffect="non-scaling-stroke"
      />
      <polygon
        points={text(drawn.right)}
        fill="var(--back-fill)"
        stroke="var(--back)"
        strokeWidth={1.3}
        vectorEffect="non-scaling-stroke"
      />
    </svg>
  );
});
