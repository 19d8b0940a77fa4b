import Button from '@mui/material/Button';
import { setOf, type Fitting } from '../../core/kept/index.js';
import { atPlace, pinNamed, placesOf, seenNamed, type BodyPlace, type Knowledge } from '../../core/toile/index.js';
import { BodyPlaces } from '../body/BodyPlaces.js';
import { useWork } from '../store/work-context.js';

const SIDES: Readonly<Record<BodyPlace['where'], string>> = {
  front: 'In front',
  side: 'At the side',
  back: 'Behind',
};
const HEIGHTS: Readonly<Record<BodyPlace['at'], string>> = {
  waist: 'at the waist',
  seat: 'at the seat',
  crotch: 'at the crotch',
  thigh: 'at the thigh',
  leg: 'at the leg',
  hem: 'at the hem',
};

/** A place of the body in words: “Behind, at the seat”. */
export const placeWords = ({ where, at }: BodyPlace): string =>
  `${SIDES[where]}, ${where === 'front' && at === 'seat' ? 'at the stomach' : HEIGHTS[at]}`;

interface SeenPlacesProps {
  readonly fitting: Fitting;
  readonly knowledge: Knowledge;
  readonly place: BodyPlace | undefined;
  readonly onPlace: (place: BodyPlace | undefined) => void;
}

/** The person's body as drawn from the figures: a press on it leaves what can be seen and pinned there. */
export function SeenPlaces({ fitting, knowledge, place, onPlace }: SeenPlacesProps) {
  const work = useWork((s) => s.work);
  const set = setOf(work);
  const noted = [
    ...fitting.seen.map(({ what }) => seenNamed(what, knowledge)),
    ...fitting.pins.map(({ kind }) => pinNamed(kind, knowledge)),
  ].flatMap((one) => one ?? []);
  const places = placesOf(knowledge).map(({ where, at }) => {
    // What has no place of its own is counted at none.
    const count = atPlace(noted, { where, at }).filter((one) => one.where === where && one.at === at).length;
    return { where, at, noted: count, label: `${placeWords({ where, at })}: ${count} noted` };
  });
  return (
    <div className="seen-places">
      <p className="quiet">{place ? placeWords(place) : 'Press the body where it shows, or choose below.'}</p>
      <BodyPlaces
        values={set.values}
        adopted={set.adopted}
        figure={work.person.figure}
        places={places}
        pressed={place}
        onPress={({ where, at }) => {
          onPlace(place?.where === where && place.at === at ? undefined : { where, at });
        }}
      />
      {place && (
        <Button
          size="small"
          onClick={() => {
            onPlace(undefined);
          }}
        >
          All places
        </Button>
      )}
    </div>
  );
}
