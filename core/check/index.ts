export { worstFirst, verdictOf, type Check, type CheckId, type Verdict, type About } from './check.js';
export { classByExtensions } from './fit-class.js';
export { checkAgainstBody, hipWidthOf } from './against-body.js';
export { checkGirths } from './girths.js';
export { checkAgainstItself, sideStretches, bendOf, sharpestCorner } from './against-itself.js';
