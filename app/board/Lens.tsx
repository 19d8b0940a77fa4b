import type { ScreenSize } from './view.js';
import { useLens } from '../shared/lens-store.js';

/** Radius of the lens, and how much it enlarges. */
const RADIUS = 64;
const LARGER = 1.8;
/** How far its middle stands above the finger, in pixels. */
const ABOVE = 112;
/** How far beside it, where there is no room above: clear of the figures at the point. */
const BESIDE = 140;

interface LensProps {
  readonly size: ScreenSize;
  /** The id of what is enlarged. */
  readonly of: string;
}

/** What lies under a finger that drags, enlarged above it: a finger hides what it moves. */
export function Lens({ size, of }: LensProps) {
  const at = useLens((s) => s.at);
  if (!at) return null;
  const within = (value: number, most: number): number => Math.min(most - RADIUS, Math.max(RADIUS, value));
  // Where there is no room above the finger it stands beside it.
  const above = at.y - ABOVE >= RADIUS;
  const beside = at.x > size.width / 2 ? -BESIDE : BESIDE;
  const middle = {
    x: within(at.x + (above ? 0 : beside), size.width),
    y: within(at.y - (above ? ABOVE : 0), size.height),
  };
  return (
    <g className="lens" data-lens pointerEvents="none" aria-hidden>
      <clipPath id="lens-glass">
        <circle cx={middle.x} cy={middle.y} r={RADIUS} />
      </clipPath>
      <circle className="lens-ground" cx={middle.x} cy={middle.y} r={RADIUS} />
      <g clipPath="url(#lens-glass)">
        <use
          href={`#${of}`}
          transform={`translate(${middle.x - at.x * LARGER} ${middle.y - at.y * LARGER}) scale(${LARGER})`}
        />
      </g>
      <circle className="lens-rim" cx={middle.x} cy={middle.y} r={RADIUS} />
      <path
        className="lens-cross"
        d={`M${middle.x - 9} ${middle.y}H${middle.x + 9}M${middle.x} ${middle.y - 9}V${middle.y + 9}`}
      />
    </g>
  );
}
