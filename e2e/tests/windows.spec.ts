import type { Locator } from '@playwright/test';
import { expect, saved, test } from '../support/test';

test('a greeting changed in two windows is kept or given up, as chosen', async ({ page, context, server }) => {
  await page.goto(`${server.url}/greetings`);
  await page.getByRole('link', { name: /Moorings box/ }).click();
  const other = await context.newPage();
  await other.goto(page.url());
  const [mine, theirs] = [page, other].map((each) => ({
    words: each.getByRole('textbox', { name: 'Words' }),
    status: each.getByRole('region', { name: 'Greeting' }).getByRole('status'),
    alert: each.getByRole('region', { name: 'Greeting' }).getByRole('alert'),
  })) as [Editor, Editor];
  await expect(theirs.words).toBeVisible();
  await mine.words.fill('Words from the first window.');
  await expect(mine.status).toHaveText('Saved');

  await theirs.words.fill('Words from the second window.');
  await expect(theirs.alert).toContainText('was changed in another window since you opened it');
  await expect(theirs.words).toHaveText('Words from the second window.');
  await other.getByRole('button', { name: 'Take the other' }).click();
  await expect(theirs.words).toHaveText('Words from the first window.');

  await theirs.words.fill('Second try.');
  await expect(theirs.status).toHaveText('Saved');
  await mine.words.fill('I insist.');
  await expect(mine.alert).toBeVisible();
  await page.getByRole('button', { name: 'Keep mine' }).click();
  await expect(mine.status).toHaveText('Saved');
  await page.reload();
  await expect(mine.words).toHaveText('I insist.');
});

interface Editor {
  readonly words: Locator;
  readonly status: Locator;
  readonly alert: Locator;
}

test('hours changed in two windows: the later is told, and shown what is so', async ({ page, context, server }) => {
  await page.goto(`${server.url}/hours`);
  const other = await context.newPage();
  await other.goto(`${server.url}/hours`);
  const theirs = other.getByLabel('Open on Sunday');
  await expect(theirs).toHaveValue('');
  const mine = page.getByLabel('Open on Sunday');
  await mine.fill('9-12');
  await mine.press('Enter');
  await expect(mine).toHaveValue('9:00–12:00');
  await expect(page.getByRole('button', { name: 'Undo in the week' })).toBeEnabled();
  await theirs.fill('14-16');
  await theirs.press('Enter');
  await expect(other.getByText(/changed in another window/)).toBeVisible();
  await expect(theirs).toHaveValue('9:00–12:00');
  await theirs.fill('14-16');
  await theirs.press('Enter');
  await expect(theirs).toHaveValue('14:00–16:00');
  await other.reload();
  await expect(theirs).toHaveValue('14:00–16:00');
});

test('a draft that went on in another window is not put on air unseen', async ({ page, context, server }) => {
  await page.goto(`${server.url}/script`);
  await page.getByRole('textbox', { name: 'Closing words' }).fill('Fair winds.');
  await saved(page);
  await page.getByRole('link', { name: 'Put on air' }).click();
  const other = await context.newPage();
  await other.goto(`${server.url}/script`);
  await other.getByRole('textbox', { name: 'Closing words' }).fill('Foul winds.');
  await saved(other);
  await page.getByRole('button', { name: 'Put on air now' }).click();
  await expect(page.getByText(/The draft was changed in another window/)).toBeVisible();
  await expect(page.getByText('On air, version 2', { exact: true })).toBeVisible();
});

test.describe('a server that is stopped', () => {
  test.use({ ownProcess: true });

  test('a person renamed while the server is away is told so, and keeps what was typed', async ({ page, server }) => {
    await page.goto(`${server.url}/directory/people`);
    const name = page.getByLabel('Name of Noor Haldane');
    await expect(name).toBeVisible();
    await server.stop('SIGKILL');
    await name.fill('Noor Haldane-Wells');
    await expect(page.getByText(/Not saved: Locutor’s server does not answer/)).toBeVisible();
    await expect(name).toHaveValue('Noor Haldane-Wells');
    await server.start();
    await name.fill('Noor Wells');
    await expect(page.getByText(/Not saved/)).toBeHidden();
    await page.goto(`${server.url}/script`);
    await expect(page.getByRole('option', { name: 'Noor Wells' }).first()).toBeAttached();
  });
});

test('a draft that cannot be loaded is told so, and can be tried again', async ({ page, server }) => {
  await page.route('**/draft', (route) => route.abort());
  await page.goto(`${server.url}/today`);
  await expect(page.getByText('Locutor’s server does not answer.')).toBeVisible();
  await page.unroute('**/draft');
  await page.getByRole('button', { name: 'Try again' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Today' })).toBeVisible();
});

test('an address that is none leads to Today', async ({ page, server }) => {
  await page.goto(`${server.url}/nowhere/at/all`);
  await expect(page.getByRole('heading', { level: 1, name: 'Today' })).toBeVisible();
  await page.goto(`${server.url}/script/sheet:none`);
  await expect(page.getByLabel('Name of the menu')).toHaveValue('Welcome');
});

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 800 } });

  test('today is read, and a message is heard', async ({ page, server }) => {
    await page.goto(`${server.url}/today`);
    await expect(page.getByText(/A caller now reaches/)).toBeVisible();
    await page.getByRole('link', { name: 'Listen' }).click();
    const row = page.getByRole('listitem', { name: 'Message from Anonymous' });
    await row.getByRole('button', { name: 'Play' }).click();
    await expect(row.getByRole('button', { name: 'Pause' })).toBeVisible();
    await expect(row.getByRole('button', { name: 'Heard', exact: true })).toBeVisible();
  });
});

test.describe('dark', () => {
  test('is as the computer has it, and can be chosen', async ({ page, server }) => {
    await page.goto(`${server.url}/today`);
    const ground = () => page.evaluate(() => getComputedStyle(document.body).backgroundColor);
    const light = await ground();
    await page.getByRole('button', { name: /^Colours: as the computer’s/ }).click();
    await page.getByRole('button', { name: /^Colours: light/ }).click();
    await expect(page.getByRole('button', { name: /^Colours: dark/ })).toBeVisible();
    await expect.poll(ground).not.toBe(light);
    const dark = await ground();
    await page.reload();
    await expect.poll(ground).toBe(dark);
  });
});
