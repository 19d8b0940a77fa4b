export { causesOf, type AmountFrom, type Evidence, type Observed, type OnLeg, type RankedCause } from './causes.js';
export { DOES, startingAmount, type DoesId } from './does.js';
export { KNOWLEDGE, pinNamed, seenNamed, type Cause, type Knowledge, type PinKind, type Seen } from './knowledge.js';
