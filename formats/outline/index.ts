export { readOutline, tooLarge } from './read-outline.js';
