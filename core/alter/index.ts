export type {
  Alteration,
  AlterationKind,
  AlterationWork,
  DartChange,
  LevelPlace,
  PanelChoice,
  RiseShape,
  SeamMove,
  SeamPlace,
  Tilt,
  Wedge,
} from './alteration.js';
export { alterBlock, panelsOf, type AlteredBlock, type AlterationTold } from './alter.js';
export { lengthChanges, tellAlterations, type LengthChange } from './tell.js';
export type { Mark } from './paper.js';
export { KIND_LABELS, sayAlteration, sayLevel } from './words.js';
export { STARTING_KINDS, startingWork } from './starting.js';
export { riseOf } from './rise-of.js';
