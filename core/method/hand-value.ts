import { refusal, type Refusal } from '../refusal/index.js';
import { isDartPlace, type DartPlace, type ParameterKind } from './panel-parameters.js';

const LIMITS = {
  length: { least: -3000, most: 3000 },
  share: { least: 0, most: 0.95 },
  count: { least: 0, most: 3 },
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
    return refusal(name, 'dartPlaceByHand', { label, value: String(value) });
  }
  const limits = LIMITS[kind];
  if (typeof value === 'number' && Number.isFinite(value) && value >= limits.least && value <= limits.most) {
    if (kind !== 'count' || Number.isInteger(value)) return undefined;
  }
  const figures = { label, value: Number(value), ...limits };
  if (kind === 'length') return refusal(name, 'lengthByHand', figures);
  return kind === 'share' ? refusal(name, 'shareByHand', figures) : refusal(name, 'countByHand', figures);
}
