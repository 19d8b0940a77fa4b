import type { Reader, Said } from '../reader.js';

/** Refusals of measurements. */
export const MEASURE_SAID = {
  missing: ({ label }: { readonly label: string }): Said => [
    `${label} is missing.`,
    `Enter the ${label.toLowerCase()}; without it nothing can be drafted.`,
  ],
  inseamMissing: (): Said => [
    'Inseam is missing.',
    'Enter the inseam, or the outseam in its place; without either nothing can be drafted.',
  ],
  noFigure: (
    { label, least, most }: { readonly label: string; readonly least: number; readonly most: number },
    reader: Reader,
  ): Said => [
    `${label} without a figure cannot be drafted.`,
    `Enter ${reader.least(least)} to ${reader.most(most)}, or check the unit.`,
  ],
  outOfReach: (
    f: { readonly label: string; readonly mm: number; readonly least: number; readonly most: number },
    reader: Reader,
  ): Said => [
    `${f.label} ${reader.exact(f.mm)} cannot be drafted.`,
    `Enter ${reader.least(f.least)} to ${reader.most(f.most)}, or check the unit.`,
  ],
};
