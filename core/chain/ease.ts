import { hipWidthOf } from '../measured/index.js';
import { sheetHip, type Block, type Panel } from '../draft/index.js';
import { pathLength } from '../geometry/index.js';
import { measurementLabel, type MeasurementId } from '../measure/index.js';
import type { DartPlace } from '../method/index.js';
import { computeDraft, type Draft, type DraftInput } from './compute-draft.js';

/** Which figure of an ease row a setting holds: the ease itself, or the whole finished girth. */
export type EaseHeld = 'ease' | 'finished';

/** One girth or depth of the garment, in mm: the body, the ease laid off, and what the pieces measure. */
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
        /** What the pieces measure beyond what was laid off: finished = body + ease + over, or setting + over. */
        readonly over: number;
        /** What of that the sheet lays on itself, by its own widths; the rest comes of the lines that were drawn. */
        readonly laidOn: number;
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

/** A finished girth as it lies on both pieces, in mm; nothing for what is no girth. */
function measuredGirth(id: MeasurementId, { front, back, levels }: Block): number | undefined {
  const both = (of: (panel: Panel) => number): number => of(front) + of(back);
  switch (id) {
    case 'waist':
      return 2 * both((p) => pathLength(p.closedWaist));
    case 'hip':
      return 2 * both(hipWidthOf);
    case 'crotchDepth':
      return levels.crotchLevel;
    case 'knee':
      return both((p) => p.points.inseamKnee.x - p.points.sideKnee.x);
    case 'heel':
      return both((p) => p.points.inseamHem.x - p.points.sideHem.x);
    default:
      return undefined;
  }
}

/**
 * Every finished girth of a draft (docs/trade/parameters.md): the ease that was laid off, by the sheet or by hand, and
 * what the pieces measure, which is more where a rise has left its centre line on the hip line; and the thigh as the
 * panels give it at the crotch line. Lengths in mm.
 */
export function easeTable({ worked, block, drafted }: Draft): EaseRow[] {
  const rows = ROWS.flatMap(([id, setting, holds]): EaseRow[] => {
    const line = worked.ledger.get(setting);
    const known = worked.body.get(id);
    // A pull-on's waist is as wide as the sheet opens it, whatever the ease.
    if (!known || typeof line?.value !== 'number' || (id === 'waist' && worked.pullOn)) return [];
    const measured = measuredGirth(id, drafted);
    const meant = holds === 'ease' ? known.mm + line.value : line.value;
    const over = measured === undefined ? 0 : measured - meant;
    const laidOn = id === 'hip' ? (sheetHip(drafted) ?? meant) - meant : 0;
    const [ease, finished] =
      holds === 'ease' ? [line.value, known.mm + line.value + over] : [line.value + over - known.mm, line.value + over];
    const label = id === 'heel' ? 'Hem, over the heel' : measurementLabel(id);
    const restsOnEstimate = known.source === 'estimate' || line.restsOnEstimate;
    return [
      { id, label, body: known.mm, ease, finished, setting: { name: setting, holds, over, laidOn }, restsOnEstimate },
    ];
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

/** So often the extensions are corrected by what the side seam gave way at the crotch line. */
const CORRECTIONS = 3;

/**
 * Both extensions, set by hand, that make the draft `wanted` mm wide at the crotch line: what is missing or over is
 * shared between front and back as their extensions stand to one another. The side seam gives way a little as the leg
 * grows: it is drawn anew and corrected. Nothing where no extension would be left.
 */
export function extensionsFor(
  { worked, block }: Draft,
  wanted: number,
  input: DraftInput,
): Record<string, number | DartPlace> | undefined {
  const { front, back } = worked;
  const whole = front.extension + back.extension;
  const widthOf = ({ front: f, back: b }: Block): number => f.crotchWidth + b.crotchWidth;
  let more = wanted - widthOf(block);
  let set: Record<string, number> | undefined;
  for (let round = 0; ; round++) {
    if (whole + more <= 0) return undefined;
    const share = (whole + more) / whole;
    set = { 'front.extension': front.extension * share, 'back.extension': back.extension * share };
    if (round === CORRECTIONS) return set;
    const tried = computeDraft({ ...input, set: { ...input.set, ...set } });
    if (!tried.ok) return set;
    more += wanted - widthOf(tried.value.block);
  }
}
