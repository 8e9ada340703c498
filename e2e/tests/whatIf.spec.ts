import AxeBuilder from '@axe-core/playwright';
import { expect, test } from '../support/test';

test('a plan is tried on the callers of the log, can be cancelled, and comes to the same each time', async ({
  page,
  server,
}) => {
  await page.goto(`${server.url}/traffic/what-if?span=last12Months&runs=500`);
  await expect(page.getByText('Change something first, or choose the draft.')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Try it' })).toBeDisabled();
  await page.getByLabel('What to change').selectOption({ label: 'somebody away' });
  await page.getByLabel('Person').selectOption({ label: 'Priya Castellanos' });
  await page.getByLabel('On which days').selectOption({ label: 'on weekdays' });
  await page.getByRole('button', { name: 'Try it' }).click();
  await expect(page.getByRole('progressbar')).toBeVisible();
  await page.getByRole('button', { name: 'Cancel' }).click();
  await expect(page.getByRole('button', { name: 'Try it' })).toBeEnabled();

  // The plan stands in the address; a bookmark of it is the same trial.
  await page.goto(page.url().replace('runs=500', 'runs=3'));
  await page.getByRole('button', { name: 'Try it' }).click();
  const sentence = page.getByText(/^With Priya Castellanos away on weekdays, /);
  await expect(sentence).toBeVisible();
  const said = await sentence.textContent();
  const row = page.getByRole('table', { name: '28 days, tried 3 times' }).getByRole('row', { name: /^Reach somebody/ });
  const figures = await row.textContent();
  expect(figures).toMatch(/\d+% \(\d+%–\d+%\)/);
  await page.reload();
  await page.getByRole('button', { name: 'Try it' }).click();
  await expect(sentence).toHaveText(said ?? '');
  await expect(row).toHaveText(figures ?? '');
  const axe = await new AxeBuilder({ page }).analyze();
  expect(axe.violations.map(({ id, nodes }) => [id, nodes.map(({ target }) => target)])).toEqual([]);
});

test('the members that a queue needs are told hour by hour, and an hour is checked by playing it through', async ({
  page,
  server,
}) => {
  await page.goto(`${server.url}/traffic/what-if`);
  await page.getByLabel('Group or queue').last().selectOption({ label: 'Spring launch line' });
  const table = page.getByRole('table', { name: /^Members that Spring launch line needs/ });
  const cell = table.getByRole('button').first();
  await expect(cell).toHaveAccessibleName(/between .*: \d+ needed, [\d.]+ at work/);
  await cell.click();
  await expect(page.getByText(/are answered within 20 s by Erlang [AC];/)).toBeVisible();
  await expect(page.getByText(/played through 200 times it was \d+% \(\d+%–\d+%\)/)).toBeVisible();
  // Nobody can be there for everybody at once.
  await page.getByLabel('Percent of callers, 1 to 100').fill('100');
  await expect(table.getByRole('button', { name: /more than can be needed/ }).first()).toBeVisible();
});

test('a span without calls says so, and offers nothing that could fail', async ({ page, server }) => {
  await page.goto(`${server.url}/traffic/what-if?from=2031-01-01&to=2031-02-01&plan=%7Bbroken&of=draft`);
  await expect(page.getByText('Nobody called on these days', { exact: false })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Try it' })).toBeDisabled();
});
