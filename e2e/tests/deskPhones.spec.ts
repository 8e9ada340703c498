import type { Page } from '@playwright/test';
import { deskOf } from '../support/phones';
import { expect, go, saved, test } from '../support/test';

async function dial(page: Page, digits: string): Promise<void> {
  await page.getByLabel('Extension, box or code to dial').fill(digits);
  await page.getByRole('button', { name: 'Dial' }).click();
}

test('colleagues call each other, speak to a whole group, and are told what is no number', async ({
  context,
  request,
  server,
}) => {
  // On a Monday, when the yard is at work.
  await request.put(`${server.url}/api/live/clock`, { data: { reading: '2026-11-23T10:00' } });
  const noor = await deskOf(context, server.url, 'Noor Haldane');
  const bram = await deskOf(context, server.url, 'Bram Lindqvist');
  await dial(noor, '999');
  await expect(noor.getByText('Nothing has the number 999.')).toBeVisible();
  await dial(noor, '203');
  await expect(bram.getByText('Noor Haldane')).toBeVisible();
  await bram.getByRole('button', { name: 'Answer' }).click();
  await expect(noor.getByText('Talking to Bram Lindqvist.')).toBeVisible();
  await noor.getByRole('button', { name: 'Hang up' }).click();
  await expect(bram.getByText('Nothing rings.')).toBeVisible();
  await dial(noor, '*50');
  await expect(noor.getByText('You speak to 4 phones of Yard')).toBeVisible();
  await expect(bram.getByText('Noor Haldane speaks to your phone.')).toBeVisible();
});

test('the messages of a box are heard by phone, after the right PIN only', async ({ context, page, server }) => {
  const noor = await deskOf(context, server.url, 'Noor Haldane');
  const type = async (pin: string): Promise<void> => {
    for (const key of pin) await noor.getByRole('button', { name: `Press ${key}`, exact: true }).click();
    await noor.getByRole('button', { name: 'Press pound', exact: true }).click();
  };
  await dial(noor, '*24');
  await expect(noor.getByText('Type the PIN of the box, then #.')).toBeVisible();
  await type('1111');
  await expect(noor.getByText('Calling …')).toBeVisible();
  await expect(noor.getByText('Type the PIN of the box, then #.')).toBeVisible({ timeout: 15_000 });
  await type('2424');
  await expect(noor.getByText('You hear the messages')).toBeVisible();
  await noor.getByRole('button', { name: 'Press 1', exact: true }).click();
  await page.goto(`${server.url}/messages`);
  const message = page.getByRole('listitem', { name: 'Message from +1 207 555 0162' });
  await expect(message.getByRole('button', { name: 'Heard', exact: true })).toBeVisible();
});

test('key 0 rings the operator, who speaks to a colleague before the caller is sent on; the PIN is typed on the keyboard', async ({
  context,
  page,
  request,
  server,
}) => {
  await request.put(`${server.url}/api/live/clock`, { data: { reading: '2026-11-23T10:00' } });
  const noor = await deskOf(context, server.url, 'Noor Haldane');
  const bram = await deskOf(context, server.url, 'Bram Lindqvist');
  await dial(bram, '*24');
  await expect(bram.getByText('Type the PIN of the box, then #.')).toBeVisible();
  for (const key of '2424#') await bram.keyboard.press(key);
  await expect(bram.getByText('You hear the messages')).toBeVisible();
  await bram.getByRole('button', { name: 'Hang up' }).click();

  await page.goto(`${server.url}/handset`);
  await page.getByRole('button', { name: 'Call', exact: true }).click();
  const heard = page.getByRole('log', { name: 'What is heard' });
  await expect(heard).toContainText('Thank you for calling');
  await page.getByRole('button', { name: 'Press 0', exact: true }).click();
  await expect(heard).toContainText('Ringing the group Front desk');
  await noor.getByRole('button', { name: 'Answer' }).click();
  await noor.getByLabel('To whom the call is transferred').selectOption('Bram Lindqvist');
  await noor.getByRole('button', { name: 'Speak to Bram first' }).click();
  await expect(heard).toContainText('Put on hold');
  await bram.getByRole('button', { name: 'Answer' }).click();
  await expect(noor.getByText('Talking to Bram Lindqvist.')).toBeVisible();
  await noor.getByRole('button', { name: 'Transfer now' }).click();
  await expect(heard).toContainText('Noor Haldane transferred the call to Bram Lindqvist');
  await expect(page.getByText('You are talking to Bram Lindqvist.')).toBeVisible();
  await expect(bram.getByText('Transferred by Noor Haldane')).toBeVisible();
  await expect(noor.getByText('Nothing rings.')).toBeVisible();
});

test('who is away is not rung, and stays away when the page is loaded again', async ({
  context,
  page,
  request,
  server,
}) => {
  await request.put(`${server.url}/api/live/clock`, { data: { reading: '2026-11-23T10:00' } });
  const hana = await deskOf(context, server.url, 'Hana Zielinska');
  await hana.getByRole('button', { name: 'Away' }).click();
  await expect(hana.getByRole('button', { name: 'Away' })).toHaveAttribute('aria-pressed', 'true');
  await hana.reload();
  await expect(hana.getByRole('button', { name: 'Away' })).toHaveAttribute('aria-pressed', 'true');
  await page.goto(`${server.url}/handset`);
  await page.getByRole('button', { name: 'Call', exact: true }).click();
  const heard = page.getByRole('log', { name: 'What is heard' });
  await expect(heard).toContainText('Thank you for calling');
  await page.getByRole('button', { name: 'Press 5', exact: true }).click();
  await expect(heard).toContainText('Hana Zielinska is away');
  await expect(heard).toContainText('Please leave a message for Accounts after the tone.');
});

