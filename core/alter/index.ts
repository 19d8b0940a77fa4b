export type { Alteration, AlterationKind, AlterationWork, LevelPlace, RiseShape, SeamPlace } from './alteration.js';
export { alterBlock, type AlteredBlock } from './alter.js';
export { lengthChanges, tellAlterations, type LengthChange } from './tell.js';
export type { Mark } from './paper.js';
export { KIND_LABELS, sayAlteration } from './words.js';
export { STARTING_KINDS, startingWork } from './starting.js';
export { riseOf } from './rise-of.js';
