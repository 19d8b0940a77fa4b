import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import { distance } from '../../../core/geometry/index.js';
import type { ReferenceFigure } from '../../../core/reference/index.js';
import { formatFigure, type Tape } from '../../../core/units/index.js';
import { toBoard } from '../../board/arrange.js';
import type { Drawn } from '../../board/drawn-board.js';
import { toScreen } from '../../board/view.js';
import { withFractions } from '../../shared/fractions.js';
import { signedFigure } from '../../shared/signed.js';

const SIDES: readonly (readonly [ReferenceFigure['panel'], string])[] = [
  ['front', 'Front'],
  ['back', 'Back'],
  ['both', 'Together'],
];

/** A mark stands where a seam is farther off than this, in mm. */
const WORTH_MARKING = 1;

/** Marks nearer to one another than this, in pixels, are one: that of the larger distance. */
const APART = 16;

/** Where each seam of the outline stands farthest from the draft's, with how far. */
export function FarthestMarks({ figures, drawn }: { figures: readonly ReferenceFigure[]; drawn: Drawn }) {
  const { arranged, view, tape } = drawn;
  const marks = figures
    .flatMap(({ id, panel, off }) =>
      panel === 'both' || !off || off.distance < WORTH_MARKING
        ? []
        : [{ id: `${panel}.${id}`, far: off.distance, at: toScreen(toBoard(off.at, arranged[panel]), view) }],
    )
    .sort((a, b) => b.far - a.far)
    .filter((mark, i, all) => all.slice(0, i).every((other) => distance(other.at, mark.at) > APART));
  return (
    <g pointerEvents="none">
      {marks.map(({ id, far, at }) => (
        <g key={id} data-off={id}>
          <circle className="outline-off" cx={at.x} cy={at.y} r={5} />
          <text className="halo" x={at.x + 8} y={at.y - 8} style={{ fontSize: 14, fill: 'var(--text)' }}>
            {withFractions(formatFigure(far, tape))}
          </text>
        </g>
      ))}
    </g>
  );
}

interface OutlineFiguresProps {
  /** The largest difference first. */
  readonly figures: readonly ReferenceFigure[];
  readonly tape: Tape;
  readonly side: ReferenceFigure['panel'];
  readonly onSide: (side: ReferenceFigure['panel']) => void;
}

/** The figures of the outline beside the draft's. */
export function OutlineFigures({ figures, tape, side, onSide }: OutlineFiguresProps) {
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
          if (next) onSide(next);
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
