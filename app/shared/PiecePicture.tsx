import { memo, useMemo } from 'react';
import { mapPath, pathBox, type Path } from '../../core/geometry/index.js';
import { pathData } from '../../formats/index.js';
import type { Outlines } from './outlines.js';

/** Half the room between the pieces, and the room about them, in mm. */
const GAP = 35;
const MARGIN = 16;

/** A picture of both pieces, side seams together, drawn from their real curves. */
export const PiecePicture = memo(function PiecePicture({
  outlines,
  label,
  weight,
}: {
  outlines: Outlines;
  /** What it is of; nothing where words beside it say so. */
  label?: string;
  weight: number;
}) {
  const drawn = useMemo(() => {
    const front = mapPath(outlines.front, (p) => ({ x: -p.x - GAP, y: p.y }));
    const back = mapPath(outlines.back, (p) => ({ x: p.x + GAP, y: p.y }));
    const box = pathBox([...front, ...back]);
    const [width, height] = [box.maxX - box.minX + 2 * MARGIN, box.maxY - box.minY + 2 * MARGIN];
    return { front, back, view: `${box.minX - MARGIN} ${box.minY - MARGIN} ${width} ${height}` };
  }, [outlines]);
  const piece = (name: 'front' | 'back', path: Path) => (
    <path
      d={`${pathData(path)}Z`}
      fill={`var(--${name}-fill)`}
      stroke={`var(--${name})`}
      strokeWidth={weight}
      vectorEffect="non-scaling-stroke"
    />
  );
  return (
    <svg
      className="picture"
      viewBox={drawn.view}
      {...(label === undefined ? { 'aria-hidden': true } : { role: 'img', 'aria-label': label })}
    >
      {piece('front', drawn.front)}
      {piece('back', drawn.back)}
    </svg>
  );
});
