import { defineConfig } from 'vitest/config';

export default defineConfig({
  test: {
    include: [
      'core/**/*.test.ts',
      'formats/**/*.test.ts',
      'cli/**/*.test.ts',
      'server/**/*.test.ts',
      'app/**/*.test.ts',
      'app/**/*.test.tsx',
      'bench/**/*.test.ts',
    ],
    environment: 'node',
    setupFiles: ['bench/fixed-seed.ts'],
    // Files share what they import, and no test leaves anything behind in it: half the time goes into loading otherwise.
    isolate: false,
    maxWorkers: 2,
    testTimeout: 120_000,
  },
});
