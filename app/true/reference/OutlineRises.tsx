import { useMemo } from 'react';
import { checkLabel, sayFinding, type CheckId } from '../../../core/check/index.js';
import { outlineRises, type Reference } from '../../../core/reference/index.js';
import { formatFigure, type Tape } from '../../../core/units/index.js';
import { withFractions } from '../../shared/fractions.js';
import { signedFigure } from '../../shared/signed.js';
import { useComputed } from '../../store/work-context.js';

const labelOf = (id: CheckId, tape: Tape): string => checkLabel({ id, compares: { of: 'character' } }, tape.unit);

/** The outline's rises held against the body's, and what they are like, in words. */
export function OutlineRises({ reference, tape }: { reference: Reference; tape: Tape }) {
  const draft = useComputed((c) => c.draft);
  const told = useMemo(() => draft && outlineRises(reference, draft), [reference, draft]);
  if (!told || told.rises.length === 0) return null;
  const unknown = told.rises.some((r) => r.wanted === undefined);
  return (
    <section aria-label="Its rises and the body">
      <h3>Its rises and the body</h3>
      <table className="figures outline-figures">
        <thead>
          <tr>
            <th scope="col">{tape.unit}</th>
            <th scope="col">Outline</th>
            <th scope="col">Body</th>
            <th scope="col">Outline less body</th>
          </tr>
        </thead>
        <tbody>
          {told.rises.map(({ id, outline, wanted }) => (
            <tr key={id} data-figure={`body.${id}`}>
              <th scope="row">{labelOf(id, tape)}</th>
              <td className="number">{withFractions(formatFigure(outline, tape))}</td>
              <td className="number">{wanted === undefined ? '?' : withFractions(formatFigure(wanted, tape))}</td>
              <td className="number">{wanted === undefined ? '' : signedFigure(outline - wanted, tape) || '0'}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {unknown && <p className="quiet">Measure front and back rise to hold them against the body.</p>}
      {told.character && <p data-character="">{withFractions(sayFinding(told.character, tape.unit))}.</p>}
    </section>
  );
}
