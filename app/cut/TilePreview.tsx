import { memo } from 'react';
import type { Drawing } from '../../core/drawing/index.js';
import { pathData, type TilePlan } from '../../formats/index.js';

const DASHES: Partial<Record<string, string>> = { cut: '6 3', crease: '12 3 2 3' };

/** The drawing as it will be printed, with the pages laid over it and named. */
export const TilePreview = memo(function TilePreview({
  drawing,
  plan,
}: {
  drawing: Drawing;
  plan: TilePlan | undefined;
}) {
  const width = Math.max(drawing.width, plan ? plan.columns * plan.stepX + 12 : 0);
  const height = Math.max(drawing.height, plan ? plan.rows * plan.stepY + 12 : 0);
  return (
    <div className="tile-preview">
      <svg
        viewBox={`-4 -4 ${width + 8} ${height + 8}`}
        role="img"
        aria-label={plan ? `The pieces on ${plan.tiles.length} tiles` : 'The pieces on one sheet'}
      >
        <rect x={0} y={0} width={drawing.width} height={drawing.height} fill="var(--sheet)" />
        {drawing.marks.map((mark, i) =>
          mark.kind === 'line' ? (
            <path
              key={i}
              d={pathData(mark.path)}
              fill="none"
              stroke={mark.part === 'front' ? 'var(--front)' : mark.part === 'back' ? 'var(--back)' : 'var(--text)'}
              strokeWidth={mark.role === 'stitching' ? 1.8 : 1}
              strokeDasharray={DASHES[mark.role]}
              vectorEffect="non-scaling-stroke"
            />
          ) : (
            <text
              key={i}
              x={mark.at.x}
              y={mark.at.y}
              fontSize={mark.size > 12 ? mark.size * 1.6 : mark.size}
              fill="var(--text)"
              fontWeight={mark.bold ? 600 : 400}
              transform={mark.turn === 0 ? undefined : `rotate(${mark.turn} ${mark.at.x} ${mark.at.y})`}
            >
              {mark.bold ? mark.text : ''}
            </text>
          ),
        )}
        {plan?.tiles.map((tile) => (
          <g key={tile.mark}>
            <rect
              x={tile.box.minX}
              y={tile.box.minY}
              width={plan.stepX}
              height={plan.stepY}
              fill="none"
              stroke="var(--frame)"
              strokeWidth={0.7}
              vectorEffect="non-scaling-stroke"
            />
            <text x={tile.box.minX + 8} y={tile.box.minY + 30} fontSize={26} fill="var(--quiet)">
              {tile.mark}
            </text>
          </g>
        ))}
      </svg>
    </div>
  );
});
