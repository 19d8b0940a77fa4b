import type { Point } from '../../core/geometry/index.js';
import { withFractions } from '../shared/fractions.js';
import type { ScreenSize } from './view.js';

const LINE = 17;

/** A small label on the board at a screen point, kept within the board. */
export function Tag({ at, lines, size }: { at: Point; lines: readonly string[]; size: ScreenSize }) {
  const width = Math.max(...lines.map((l) => l.length)) * 7 + 16;
  const height = lines.length * LINE + 8;
  const x = Math.max(30, Math.min(at.x + 14, size.width - width - 4));
  const y = Math.max(30, Math.min(at.y - height - 12, size.height - height - 4));
  return (
    <g className="tag" transform={`translate(${x} ${y})`} pointerEvents="none">
      <rect width={width} height={height} rx={3} />
      {lines.map((words, i) => (
        <text key={i} x={8} y={LINE * (i + 1)} fontWeight={i === 0 ? 600 : 400}>
          {withFractions(words)}
        </text>
      ))}
    </g>
  );
}
