export {
  carryPoint,
  laidOutline,
  STRETCH_NAMES,
  type LaidShape,
  type LeftOut,
  type Reference,
  type ReferencePlace,
  type ReferenceShape,
  type Stretch,
  type StretchMark,
  type StretchName,
} from './reference.js';
export { FILE_UNITS, startReference, type FileShape, type OutlineFile } from './start-reference.js';
export { laidLine } from './lay-line.js';
export { layNearest, type Nearest } from './lay-nearest.js';
export { namedEdges, type NamedEdge } from './named-edges.js';
export { compareReference, largestFirst, type ReferenceFigure } from './compare-reference.js';
export { outlineRises, type OutlineRise, type OutlineRises } from './outline-rises.js';
export { adoptOutline } from './adopt.js';
export {
  adoptSizes,
  nearestSize,
  outlineSizes,
  proposedSize,
  SIZE_FIGURES,
  wantedFigures,
  type OutlineSize,
  type ProposedSize,
  type SizeFigure,
} from './outline-sizes.js';
export {
  broughtTo,
  carried,
  cutStretch,
  inFileUnit,
  joinStretch,
  laidAnew,
  nameStretch,
  placed,
  scaledByKnown,
  takenAsOutline,
  turnedAbout,
  turnedOver,
} from './change-reference.js';
export { alongOutline, linesBeside, nearestOnOutline, stretchAt, type OutlinePlace } from './on-outline.js';
export { pairedCorners, type CornerName } from './corners.js';
export { REFERENCE_SEAMS, SEWN_SEAMS, walkReference, type ReferenceSeam, type WalkedAlong } from './walk-reference.js';
