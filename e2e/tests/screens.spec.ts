import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { callAt, expect, go, test } from '../support/test';

const screens = {
  'where the attendant is written': [
    '/today',
    '/script',
    '/script/sheet:fuel',
    '/script/path:urgent',
    '/script/sheet:welcome?beside=sheet:afterHours',
    '/time-map',
    '/starters',
    '/lines',
  ],
  'in the hours and greetings': [
    '/hours',
    '/hours/year',
    '/hours/ahead',
    '/greetings',
    '/greetings/sheet:launch',
    '/greetings/sessions',
  ],
  'in the directory': [
    '/directory/people',
    '/directory/groups',
    '/directory/queues',
    '/directory/extensions',
    '/directory/contacts',
    '/directory/boxes',
    '/directory/callers',
    '/directory/take-in',
  ],
  'where calls are seen': [
    '/messages',
    '/messages/deleted',
    '/messages/outbox',
    '/traffic',
    '/traffic/pressed',
    '/traffic/answered',
    '/traffic/who',
    '/traffic/came?compare=before',
    '/traffic/calls',
    '/settings',
    '/handset',
    '/desk',
  ],
  'on the way on air': ['/on-air', '/proof', '/rehearsals', '/rehearsals/paths', '/versions', '/first-calls'],
};

/** All rules, run in the page itself and told only of what is wrong, which is several times as quick. */
const axeOf = (page: Page): AxeBuilder =>
  new AxeBuilder({ page }).setLegacyMode().options({ resultTypes: ['violations'] });

for (const [name, paths] of Object.entries(screens)) {
  test(`axe finds nothing ${name}, in light and in dark`, async ({ page, server }) => {
    await page.goto(server.url);
    for (const path of paths) {
      await page.emulateMedia({ colorScheme: 'light' });
      await go(page, path);
      await expect(page).toHaveURL(server.url + path);
      await expect(
        page
          .getByRole('main')
          .getByRole('textbox')
          .or(page.getByRole('heading', { level: 1 }))
          .first(),
      ).toBeVisible();
      expect(await violations(axeOf(page), path)).toEqual([]);
      // The same page in other colours.
      await page.emulateMedia({ colorScheme: 'dark' });
      await expect(page.locator('html')).toHaveClass(/dark/);
      expect(await violations(axeOf(page).withRules('color-contrast'), `${path} in dark`)).toEqual([]);
    }
  });
}

async function violations(axe: AxeBuilder, where: string): Promise<readonly string[]> {
  const { violations } = await axe.analyze();
  return violations.map(({ id, nodes }) => `${where}: ${id}: ${nodes.map((node) => node.html).join(' ')}`);
}

test.describe('with nothing in it', () => {
  test.use({ data: 'empty' });

  test('axe finds nothing on the first run', async ({ page, server }) => {
    await page.goto(server.url);
    await expect(page.getByRole('heading', { name: 'Welcome to Locutor' })).toBeVisible();
    expect((await axeOf(page).analyze()).violations).toEqual([]);
  });
});

test('axe finds nothing during a call', async ({ page, server }) => {
  await page.goto(`${server.url}/today`);
  await callAt(page, '2026-11-23T10:00');
  await page.getByRole('button', { name: 'Press 5' }).click();
  await expect(page.getByText('Hana Zielinska is ringing')).toBeVisible();
  // A call may begin before the screen beside it is there.
  await expect(page.getByRole('heading', { level: 1, name: 'Today' })).toBeVisible();
  expect((await axeOf(page).analyze()).violations).toEqual([]);
});

test('every screen is reached by keyboard, and the list of shortcuts too', async ({ page, server }) => {
  await page.goto(`${server.url}/today`);
  await expect(page.getByRole('heading', { name: 'Today' })).toBeVisible();
  for (const [letter, name] of [
    ['h', 'Hours'],
    ['g', 'Greetings'],
    ['d', 'Directory'],
    ['m', 'Messages'],
    ['t', 'Today'],
  ] as const) {
    await page.keyboard.press('g');
    await page.keyboard.press(letter);
    await expect(page.getByRole('heading', { level: 1, name })).toBeVisible();
  }
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog', { name: 'Keyboard shortcuts' })).toBeVisible();
  await page.keyboard.press('Escape');
  const handset = page.getByRole('complementary', { name: 'Handset' });
  await expect(handset).toBeVisible();
  await page.keyboard.press('h');
  await expect(handset).toBeHidden();
});

test('the page keeps within a window of 1024 and of 390 pixels', async ({ page, server }) => {
  for (const width of [1024, 390]) {
    await page.setViewportSize({ width, height: 800 });
    for (const path of ['/today', '/messages', ...(width > 1000 ? ['/script', '/hours', '/directory/people'] : [])]) {
      await page.goto(server.url + path);
      await expect(page.getByRole('navigation', { name: 'Screens' })).toBeVisible();
      const over = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
      expect(over, `${path} at ${width}`).toBeLessThanOrEqual(0);
    }
  }
});
