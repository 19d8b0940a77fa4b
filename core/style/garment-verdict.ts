import type { Styled } from './style.js';

/** How much of a garment is out, asks for a second look, and agrees. */
export interface GarmentVerdict {
  readonly out: number;
  readonly near: number;
  readonly in: number;
}

/**
 * A garment judged in one line: what cannot be made or is out (a component left out, a seam that differs, an opening
 * that does not pass), what asks for a second look, and how many seams agree.
 */
export function garmentVerdict({ told, findings, garment }: Styled): GarmentVerdict {
  const weighed = (weight: 'out' | 'caution'): number => findings.filter((f) => f.weight === weight).length;
  return {
    out: told.filter(({ refusal }) => refusal !== undefined).length + weighed('out'),
    near: weighed('caution'),
    in: garment.seams.length - findings.filter(({ code }) => code === 'seamOut').length,
  };
}
