import { callAt, expect, heard, loudnessOf, spokenFor, test } from '../support/test';

test('words of an answering rule are heard before its menu', async ({ page, server }) => {
  await page.goto(`${server.url}/today`);
  await page.getByRole('button', { name: /^(Now: )?Lunch, Welcome/ }).click();
  await page.getByRole('button', { name: 'Call', exact: true }).click();
  await expect(heard(page)).toContainText('The front desk is at lunch until half past twelve.');
  await expect(heard(page)).toContainText('Thank you for calling Larkspur Cove Boatyard.');
});

test('a wrong key is said to be wrong; an announcement goes back to its menu', async ({ page, server }) => {
  await page.goto(`${server.url}/today`);
  await callAt(page, '2026-11-23T10:00');
  await page.getByRole('button', { name: 'Press 6' }).click();
  await expect(heard(page)).toContainText('You press 6, which has no use here');
  await expect(heard(page)).toContainText('Sorry, that key has no use here.');
  await expect(heard(page)).toContainText('For moorings and dock space, press 1.');
  await page.keyboard.press('4');
  await expect(heard(page)).toContainText('The fuel dock is open every day, eight a.m. to five p.m.');
  await page.keyboard.press('1');
  await expect(heard(page)).toContainText('You press 1; keys do nothing here');
});

test('a call changes nothing in the page it is made from, and can be left open while editing', async ({
  page,
  server,
}) => {
  await page.goto(`${server.url}/script`);
  await expect(page.getByLabel('What key 1 is for')).toBeVisible();
  await callAt(page, '2026-11-23T10:00');
  const label = page.getByRole('textbox', { name: 'What key 1 is for' });
  await label.fill('berths 1 and 2');
  await expect(label).toHaveValue('berths 1 and 2');
  await expect(heard(page)).not.toContainText('You press');
  await page.getByRole('button', { name: 'Hang up' }).click();
  await page.getByRole('button', { name: 'Call again' }).click();
  await callAt(page, '2026-11-23T10:00');
  await expect(heard(page)).toContainText('For berths 1 and 2, press 1.');
});

test('a box with a greeting of its own says it before the beep', async ({ page, server }) => {
  await page.goto(`${server.url}/today`);
  await callAt(page, '2026-11-23T10:00');
  await page.getByRole('button', { name: 'Press 1' }).click();
  await page.getByRole('button', { name: 'Busy' }).click();
  await expect(page.getByText('Wendell Achterberg is ringing')).toBeVisible();
  await page.getByRole('button', { name: 'Busy' }).click();
  await expect(heard(page)).toContainText('This is the mooring field of Larkspur Cove.');
});

test.describe('without a voice', () => {
  test('the words of a call go on as captions', async ({ page, server }) => {
    await page.route('**/api/speech', (route) => route.fulfill({ status: 500, body: '{}' }));
    await page.goto(`${server.url}/today`);
    await callAt(page, '2026-11-23T10:00');
    await expect(page.getByText('The voice cannot be had just now')).toBeVisible();
    await expect(heard(page)).toContainText('For moorings and dock space, press 1.');
  });
});

test.describe('without a microphone', () => {
  test('a message is taken all the same, and the reason said', async ({ page, server }) => {
    await page.addInitScript(() => {
      navigator.mediaDevices.getUserMedia = () => Promise.reject(new DOMException('no', 'NotAllowedError'));
    });
    await page.goto(`${server.url}/today`);
    await callAt(page, '2026-11-22T10:00');
    await page.getByRole('button', { name: 'Press 2' }).click();
    await expect(page.getByText('The browser does not let Locutor use the microphone')).toBeVisible();
    await spokenFor(page, 2);
    await page.getByRole('button', { name: 'Press pound' }).click();
    await expect(heard(page)).toContainText('left in Office');
    await page
      .getByRole('link', { name: /^Messages/ })
      .first()
      .click();
    const row = page.getByRole('listitem', { name: 'Message from +1 207 555 0178' });
    const link = await row.getByRole('link', { name: 'Save' }).getAttribute('href');
    expect(await loudnessOf(page.request, server.url + String(link))).toBeLessThan(-80);
  });
});

test('a message is marked as not heard again, and stays so', async ({ page, server }) => {
  await page.goto(`${server.url}/messages`);
  const row = page.getByRole('listitem', { name: 'Message from +1 207 555 0162' });
  await row.getByRole('button', { name: 'Not heard yet' }).click();
  await expect(page.getByText('2 not heard yet')).toBeVisible();
  await row.getByRole('button', { name: 'Heard', exact: true }).click();
  await page.reload();
  await expect(page.getByText('3 not heard yet')).toBeVisible();
});

test.describe('a server that is stopped', () => {
  test.use({ ownProcess: true });

  test('the server stops cleanly when asked, and says that it is gone', async ({ page, server }) => {
    await page.goto(`${server.url}/today`);
    await expect(page.getByRole('heading', { name: 'Today' })).toBeVisible();
    expect(await server.stop('SIGTERM')).toBe(0);
    await page.goto(`${server.url}/today`).catch(() => undefined);
    await server.start();
    await page.goto(`${server.url}/today`);
    await expect(page.getByRole('heading', { name: 'Today' })).toBeVisible();
  });
});
