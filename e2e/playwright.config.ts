import { defineConfig } from '@playwright/test';
import { launchOptions } from './browser';

export default defineConfig({
  testDir: '.',
  outputDir: '../test-results',
  timeout: 180_000,
  // A machine that is busy with other things answers late, which is not what the walks are about.
  expect: { timeout: 20_000 },
  // Most of a walk is waiting for somebody to type.
  workers: 2,
  reporter: 'list',
  // A trace costs a walk half of its time: TRACE=1 keeps one of each walk that fails.
  use: {
    viewport: { width: 1280, height: 800 },
    launchOptions,
    trace: process.env.TRACE ? 'retain-on-failure' : 'off',
    screenshot: 'only-on-failure',
  },
});
