import { defineConfig } from '@playwright/test';
import { launchOptions } from './browser';

export default defineConfig({
  testDir: '.',
  outputDir: '../test-results',
  timeout: 120_000,
  // A machine that is busy with other things answers late, which is not what the walks are about.
  expect: { timeout: 10_000 },
  workers: 1,
  reporter: 'list',
  use: { viewport: { width: 1280, height: 800 }, launchOptions, trace: 'retain-on-failure' },
});
