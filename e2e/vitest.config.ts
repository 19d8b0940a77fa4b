import { defineConfig } from 'vitest/config';

export default defineConfig({
  test: {
    include: ['e2e/**/*.e2e.ts'],
    globalSetup: ['e2e/serve.ts'],
    // Two browsers at once: each file has its own, with a profile of its own.
    maxWorkers: 2,
    testTimeout: 300_000,
    hookTimeout: 120_000,
  },
});
