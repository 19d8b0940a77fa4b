export { penOf, type Drawing, type LineRole, type LineStyle, type Mark } from './drawing.js';
export { DRAW_ALL, pagedSheet, pieceSheet, type SheetChoice, type SheetLabels } from './piece-sheet.js';
export { testSquares } from './test-squares.js';
export { layOnPages, type PageStep } from './paged-layout.js';
export { wordsOfPage, type WrittenBlock, type WrittenPage, type WrittenRow } from './written.js';
export { clearOfJoins, fitLabel, labelOffsets, type Joins, type LabelLine } from './fit-label.js';
export { cutWords, sewingMarks } from './piece-marks.js';
