import { refusal, type Refusal } from '../refusal/index.js';
import { MEASUREMENTS, type MeasurementId } from './vocabulary.js';

/** Why a figure cannot be a measurement at all; nothing where it can. */
export function refuseMeasurement(id: MeasurementId, mm: number): Refusal | undefined {
  const known = MEASUREMENTS.get(id);
  if (!known || (Number.isFinite(mm) && mm >= known.least && mm <= known.most)) return undefined;
  const { label, least, most } = known;
  return Number.isFinite(mm)
    ? refusal(id, 'outOfReach', { label, mm, least, most })
    : refusal(id, 'noFigure', { label, least, most });
}
