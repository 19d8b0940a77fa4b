export { COMPONENT_LABELS, componentLabel } from './component-labels.js';
export { garmentOf, garmentOfBoth, PART_MAKERS, type PartMaker } from './garment.js';
export { legs } from './legs.js';
export { LEG_SEAMS } from './leg-seams.js';
export {
  atCurve,
  EDGE_LABELS,
  EDGE_WORDS,
  edgeOf,
  partOutline,
  type Cloth,
  type Cut,
  type Edge,
  type EdgeRole,
  type LineMeaning,
  type OwnNotch,
  type Part,
  type PartMark,
} from './part.js';
export {
  easeAllows,
  lengthAlong,
  partOf,
  seamDifference,
  seamOf,
  sewnTo,
  stretchPath,
  type Ease,
  type EdgeRef,
  type Garment,
  type Match,
  type Seam,
  type Stretch,
} from './seam.js';
