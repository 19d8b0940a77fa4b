import { doubtsOf, risesAsk, setOf, type Work } from '../../core/kept/index.js';

/** True where something in the set in hand looks wrong, or asks for an answer. */
export const isDoubtful = (work: Work): boolean =>
  doubtsOf(work.person, setOf(work)).length > 0 || risesAsk(work.person, setOf(work)) !== undefined;
