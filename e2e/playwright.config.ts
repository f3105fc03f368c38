import { defineConfig } from '@playwright/test';

/**
 * What goes deep into one thing (`@deep`), and flows that are seen wide besides (`@wide-deep`), run with all cases of what is
 * enumerated, in `npm run test:long`: docs/browser-tests.md says what each of them proves.
 */
const LONG = process.env.LONG === '1';

export default defineConfig({
  testDir: '.',
  globalSetup: './support/seeded.ts',
  timeout: 150_000,
  // What comes late on a busy machine comes; only what hangs is ended.
  expect: { timeout: 60_000 },
  workers: 2,
  fullyParallel: false,
  // These machines are noisy: one second try, told by name; more than two such fail the run (scripts/test.mjs).
  retries: 1,
  outputDir: '../.build/playwright',
  reporter: [['list'], ['json']],
  use: {
    // What is waited for by a click fails with the page as it stands, not with the whole test.
    actionTimeout: 60_000,
    // What a test answers in the server's place would not reach a page through it; its own spec allows it.
    serviceWorkers: 'block',
    launchOptions: {
      executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
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
  projects: [
    {
      name: 'phone',
      grepInvert: LONG ? /@only-wide/ : /@only-wide|@deep/,
      use: { viewport: { width: 390, height: 844 }, hasTouch: true },
    },
    // What is laid out or worked in another way where there is room; all else is the same there.
    {
      name: 'wide',
      grep: LONG ? /@wide|@only-wide/ : /@wide(?!-deep)|@only-wide/,
      ...(LONG ? {} : { grepInvert: /@deep/ }),
      use: { viewport: { width: 1280, height: 800 } },
    },
  ],
});
