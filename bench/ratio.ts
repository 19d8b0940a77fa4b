import { execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';

/** Lines of code, without blank lines and lines of comment only. */
function codeLines(file: string): number {
  return readFileSync(file, 'utf8')
    .split('\n')
    .filter((l) => !/^\s*(\/\/|\*|\/\*|$)/.test(l)).length;
}

const files = execFileSync('git', ['ls-files', '*.ts', '*.tsx'], { encoding: 'utf8' }).trim().split('\n');
const isTest = (file: string): boolean => /\.test\.tsx?$/.test(file) || file.startsWith('e2e/');
const sum = (list: readonly string[]): number => list.reduce((total, file) => total + codeLines(file), 0);
const tests = sum(files.filter(isTest));
const all = sum(files);
console.log(`Tests are ${tests} of ${all} lines of code: ${((100 * tests) / all).toFixed(1)} % (wanted: 25 to 33 %).`);
