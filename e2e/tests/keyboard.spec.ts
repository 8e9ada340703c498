import { expect, saved, test } from '../support/test';

test('a key is given a whole path without touching the pointer', async ({ page, server }) => {
  await page.goto(`${server.url}/script/sheet:launch`);
  const label = page.getByLabel('What key 3 is for');
  await page.getByRole('button', { name: 'Add key 3' }).focus();
  await page.keyboard.press('Enter');
  await expect(label).toBeFocused();
  await page.keyboard.type('the crane');
  await page.keyboard.press('Tab');
  await expect(page.getByRole('button', { name: 'Add a step to key 3' })).toBeFocused();
  await page.keyboard.press('Enter');
  const seconds = page.getByRole('spinbutton', { name: /Seconds of ringing in key 3, step 1/ });
  await seconds.focus();
  await expect(seconds).toHaveValue('24');
  await page.keyboard.press('ArrowUp');
  await expect(seconds).toHaveValue('30');
  await page.getByRole('button', { name: 'Add a step to key 3' }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByLabel('What key 3, step 2 does')).toHaveValue('takeMessage');
  await page.getByRole('button', { name: 'More for key 3, step 1' }).focus();
  await page.keyboard.press('Delete');
  await expect(page.getByLabel('What key 3, step 1 does')).toHaveValue('takeMessage');
  await saved(page);
});

test('a number out of range is not taken, and comes back when left', async ({ page, server }) => {
  await page.goto(`${server.url}/script`);
  const wait = page.getByRole('spinbutton', { name: 'Seconds to wait for a key, 1 to 60' });
  await wait.fill('75');
  await expect(wait).toHaveAttribute('aria-invalid', 'true');
  await wait.blur();
  await expect(wait).toHaveValue('5');
  await wait.fill('8');
  await wait.blur();
  await saved(page);
  await page.reload();
  await expect(wait).toHaveValue('8');
});

test('options are read out in another order, or not at all', async ({ page, server }) => {
  await page.goto(`${server.url}/script/sheet:repairs`);
  const order = () => page.getByRole('list', { name: 'Keys, in the order they are read out' }).getByRole('listitem');
  await expect(order().first()).toHaveAccessibleName('Key 1');
  await page.getByRole('button', { name: 'Read key 1 out later' }).click();
  await expect(order().first()).toHaveAccessibleName('Key 2');
  await page.getByRole('button', { name: 'Key 9 is read out; do not read it out' }).click();
  await saved(page);
  await page.goto(`${server.url}/greetings`);
  const repairs = page.getByRole('row', { name: /^Repairs and haul-out/ });
  await expect(repairs).toContainText(
    'Repairs and haul-out. For engines, press 2. For haul-out and launch dates, press 1.',
  );
  await expect(repairs).not.toContainText('press 9');
});

test('the script is spoken by one voice, chosen for all of it', async ({ page, server }) => {
  await page.goto(`${server.url}/greetings`);
  await page.getByLabel('Voice of the script').selectOption('Man, Scottish');
  await saved(page);
  const asked = page.waitForRequest((request) => request.url().endsWith('/api/speech'));
  await page
    .getByRole('row', { name: /^Welcome Menu/ })
    .getByRole('button', { name: 'Listen' })
    .click();
  expect((await asked).postDataJSON()).toMatchObject({ voice: 'awb' });
});

test('what answers is moved up and down, and taken away with a way back', async ({ page, server }) => {
  await page.goto(`${server.url}/hours`);
  await page.getByRole('button', { name: 'Move Lunch down' }).click();
  await expect(page.getByRole('button', { name: 'Move Lunch down' })).toBeDisabled();
  await page.getByRole('button', { name: 'Give Lunch no answer of its own' }).click();
  await expect(page.getByText('as at all other times', { exact: true })).toBeVisible();
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(page.getByText('as at all other times', { exact: true })).toBeHidden();
  await saved(page);
});
