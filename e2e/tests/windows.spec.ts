import type { Locator, Page } from '@playwright/test';
import { expect, saved, test } from '../support/test';

test('a greeting changed in two windows at once: both are shown, and one is chosen', async ({
  page,
  context,
  server,
}) => {
  await page.goto(`${server.url}/greetings`);
  await page.getByRole('link', { name: /Moorings box/ }).click();
  const other = await context.newPage();
  await other.goto(page.url());
  const [mine, theirs] = [page, other].map((each) => {
    const editor = each.getByRole('region', { name: 'Greeting' });
    return {
      words: each.getByRole('textbox', { name: 'Words' }),
      status: editor.getByRole('status'),
      clash: editor.getByRole('group', { name: 'Changed in two windows' }),
    };
  }) as [Editor, Editor];
  await mine.words.fill('Words from the first window.');
  await expect(mine.status).toHaveText('Saved');
  await expect(theirs.words).toHaveText('Words from the first window.');

  // The second window has not heard of the first one's words yet when it saves its own.
  await other.route('**/api/greetings/**', async (route) => {
    await expect.poll(() => keptWords(page, server.url)).toContain('First again.');
    await route.continue();
  });
  await theirs.words.fill('Words from the second window.');
  await mine.words.fill('First again.');
  await expect(theirs.clash).toBeVisible();
  await expect(theirs.clash.getByLabel('In the other window: “First again.”')).toBeVisible();
  await expect(theirs.words).toHaveText('Words from the second window.');
  await theirs.clash.getByLabel('Here: “Words from the second window.”').check();
  await theirs.clash.getByRole('button', { name: 'Keep what is chosen' }).click();
  await expect(theirs.status).toHaveText('Saved');
  await expect(mine.words).toHaveText('Words from the second window.');
});

/** The words of all greetings, as the server has them. */
async function keptWords(page: Page, url: string): Promise<readonly string[]> {
  const greetings = (await (await page.request.get(`${url}/api/greetings`)).json()) as { words: string }[];
  return greetings.map(({ words }) => words);
}

interface Editor {
  readonly words: Locator;
  readonly status: Locator;
  readonly clash: Locator;
}

test('hours changed in two windows: each shows both changes', async ({ page, context, server }) => {
  await page.goto(`${server.url}/hours`);
  const other = await context.newPage();
  await other.goto(`${server.url}/hours`);
  await expect(other.getByLabel('Open on Sunday')).toHaveValue('');
  // Slow to be saved there, so that each begins from the same hours.
  await other.route('**/api/hours/*', async (route) => {
    if (route.request().method() === 'PUT') await expect(page.getByLabel('Open on Sunday')).toHaveValue('9:00–12:00');
    await route.continue();
  });
  await other.getByLabel('Open on Saturday').fill('14-16');
  await other.getByLabel('Open on Saturday').press('Enter');
  await page.getByLabel('Open on Sunday').fill('9-12');
  await page.getByLabel('Open on Sunday').press('Enter');
  for (const each of [page, other]) {
    await expect(each.getByLabel('Open on Sunday')).toHaveValue('9:00–12:00');
    await expect(each.getByLabel('Open on Saturday')).toHaveValue('14:00–16:00');
  }
  await page.reload();
  await expect(page.getByLabel('Open on Saturday')).toHaveValue('14:00–16:00');
});

test('an idle window shows what another one changes', async ({ page, context, server }) => {
  await page.goto(`${server.url}/directory/people`);
  const other = await context.newPage();
  await other.goto(`${server.url}/today`);
  await page.getByLabel('Name of Noor Haldane').fill('Noor Wells');
  await other.getByRole('link', { name: 'Directory' }).click();
  await expect(other.getByLabel('Name of Noor Wells')).toBeVisible();
  await other.getByRole('link', { name: 'Today', exact: true }).click();
  await page.goto(`${server.url}/hours`);
  await page.getByRole('button', { name: 'Close now' }).click();
  await page
    .getByRole('form')
    .getByRole('button', { name: /^Close until/ })
    .click();
  await expect(other.getByRole('banner').getByText(/by the switch/)).toBeVisible();
});

test('a draft that went on in another window is not put on air unseen', async ({ page, context, server }) => {
  // This window does not hear of what the other one does.
  await page.routeWebSocket('**/api/live/changes', () => undefined);
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
    await expect(page.getByText(/Locutor’s server does not answer/)).toBeVisible();
    await expect(name).toHaveValue('Noor Haldane-Wells');
    await server.start();
    // Nobody touches it: it saves itself.
    await saved(page);
    await page.goto(`${server.url}/script`);
    await expect(page.getByRole('option', { name: 'Noor Haldane-Wells' }).first()).toBeAttached();
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

test('a draft that cannot be read is said as such; what is on air, the switch and messages go on', async ({
  page,
  server,
}) => {
  const detail = 'The draft cannot be read: This attendant was written by a newer Locutor.';
  await page.route('**/draft', (route) =>
    route.fulfill({
      status: 500,
      contentType: 'application/problem+json',
      body: JSON.stringify({ type: '/problems/unreadable', status: 500, detail, revision: 4 }),
    }),
  );
  await page.goto(`${server.url}/today`);
  await expect(page.getByRole('alert').filter({ hasText: detail })).toBeVisible();
  await expect(page.getByText('does not answer')).toBeHidden();
  await page.getByRole('group', { name: 'The switch' }).getByRole('button', { name: 'Close now' }).click();
  await page
    .getByRole('form', { name: 'The switch' })
    .getByRole('button', { name: /^Close until/ })
    .click();
  await expect(page.getByRole('banner')).toContainText('by the switch');
  await page.getByRole('link', { name: /^Messages/ }).click();
  await expect(page.getByRole('listitem', { name: 'Message from Anonymous' })).toBeVisible();
  // It is the server that knows whether it can be read by now.
  const asked = page.waitForRequest('**/draft/begin-again');
  await page.getByRole('button', { name: 'Begin anew from what is on air' }).click();
  expect((await asked).postDataJSON()).toMatchObject({ revision: 4, attendant: { sheets: expect.any(Array) } });
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
