import { createRequire } from 'node:module';
import { join } from 'node:path';
import { chromium } from './chromium.mjs';
import { build, install, root } from './setup.mjs';
import { demoServer } from './testServer.mjs';

/** One current picture of each main view, from the demo business, into docs/screenshots/. */
install();
build();
const playwright = createRequire(join(root, 'e2e', 'package.json'))('@playwright/test');
const { url, stop } = await demoServer();
const browser = await playwright.chromium.launch({
  executablePath: chromium(),
  args: [
    '--no-sandbox',
    '--disable-background-networking',
    '--use-fake-device-for-media-stream',
    '--use-fake-ui-for-media-stream',
  ],
});

async function picture(name, path, { colorScheme = 'light', size = { width: 1280, height: 800 }, before } = {}) {
  const context = await browser.newContext({
    viewport: size,
    colorScheme,
    locale: 'en-US',
    timezoneId: 'America/New_York',
    reducedMotion: 'reduce',
  });
  const page = await context.newPage();
  await page.goto(url + path);
  await page.getByRole('heading', { level: 1 }).waitFor({ state: 'attached' });
  await page.waitForTimeout(400);
  await before?.(page);
  await page.screenshot({ path: join(root, 'docs', 'screenshots', `${name}.png`) });
  await context.close();
}

async function call(page) {
  await page.getByLabel('Or any moment, by the line’s clock').fill('2026-11-23T10:00');
  await page.getByRole('button', { name: 'Call', exact: true }).click();
  await page.waitForTimeout(5500);
}

await picture('today', '/today');
await picture('today-dark', '/today', { colorScheme: 'dark' });
await picture('today-phone', '/today', { size: { width: 390, height: 800 } });
await picture('script', '/script', { before: call });
await picture('script-dark', '/script/sheet:repairs', { colorScheme: 'dark' });
await picture('hours', '/hours');
await picture('greetings', '/greetings', {
  before: async (page) => {
    await page.getByRole('link', { name: /Moorings box/ }).click();
    await page.getByRole('region', { name: 'Greeting' }).waitFor();
  },
});
await picture('script-side-by-side', '/script/sheet:welcome?beside=sheet:afterHours');
await picture('time-map', '/time-map', {
  before: async (page) => {
    await page.getByRole('button', { name: 'Close the handset' }).click();
    await page.waitForTimeout(1500);
  },
});
await picture('directory-people', '/directory/people', {
  before: async (page) => {
    await page.getByRole('button', { name: 'More about Cormac Adeyemi' }).click();
  },
});
await picture('directory-take-in', '/directory/take-in', {
  before: async (page) => {
    const rows = [
      'Name\tExtension\tE-mail\tMobile',
      'Noor Haldane\t212\tnoor.haldane@larkspurcove.example\t+1 207 555 0112',
      'Pia Renner\t\tpia@larkspurcove.example\t207 555 0113',
      'Pia Renner\t240',
      '=HYPERLINK("x")\t241',
      'Effie Brannigan\t213',
      'Otto Lund\t204\tnowhere',
    ];
    await page.getByLabel('Rows from a spreadsheet, or contact cards').fill(rows.join('\n'));
  },
});
await picture('directory-extensions', '/directory/extensions');
await picture('directory-boxes', '/directory/boxes');
await picture('messages', '/messages');
await picture('script-sentence', '/script/sheet:welcome', {
  before: async (page) => {
    await page.getByLabel('What key 5, step 1 does').selectOption('ringOutside');
    await page.getByRole('button', { name: 'More for key 5, step 1' }).click();
    await page.getByRole('menuitem', { name: 'Duplicate' }).waitFor();
  },
});
await picture('on-air', '/on-air', {
  before: async (page) => {
    await page.goto(`${url}/script`);
    await page
      .getByRole('textbox', { name: 'Opening words' })
      .fill('Ahoy, and thank you for calling Larkspur Cove Boatyard.');
    await page.getByRole('link', { name: 'Put on air' }).click();
    await page.getByText('Welcome is changed.').waitFor();
  },
});
await browser.close();
await stop();
