import type { Page } from '@playwright/test';
import { callAt, expect, heard, setMoment, test } from '../support/test';

const panel = (page: Page) => page.getByRole('group', { name: 'The switch' });
const form = (page: Page) => page.getByRole('form', { name: 'The switch' });
const bar = (page: Page) => page.getByRole('banner');

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 800 } });

  test('the office is closed in two touches, and open again in one', async ({ page, server }) => {
    await page.goto(`${server.url}/today`);
    await panel(page).getByRole('button', { name: 'Close now' }).click();
    await form(page)
      .getByRole('button', { name: /^Close until / })
      .click();
    await expect(panel(page)).toContainText('Closed until');
    await expect(panel(page)).toContainText('Somebody in the office set the switch');
    await expect(bar(page)).toContainText('by the switch');
    await panel(page).getByRole('button', { name: 'End it now' }).click();
    await expect(panel(page).getByRole('button', { name: 'Close now' })).toBeVisible();
    await expect(bar(page)).not.toContainText('by the switch');
  });
});

test('a new user closes the office until tomorrow noon, with words that callers hear at once', async ({
  page,
  server,
}) => {
  await page.goto(`${server.url}/today`);
  await panel(page).getByRole('button', { name: 'Close now' }).click();
  await form(page).getByLabel('Until noon tomorrow').check();
  await form(page).getByLabel('What callers hear first').fill('Closed early because of the storm.');
  await expect(form(page).getByRole('button', { name: 'Hear it' })).toBeVisible();
  await form(page).getByLabel('By').fill('Noor Haldane');
  await form(page)
    .getByRole('button', { name: /^Close until 12:00 PM tomorrow$/ })
    .click();
  await expect(panel(page)).toContainText('Closed until 12:00 PM tomorrow');
  await expect(bar(page)).toContainText('After hours, by the switch, until 12:00 PM tomorrow');
  await page.getByRole('button', { name: 'Call', exact: true }).click();
  await expect(heard(page)).toContainText('Closed early because of the storm.');
  await page.getByRole('button', { name: 'Hang up' }).click();

  // Another window sees it, and who did it; what was used before is kept.
  const other = await page.context().newPage();
  await other.goto(`${server.url}/hours`);
  await expect(panel(other)).toContainText('Noor Haldane set the switch');
  await panel(other).getByRole('button', { name: 'End it now' }).click();
  await other.getByText('When it was used before').click();
  await expect(other.getByText(/^Closed, from .* by Noor Haldane\.$/)).toBeVisible();
});

test('another menu answers until a time, and an end that is over is refused in words', async ({ page, server }) => {
  await page.goto(`${server.url}/today`);
  await panel(page).getByRole('button', { name: 'Another menu now' }).click();
  await form(page).getByLabel('What answers').selectOption('Launch day');
  await form(page).getByLabel('Until another time').check();
  await setMoment(page, 'Until when, by the line’s clock', '2026-01-05T09:00');
  await form(page)
    .getByRole('button', { name: /^Let Launch day answer until/ })
    .click();
  await expect(form(page).getByRole('alert')).toHaveText('That is over already. Choose an end that is still to come.');
  await form(page).getByLabel('The rest of today').check();
  await form(page)
    .getByRole('button', { name: /^Let Launch day answer until/ })
    .click();
  await expect(page.getByText('A caller now reaches Launch day.')).toBeVisible();
  // At another moment the hours say what answers.
  await callAt(page, '2027-03-02T10:00');
  await expect(heard(page)).toContainText('Thank you for calling Larkspur Cove Boatyard.');
});
