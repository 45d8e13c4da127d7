import { defaultClientConditions } from 'vite';
import { defineConfig } from 'vitest/config';

export default defineConfig({
  test: {
    projects: [
      {
        resolve: { conditions: ['vendu-source', ...defaultClientConditions] },
        test: { name: 'unit', include: ['{core,contract,cli}/src/**/*.test.ts'] },
      },
    ],
  },
});
