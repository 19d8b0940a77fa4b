/** A figure with its band: an end of it may be open, or none known. */
export interface Gauged {
  readonly value: unknown;
  readonly low: number | undefined;
  readonly high: number | undefined;
}

/** A band with a pointer: the band fills the middle, figures beyond it are held at the ends. */
export function Gauge({ value, low, high, width = 50 }: Gauged & { readonly width?: number }) {
  if (typeof value !== 'number' || low === undefined || high === undefined) {
    return (
      <svg width={width} height={8} aria-hidden="true">
        <line x1={0} x2={width} y1={4} y2={4} stroke="var(--rule)" strokeDasharray="2 3" />
      </svg>
    );
  }
  const end = Number.isFinite(high) ? high : low + Math.max(Math.abs(value - low) * 2, 1);
  const band = Math.max(end - low, 1e-6);
  const x = Math.min(width - 3, Math.max(3, width * (0.25 + (0.5 * (value - low)) / band)));
  return (
    <svg width={width} height={8} aria-hidden="true">
      <line x1={0} x2={width} y1={4} y2={4} stroke="var(--rule)" />
      <rect
        x={width * 0.25}
        y={2}
        width={Number.isFinite(high) ? width * 0.5 : width * 0.75}
        height={4}
        fill="var(--frame)"
      />
      <path
        className="gauge-pointer"
        d="M0 0V8"
        style={{ transform: `translateX(${x}px)` }}
        stroke="var(--text)"
        strokeWidth={2.5}
      />
    </svg>
  );
}
