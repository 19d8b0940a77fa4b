export { TERMS, termOf, type Shown, type Term } from './terms.js';
