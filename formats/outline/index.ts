export { MOST_BYTES, readOutline, tooLarge } from './read-outline.js';
