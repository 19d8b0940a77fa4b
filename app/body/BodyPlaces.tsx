import { useMemo } from 'react';
import type { Adopted, Figure, Measured } from '../../core/measure/index.js';
import { BodyView } from './BodyView.js';
import { bodyShape, bodyToDraw, type BodyShape } from './body-shape.js';
import './body.css';

/** A view of the drawn body, and a height of it. */
type Side = 'front' | 'side' | 'back';
type Height = 'waist' | 'seat' | 'crotch' | 'thigh' | 'leg' | 'hem';

/** A place that can be pressed, with how many things were noted there. */
export interface PressedPlace {
  readonly where: Side;
  readonly at: Height;
  readonly label: string;
  readonly noted: number;
}

const SIDES: readonly Side[] = ['front', 'side', 'back'];

/** Where on the drawn body a height lies, in mm below the waist line. */
function levelOf({ level }: BodyShape, at: Height): number {
  if (at === 'waist') return 0;
  if (at === 'seat') return level.hip;
  if (at === 'crotch') return level.crotch + 20;
  if (at === 'thigh') return level.midThigh;
  return at === 'leg' ? (level.knee + level.calf) / 2 : level.ankle;
}

/** A band with no neighbour below it reaches this far down at most, in mm, where it lies on the trunk. */
const FURTHEST = 240;

/** The bands of a view, one a place, each reaching half way to its neighbours. */
function bandsOf(
  shape: BodyShape,
  places: readonly PressedPlace[],
): { place: PressedPlace; from: number; to: number }[] {
  const centres = places.map(({ at }) => levelOf(shape, at));
  return places.map((place, i) => {
    const [before, here, after] = [centres[i - 1], centres[i] ?? 0, centres[i + 1]];
    return {
      place,
      from: before === undefined ? shape.level.ribs : (before + here) / 2,
      to: after === undefined ? Math.min(shape.level.floor, here + FURTHEST) : (after + here) / 2,
    };
  });
}

interface BodyPlacesProps {
  readonly values: Measured;
  readonly adopted: Adopted;
  readonly figure: Figure;
  readonly places: readonly PressedPlace[];
  readonly pressed: Pick<PressedPlace, 'where' | 'at'> | undefined;
  readonly onPress: (place: PressedPlace) => void;
}

/** The person's body, drawn from the figures, front, side and back, to be pressed where something is seen. */
export function BodyPlaces({ values, adopted, figure, places, pressed, onPress }: BodyPlacesProps) {
  const shape = useMemo(() => bodyShape(bodyToDraw(values, figure, adopted)), [values, figure, adopted]);
  const half = Math.max(shape.half('hip'), shape.half('waist'), shape.legMiddle('crotch') + shape.half('crotch')) + 30;
  const step = 2 * half + 20;
  const top = shape.level.ribs - 10;
  return (
    <svg
      className="body-figure body-places"
      viewBox={`${-step - half} ${top} ${2 * step + 2 * half} ${shape.level.floor + 84 - top}`}
      role="group"
      aria-label="The body, front, side and back: press where something is seen"
    >
      {SIDES.map((view, i) => (
        <g key={view} transform={`translate(${(i - 1) * step} 0)`}>
          <BodyView view={view} shape={shape} tape={undefined} x={0} lit={pressed?.where === view} />
          {bandsOf(
            shape,
            places.filter(({ where }) => where === view),
          ).map(({ place, from, to }) => {
            const on = pressed?.where === place.where && pressed.at === place.at;
            const middle = levelOf(shape, place.at);
            return (
              <g
                key={place.at}
                className="body-place"
                role="button"
                tabIndex={0}
                aria-pressed={on}
                aria-label={place.label}
                data-body-place={`${place.where} ${place.at}`}
                onClick={() => {
                  onPress(place);
                }}
                onKeyDown={(event) => {
                  if (event.key !== 'Enter' && event.key !== ' ') return;
                  event.preventDefault();
                  onPress(place);
                }}
              >
                <rect x={-half} y={from} width={2 * half} height={to - from} />
                {place.noted > 0 && (
                  <>
                    <circle cx={0} cy={middle} r={34} />
                    <text x={0} y={middle + 14} textAnchor="middle">
                      {place.noted}
                    </text>
                  </>
                )}
              </g>
            );
          })}
        </g>
      ))}
    </svg>
  );
}