test('a boat in trouble rings the mobiles of those on call, and then the harbor master, from the switchboard', async ({
  context,
  page,
  request,
  server,
}) => {
  test.setTimeout(90_000);
  await request.put(`${server.url}/api/live/clock`, { data: { reading: '2026-11-22T03:00' } });
  const bram = await deskOf(context, server.url, 'Bram Lindqvist');
  const caller = await context.newPage();
  await caller.goto(`${server.url}/handset`);
  await caller.getByRole('button', { name: 'Call', exact: true }).click();
  const heard = caller.getByRole('log', { name: 'What is heard' });
  await expect(heard).toContainText('The office is closed now.');
  await caller.getByRole('button', { name: 'Press 1', exact: true }).click();
  await expect(bram.getByText('Your outside phone rings:')).toBeVisible();
  await bram.getByRole('button', { name: 'Answer' }).click();
  await expect(bram.getByText('Press 1 to take the call from')).toBeVisible();
  await bram.getByRole('button', { name: 'Decline' }).click();
  for (const name of ['Mateo O’Dowd', 'Cormac Adeyemi']) {
    const desk = await deskOf(context, server.url, name, 'Your outside phone rings:');
    await desk.getByRole('button', { name: 'Decline' }).click();
  }
  await expect(heard).toContainText('We are calling the harbor master.');
  await page.goto(`${server.url}/today`);
  const row = page.getByRole('table', { name: 'Calls in progress' }).getByRole('row').nth(1);
  await expect(row).toContainText('Rings Harbor master');
  await row.getByRole('button', { name: 'They answer' }).click();
  await expect(caller.getByText('You are talking to Harbor master.')).toBeVisible();
  await row.getByRole('button', { name: 'They hang up' }).click();
  await expect(caller.getByText(/^Call over after/)).toBeVisible();
});

test('the docked desk phone picks a waiting call; a mail server is set up', async ({
  context,
  page,
  request,
  server,
}) => {
  await request.put(`${server.url}/api/live/clock`, { data: { reading: '2026-11-23T10:00' } });
  const [queue] = (await (await request.get(`${server.url}/api/queues`)).json()) as { id: string; revision: number }[];
  await request.patch(`${server.url}/api/queues/${queue?.id}`, { data: { revision: queue?.revision, order: 'pick' } });
  await page.goto(`${server.url}/settings`);
  await page.getByRole('textbox', { name: 'Server' }).fill('mail.larkspurcove.example');
  await page.getByLabel('Days that calls are kept, 1 to 3650').fill('90');
  await page.getByLabel('Days that calls are kept, 1 to 3650').blur();
  await saved(page);
  await page.getByLabel('Password').fill('not to be read back');
  await page.getByRole('button', { name: 'Set the password' }).click();
  await expect(page.getByText('The password was kept.')).toBeVisible();
  await page.reload();
  await expect(page.getByRole('textbox', { name: 'Server' })).toHaveValue('mail.larkspurcove.example');
  await expect(page.getByLabel('Password')).toHaveValue('');
  await go(page, '/traffic/calls');
  await expect(page.getByText('Calls are kept for 90 days.')).toBeVisible();

  await page.getByRole('button', { name: 'Desk phones' }).click();
  await page.getByLabel('Whose desk phone').selectOption({ label: 'Priya Castellanos, 204' });
  const caller = await context.newPage();
  await caller.goto(`${server.url}/handset`);
  await caller.getByRole('button', { name: 'Call', exact: true }).click();
  const heard = caller.getByRole('log', { name: 'What is heard' });
  for (const [before, key] of [
    ['Thank you for calling', '2'],
    ['Repairs and haul-out.', '1'],
    ['Launching runs', '1'],
  ] as const) {
    await expect(heard).toContainText(before);
    await caller.getByRole('button', { name: `Press ${key}`, exact: true }).click();
  }
  await page.getByRole('button', { name: 'Pick +1 207 555 0178' }).click();
  await expect(caller.getByText('You are talking to Priya Castellanos.')).toBeVisible();
  await caller.getByRole('button', { name: 'Hang up' }).click();
  await expect(page.getByText('Resting for')).toBeVisible();
});

test('a colleague sets their own working hours, once the manager lets them', async ({ context, page, server }) => {
  await page.goto(`${server.url}/directory/people`);
  await page
    .getByRole('button', { name: /Noor Haldane/ })
    .first()
    .click();
  await page.getByLabel('Working hours of Noor Haldane').selectOption({ index: 1 });
  await page.getByLabel('Whether Noor Haldane sets these hours').selectOption('may set them themselves');
  await saved(page);
  const desk = await deskOf(context, server.url, 'Noor Haldane');
  await desk.getByRole('button', { name: 'My working hours' }).click();
  const monday = desk.getByLabel('When I work on Monday');
  await monday.fill('8-12, 1-5pm');
  await monday.press('Enter');
  await expect(monday).toHaveValue('8:00–12:00, 13:00–17:00');
  await expect(desk.getByText('Monday is changed.')).toBeVisible();
  await page.goto(`${server.url}/directory/people`);
  await page
    .getByRole('button', { name: /Noor Haldane/ })
    .first()
    .click();
  await expect(page.getByLabel('Working hours of Noor Haldane')).toContainText('Hours of Noor Haldane');
});
