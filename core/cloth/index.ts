export {
  CLOTH_LABELS,
  clothOf,
  CLOTHS,
  clothsAtHand,
  houseCloth,
  laidWidth,
  layersOf,
  MOST_LAYERS,
  remnantOf,
  shrinkageOf,
  spread,
  type ClothData,
  type Cloths,
  type Flaw,
  type Fold,
  type Nap,
  type Shrinkage,
} from './cloth.js';
export { grownWords } from './grown-words.js';
export { clothFault, type ClothFault, type ClothField } from './cloth-fault.js';
