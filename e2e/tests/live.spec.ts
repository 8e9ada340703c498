import type { APIRequestContext, BrowserContext, Page } from '@playwright/test';
import { deskOf } from '../support/phones';
import { expect, go, setMoment, spokenFor, test } from '../support/test';

/** Lets the line believe that it is Monday morning. */
async function openTheLine(request: APIRequestContext, url: string): Promise<void> {
  const set = await request.put(`${url}/api/live/clock`, { data: { reading: '2026-11-23T10:00' } });
  expect(set.ok()).toBe(true);
}

async function callFrom(context: BrowserContext, url: string, number: string): Promise<Page> {
  const page = await context.newPage();
  await page.goto(`${url}/handset`);
  await page.getByLabel('Calling from').fill(number);
  await page.getByRole('button', { name: 'Call', exact: true }).click();
  await expect(heard(page)).toContainText('Thank you for calling Larkspur Cove Boatyard.');
  return page;
}

const heard = (page: Page) => page.getByRole('log', { name: 'What is heard' });
const press = (page: Page, key: string) => page.getByRole('button', { name: `Press ${key}`, exact: true }).click();

async function toTheQueue(page: Page): Promise<void> {
  await press(page, '2');
  await expect(heard(page)).toContainText('Repairs and haul-out.');
  await press(page, '1');
  await expect(heard(page)).toContainText('Launching runs');
  await press(page, '1');
  await expect(heard(page)).toContainText('Everybody wants to launch this week.');
}

test('three callers in three windows share one colleague, in turn; one leaves; the log tells of it', async ({
  context,
  page,
  request,
  server,
}) => {
  test.setTimeout(120_000);
  await openTheLine(request, server.url);
  const people = (await (await request.get(`${server.url}/api/people`)).json()) as { id: string; name: string }[];
  const priya = people.find(({ name }) => name === 'Priya Castellanos')?.id;
  const [queue] = (await (await request.get(`${server.url}/api/queues`)).json()) as { id: string; revision: number }[];
  await request.patch(`${server.url}/api/queues/${queue?.id}`, {
    data: { revision: queue?.revision, members: [{ personId: priya, tier: 1 }], restSeconds: 0 },
  });
  const desk = await deskOf(context, server.url, 'Priya Castellanos');
  const first = await callFrom(context, server.url, '+1 207 555 0162');
  await toTheQueue(first);
  await expect(desk.getByText('Spring launch line · Launch day, key 1')).toBeVisible();
  await desk.getByRole('button', { name: 'Answer' }).click();
  await expect(first.getByText('You are talking to Priya Castellanos.')).toBeVisible();

  const [second, third] = [
    await callFrom(context, server.url, '+1 207 555 0117'),
    await callFrom(context, server.url, '+1 207 555 0152'),
  ];
  await toTheQueue(second);
  await toTheQueue(third);
  await expect(desk.getByText('2 waiting')).toBeVisible();
  await page.goto(`${server.url}/today`);
  const calls = page.getByRole('table', { name: 'Calls in progress' });
  await expect(calls.getByRole('row')).toHaveCount(4);
  await expect(calls).toContainText('Talking to Priya Castellanos');
  await expect(page.getByText('Spring launch line: 2 waiting')).toBeVisible();

  await desk.getByRole('button', { name: 'Hold' }).click();
  await expect(first.getByText('Priya Castellanos has put you on hold.')).toBeVisible();
  await desk.getByRole('button', { name: 'Take back' }).click();
  await press(second, 'star');
  await expect(desk.getByText('1 waiting')).toBeVisible();
  await desk.getByRole('button', { name: 'Hang up' }).click();
  await expect(first.getByText(/^Call over after/)).toBeVisible();
  await expect(desk.getByText('+1 207 555 0152').first()).toBeVisible();
  await desk.getByRole('button', { name: 'Answer' }).click();
  await expect(third.getByText('You are talking to Priya Castellanos.')).toBeVisible();
  await third.getByRole('button', { name: 'Hang up' }).click();

  await go(page, '/traffic/calls');
  await page.getByLabel('Search calls').fill('207 555 0152');
  await expect(page.getByRole('table', { name: 'Calls' }).getByRole('row')).toHaveCount(2);
  await expect(page.getByText('Answered by Priya Castellanos')).toBeVisible();
  await page.getByRole('link', { name: '10:0' }).first().click();
  await expect(page.getByRole('list', { name: 'What happened' })).toContainText('Waiting in Spring launch line');
  await expect(page.getByText('Priya Castellanos answers')).toBeVisible();
});

test('a handset takes its call up again after a reload, and both voices are carried', async ({
  context,
  request,
  server,
}) => {
  await openTheLine(request, server.url);
  const desk = await deskOf(context, server.url, 'Hana Zielinska');
  const caller = await callFrom(context, server.url, '+1 207 555 0162');
  await press(caller, '5');
  await expect(desk.getByText('Welcome, key 5')).toBeVisible();
  let frames = 0;
  caller.on('websocket', (socket) =>
    socket.on('framereceived', ({ payload }) => (frames += payload.length === 160 ? 1 : 0)),
  );
  await caller.reload();
  await expect(heard(caller)).toContainText('Thank you for calling');
  await expect(heard(caller)).toContainText('You press 5');
  await desk.getByRole('button', { name: 'Answer' }).click();
  await expect(caller.getByText('You are talking to Hana Zielinska.')).toBeVisible();
  await desk.getByRole('button', { name: 'Speak with your voice' }).click();
  await expect.poll(() => frames).toBeGreaterThan(10);
  await desk.getByLabel('To whom the call is transferred').selectOption('Noor Haldane');
  await desk.getByRole('button', { name: 'Transfer' }).click();
  await expect(desk.getByText('Nothing rings.')).toBeVisible();
  const noor = await deskOf(context, server.url, 'Noor Haldane', 'Rings:');
  await noor.getByRole('button', { name: 'Answer' }).click();
  await expect(caller.getByText('You are talking to Noor Haldane.')).toBeVisible();
});

