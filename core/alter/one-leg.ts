import { otherLeg, type Block, type Leg, type Legs } from '../draft/index.js';
import { alterBlock, type AlteredBlock, type AlteringBy } from './alter.js';
import type { Alteration } from './alteration.js';

/** True where an alteration that is done is made to one leg alone: the legs are then cut as single pieces. */
export const legsDiffer = (alterations: readonly Alteration[]): boolean =>
  alterations.some(({ on, leg }) => on && leg !== undefined);

/** The alterations of one leg, in their order: those for both and its own. */
export const alterationsOf = (alterations: readonly Alteration[], leg: Leg): Alteration[] =>
  alterations.filter((a) => a.leg === undefined || a.leg === leg);

/** A block with its alterations done: as the leg looked at has it, and each leg's where they differ. */
export interface AlteredLegs extends AlteredBlock {
  readonly legs: Legs | undefined;
}

/**
 * Does a list of alterations on top of a block, each to the leg it is for (docs/alterations.md). Where one is for one
 * leg alone, both legs are drawn, and block and marks are those of `leg`; one that cannot be done on either is told so.
 */
export function alterLegs(
  drafted: Block,
  alterations: readonly Alteration[],
  leg: Leg,
  by: AlteringBy = {},
): AlteredLegs {
  if (!legsDiffer(alterations)) return { ...alterBlock(drafted, alterations, by), legs: undefined };
  const here = alterBlock(drafted, alterationsOf(alterations, leg), by);
  const there = alterBlock(drafted, alterationsOf(alterations, otherLeg(leg)), by);
  const told = alterations
    .filter(({ on }) => on)
    .flatMap(({ id }) => {
      const both = [here, there].flatMap((altered) => altered.told.filter((t) => t.id === id));
      return both.find(({ done }) => !done) ?? both[0] ?? [];
    });
  const legs = leg === 'left' ? { left: here.block, right: there.block } : { left: there.block, right: here.block };
  return { block: here.block, marks: here.marks, told, legs };
}
