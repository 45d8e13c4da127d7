import { defaultClientConditions } from 'vite';
import { defineConfig } from 'vitest/config';

export default defineConfig({
  test: {
    projects: [
      {
        // Straight from the sources of every room.
        resolve: { conditions: ['vendu-source', ...defaultClientConditions] },
        test: {
          name: 'unit',
          include: ['{core,contract,server,cli,web,measures}/src/**/*.test.{ts,tsx}'],
          setupFiles: ['web/src/testing/setup.ts'],
          // The fuzzes of the brew model take seconds on a slow machine.
          testTimeout: 30_000,
        },
      },
      {
        // The server's sources on the compiled core and contract, and a real MariaDB.
        test: {
          name: 'integration',
          include: ['{server,cli}/test/**/*.integration.ts'],
          globalSetup: ['server/test/support/demo-copy.ts'],
          testTimeout: 20_000,
          hookTimeout: 60_000,
        },
      },
    ],
  },
});
