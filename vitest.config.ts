import { defineConfig } from 'vitest/config';

export default defineConfig({
  test: {
    include: [
      'core/**/*.test.ts',
      'formats/**/*.test.ts',
      'cli/**/*.test.ts',
      'server/**/*.test.ts',
      'app/**/*.test.ts',
      'bench/**/*.test.ts',
    ],
    environment: 'node',
    setupFiles: ['bench/fixed-seed.ts'],
    testTimeout: 120_000,
  },
});
