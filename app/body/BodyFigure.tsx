import { useMemo } from 'react';
import { measurementLabel, type MeasurementId } from '../../core/measure/index.js';
import { bodyShape, bodyToDraw } from './body-shape.js';
import { BodyView } from './BodyView.js';
import { tapePlaces, type View } from './tape-places.js';
import type { Adopted, Figure, Measured } from '../../core/measure/index.js';
import './body.css';

interface BodyFigureProps {
  readonly values: Measured;
  readonly adopted: Adopted;
  readonly figure: Figure;
  /** The measurement in hand: its tape is drawn. */
  readonly inHand: MeasurementId;
}

/**
 * The drawn body, front, side and back: its levels and widths follow the figures, and the tape lies where it is taken.
 */
export function BodyFigure({ values, adopted, figure, inHand }: BodyFigureProps) {
  const shape = useMemo(() => bodyShape(bodyToDraw(values, figure, adopted)), [values, figure, adopted]);
  const tapes = tapePlaces(shape, inHand);
  const seated = tapes.seated !== undefined;
  const views: readonly View[] = seated ? ['front', 'seated'] : ['front', 'side', 'back'];
  const half = Math.max(shape.half('hip'), shape.half('waist'), shape.legMiddle('crotch') + shape.half('crotch'));
  const reach = seated ? shape.level.knee - shape.level.crotch : 0;
  const step = 2 * half + 110 + reach / 2;
  const levels = (['waist', 'hip', 'crotch', 'knee'] as const).map((name) => [name, shape.level[name]] as const);
  const left = -step - half - 130;
  const width = 2 * step + 2 * half + 190;
  const top = shape.level.ribs - 30;
  return (
    <svg
      className="body-figure"
      viewBox={`${left} ${top} ${width} ${shape.level.floor + 90 - top}`}
      role="img"
      aria-label={`A body, front, side and back; the tape lies at ${measurementLabel(inHand).toLowerCase()}`}
      data-in-hand={inHand}
    >
      {levels.map(([name, y]) => (
        <g key={name} className="body-level">
          <line x1={left} x2={left + width} y1={y} y2={y} />
          <text x={left + 6} y={y - 6}>
            {name}
          </text>
        </g>
      ))}
      {views.map((view, i) => (
        <BodyView
          key={view}
          view={view}
          shape={shape}
          tape={tapes[view]}
          lit={tapes[view] !== undefined}
          x={(i - 1) * step + (view === 'seated' ? reach * 0.75 : 0)}
        />
      ))}
    </svg>
  );
}
