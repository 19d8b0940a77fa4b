export * from './vocabulary.js';
export * from './estimate.js';
export * from './plausible.js';
