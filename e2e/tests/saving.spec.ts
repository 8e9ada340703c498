import type { Locator, Page } from '@playwright/test';
import { expect, saved, startLine, test } from '../support/test';

test.describe('a fresh line', () => {
  test.use({ data: 'empty', ownProcess: true });

  test('keeps every edit that was shown as saved when the server is killed in the middle of editing', async ({
    page,
    server,
  }) => {
    await startLine(page, server);
    const words = page.getByRole('textbox', { name: 'Opening words' });
    for (const text of ['First words.', 'Second words.', 'Third words.']) {
      await words.fill(text);
      await saved(page);
    }
    await server.stop('SIGKILL');
    await words.fill('Words typed while nobody listens.');
    await expect(page.getByRole('alert')).toContainText('Locutor’s server does not answer');

    // The page saves again as soon as it can: not before it was looked at what the server has kept.
    await page.route('**/draft', (route) => route.abort());
    await server.start();
    const draft = await draftOf(page, server.url);
    expect(draft.attendant.sheets[0]?.openingWords).toBe('Third words.');

    // What could not be saved meanwhile was kept in the browser and follows by itself.
    await page.unroute('**/draft');
    await saved(page);
    await page.reload();
    await expect(words).toHaveText('Words typed while nobody listens.');
  });

  test('takes up what was not saved when the window was closed', async ({ page, server }) => {
    await startLine(page, server);
    await saved(page);
    await server.stop('SIGKILL');
    await page.getByRole('textbox', { name: 'Opening words' }).fill('Typed just before closing.');
    await expect(page.getByRole('alert')).toContainText('kept in this browser');
    await server.start();
    await page.goto(`${server.url}/script`);
    await expect(page.getByRole('textbox', { name: 'Opening words' })).toHaveText('Typed just before closing.');
    await saved(page);
    expect((await draftOf(page, server.url)).attendant.sheets[0]?.openingWords).toBe('Typed just before closing.');
  });
});

test('two windows editing one draft at once: both changes are kept, and either can be taken back', async ({
  page,
  context,
  server,
}) => {
  await page.goto(`${server.url}/script`);
  const other = await context.newPage();
  await other.goto(`${server.url}/script`);
  const [mine, theirs] = [page, other].map((each) => ({
    opening: each.getByRole('textbox', { name: 'Opening words' }),
    closing: each.getByRole('textbox', { name: 'Closing words' }),
  })) as [Sheet, Sheet];
  const before = await mine.opening.innerText();
  // The other window saves only after this one has.
  await other.route('**/draft', async (route) => {
    const kept = async () => (await draftOf(page, server.url)).attendant.sheets[0]?.openingWords;
    if (route.request().method() === 'PUT') await expect.poll(kept).toBe('From the first window.');
    await route.continue();
  });
  await theirs.closing.fill('From the second window.');
  await mine.opening.fill('From the first window.');
  for (const each of [mine, theirs]) {
    await expect(each.opening).toHaveText('From the first window.');
    await expect(each.closing).toHaveText('From the second window.');
  }
  await expect(other.getByText(/changed in another window too .*Both changes are kept/)).toBeVisible();
  await saved(other);
  await other.getByRole('button', { name: 'Undo the other change' }).click();
  for (const each of [mine, theirs]) await expect(each.opening).toHaveText(before);
  await expect(mine.closing).toHaveText('From the second window.');
  const kept = (await draftOf(page, server.url)).attendant.sheets[0];
  expect(kept?.openingWords).toBe(before);
});

interface Sheet {
  readonly opening: Locator;
  readonly closing: Locator;
}

test('what another window has not saved outlives the saves of this one, and its own being closed', async ({
  page,
  context,
  server,
}) => {
  await page.goto(`${server.url}/script`);
  const other = await context.newPage();
  await other.goto(`${server.url}/script`);
  await other.route('**/draft', (route) => (route.request().method() === 'PUT' ? route.abort() : route.continue()));
  const closing = (each: Page) => each.getByRole('textbox', { name: 'Closing words' });
  const typed = `${await closing(other).innerText()} Not saved yet.`.trim();
  await closing(other).fill(typed);
  await expect(other.getByRole('alert')).toContainText('kept in this browser');
  const opening = page.getByRole('textbox', { name: 'Opening words' });
  const meanwhile = `${await opening.innerText()} Saved meanwhile.`;
  await opening.fill(meanwhile);
  await expect.poll(async () => (await draftOf(page, server.url)).attendant.sheets[0]?.openingWords).toBe(meanwhile);
  await saved(page);
  await other.close();
  const next = await context.newPage();
  await next.goto(`${server.url}/script`);
  await expect(closing(next)).toHaveText(typed);
  await saved(next);
  expect((await draftOf(page, server.url)).attendant.sheets[0]).toMatchObject({
    openingWords: meanwhile,
    closingWords: typed,
  });
});

test('undo and redo name what they do, and typing is one step', async ({ page, server }) => {
  await page.goto(`${server.url}/script`);
  const words = page.getByRole('textbox', { name: 'Opening words' });
  const before = await words.innerText();
  await words.press('End');
  await words.pressSequentially(' Ahoy.');
  await page.getByRole('button', { name: 'Undo: type the opening words of Welcome' }).click();
  await expect(words).toHaveText(before);
  await page.getByRole('button', { name: /^Redo/ }).click();
  await expect(words).toHaveText(`${before} Ahoy.`);
  await page.keyboard.press('Control+z');
  await expect(words).toHaveText(before);
  await saved(page);
});

test('undo survives a reload; Ctrl+Z in a text field is the field’s, and on another screen that screen’s', async ({
  page,
  server,
}) => {
  await page.goto(`${server.url}/script`);
  const label = page.getByRole('textbox', { name: 'What key 1 is for' });
  const before = await label.inputValue();
  await label.fill('berths');
  await saved(page);
  await page.goto(`${server.url}/settings`);
  const name = page.getByRole('textbox', { name: 'Your name there' });
  await name.fill('post');
  await name.press('Control+z');
  await page.getByRole('heading', { level: 1 }).click();
  await page.keyboard.press('Control+z');
  await expect(page.getByText(/^Undone: The settings/)).toBeVisible();
  await expect(name).toHaveValue('');
  await saved(page);
  await page.goto(`${server.url}/script`);
  await expect(label).toHaveValue('berths');
  await page.reload();
  await page.getByRole('button', { name: 'Undo: type what key 1 is for' }).click();
  await expect(label).toHaveValue(before);
});

test('a greeting of 10,000 characters is refused in words and stays to be shortened', async ({ page, server }) => {
  await page.goto(`${server.url}/script`);
  const words = page.getByRole('textbox', { name: 'Opening words' });
  await words.fill('Ahoy there. '.repeat(834).slice(0, 10_000));
  await expect(page.getByText('Too long by 7,000 characters')).toBeVisible();
  await expect(page.getByRole('alert').filter({ hasText: 'Welcome, opening words: too long' })).toBeVisible();
  expect(await words.innerText()).toHaveLength(10_000);
  await words.fill('Ahoy there.');
  await saved(page);
});

async function draftOf(page: Page, url: string) {
  const [line] = (await (await page.request.get(`${url}/api/lines`)).json()) as { id: string }[];
  const draft = await page.request.get(`${url}/api/lines/${String(line?.id)}/draft`);
  return (await draft.json()) as { attendant: { sheets: { openingWords: string }[] } };
}
