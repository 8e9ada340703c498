import { callAt, expect, heard, loudnessOf, saved, spokenFor, startLine, test } from '../support/test';

test.use({ data: 'empty' });

test('a new user builds a three-key menu, calls it, lets it ring out and leaves a message', async ({
  page,
  server,
}) => {
  await startLine(page, server);

  // Three keys: the second is changed, a third is added.
  await page.getByRole('textbox', { name: 'Opening words' }).fill('Thank you for calling the boatyard. Please listen.');
  await page.getByLabel('What key 1 is for').fill('the front desk');
  await page.getByLabel('What key 2 is for').fill('moorings');
  await page.getByRole('spinbutton', { name: /Seconds of ringing in key 2, step 1/ }).fill('5');
  await page.getByRole('button', { name: 'Give key 3 a use' }).click();
  await page.getByLabel('What key 3 is for').fill('the fuel dock');
  await page.getByRole('button', { name: 'Add a step to key 3' }).click();
  await page.getByLabel('What key 3, step 1 does').selectOption('takeMessage');
  await saved(page);

  // The greeting that is heard is speech, not silence.
  const spoken = page.waitForResponse((response) => response.url().includes('/api/audio/'));
  await callAt(page, '2026-11-23T10:00');
  const audio = await spoken;
  expect(await loudnessOf(page.request, audio.url())).toBeGreaterThan(-35);
  expect(audio.headers()['content-type']).toContain('audio/wav');
  await expect(heard(page)).toContainText('Thank you for calling the boatyard.');

  // The sentence being heard is marked, and leads to its sheet.
  const current = heard(page).locator('[aria-current=true]');
  await expect(current).toHaveCount(1);
  await expect(current).toHaveAttribute('href', /\/script\/sheet:/);

  await page.getByRole('button', { name: 'Press 2' }).click();
  await expect(page.getByText('Priya Castellanos is ringing')).toBeVisible();
  await expect(heard(page)).toContainText('Priya Castellanos does not answer');
  await expect(heard(page)).toContainText('Please leave a message for Office after the tone.');
  await expect(page.getByText('Speak now.')).toBeVisible();
  await spokenFor(page, 2);
  await page.getByRole('button', { name: 'Hang up' }).click();
  await page.getByRole('complementary', { name: 'Handset' }).getByRole('link', { name: 'Messages' }).click();

  // The message has arrived, with what the microphone heard in it.
  const row = page.getByRole('listitem', { name: 'Message from +1 207 555 0178' });
  await expect(row).toContainText('for Office');
  const link = await row.getByRole('link', { name: 'Save' }).getAttribute('href');
  expect(await loudnessOf(page.request, server.url + String(link))).toBeGreaterThan(-30);
  await row.getByRole('button', { name: 'Play' }).click();
  await expect(row.getByRole('button', { name: 'Heard', exact: true })).toBeVisible();

  // Nothing is lost by a reload.
  await page.reload();
  await expect(row.getByRole('button', { name: 'Heard', exact: true })).toBeVisible();
  await page.getByRole('link', { name: 'Script' }).click();
  await expect(page.getByLabel('What key 3 is for')).toHaveValue('the fuel dock');
  await expect(page.getByRole('textbox', { name: 'Opening words' })).toHaveText(
    'Thank you for calling the boatyard. Please listen.',
  );
});

test('a call at a closed moment hears the closed menu; silence takes a message', async ({ page, server }) => {
  await startLine(page, server);
  await callAt(page, '2026-11-22T10:00');
  await expect(heard(page)).toContainText('We are closed just now.');
  await page.keyboard.press('1');
  await expect(heard(page)).toContainText('You press 1');
  await expect(heard(page)).toContainText('Please leave a message for Office');
  await page.getByRole('button', { name: 'Hang up' }).click();
  await expect(heard(page)).toContainText('You hung up');
});

test('the first run says what it cannot use, and keeps what was typed', async ({ page, server }) => {
  await page.goto(server.url);
  await page.getByLabel('Name of the business').fill('Larkspur Cove Boatyard');
  await page.getByLabel('Telephone number').fill('call me');
  await page.getByLabel('Name of person 1').fill('Noor Haldane');
  await page.getByLabel('Time zone').fill('Mars/Base');
  await page.getByLabel('Closing time').fill('25:00');
  await page.getByRole('button', { name: 'Write my attendant' }).click();
  await expect(page.getByRole('alert')).toContainText('There is no 25:00');
  await page.getByLabel('Closing time').fill('5 pm');
  await page.getByRole('button', { name: 'Write my attendant' }).click();
  await expect(page.getByRole('alert')).toContainText('“call me” is not a telephone number');
  await expect(page.getByRole('alert')).toContainText('“Mars/Base” is not a time zone');
  await expect(page.getByLabel('Name of person 1')).toHaveValue('Noor Haldane');
  await page.getByLabel('Time zone').fill('new york');
  await expect(page.getByRole('alert')).toBeHidden();
  await page.getByLabel('Telephone number').fill('207 555 0140');
  await expect(page.getByLabel('Time zone')).toHaveValue('America/New_York');
  await page.getByRole('button', { name: 'Write my attendant' }).click();
  await expect(page.getByText('+1 207 555 0140')).toBeVisible();
});
