import { defineConfig } from 'vitest/config';

// The tests of core alone, or of one folder of it, in a copy of it with one thing changed at a time. Files share their threads, as in every run.
export default defineConfig({
  test: {
    include: [process.env['VENDU_MUTATION_TESTS'] ?? 'src/**/*.test.ts'],
    testTimeout: 60_000,
    isolate: false,
  },
});
