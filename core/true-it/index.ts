export { intoBands, placeAt, type BandPlace, type BandProblem } from './least-squares.js';
export {
  trueIt,
  TARGETS,
  type Conflict,
  type TargetId,
  type Trued,
  type TrueItChange,
  type TrueItWish,
} from './true-it.js';
export { unknownsOf, type Unknown, type UnknownId } from './unknowns.js';
export { changeSentence, conflictSentence } from './words.js';
