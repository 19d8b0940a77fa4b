export { arrangeRound } from './arrange.js';
export { particlesOf, sewUp, type Assembly } from './assembly.js';
export { CLOTH_MATTER, type ClothMatter } from './cloth.js';
export {
  drape,
  drapeOf,
  feltGrid,
  STAGES,
  waistHeightOf,
  type Draped,
  type DrapeProgress,
  type Sewn,
  type Stage,
} from './drape.js';
export { fitFigures } from './figures.js';
export {
  differ,
  FIT_FIGURE_IDS,
  FIT_FIGURES,
  type FitDifference,
  type FitFigureId,
  type FitFigures,
  type FitUnit,
} from './fit-figures.js';
export { gapOf, pressureOf, strainOf, type Strain } from './maps.js';
export { meshParts, wornParts, type PartMesh } from './mesh.js';
export { refine } from './refine.js';
export { Cloth, STEP, type Course } from './solver.js';
export { FIT_MAP_IDS, FIT_MAPS, hungOf, mapDifference, type FitMapId, type Hung, type HungPart } from './hung.js';
export { MOST_RESIDUAL, tellBody, wear, type BodyTold, type Wearing } from './wear.js';
export { ASSUMED_LABELS, FIT_LABELS, FIT_MAP_LABELS, fitFigureSaid, sayDifference } from './words.js';
export {
  predictionSaid,
  PREDICTION_KINDS,
  predictionsFrom,
  scoreOf,
  type Prediction,
  type PredictionScore,
} from './prediction.js';
