import { expose } from 'comlink';
import type { DraftInput } from '../../core/chain/index.js';
import type { Outcome } from '../../core/refusal/index.js';
import { trueIt, type Trued, type TrueItWish } from '../../core/true-it/index.js';
import type { Unit } from '../../core/units/index.js';

const truer = {
  /** The least set of changes by which every measured target comes into its band. */
  trueIt: (input: DraftInput, unit: Unit, wish: TrueItWish): Outcome<Trued> => trueIt(input, unit, wish),
};

/** What the worker of True it does. */
export type Truer = typeof truer;

expose(truer);
