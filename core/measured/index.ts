export { drawnOtherwise, drawnParameters, type DrawnOtherwise, type DrawnParameters } from './drawn.js';
export {
  inseamTightest,
  kneeEvenness,
  riseFigures,
  sideFigures,
  sidePair,
  swingOf,
  waistFigures,
  type RiseFigures,
  type SideFigures,
  type WaistFigures,
} from './line-figures.js';
export { hipWidthOf, sideStretches, type SideStretches } from './lengths.js';
