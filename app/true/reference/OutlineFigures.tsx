import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import { useMemo, useState } from 'react';
import type { Block } from '../../../core/draft/index.js';
import { compareReference, largestFirst, type Reference, type ReferenceFigure } from '../../../core/reference/index.js';
import { formatFigure, type Tape } from '../../../core/units/index.js';
import { withFractions } from '../../shared/fractions.js';
import { signedFigure } from '../../shared/signed.js';

const SIDES: readonly (readonly [ReferenceFigure['panel'], string])[] = [
  ['front', 'Front'],
  ['back', 'Back'],
  ['both', 'Together'],
];

/** The figures of the outline beside the draft's, the largest difference first. */
export function OutlineFigures({ reference, block, tape }: { reference: Reference; block: Block; tape: Tape }) {
  const [side, setSide] = useState<ReferenceFigure['panel']>('front');
  const figures = useMemo(() => largestFirst(compareReference(reference, block)), [reference, block]);
  const here = figures.filter((f) => f.panel === side);
  return (
    <section aria-label="Figures of the outline">
      <ToggleButtonGroup
        exclusive
        fullWidth
        size="small"
        value={side}
        aria-label="Figures of"
        onChange={(_, next: ReferenceFigure['panel'] | null) => {
          if (next) setSide(next);
        }}
      >
        {SIDES.map(([name, label]) => (
          <ToggleButton key={name} value={name} sx={{ color: 'var(--text)', textTransform: 'none' }}>
            {label}
          </ToggleButton>
        ))}
      </ToggleButtonGroup>
      {here.length === 0 ? (
        <p className="quiet">Nothing to compare: no line of the file is named for it.</p>
      ) : (
        <table className="figures outline-figures">
          <thead>
            <tr>
              <th scope="col">{tape.unit}</th>
              <th scope="col">Outline</th>
              <th scope="col">Draft</th>
              <th scope="col">Outline less draft</th>
              {side !== 'both' && <th scope="col">Stands off by</th>}
            </tr>
          </thead>
          <tbody>
            {here.map((f) => (
              <tr key={f.id} data-figure={`${f.panel}.${f.id}`}>
                <th scope="row">{f.label}</th>
                <td className="number">{withFractions(formatFigure(f.reference, tape))}</td>
                <td className="number">{withFractions(formatFigure(f.draft, tape))}</td>
                <td className="number">{signedFigure(f.reference - f.draft, tape)}</td>
                {side !== 'both' && (
                  <td className="number">{f.off ? withFractions(formatFigure(f.off.distance, tape)) : ''}</td>
                )}
              </tr>
            ))}
          </tbody>
        </table>
      )}
      <p className="quiet">
        Widths are read where the outline lies, at the draft’s lines. The waist is without its darts, drawn or named.
      </p>
    </section>
  );
}
