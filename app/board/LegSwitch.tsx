import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import { LEGS, type Leg } from '../../core/draft/index.js';
import { lookAtLeg } from '../store/work-changes.js';
import { useChange, useWork } from '../store/work-context.js';

/** Which leg is looked at, where an alteration makes the two differ. */
export function LegSwitch() {
  const leg = useWork((s) => s.leg);
  const change = useChange();
  return (
    <ToggleButtonGroup
      exclusive
      size="small"
      className="leg-switch"
      value={leg}
      aria-label="Leg"
      onChange={(_, next: Leg | null) => {
        if (next) change(lookAtLeg(next));
      }}
    >
      {LEGS.map((one) => (
        <ToggleButton key={one} value={one} sx={{ py: 0.25 }}>
          {one === 'left' ? 'Left leg' : 'Right leg'}
        </ToggleButton>
      ))}
    </ToggleButtonGroup>
  );
}
