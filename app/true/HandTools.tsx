import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import { TOOLS, useTrue, type TrueTool } from './true-store.js';

/** What a hand on the piece does. */
export function HandTools() {
  const { tool, set } = useTrue();
  const told = TOOLS.find(([id]) => id === tool)?.[2];
  return (
    <section aria-label="By hand on the piece">
      <h3>By hand on the piece</h3>
      <ToggleButtonGroup
        exclusive
        fullWidth
        size="small"
        value={tool ?? null}
        aria-label="Tool"
        onChange={(_, next: TrueTool | null) => {
          set({ tool: next ?? undefined });
        }}
      >
        {TOOLS.map(([id, label]) => (
          <ToggleButton key={id} value={id} sx={{ color: 'var(--text)', textTransform: 'none', px: 0.5 }}>
            {label}
          </ToggleButton>
        ))}
      </ToggleButtonGroup>
      {told && <p className="quiet">{told} Escape gives it up.</p>}
    </section>
  );
}
