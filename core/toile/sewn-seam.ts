import type { AlterationWork } from '../alter/index.js';
import type { Check } from '../check/index.js';
import { edgeLengths, type Block } from '../draft/index.js';
import { sideAtWaist, worksOf } from './does.js';

/** A seam that is measured on the garment. */
export type SewnSeamId = 'frontRise' | 'backRise' | 'waist' | 'side' | 'inseam';

/** A seam that can be measured on a toile, and how many of its ends are raw, so that the allowance counts there. */
export interface SewnSeamKind {
  readonly id: SewnSeamId;
  readonly label: string;
  readonly rawEnds: number;
}

/** The seams that are measured as they are sewn, from the crotch seam or along the stitching. */
export const SEWN_SEAMS_OF_TOILE: readonly SewnSeamKind[] = [
  { id: 'frontRise', label: 'Front rise, crotch seam to top edge', rawEnds: 1 },
  { id: 'backRise', label: 'Back rise, crotch seam to top edge', rawEnds: 1 },
  { id: 'waist', label: 'Waist, all round its stitching line', rawEnds: 0 },
  { id: 'side', label: 'Side, top edge to hem edge', rawEnds: 2 },
  { id: 'inseam', label: 'Inseam, crotch seam to hem edge', rawEnds: 1 },
];

/** A seam as it was measured: what it is between its stitching lines, on the piece, and wanted; in mm. */
export interface SewnSeam {
  readonly kind: SewnSeamKind;
  readonly net: number;
  readonly paper: number;
  readonly wanted: number | undefined;
  /** What takes off or adds what is between net and wanted; nothing where that is below the tape or not known. */
  readonly mend: readonly AlterationWork[] | undefined;
}

/** Less than this is no difference that is mended, in mm. */
const LEAST = 1.5;

function paperOf(id: SewnSeamId, { front, back }: Block): number {
  const [ahead, behind] = [edgeLengths(front), edgeLengths(back)];
  if (id === 'frontRise') return ahead.rise;
  if (id === 'backRise') return behind.rise;
  if (id === 'waist') return 2 * (ahead.waist + behind.waist);
  return id === 'side' ? behind.side : behind.inseam;
}

/** The middle of what a check wants of a seam; nothing where it has no measured band. */
function wantedBy(id: SewnSeamId, checks: readonly Check[]): number | undefined {
  const check = checks.find((c) => c.id === id);
  return check?.low !== undefined && check.high !== undefined && Number.isFinite(check.high)
    ? (check.low + check.high) / 2
    : undefined;
}

/** What a rise or a waist that is too long by so much (less than nothing: too short) is mended by. */
function mendOf(id: SewnSeamId, over: number, block: Block): readonly AlterationWork[] | undefined {
  if (id === 'frontRise' || id === 'backRise') {
    const panel = id === 'frontRise' ? 'front' : 'back';
    return [{ kind: 'waist', panel, centre: -over, side: 0, centreOnly: false }];
  }
  if (id === 'waist' && block.back.darts.length === 0) return [sideAtWaist(-over, block)];
  if (id === 'waist') return worksOf(over > 0 ? 'deeperDarts' : 'narrowerDarts', Math.abs(over), block);
  return undefined;
}

/**
 * A seam as it was measured on a garment, held against the piece and against what is wanted (docs/trade/toile.md): taken
 * off at the centre, running out to the side, or in the darts; where there are none, at the sides. `is` was measured edge to edge, with the allowance at raw
 * ends; `wanted` is the maker's own, else what the draft's check wants. Millimetres.
 */
export function sewnSeam(
  { seam, is, wanted: own }: { readonly seam: string; readonly is: number; readonly wanted?: number | undefined },
  allowance: number,
  { block, checks }: { readonly block: Block; readonly checks: readonly Check[] },
): SewnSeam | undefined {
  const kind = SEWN_SEAMS_OF_TOILE.find((k) => k.id === seam);
  if (!kind) return undefined;
  const net = is - kind.rawEnds * allowance;
  const wanted = own ?? wantedBy(kind.id, checks);
  const over = wanted === undefined ? 0 : net - wanted;
  return {
    kind,
    net,
    paper: paperOf(kind.id, block),
    wanted,
    mend: Math.abs(over) < LEAST ? undefined : mendOf(kind.id, over, block),
  };
}
