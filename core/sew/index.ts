export { particlesOf, sewUp } from './assembly.js';
export { CLOTH_MATTER, type ClothMatter } from './cloth.js';
export { drape, drapeOf, feltGrid, STAGES, type Draped, type Sewn, type Stage } from './drape.js';
export { fitFigures } from './figures.js';
export {
  differ,
  FIT_FIGURE_IDS,
  FIT_FIGURES,
  type FitDifference,
  type FitFigureId,
  type FitFigures,
} from './fit-figures.js';
export {
  FIT_MAP_IDS,
  FIT_MAPS,
  hungLeg,
  hungOf,
  mapDifference,
  type FitMapId,
  type Hung,
  type HungLeg,
} from './hung.js';
export { gapOf, strainOf } from './maps.js';
export { meshParts, type PartMesh } from './mesh.js';
export { predictionSaid, predictionsFrom, scoreOf, type Prediction, type PredictionScore } from './prediction.js';
export { sewnOf, shapesOf } from './sewn.js';
export { Cloth } from './solver.js';
export { MOST_RESIDUAL, wear, type BodyTold, type Wearing } from './wear.js';
export { ASSUMED_LABELS, FIT_LABELS, FIT_MAP_LABELS, fitFigureSaid, sayDifference } from './words.js';
