export { worstFirst, verdictOf, type Check, type CheckId, type Verdict, type About } from './check.js';
export { FIT_CLASSES, fitClass, classByExtensions, type FitClass, type FitClassId } from './fit-class.js';
export { checkAgainstBody, hipWidthOf } from './against-body.js';
export { checkAgainstItself, sideStretches, bendOf, sharpestCorner } from './against-itself.js';
