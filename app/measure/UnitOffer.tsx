import Button from '@mui/material/Button';
import { usePreferences, withUnit } from '../store/preferences.js';
import { changeUnit } from '../store/work-changes.js';
import { useChange, useUnit } from '../store/work-context.js';
import { useMeasuring } from './measuring-store.js';

const WORDS = { cm: 'centimetres', mm: 'millimetres', in: 'inches' } as const;

/** Offers the unit in which the first figure was typed for all that is shown, instead of turning it into the other. */
export function UnitOffer() {
  const { typedIn, set } = useMeasuring();
  const unit = useUnit();
  const preferences = usePreferences();
  const change = useChange();
  if (typedIn === undefined || typedIn === unit || typedIn === 'mm') return null;
  return (
    <div className="doubt" role="note" data-unit-offer={typedIn}>
      The figure was typed in {WORDS[typedIn]}, and is shown in {WORDS[unit]}.{' '}
      <Button
        size="small"
        variant="outlined"
        onClick={() => {
          preferences.set(withUnit(preferences, typedIn));
          change(changeUnit(typedIn));
          set({ typedIn: undefined });
        }}
      >
        Show everything in {WORDS[typedIn]}
      </Button>{' '}
      <Button
        size="small"
        onClick={() => {
          set({ typedIn: undefined });
        }}
      >
        Stay
      </Button>
    </div>
  );
}