test.describe('a server that is stopped', () => {
  test.use({ ownProcess: true });

  test('what was spoken is kept when the server is killed in the middle of a message', async ({
    context,
    page,
    request,
    server,
  }) => {
    await openTheLine(request, server.url);
    const desk = await deskOf(context, server.url, 'Hana Zielinska');
    const caller = await callFrom(context, server.url, '+1 207 555 0153');
    await caller.getByRole('button', { name: 'Speak', exact: true }).click();
    await press(caller, '5');
    await desk.getByRole('button', { name: 'Decline' }).click();
    await expect(caller.getByText('Speak now.')).toBeVisible({ timeout: 20_000 });
    await spokenFor(caller, 2);
    await server.stop('SIGKILL');
    await server.start();
    await page.goto(`${server.url}/messages`);
    const left = page.getByRole('listitem', { name: 'Message from +1 207 555 0153' });
    await expect(left).toContainText('for Accounts');
    await expect(left).toContainText(/0:0[234]/);
    await go(page, '/traffic/calls');
    await expect(page.getByRole('row').filter({ hasText: '+1 207 555 0153' })).toContainText('Left a message');
  });
});

test('a group is made, ordered and rung from a key; a wrong one is refused in words', async ({ page, server }) => {
  await page.goto(`${server.url}/directory/groups`);
  await page.getByLabel('Name of a new group').fill('Sail loft');
  await page.getByRole('button', { name: 'Add group' }).click();
  await expect(page.getByText('Nobody is in it yet')).toBeVisible();
  const add = page.getByLabel('Add somebody to Sail loft');
  await add.fill('ros');
  await add.press('Enter');
  await add.fill('ingrid');
  await add.press('Enter');
  const members = page.getByRole('list', { name: 'Members of Sail loft' }).getByRole('listitem');
  await expect(members).toHaveText([/Rosalind Achterberg/, /Ingrid Vasquez-Thorne/]);
  await page.getByRole('button', { name: /^Move Ingrid/ }).focus();
  await page.keyboard.press('Alt+ArrowUp');
  await expect(members).toHaveText([/Ingrid Vasquez-Thorne/, /Rosalind Achterberg/]);
  await page.getByLabel('How Sail loft rings its members').selectOption('in order');
  await page.getByLabel('Extension of Sail loft').fill('212');
  await expect(page.getByText('Extension 212 is Noor Haldane’s already.')).toBeVisible();
  await page.getByLabel('Extension of Sail loft').fill('330');
  await expect(page.getByText('Saved', { exact: true }).first()).toBeVisible();
  await go(page, '/script');
  await page.getByLabel('What key 5, step 1 does').selectOption('ringGroup');
  await page.getByLabel('Which group is rung by key 5, step 1').selectOption('Sail loft');
  await setMoment(page, 'Or any moment, by the line’s clock', '2026-11-23T10:00');
  await page.getByRole('button', { name: 'Call', exact: true }).click();
  await page.getByRole('button', { name: 'Press 5' }).click();
  await expect(page.getByText('Ingrid Vasquez-Thorne is ringing')).toBeVisible();
  await page.getByRole('button', { name: 'Busy' }).click();
  await expect(page.getByText('Rosalind Achterberg is ringing')).toBeVisible();
});

test('a message is found, forwarded, deleted and restored; the Outbox shows what was sent', async ({
  page,
  server,
}) => {
  await page.goto(`${server.url}/messages`);
  await page.getByLabel('Search messages').fill('moorings');
  await expect(page.getByRole('listitem')).toHaveCount(1);
  await page.getByRole('button', { name: 'Forward the message from +1 207 555 0162' }).click();
  await page.getByRole('menuitem', { name: 'By e-mail to Noor Haldane' }).click();
  await expect(page.getByText('The message was sent to Noor Haldane.')).toBeVisible();
  await page.getByRole('button', { name: 'Delete the message from +1 207 555 0162' }).click();
  await page.getByRole('link', { name: 'Deleted' }).click();
  await page.getByRole('button', { name: 'Restore' }).click();
  await expect(page.getByText('Nothing was deleted.')).toBeVisible();
  await page.getByRole('link', { name: 'Outbox' }).click();
  const sent = page.getByRole('listitem', { name: 'E-mail to Noor Haldane' });
  await expect(sent).toContainText('New message in Moorings from +1 207 555 0162');
  await expect(sent).toContainText('with the audio');
  const download = page.waitForEvent('download');
  await sent.getByRole('link', { name: '.eml' }).click();
  expect((await download).suggestedFilename()).toMatch(/\.eml$/);
  await sent.getByRole('button', { name: /^Send the e-mail/ }).click();
  await expect(page.getByText('No mail server is set up. Set it up in Settings first.')).toBeVisible();
});
