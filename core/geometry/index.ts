export * from './point.js';
export {
  cubic,
  line,
  isStraight,
  pointAt,
  velocityAt,
  directionAt,
  curvatureAt,
  splitAt,
  partOf,
  cubicLength,
  parameterAtLength,
  type Cubic,
} from './cubic.js';
export * from './path.js';
export { meetCubics, meetPaths, type Meeting, type PathMeeting } from './intersect.js';
export { enclosedArea, isClosed, boxOf, pathBox, selfCrossing, contains, type Box } from './outline.js';
export { offsetPath } from './offset.js';
export { splineDown, splineWithSlopes } from './side-spline.js';
export { hollowCurve, hollowOf, type HollowCurve, type HollowWish } from './hollow-curve.js';
