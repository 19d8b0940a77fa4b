export { crotchJoin, waistJoin, waistRun } from './joins.js';
export {
  closedWaistAtSide,
  poseAt,
  posed,
  walkPaths,
  walkSeam,
  type Pose,
  type SeamWalk,
  type WalkMark,
} from './walk-seams.js';
