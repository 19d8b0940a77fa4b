import { formatFigure, showsNothing, type Tape } from '../../core/units/index.js';
import { withFractions } from './fractions.js';

/** A difference in mm as a figure of the tape with its sign; none where the tape shows no difference. */
export function signedFigure(mm: number, tape: Tape): string {
  const figure = formatFigure(Math.abs(mm), tape);
  const sign = showsNothing(mm, tape) ? '' : mm > 0 ? '+' : '−';
  return withFractions(sign + figure);
}

/** A share as a signed per cent to a tenth. */
export function signedPercent(share: number): string {
  const figure = Math.abs(share * 100).toFixed(1);
  return `${/[1-9]/.test(figure) ? (share > 0 ? '+' : '−') : ''}${figure} %`;
}
