export { clothsOf, garmentShapes, turnsOf, type Fold, type Nap } from './garment-shapes.js';
export { LayJob, oriented, type LayCloth, type LayShape, type Placed } from './job.js';
export { layDrawing, placedOutline } from './lay-drawing.js';
export { layFault } from './lay-refusal.js';
export type { Corner } from './polygon.js';
export { layOf, type FoundLay } from './search.js';
export { clothWords, toBuy } from './to-buy.js';
