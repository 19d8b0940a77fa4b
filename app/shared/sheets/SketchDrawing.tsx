import type { Drawing, LineRole } from '../../../core/drawing/index.js';
import { pathData } from '../../../formats/index.js';

const DASHES: Partial<Record<LineRole, string>> = { crease: '10 3 2 3', placement: '2 4' };
const WIDTHS: Partial<Record<LineRole, number>> = {
  stitching: 3.2,
  cut: 1.8,
  dart: 1.6,
  construction: 0.8,
  placement: 0.8,
};

/** A sketch of a part with its moves numbered; the move in hand is drawn heavier. */
export function SketchDrawing({ drawing, label }: { readonly drawing: Drawing; readonly label: string }) {
  return (
    <svg className="sketch" viewBox={`0 0 ${drawing.width} ${drawing.height}`} role="img" aria-label={label}>
      {drawing.marks.map((mark, i) =>
        mark.kind === 'line' ? (
          <path
            key={i}
            className={`sketch-${mark.role}`}
            d={pathData(mark.path)}
            fill="none"
            strokeWidth={WIDTHS[mark.role] ?? 1.4}
            strokeDasharray={DASHES[mark.role]}
            vectorEffect="non-scaling-stroke"
          />
        ) : (
          <text key={i} x={mark.at.x} y={mark.at.y} fontSize={mark.size}>
            {mark.text}
          </text>
        ),
      )}
    </svg>
  );
}
