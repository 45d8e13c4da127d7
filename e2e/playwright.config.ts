import { existsSync } from 'node:fs';
import { defineConfig } from '@playwright/test';

/** One lab for each worker, separated by blanks: no test meets what another leaves behind at the same moment. */
const labs = process.env['VENDU_URL']?.split(' ') ?? [];

const CHROMIUM = ['/usr/bin/chromium-headless-shell', '/usr/bin/chromium'].find((program) =>
  existsSync(program),
);

export default defineConfig({
  projects: [
    { name: 'tests', testDir: 'tests' },
    // Not a proof but a camera: see pictures/pictures.spec.ts.
    { name: 'pictures', testDir: 'pictures' },
    // A measure of many brews: see dialIn/dialIn.spec.ts.
    { name: 'dial-in', testDir: 'dialIn', timeout: 0 },
  ],
  outputDir: '../test-results',
  workers: 1,
  retries: 0,
  // A test waits for what it awaits, not for a clock: these only end one that would never come.
  timeout: 900_000,
  expect: { timeout: 120_000 },
  forbidOnly: true,
  reporter: [['list'], ['json']],
  use: {
    baseURL: labs[Number(process.env['TEST_PARALLEL_INDEX'] ?? 0)],
    viewport: { width: 1280, height: 800 },
    // A trace of every test doubles its time; look for a fault with `--trace on`.
    trace: 'off',
    screenshot: 'only-on-failure',
    actionTimeout: 120_000,
    launchOptions: {
      ...(CHROMIUM && { executablePath: CHROMIUM }),
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
      ],
    },
  },
});
