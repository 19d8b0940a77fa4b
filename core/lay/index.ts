export { putByHand, SNAP, type HandPlace } from './by-hand.js';
export { clothsOf, garmentShapes, turnsOf } from './garment-shapes.js';
export {
  estimatedLength,
  laidUnder,
  LOOKS,
  layAreaOf,
  quickLength,
  type LastLay,
  type LengthFrom,
} from './estimate.js';
export { LayJob, oriented, type LayCloth, type LayShape, type Placed } from './job.js';
export { copyName, keptLay, lockedIn, placesIn, unchangedLay, type KeptLay, type KeptPlace } from './kept-lay.js';
export { layDrawing } from './lay-drawing.js';
export { leftOvers, type LeftOver } from './left-over.js';
export { placedOutline } from './placed-outline.js';
export { inPlaceOf, lengthOfPlaced, turnedInPlace } from './moved.js';
export { layFault } from './lay-refusal.js';
export { boundsOf, type Corner } from './polygon.js';
export { layAt, layOf, type FoundLay } from './search.js';
export {
  sectionsJoined,
  sectionsOf,
  sectionsPaired,
  type LaidFor,
  type LaidSection,
  type Section,
} from './sections.js';
export {
  layCloth,
  orderLaid,
  savingsFor,
  withSaving,
  type LaidBeside,
  type LayOrder,
  type OrderLaid,
  type Saving,
  type SavingChange,
  type SavingFigures,
} from './saving.js';
export { shapesTogether, togetherName, type LaidGarment } from './together.js';
export { clothWords, toBuy } from './to-buy.js';
