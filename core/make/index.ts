export { makePages, seamNames, type LayPicture } from './make-pages.js';
export { makePlan } from './make-plan.js';
export { MAKE_HOUSE, type MakeChoice, type MakeStep } from './make-step.js';
export { readyPage } from './ready.js';
export { sewnAgainst, type SewnPoint } from './sewn.js';
export { specOf, specPage, type SpecLine } from './spec.js';
export { canCloseSideLast } from './step-rules.js';
