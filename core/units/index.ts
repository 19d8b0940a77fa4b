export * from './length.js';
export * from './format.js';
export * from './reader.js';
