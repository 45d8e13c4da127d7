import { defaultClientConditions } from 'vite';
import { defineConfig } from 'vitest/config';

export default defineConfig({
  test: {
    projects: [
      // Unit tests read the sources of every room. Many files share a thread: most take longer to load than to run.
      {
        resolve: { conditions: ['vendu-source', ...defaultClientConditions] },
        test: {
          name: 'unit',
          include: ['{core,contract,server,cli,measures,web,card}/**/*.test.ts'],
          // What needs a page has the next project; to make one takes longer than most tests.
          exclude: ['**/*.dom.test.ts', '**/node_modules/**', '**/dist/**'],
          pool: 'threads',
          isolate: false,
          maxWorkers: 2,
          sequence: { groupOrder: 0 },
          // These only end a test that would never come: fuzzes of the brew model take seconds, and many on a busy machine.
          testTimeout: 120_000,
          expect: { poll: { timeout: 100_000 } },
        },
      },
      {
        resolve: { conditions: ['vendu-source', ...defaultClientConditions] },
        test: {
          name: 'unit-web',
          include: ['{web,card}/**/*.{test.tsx,dom.test.ts}'],
          exclude: ['**/node_modules/**', '**/dist/**'],
          setupFiles: ['web/src/testing/setup.ts'],
          pool: 'threads',
          environment: 'jsdom',
          isolate: false,
          maxWorkers: 2,
          sequence: { groupOrder: 1 },
          testTimeout: 120_000,
          expect: { poll: { timeout: 100_000 } },
        },
      },
      {
        // The server's sources on the compiled core and contract, and a real MariaDB.
        test: {
          name: 'integration',
          include: ['{server,cli}/test/**/*.integration.ts'],
          globalSetup: ['server/test/support/demo-copy.ts'],
          // One file after the other in a process: each opens an application of its own, on the server loaded once.
          isolate: false,
          maxWorkers: 2,
          sequence: { groupOrder: 2 },
          testTimeout: 120_000,
          expect: { poll: { timeout: 100_000 } },
          hookTimeout: 240_000,
        },
      },
    ],
  },
});
