import { useMemo } from 'react';
import { mapPath, pathBox } from '../../core/geometry/index.js';
import { pathData } from '../../formats/index.js';
import type { Outlines } from './outlines.js';

/** Half the room between the pieces, and the room about them, in mm. */
const GAP = 40;
const MARGIN = 20;

/**
 * Two drawings of both pieces over one another, at the waist line and the side frame line: the first filled, the other
 * dashed.
 */
export function Overlay({ first, dashed, label }: { first: Outlines; dashed: Outlines; label: string }) {
  const drawn = useMemo(() => {
    const placed = ({ front, back }: Outlines): Outlines => ({
      front: mapPath(front, (p) => ({ x: -p.x - GAP, y: p.y })),
      back: mapPath(back, (p) => ({ x: p.x + GAP, y: p.y })),
    });
    const paths = [placed(first), placed(dashed)];
    const box = pathBox(paths.flatMap((p) => [...p.front, ...p.back]));
    const view = `${box.minX - MARGIN} ${box.minY - MARGIN} ${box.maxX - box.minX + 2 * MARGIN} ${box.maxY - box.minY + 2 * MARGIN}`;
    return { paths, view };
  }, [first, dashed]);
  return (
    <svg className="overlay" viewBox={drawn.view} role="img" aria-label={label}>
      {drawn.paths.map((paths, i) =>
        (['front', 'back'] as const).map((name) => (
          <path
            key={`${name} ${i}`}
            d={`${pathData(paths[name])}Z`}
            fill={i === 0 ? `var(--${name}-fill)` : 'none'}
            stroke={i === 0 ? `var(--${name})` : 'var(--text)'}
            strokeWidth={i === 0 ? 2 : 1.6}
            strokeDasharray={i === 0 ? undefined : '7 4'}
            vectorEffect="non-scaling-stroke"
          />
        )),
      )}
    </svg>
  );
}
