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
  mapCubic,
  reverse,
  parameterAtLength,
  type Cubic,
} from './cubic.js';
export * from './path.js';
export { meetCubics, meetPaths, type Meeting, type PathMeeting } from './intersect.js';
export { enclosedArea, isClosed, boxOf, pathBox, contains, type Box } from './outline.js';
export { selfCrossing } from './self-crossing.js';
export { withoutLoops } from './without-loops.js';
export { offsetPath } from './offset.js';
export { hollowOf } from './hollow.js';
export { curvesOf, pathOfCurves } from './curve-numbers.js';
export { crossLine, type LineCrossing } from './cross-line.js';
export {
  axisBetween,
  axisDown,
  GraphCurve,
  graphPath,
  onAxis,
  type Axis,
  type Figure,
  type SolvedGraph,
  type Sum,
} from './graph-curve.js';
export { laidDown, remember } from './numeric/remember.js';
export { FixedPoint } from './numeric/fixed-point.js';
export { seeded } from './numeric/seeded.js';
export { monotoneSlopes, splineSlopes } from './numeric/spline-slopes.js';
export { goldenLeast } from './numeric/golden.js';
export { solveSymmetric } from './numeric/symmetric.js';
export type { BendGive, BendLimits, BendWish } from './bend-wish.js';
export { evenBend, type EvenBend } from './even-bend.js';
export { displacePath, smoothStep, type Displacement, type Displaced } from './displace.js';
export { breaksOf, fairPath, jointedAt, type Faired } from './fair-path.js';
export { splineThrough } from './spline-through.js';
export { bulgeArc, ellipseArc } from './arc.js';
export { bSplineCubics, type BSpline } from './b-spline.js';
export { joinChains } from './chains.js';
export { bendOf, sharpestCorner } from './bend-of.js';
