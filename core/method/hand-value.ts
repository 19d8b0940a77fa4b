import type { Refusal } from '../refusal/index.js';
import { isDartPlace, type DartPlace, type ParameterKind } from './panel-parameters.js';

const LIMITS: Record<Exclude<ParameterKind, 'place'>, { least: number; most: number; wayOut: string }> = {
  length: { least: -3000, most: 3000, wayOut: 'Enter a length under 3 m.' },
  share: { least: 0, most: 0.95, wayOut: 'Enter a share between 0 and 0.95.' },
  count: { least: 0, most: 3, wayOut: 'Enter 0, 1, 2 or 3.' },
};

/** Why a value set by hand cannot be used for a line of its kind; nothing where it can. `label` is the line's name. */
export function refuseHand(
  name: string,
  label: string,
  kind: ParameterKind,
  value: number | DartPlace,
): Refusal | undefined {
  if (kind === 'place') {
    if (isDartPlace(value) || (typeof value === 'number' && value > 0 && value < 2000)) return undefined;
    return {
      field: name,
      value: String(value),
      reason: `${label} cannot be ${String(value)}.`,
      wayOut: 'Choose crease, midway or apexSpan, or give a distance from the centre.',
    };
  }
  const limits = LIMITS[kind];
  if (typeof value === 'number' && Number.isFinite(value) && value >= limits.least && value <= limits.most) {
    if (kind !== 'count' || Number.isInteger(value)) return undefined;
  }
  return { field: name, value: String(value), reason: `${label} cannot be ${String(value)}.`, wayOut: limits.wayOut };
}
