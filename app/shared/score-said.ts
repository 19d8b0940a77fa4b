import type { PredictionScore } from '../../core/sew/index.js';

/** “Thigh 2 of 3, rise 1 of 1”. */
export function scoreSaid(score: readonly PredictionScore[]): string {
  const said = score.map(({ kind, right, of }) => `${kind} ${right} of ${of}`).join(', ');
  return said.charAt(0).toUpperCase() + said.slice(1);
}
