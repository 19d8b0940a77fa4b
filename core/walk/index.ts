export { crotchJoin, waistRun } from './joins.js';
export {
  closedWaistAtSide,
  poseAt,
  posed,
  WALKS,
  walkPaths,
  walkSeam,
  type Pose,
  type SeamWalk,
  type WalkId,
  type WalkMark,
} from './walk-seams.js';
