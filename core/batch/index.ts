export { appliedTo, type Applied, type BatchBody, type BatchCloth, type BatchGarment } from './apply.js';
