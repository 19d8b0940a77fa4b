export { garmentOf, garmentOfBoth, PART_MAKERS, type PartMaker } from './garment.js';
export { LEG_SEAMS } from './leg-seams.js';
export {
  EDGE_LABELS,
  EDGE_WORDS,
  edgeOf,
  partOutline,
  type Cloth,
  type Cut,
  type Edge,
  type EdgeRole,
  type LineMeaning,
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
