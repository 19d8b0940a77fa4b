import { computeDraft, type Draft, type DraftInput } from '../chain/index.js';
import { worstFirst, type Check } from '../check/index.js';
import { clothOf, shrinkageOf, type Cloths } from '../cloth/index.js';
import type { Cloth } from '../garment/index.js';
import { drawnInput, type BatchInput } from './graded-input.js';
import { clothsOf, estimatedLength, garmentShapes, layCloth, LOOKS } from '../lay/index.js';
import type { Figure, Measured, MeasurementId } from '../measure/index.js';
import { grownGarment, piecesOf, type Allowances, type Piece } from '../piece/index.js';
import type { Refusal } from '../refusal/index.js';
import { draftGarment, type Style, type Styled } from '../style/index.js';
import type { Unit } from '../units/index.js';

/** What a draft becomes a garment by: its components, its allowances and its cloth; lengths are told in the unit. */
export interface Making {
  readonly style: Style;
  readonly allowances: Allowances;
  readonly cloths: Cloths | undefined;
  readonly unit: Unit;
}

/** A garment to be applied to many bodies: everything but the body's own figures. */
export interface BatchGarment extends Making {
  readonly input: DraftInput;
}

/** A body that a garment is applied to; figures in mm. */
export interface BatchBody {
  readonly figure: Figure | undefined;
  readonly measured: Measured;
}

/** How much of a cloth one garment takes: an estimate, in mm. */
export interface BatchCloth {
  readonly kind: Cloth;
  readonly width: number;
  readonly length: number;
}

/** A garment applied to a body: its pieces, what asks for something, what was estimated, what it takes; or why it is none. */
export type Applied =
  | {
      readonly ok: true;
      readonly draft: Draft;
      /** Its garment grown for the cloth, as the pieces are; its legs and figures are those that are worn. */
      readonly styled: Styled;
      readonly pieces: readonly Piece[];
      /** Checks that are not in their band, the worst first. */
      readonly asks: readonly Check[];
      readonly estimated: readonly MeasurementId[];
      readonly cloth: readonly BatchCloth[];
      /** Alterations that could not be done on this body, and were left out. */
      readonly leftOut: readonly Refusal[];
    }
  | { readonly ok: false; readonly refusals: readonly Refusal[] };

/**
 * A garment on another body: the same method, settings, alterations, style, allowances and cloth on its own figures.
 * Pure; nothing is kept from one body to the next.
 */
export const appliedTo = (garment: BatchGarment, { figure, measured }: BatchBody): Applied =>
  finished(garment, { ...garment.input, measured, adopted: {}, heights: [], ...(figure && { figure }) });

/** A draft from its input to its pieces, with what asks for something, what was estimated and how much cloth it takes. */
export function finished({ style, allowances, cloths, unit }: Making, asked: BatchInput): Applied {
  const input = drawnInput(asked);
  if (!input.ok) return { ok: false, refusals: input.refusals };
  const outcome = computeDraft(input.value);
  if (!outcome.ok) return { ok: false, refusals: outcome.refusals };
  const draft = outcome.value;
  const styled = draftGarment(draft, style, unit);
  const refusals = styled.told.flatMap((t) => (t.refusal ? [t.refusal] : []));
  if (refusals.length > 0) return { ok: false, refusals };
  const garment = grownGarment(styled.garment, (kind) => shrinkageOf(cloths, kind));
  const pieces = piecesOf(garment, allowances);
  const { body, ledger } = draft.worked;
  return {
    ok: true,
    draft,
    styled: { ...styled, garment },
    pieces,
    leftOut: draft.altered.told.flatMap((t) => (t.refusal ? [t.refusal] : [])),
    asks: worstFirst(draft.checks.filter((c) => c.verdict === 'out' || c.verdict === 'near')),
    estimated: [...body.entries()].flatMap(([id, known]) =>
      known.source === 'estimate' && ledger.has(id) ? [id] : [],
    ),
    cloth: clothsOf(pieces).map((kind): BatchCloth => {
      const cloth = clothOf(cloths, kind, unit);
      const shapes = garmentShapes(pieces, kind, cloth.nap, cloth.fold);
      return { kind, width: cloth.width, length: estimatedLength(shapes, layCloth(cloths, kind, unit), LOOKS.ofMany) };
    }),
  };
}
