export { ASSUMED, type Assumed, type AssumedId } from './assumed.js';
export { bodyFrom, TO_DRAW, type Fineness, type SolidBody } from './body.js';
export { contourAt, placeOn, type Contour } from './contour.js';
export type { Heights } from './figures.js';
export { distanceInto, gridOf, type DistanceGrid } from './grid.js';
export { placeAlong, type Flat } from './tape.js';
export { reachAt, type Reach } from './silhouette.js';
export { surfaceOf, type BodySurface } from './surface.js';
