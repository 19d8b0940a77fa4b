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
export { figureOf, figuresOf, isFigure, type FigureName, type Figures } from './figures.js';
export { hollowShare } from './hollow-share.js';
export { sideStretches, type SideStretches } from './lengths.js';
export { acrossAt, highHipLevel, hipWidthOf, leanLoss, riseGain } from './widths.js';
