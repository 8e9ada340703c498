import { test as base, expect, type APIRequestContext, type Page } from '@playwright/test';
import { levelDb, readWav } from '@locutor/core/audio';
import { BrowserWindow } from './browserWindow';
import { ServerHost, TestServer } from './server';

interface Fixtures {
  /** What the server begins with. */
  readonly data: 'empty' | 'demo';
  /** Whether it runs in a process of its own, so that the test can stop it. */
  readonly ownProcess: boolean;
  readonly server: TestServer;
}

interface WorkerFixtures {
  readonly host: ServerHost;
  readonly window: BrowserWindow;
}

/** A test against a real server of its own; nothing may go wrong in the browser's console meanwhile. */
export const test = base.extend<Fixtures, WorkerFixtures>({
  host: [
    // eslint-disable-next-line no-empty-pattern -- Playwright reads the needed fixtures from the pattern
    async ({}, use) => {
      const host = await ServerHost.start();
      await use(host);
      host.end();
    },
    { scope: 'worker' },
  ],
  window: [
    async ({ playwright }, use, { project }) => {
      const window = await BrowserWindow.open(playwright.chromium, project.use);
      await use(window);
      await window.close();
    },
    { scope: 'worker' },
  ],
  ownProcess: [false, { option: true }],
  data: ['demo', { option: true }],
  context: async ({ window }, use) => {
    await use(window.context);
    await window.empty();
  },
  server: async ({ data, ownProcess, host, window }, use) => {
    const server = new TestServer(data, host, ownProcess);
    await server.start();
    await use(server);
    // What is open might still ask for something.
    await window.empty(server.url);
    await server.end();
  },
  page: async ({ page, viewport }, use) => {
    const mistakes: string[] = [];
    page.on('pageerror', (error) => mistakes.push(error.message));
    if (viewport) await page.setViewportSize(viewport);
    await use(page);
    expect(mistakes).toEqual([]);
  },
});

export { expect };

/** Loudness of a kept sound, in dB relative to full scale. */
export async function loudnessOf(request: APIRequestContext, url: string): Promise<number> {
  const wav = readWav(new Uint8Array(await (await request.get(url)).body()));
  if (!wav.ok) throw new Error(`${url} is not a sound`);
  return levelDb(wav.value);
}

/** The first run: fills in its sentences as a new user would. */
export async function startLine(page: Page, server: TestServer): Promise<void> {
  await page.goto(server.url);
  await page.getByLabel('Name of the business').fill('Larkspur Cove Boatyard');
  await page.getByLabel('Telephone number').fill('+1 207 555 0140');
  await page.getByLabel('Time zone').fill('America/New_York');
  await page.getByLabel('Name of person 1').fill('Noor Haldane');
  await page.getByLabel('Extension of person 1').fill('212');
  await page.getByLabel('Name of person 2').fill('Priya Castellanos');
  await page.getByLabel('Extension of person 2').fill('204');
  await page.getByRole('button', { name: 'Write my attendant' }).click();
  await expect(page.getByRole('textbox', { name: 'Opening words' })).toHaveText(
    'Thank you for calling Larkspur Cove Boatyard.',
  );
}

/** Goes to another screen as a link does: the application stays as it is. Its first page is asked of the server. */
export async function go(page: Page, path: string): Promise<void> {
  await page.evaluate((to) => {
    if (new URL(to, location.href).pathname !== location.pathname) {
      document.querySelector('#work > *')?.setAttribute('data-before', '');
    }
    history.pushState(null, '', to);
    dispatchEvent(new PopStateEvent('popstate', { state: null }));
  }, path);
  await expect(page.locator('#work > [data-before]')).toHaveCount(0);
}

/** Waits until the line bar says that everything is saved. */
export async function saved(page: Page): Promise<void> {
  await expect(page.getByRole('banner').getByRole('status')).toHaveText('Saved');
}

/** Waits until what is being recorded has lasted so many seconds. */
export async function spokenFor(page: Page, seconds: number): Promise<void> {
  const length = async (): Promise<number> => {
    const [minutes, rest] = ((await page.getByRole('timer').textContent()) ?? '').split(':').map(Number);
    return (minutes ?? 0) * 60 + (rest ?? 0);
  };
  await expect.poll(length, { intervals: [100] }).toBeGreaterThanOrEqual(seconds);
}

/** Types a moment, such as `2026-11-23T10:00`, into the field of that name, as its user writes days and times. */
export async function setMoment(page: Page, label: string, moment: string): Promise<void> {
  const [day = '', time = ''] = moment.split('T');
  const field = page.getByRole('group', { name: label });
  await field.getByLabel(/: date$/).fill(day);
  await field.getByLabel(/: time$/).fill(time);
  await field.getByLabel(/: time$/).blur();
}

/** Calls on the handset at a moment by the line's clock, such as `2026-11-23T10:00`. */
export async function callAt(page: Page, moment: string): Promise<void> {
  await setMoment(page, 'Or any moment, by the line’s clock', moment);
  await page.getByRole('button', { name: 'Call', exact: true }).click();
}

export const heard = (page: Page) => page.getByRole('log', { name: 'What is heard' });
