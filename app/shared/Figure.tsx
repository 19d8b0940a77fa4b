import { figureParts, type Tape } from '../../core/units/index.js';

/** A length set in type: fractions as fractions, figures in columns, the unit beside it where it is wanted. */
export function Figure({ mm, tape, unit = true }: { mm: number; tape: Tape; unit?: boolean }) {
  const { negative, whole, fraction } = figureParts(mm, tape);
  return (
    <span className="figure">
      {negative && '−'}
      {(!fraction || whole !== '0') && whole}
      {fraction && (
        <span className="fraction">
          {fraction.over}/{fraction.under}
        </span>
      )}
      {unit && <span className="unit">{tape.unit}</span>}
    </span>
  );
}
