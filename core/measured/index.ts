export { drawnOtherwise, drawnParameters, type DrawnOtherwise, type DrawnParameters } from './drawn.js';
