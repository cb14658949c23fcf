import { defineConfig } from '@playwright/test';

/** Journeys in Debian's Chromium against a built and started app; scripts/e2e.sh starts it on a free port. */
export default defineConfig({
  testDir: 'e2e',
  workers: 2,
  fullyParallel: true,
  // A machine that others share can be eight times slower for a while: what is waited for comes all the same.
  timeout: 900_000,
  expect: { timeout: 180_000 },
  // Such a machine may also stand still for minutes; what passes only at the second try is named in the closing lines.
  retries: 1,
  reporter: [['list']],
  use: {
    baseURL: process.env.MAZURKA_URL,
    // What is to be pressed and never comes is told in minutes, not at the end of a quarter of an hour.
    actionTimeout: 180_000,
    viewport: { width: 1280, height: 800 },
    acceptDownloads: true,
    // Only the journeys without a network want it: fetching the whole app for each of the others would double their time.
    serviceWorkers: 'block',
    // Blades stand still: on a machine without a graphics card, turning ones take the time of all else. The tests of what
    // moves ask for it.
    contextOptions: { reducedMotion: 'reduce' },
    launchOptions: {
      executablePath: '/usr/bin/chromium',
      args: [
        '--headless',
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
