export { cutLine, HOUSE_ALLOWANCES, type Allowances } from './allowance.js';
export { notchesOf, type Notch } from './notch.js';
export { piecesOf, type Piece } from './piece.js';
