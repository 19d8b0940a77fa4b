export { causesOf, type AmountFrom, type Evidence, type Observed, type RankedCause } from './causes.js';
export { standsFor, type StandsFor } from './fold-speaks.js';
export type { OnLeg } from './on-leg.js';
export { bandDone, type BandDone } from './band-done.js';
export { bandOf, DOES, startingAmount, WAYS, worksOf, type DoesId } from './does.js';
export {
  atPlace,
  KNOWLEDGE,
  pinNamed,
  placesOf,
  seenNamed,
  type BodyPlace,
  type Cause,
  type Knowledge,
  type PinKind,
  type Seen,
} from './knowledge.js';
export { learntOf, type FittingDone, type Learnt } from './learnt.js';
export { SEWN_SEAMS_OF_TOILE, sewnSeam, type SewnSeam, type SewnSeamId } from './sewn-seam.js';
export { onCut, type CutVerdict, type OnCut } from './on-cut.js';
export { blankFittingPage, fittingPage, type FittingFacts } from './fitting-page.js';
export { pinPlaces, type PinPlace } from './pin-places.js';
export {
  atCentre,
  firstFold,
  FOLD,
  foldFault,
  foldPlace,
  foldWork,
  isTakenOut,
  type FoldFault,
  type Pin,
  type PinnedFold,
} from './pinned-fold.js';
export { readKnowledge, writeKnowledge } from './knowledge-file.js';
