export { crotchJoin, waistJoin, waistRun } from './joins.js';
export {
  closedWaistAtSide,
  poseAt,
  posed,
  walkedRound,
  walkFrom,
  walkPaths,
  walkSeam,
  type Pose,
  type SeamWalk,
  type WalkMark,
  type WalkStop,
} from './walk-seams.js';
