import type { Block } from './block.js';

/** Both legs of a wearer. */
export const LEGS = ['left', 'right'] as const;

/** One leg of a wearer, as the wearer says it. */
export type Leg = (typeof LEGS)[number];

/** The other leg. */
export const otherLeg = (leg: Leg): Leg => (leg === 'left' ? 'right' : 'left');

/** The block of each leg. */
export type Legs = Readonly<Record<Leg, Block>>;

/** Two legs that are cut from one block. */
export const alikeLegs = (block: Block): Legs => ({ left: block, right: block });
