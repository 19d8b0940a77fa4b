export {
  shown,
  worstFirst,
  verdictOf,
  type Check,
  type CheckId,
  type Measure,
  type Verdict,
  type About,
} from './check.js';
export { classByExtensions } from './fit-class.js';
export { checkAgainstBody, RISE_BAND } from './against-body.js';
export { checkLines, type LineRules } from './lines.js';
export { checkRiseShape } from './rise-shape.js';
export { checkGirths } from './girths.js';
export { checkAgainstItself } from './against-itself.js';
