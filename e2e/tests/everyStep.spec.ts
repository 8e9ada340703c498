import { callAt, expect, heard, test } from '../support/test';

const atTen = '2026-11-23T10:00';

test('an extension is dialled in the menu; a mobile that picks up must press 1', async ({ page, server }) => {
  await page.goto(`${server.url}/today`);
  await callAt(page, atTen);
  for (const key of '206') await page.keyboard.press(key);
  await expect(heard(page)).toContainText('Extension 206 is Juno Marchetti');
  await expect(page.getByText('Juno Marchetti is ringing')).toBeVisible();
  await page.getByRole('button', { name: 'Busy' }).click();
  await expect(heard(page)).toContainText('Ringing Juno Marchetti on +1 207 555 0166');
  await page.getByRole('button', { name: 'Answer' }).click();
  await expect(page.getByText('Juno Marchetti picked up and hears')).toBeVisible();
  await page.getByRole('button', { name: 'They press 1' }).click();
  await expect(page.getByText('You are talking to Juno Marchetti.')).toBeVisible();
});

test('a name is spelled on the keypad; two that sound alike on it are read out', async ({ page, server }) => {
  await page.goto(`${server.url}/today`);
  await callAt(page, atTen);
  await page.keyboard.press('8');
  await expect(heard(page)).toContainText('Spell the first three letters of the last name');
  for (const key of '224') await page.keyboard.press(key);
  await expect(heard(page)).toContainText('224 matches Rosalind Achterberg, Wendell Achterberg');
  await expect(heard(page)).toContainText('For Rosalind Achterberg, press 1.');
  await page.keyboard.press('1');
  await expect(page.getByText('Rosalind Achterberg is ringing')).toBeVisible();
});

test('an option is said instead of pressed, in typed words', async ({ page, server }) => {
  await page.goto(`${server.url}/today`);
  await callAt(page, atTen);
  await page.getByLabel('Say something, typed').fill('the parts counter please');
  await page.getByRole('button', { name: 'Say', exact: true }).click();
  await expect(heard(page)).toContainText('You say “the parts counter please”');
  await expect(page.getByText('Juno Marchetti is ringing')).toBeVisible();
});

test('the French menu speaks French, and back leads back', async ({ page, server }) => {
  await page.goto(`${server.url}/today`);
  await callAt(page, atTen);
  const spoken = page.waitForRequest(
    (request) => request.url().endsWith('/api/speech') && request.postData()?.includes('frWoman') === true,
  );
  await page.keyboard.press('9');
  await spoken;
  await expect(heard(page)).toContainText('Pour les réparations, appuyez sur 2.');
  await page.keyboard.press('9');
  await expect(heard(page).getByText('You press 9')).toHaveCount(2);
  await expect(heard(page)).toContainText('For moorings and dock space, press 1.');
});

test('a blocked number is let go, a slip holder goes straight to moorings', async ({ page, server }) => {
  await page.goto(`${server.url}/today`);
  const caller = page.getByLabel('Calling from');
  await caller.fill('+1 207 555 0199');
  await callAt(page, atTen);
  await expect(heard(page)).toContainText('This number is in Nuisance callers');
  await page.getByRole('button', { name: 'Call again' }).click();
  await caller.fill('(207) 555-0181');
  // On a Sunday Wendell alone minds the moorings.
  await callAt(page, '2026-11-22T03:00');
  await expect(page.getByText('Wendell Achterberg is ringing')).toBeVisible();
});

test('one line hands a caller over to the other', async ({ page, server }) => {
  await page.goto(`${server.url}/lines`);
  await page.getByRole('link', { name: 'Open its script' }).click();
  await expect(page.getByRole('banner')).toContainText('Storage shed');
  await callAt(page, '2026-11-24T10:00');
  await page.keyboard.press('0');
  await expect(heard(page)).toContainText('Handed over to Larkspur Cove Boatyard');
  await expect(heard(page)).toContainText('Thank you for calling Larkspur Cove Boatyard.');
});
