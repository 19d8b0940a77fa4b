import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import { useTrue, type TrueTool } from './true-store.js';

const TOOLS: readonly (readonly [TrueTool, string, string])[] = [
  ['cut', 'Slash', 'Draw the cut on the piece from a seam to the hinge on another, then pull the wedge open.'],
  ['seam', 'Seam', 'Take hold of a seam and move it out or in there; it runs out above and below.'],
  ['scoop', 'Scoop', 'Take hold of the crotch curve and push it deeper, or fill it.'],
  ['tilt', 'Seat line', 'Take hold of the centre seam near the waist and turn it in or out.'],
  [
    'dart',
    'Dart',
    'Take hold of a dart: at its mouth to move it, at its point to turn or lengthen it; up out of the waist to split it; onto side, centre or hem to turn it into that.',
  ],
];

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
