import { defineConfig } from '@playwright/test';
import { chromiumOptions } from './support/browser.ts';

/** Where the counts go when the whole suite runs. */
const results = process.env.JOURNEY_RESULTS;

export default defineConfig({
  testDir: './journeys',
  outputDir: '../.cache/playwright',
  // Long enough for a machine that is busy with something else: a journey that passes takes no longer by it.
  timeout: 90_000,
  expect: { timeout: 15_000 },
  workers: 2,
  fullyParallel: true,
  forbidOnly: true,
  retries: 0,
  reporter: results === undefined ? [['list']] : [['list'], ['json', { outputFile: results }]],
  use: {
    viewport: { width: 1280, height: 800 },
    locale: 'en-US',
    // It would answer in place of the network that a journey cuts; the journey that is about it allows it.
    serviceWorkers: 'block',
    actionTimeout: 20_000,
    launchOptions: chromiumOptions,
  },
});
