// The package brings its types as sources that a stricter compiler than its own refuses; ours stand beside this file.
export { default } from '@kninnug/constrainautor';
