export { pathData } from './write-path.js';
export { toSvg } from './svg.js';
export { planTiles, PAPERS, HOUSE_TILING, type Paper, type Tile, type TilePlan, type Tiling } from './tiles.js';
export { unprintable, UNKNOWN_LETTER, type Alphabet } from './letters.js';
