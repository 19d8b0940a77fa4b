export { intoBands, placeAt, type BandPlace, type BandProblem } from './least-squares.js';
export { TARGETS, type Conflict, type TargetId, type Trued, type TrueItChange } from './answer.js';
export { trueIt, type TrueItWish } from './true-it.js';
export { unknownsOf, type Unknown, type UnknownId } from './unknowns.js';
export { changeSentence, conflictSentence } from './words.js';
