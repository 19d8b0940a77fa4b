export {
  EDGE_NAMES,
  outlineOf,
  isSound,
  parametersOf,
  type Panel,
  type PanelPoints,
  type PanelSource,
  type Joints,
  type Manner,
  type EdgeName,
  type Dart,
  type Settled,
} from './panel.js';
export { girthLevels, levelSpan, type LegGirth } from './level-width.js';
export { draftNotes } from './draft-notes.js';
export { alikeLegs, LEGS, otherLeg, type Leg, type Legs } from './legs.js';
export { drawAdopted, type AdoptedPattern, type AdoptedPiece } from './adopted.js';
export { dartToward, laidDartsOn, roomForDart, type LaidDart } from './adopted-waist.js';
export { drawBlock, edgeLengths, sheetHip, type Block, type EdgeLengths } from './block.js';
export { INSEAM_STRETCH } from './walk-inseams.js';
export { riseBend, riseBendThrough, riseLimits } from './crotch-curve.js';
export { sideSeam, type SideWish } from './side-seam.js';
export { inseamSeam } from './leg.js';
export { WAIST_SCHOOLS, type WaistSchool } from './waist-plan.js';
export { close as closeOver, open as openOver, type FlatDart } from './flat-dart.js';
export { swingBetween, type WaistSeams } from './swing.js';
export { openWaist, type OpenWaist } from './waist-open.js';
export { closedWaist, standApart, type ClosedWaist } from './waist-over.js';
export { HOUSE_RULES, type DraftRules } from './rules.js';
