export { LINE_STYLES, type Drawing, type LineRole, type LineStyle, type Mark } from './drawing.js';
export { DRAW_ALL, pieceSheet, type SheetChoice, type SheetLabels } from './piece-sheet.js';
export { testSquares } from './test-squares.js';
