export * from './length.js';
export * from './format.js';
