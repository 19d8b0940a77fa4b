export {
  CHECK_IDS,
  shown,
  worseThan,
  worstFirst,
  verdictOf,
  type Check,
  type CheckId,
  type Verdict,
  type About,
} from './check.js';
export { CHECK_GROUPS, groupOf, type CheckGroupId } from './groups.js';
export type { Measure } from './measure.js';
export type { Finding } from './finding.js';
export { checkLabel, plainValue, sayCompares, sayFinding } from './words.js';
export { checkedFigure, legWalk, ofBothLegs } from './both-legs.js';
export { classByExtensions } from './fit-class.js';
export { characterOf, RISE_BAND, wantedRise } from './rises.js';
export { checkAgainstBody } from './against-body.js';
export { checkLines, type LineRules } from './lines.js';
export { checkRiseShape } from './rise-shape.js';
export { checkGirths } from './girths.js';
export { checkAgainstItself } from './against-itself.js';
