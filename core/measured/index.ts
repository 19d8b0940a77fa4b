export { drawnOtherwise, drawnParameters, type DrawnOtherwise, type DrawnParameters } from './drawn.js';
export { inseamTightest, kneeEvenness } from './knee-line.js';
export { riseFigures, type RiseFigures } from './rise-line.js';
export { sideFigures, sidePair, type SideFigures } from './side-line.js';
export { swingOf, waistFigures, type WaistFigures } from './waist-line.js';
export { figureOf, figuresOf, isFigure, type FigureName, type Figures } from './figures.js';
export { hollowShare, hollowShareOf } from './hollow-share.js';
export { sideStretches, type SideStretches } from './lengths.js';
export { acrossAt, highHipLevel, hipWidthOf, leanLoss, riseGain } from './widths.js';
