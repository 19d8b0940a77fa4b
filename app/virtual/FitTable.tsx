import { FIT_FIGURE_IDS, FIT_FIGURES, FIT_LABELS, fitFigureSaid, type FitFigures } from '../../core/sew/index.js';

interface FitTableProps {
  readonly before: FitFigures;
  readonly after: FitFigures;
  readonly risesKnown: boolean;
  readonly show: (mm: number) => string;
}

/** Every figure of both garments as they hang, and from which difference on it is told. */
export function FitTable({ before, after, risesKnown, show }: FitTableProps) {
  const ids = FIT_FIGURE_IDS.filter((id) => risesKnown || !FIT_FIGURES[id].ofRise);
  return (
    <details className="fit-table">
      <summary>All figures</summary>
      <table className="figures">
        <thead>
          <tr>
            <th>Figure</th>
            <th>Before</th>
            <th>Now</th>
            <th>Told from</th>
          </tr>
        </thead>
        <tbody>
          {ids.map((id) => {
            const { unit, noise } = FIT_FIGURES[id];
            return (
              <tr key={id} data-fit={id}>
                <th scope="row">{FIT_LABELS[id]}</th>
                <td>{fitFigureSaid(before[id], unit, show)}</td>
                <td>{fitFigureSaid(after[id], unit, show)}</td>
                <td>{fitFigureSaid(noise, unit, show)}</td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </details>
  );
}
