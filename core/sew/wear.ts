import { bodyFrom, surfaceOf, type Assumed, type BodySurface, type SolidBody } from '../body/index.js';
import type { Body } from '../measure/index.js';
import type { ClothMatter } from './cloth.js';
import { drape, feltGrid, type Sewn, type Stage } from './drape.js';
import { hungOf, type Hung } from './hung.js';

/** How far a tape on the body may read from what was measured, in mm, before nothing is said on it. */
export const MOST_RESIDUAL = 6;

/** What is told of a body that a garment hangs on. */
export type BodyTold = Pick<
  SolidBody,
  'residuals' | 'assumed' | 'assumedIds' | 'estimated' | 'risesKnown' | 'heights'
> & {
  readonly surface: BodySurface;
  /** Whether its tapes read what was measured: where they do not, nothing is said on it. */
  readonly sound: boolean;
};

/** The body of measurements, as it is told and drawn. */
export function tellBody(body: SolidBody): BodyTold {
  const { residuals, assumed, assumedIds, estimated, risesKnown, heights } = body;
  const sound = residuals.every(({ measured, tape }) => Math.abs(tape - measured) <= MOST_RESIDUAL);
  return { residuals, assumed, assumedIds, estimated, risesKnown, heights, surface: surfaceOf(body), sound };
}

/** How far a garment is with being hung on a body; what is new of it, and nothing that was told before. */
export interface Wearing {
  /** From nought to one. */
  readonly share: number;
  /** The body, when it is made. */
  readonly body?: BodyTold;
  /** What hangs so far: coarse first. */
  readonly so?: Hung;
}

/** A garment hung on the body of measurements, stage by stage. Nothing hangs where the body is not sound. */
export function* wear(
  sewn: Sewn,
  of: Body,
  assumed: Partial<Assumed>,
  matter: ClothMatter,
  stages?: readonly Stage[],
): Generator<Wearing, void> {
  const body = bodyFrom(of, assumed);
  const told = tellBody(body);
  yield { share: told.sound ? 0 : 1, body: told };
  if (!told.sound) return;
  const grid = feltGrid(body);
  for (const { share, so } of drape(sewn, body, matter, grid, ...(stages ? [stages] : []))) {
    yield so ? { share, so: hungOf(so, body, grid) } : { share };
  }
}
