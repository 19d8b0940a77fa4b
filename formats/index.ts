export { pathData } from './write-path.js';
export { toDxf } from './dxf.js';
export { toSvg } from './svg.js';
export {
  fewestPages,
  pageStep,
  planTiles,
  PAPERS,
  HOUSE_TILING,
  type Paper,
  type Tile,
  type TilePlan,
  type Tiling,
} from './tiles.js';
export { unprintable, UNKNOWN_LETTER, type Alphabet } from './letters.js';
