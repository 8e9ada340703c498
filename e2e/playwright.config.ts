import { defineConfig } from '@playwright/test';
import { microphoneFile } from './support/places';

export default defineConfig({
  testDir: 'tests',
  globalSetup: './support/globalSetup.ts',
  timeout: 120_000,
  expect: { timeout: 15_000 },
  workers: 2,
  // Machines are shared and noisy: one more try, which the report shows as flaky.
  retries: 1,
  forbidOnly: true,
  reporter: [['list']],
  use: {
    viewport: { width: 1280, height: 800 },
    timezoneId: 'America/New_York',
    locale: 'en-US',
    permissions: ['microphone'],
    launchOptions: {
      executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
      args: [
        '--no-sandbox',
        '--disable-background-networking',
        '--use-fake-device-for-media-stream',
        '--use-fake-ui-for-media-stream',
        `--use-file-for-fake-audio-capture=${microphoneFile}`,
      ],
    },
  },
});
