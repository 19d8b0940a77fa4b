export { COMPONENTS, componentNamed } from './components/index.js';
export { GROUPS, type AnyComponent, type Field, type Fields, type Group, type StyleContext } from './component.js';
export type { Finding, FindingCode } from './finding.js';
export type { Opening } from './opening.js';
export {
  faultOfValue,
  NO_STYLE,
  SEAM_TOLERANCE,
  standing,
  styled,
  valuesOf,
  type Style,
  type Styled,
  type StyleItem,
  type StyleTold,
  type StyleValue,
} from './style.js';
export { garmentVerdict, type GarmentVerdict } from './garment-verdict.js';
export { draftGarment, styleContext, waistDropOf } from './draft-garment.js';
export { trimmingName, trimmingWords, type Trimming, type TrimmingKind } from './trimming.js';
export { findingWords, topEdgeWords } from './words.js';
