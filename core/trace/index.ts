export { evenly, smoothTrace, type BodyTrace, type SmoothTrace } from './smooth-trace.js';
export {
  joinedRises,
  layTrace,
  sayGaps,
  SHAPE_BAND,
  takeShape,
  type Gap,
  type JoinedRises,
  type LaidTrace,
  type RiseGaps,
} from './lay-trace.js';
