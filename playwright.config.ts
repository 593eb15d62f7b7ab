import { defineConfig } from '@playwright/test';
import { JOURNEYS_IN } from './scripts/launch-app';

export default defineConfig({
  testDir: 'e2e',
  // One more than there are cores: journeys wait as often as they work. Every worker has an application and a database
  // of its own.
  workers: 3,
  retries: 0,
  // Ten times what the longest journey takes here: a shared machine may be that slow for a while.
  timeout: 600_000,
  expect: { timeout: 40_000 },
  reporter: [['list'], ['json', { outputFile: 'test-results/browser.json' }]],
  outputDir: 'test-results/browser',
  use: {
    viewport: { width: 1280, height: 800 },
    // What keeps pages for when there is no network is on where a journey is about that: it fetches sixty files anew for
    // every journey, since each is a browser that was never here.
    serviceWorkers: 'block',
    launchOptions: JOURNEYS_IN,
  },
});
