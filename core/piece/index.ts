export {
  cornerWay,
  HOUSE_ALLOWANCES,
  houseAllowances,
  MOST_ALLOWANCE,
  PROFILE_ROLES,
  widthsAlong,
  type Allowances,
  type GivenAllowance,
  type GivenStretch,
  type Profile,
  type WidthRun,
} from './allowance.js';
export { CORNER_WAYS, cornersOf, type CornerWay } from './corner.js';
export { cutLine } from './cut-line.js';
export { cutListOf, type CutListCloth, type CutListLine } from './cut-list.js';
export { notchesOf, type Notch } from './notch.js';
export { piecesOf, type Piece } from './piece.js';
export { PROFILES, profileNamed, type ProfileEntry } from './profiles.js';
export { proofOf, type Proof, type ProofLine } from './proof.js';
export { grownGarment } from './shrinkage.js';
