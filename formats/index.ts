export { pathData } from './write-path.js';
export { toDxf } from './dxf/release-12.js';
export { toSplineDxf } from './dxf/release-2000.js';
export { figuresCsv } from './figures-csv.js';
export { cutListCsv } from './cut-list-csv.js';
export { fileNames, plainName } from './file-name.js';
export { readPages, type PageRange } from './page-range.js';
export { SMALL_PRINTS, smallDrawing } from './small.js';
export { toSvg } from './svg.js';
export { drawingToScale } from './to-scale.js';
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
export { pagedDrawing } from './paged.js';
