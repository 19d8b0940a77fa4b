export {
  kindOf,
  KINDS,
  STARTING_KINDS,
  startingWork,
  type Alteration,
  type AlterationKind,
  type AlterationWork,
  type RiseShape,
} from './alteration.js';
export type { AnyKind, Field } from './kind.js';
export { RUNS_UP, type LevelPlace, type SeamPlace } from './place.js';
export { downSeam, onSeam, seamNear } from './on-seam.js';
export { takesDartOver } from './kinds/dart.js';
export { withLengths } from './with-lengths.js';
export { alterationsOf, alterLegs, legsDiffer, type AlteredLegs } from './one-leg.js';
export { alterBlock, type AlteredBlock, type AlterationTold } from './alter.js';
export { alteredInTurn, fallsShort, lengthChanges, type AlteredStep, type LengthChange } from './tell.js';
export type { Mark } from './paper.js';
export { sayAlteration } from './words.js';
export { riseOf } from './rise-of.js';
