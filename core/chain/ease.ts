import { measurementLabel, type MeasurementId } from '../measure/index.js';
import type { DartPlace } from '../method/index.js';
import type { Draft } from './compute-draft.js';

/** Which figure of an ease row a setting holds: the ease itself, or the whole finished girth. */
export type EaseHeld = 'ease' | 'finished';

/** One girth or depth of the garment: body + ease = finished, in mm. */
export interface EaseRow {
  readonly id: MeasurementId;
  readonly label: string;
  readonly body: number;
  readonly ease: number;
  readonly finished: number;
  /** The setting that holds it, and which of the two figures; nothing where it follows from the extensions. */
  readonly setting:
    | {
        readonly name: string;
        readonly holds: EaseHeld;
        /** What the pieces measure beyond the setting, where a method lays more on: finished = setting + over. */
        readonly over: number;
      }
    | undefined;
  readonly restsOnEstimate: boolean;
}

const ROWS: readonly (readonly [MeasurementId, string, EaseHeld])[] = [
  ['waist', 'waistEase', 'ease'],
  ['hip', 'hipEase', 'ease'],
  ['crotchDepth', 'crotchEase', 'ease'],
  ['knee', 'kneeGirth', 'finished'],
  ['heel', 'hemGirth', 'finished'],
];

/** The panel widths that a finished girth is drawn by. */
const DRAWN: Readonly<Record<string, 'kneeWidth' | 'hemWidth' | undefined>> = {
  kneeGirth: 'kneeWidth',
  hemGirth: 'hemWidth',
};

/**
 * Every finished girth of a draft as body + ease (handbook 2, section 3): what the sheet takes as settings, and the
 * thigh as the panels give it at the crotch line. Lengths in mm.
 */
export function easeTable({ worked, block }: Draft): EaseRow[] {
  const rows = ROWS.flatMap(([id, setting, holds]): EaseRow[] => {
    const line = worked.ledger.get(setting);
    const known = worked.body.get(id);
    // A pull-on's waist is as wide as the sheet opens it, whatever the ease.
    if (!known || typeof line?.value !== 'number' || (id === 'waist' && worked.pullOn)) return [];
    const drawn = DRAWN[setting];
    const over = drawn ? block.front.parameters[drawn] + block.back.parameters[drawn] - line.value : 0;
    const [ease, finished] =
      holds === 'ease' ? [line.value, known.mm + line.value] : [line.value + over - known.mm, line.value + over];
    const label = id === 'heel' ? 'Hem, over the heel' : measurementLabel(id);
    const restsOnEstimate = known.source === 'estimate' || line.restsOnEstimate;
    return [{ id, label, body: known.mm, ease, finished, setting: { name: setting, holds, over }, restsOnEstimate }];
  });
  const thigh = worked.body.get('thigh');
  if (!thigh) return rows;
  const finished = block.front.crotchWidth + block.back.crotchWidth;
  const at = rows.findIndex((r) => r.id === 'knee');
  return rows.toSpliced(at === -1 ? rows.length : at, 0, {
    id: 'thigh',
    label: 'Thigh, crotch line',
    body: thigh.mm,
    ease: finished - thigh.mm,
    finished,
    setting: undefined,
    restsOnEstimate: thigh.source === 'estimate',
  });
}

/**
 * Both extensions, set by hand, that make the draft `wanted` mm wide at the crotch line, to half a millimetre: what is missing or over is
 * shared between front and back as their extensions stand to one another. Nothing where no extension would be left.
 */
export function extensionsFor(
  { worked, block }: Draft,
  wanted: number,
): Record<string, number | DartPlace> | undefined {
  const more = wanted - block.front.crotchWidth - block.back.crotchWidth;
  const { front, back } = worked;
  const whole = front.extension + back.extension;
  if (whole + more <= 0) return undefined;
  const share = (whole + more) / whole;
  return { 'front.extension': front.extension * share, 'back.extension': back.extension * share };
}
