import { existsSync } from 'node:fs';
import { resolve } from 'node:path';
import { defineConfig } from 'vitest/config';
import { FAULTS } from './faults.js';

const fault = FAULTS.find(({ id }) => id === process.env['FAULT']);
if (!fault) throw new Error(`There is no fault “${process.env['FAULT'] ?? ''}”`);
const root = resolve(import.meta.dirname, '..', '..');

export default defineConfig({
  root,
  plugins: [
    {
      name: 'plant',
      enforce: 'pre',
      transform(code, id) {
        if (id.split('?')[0] !== resolve(root, fault.file)) return undefined;
        return code.replace(fault.was, () => fault.now);
      },
    },
  ],
  test: {
    // A folder, or the beginning of a test's name.
    include: fault.seen.map((where) =>
      existsSync(resolve(root, where)) ? `${where}/**/*.test.{ts,tsx}` : `${where}*.test.{ts,tsx}`,
    ),
    environment: 'node',
    setupFiles: ['bench/fixed-seed.ts'],
    testTimeout: 30_000,
    bail: 1,
    cache: false,
  },
});
