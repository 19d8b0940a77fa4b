export { cutLine, HOUSE_ALLOWANCES, houseAllowances, type Allowances } from './allowance.js';
export { notchesOf, type Notch } from './notch.js';
export { piecesOf, type Piece } from './piece.js';
export { grownBlock, NO_SHRINKAGE, type Shrinkage } from './shrinkage.js';
