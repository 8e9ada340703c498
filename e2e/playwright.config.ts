import { defineConfig } from '@playwright/test';
import { microphoneFile } from './support/places';

export default defineConfig({
  testDir: 'tests',
  globalSetup: './support/globalSetup.ts',
  timeout: 120_000,
  // Putting on air runs the proof and all rehearsals, which takes its time beside other work.
  expect: { timeout: 30_000 },
  // Each test has a server and data of its own.
  fullyParallel: true,
  workers: Number(process.env.LOCUTOR_BROWSERS ?? 2),
  retries: 0,
  forbidOnly: true,
  reporter: [['list'], ...(process.env.PLAYWRIGHT_JSON_OUTPUT_NAME ? ([['json']] as const) : [])],
  use: {
    viewport: { width: 1280, height: 800 },
    timezoneId: 'America/New_York',
    locale: 'en-US',
    contextOptions: { reducedMotion: 'reduce' },
    permissions: ['microphone'],
    launchOptions: {
      executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium-headless-shell',
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
