import type { Point } from '../../core/geometry/index.js';
import { formatLength, type Tape } from '../../core/units/index.js';
import type { Reading } from './measuring.js';
import { Tag } from './Tag.js';
import type { ScreenSize } from './view.js';

/** What was measured on the board between two places: drawn from one to the other, with its figures beside it. */
export function ReadingTag({
  reading,
  from,
  to,
  size,
  tape,
}: {
  readonly reading: Reading;
  readonly from: Point;
  readonly to: Point;
  readonly size: ScreenSize;
  readonly tape: Tape;
}) {
  return (
    <g pointerEvents="none">
      <line className="measure-line" x1={from.x} y1={from.y} x2={to.x} y2={to.y} />
      {[from, to].map((p, i) => (
        <circle key={i} className="measure-line" cx={p.x} cy={p.y} r={4} />
      ))}
      <Tag
        at={to}
        size={size}
        lines={[
          `Straight ${formatLength(reading.straight, tape)}`,
          `across ${formatLength(reading.across, tape)}, down ${formatLength(reading.down, tape)}`,
          ...(reading.alongSeam === undefined ? [] : [`along the seam ${formatLength(reading.alongSeam, tape)}`]),
        ]}
      />
    </g>
  );
}
