import { memo } from 'react';
import { formatFigure, toMm, type Tape, type Unit } from '../../core/units/index.js';
import { usePointer } from './pointer.js';
import { RULER, type ScreenSize, type View } from './view.js';

const LEAST_LABEL_GAP = 58;

const STEPS: Record<Unit, readonly number[]> = {
  cm: [0.5, 1, 2, 5, 10, 20, 50, 100],
  in: [0.25, 0.5, 1, 2, 4, 8, 16, 32],
  mm: [5, 10, 20, 50, 100, 200, 500, 1000],
};

function ticks(from: number, to: number, view: View, unit: Unit): { labels: number[]; small: number[]; step: number } {
  const step = STEPS[unit].find((s) => toMm(s, unit) * view.scale >= LEAST_LABEL_GAP) ?? 100;
  const labelMm = toMm(step, unit);
  const smallMm = labelMm / (unit === 'in' ? 4 : 5);
  const range = (every: number): number[] => {
    const first = Math.ceil(from / every);
    return Array.from({ length: Math.max(0, Math.floor(to / every) - first + 1) }, (_, i) => (first + i) * every);
  };
  return { labels: range(labelMm), small: range(smallMm), step };
}

interface RulersProps {
  readonly view: View;
  readonly size: ScreenSize;
  readonly tape: Tape;
}

/** Where the pointer stands on both tapes. */
function PointerMark() {
  const pointer = usePointer((p) => p.at);
  if (!pointer) return null;
  return (
    <>
      <line className="pointer" x1={pointer.x} x2={pointer.x} y1={RULER - 14} y2={RULER} />
      <line className="pointer" y1={pointer.y} y2={pointer.y} x1={RULER - 14} x2={RULER} />
    </>
  );
}

/** A tape along the top and one along the left, from the waist line down, with a mark that follows the pointer. */
export const Rulers = memo(function Rulers({ view, size, tape }: RulersProps) {
  const across = ticks((RULER - view.x) / view.scale, (size.width - view.x) / view.scale, view, tape.unit);
  const down = ticks((RULER - view.y) / view.scale, (size.height - view.y) / view.scale, view, tape.unit);
  const figure = (mm: number): string =>
    formatFigure(mm, { unit: tape.unit, step: tape.unit === 'in' ? 1 / 8 : tape.unit === 'cm' ? 0.5 : 1 }).replace(
      /\.0$/,
      '',
    );
  return (
    <g className="ruler" aria-hidden="true">
      <rect x={0} y={0} width={size.width} height={RULER} />
      <rect x={0} y={0} width={RULER} height={size.height} />
      {across.small.map((mm) => (
        <line key={mm} x1={view.x + mm * view.scale} x2={view.x + mm * view.scale} y1={RULER - 5} y2={RULER} />
      ))}
      {across.labels.map((mm) => (
        <g key={mm}>
          <line x1={view.x + mm * view.scale} x2={view.x + mm * view.scale} y1={RULER - 10} y2={RULER} />
          <text x={view.x + mm * view.scale + 3} y={12}>
            {figure(Math.abs(mm))}
          </text>
        </g>
      ))}
      {down.small.map((mm) => (
        <line key={mm} y1={view.y + mm * view.scale} y2={view.y + mm * view.scale} x1={RULER - 5} x2={RULER} />
      ))}
      {down.labels.map((mm) => (
        <g key={mm}>
          <line y1={view.y + mm * view.scale} y2={view.y + mm * view.scale} x1={RULER - 10} x2={RULER} />
          <text x={3} y={view.y + mm * view.scale - 3}>
            {figure(mm)}
          </text>
        </g>
      ))}
      <rect x={0} y={0} width={RULER} height={RULER} />
      <text x={4} y={17}>
        {tape.unit}
      </text>
      <PointerMark />
    </g>
  );
});
