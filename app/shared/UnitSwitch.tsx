import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import type { Unit } from '../../core/units/index.js';

/** Centimetres or inches, for everything that is shown and typed. */
export function UnitSwitch({ unit, onPick }: { unit: Unit; onPick: (unit: Unit) => void }) {
  return (
    <ToggleButtonGroup
      exclusive
      size="small"
      value={unit}
      aria-label="Unit"
      onChange={(_, next: Unit | null) => {
        if (next) onPick(next);
      }}
    >
      <ToggleButton value="cm" sx={{ py: 0.25 }}>
        cm
      </ToggleButton>
      <ToggleButton value="in" sx={{ py: 0.25 }}>
        in
      </ToggleButton>
    </ToggleButtonGroup>
  );
}
