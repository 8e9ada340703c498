import { defineConfig } from '@playwright/test';
import { microphoneFile } from './support/places';

export default defineConfig({
  testDir: 'tests',
  globalSetup: './support/globalSetup.ts',
  timeout: 90_000,
  expect: { timeout: 8_000 },
  workers: 2,
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
