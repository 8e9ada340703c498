import AxeBuilder from '@axe-core/playwright';
import { expect, saved, test } from '../support/test';

test('what is on air is watched: a group that loses its members is told of on the line bar, on Today, and by the proof', async ({
  page,
  server,
}) => {
  const groups = (await (await page.request.get(`${server.url}/api/groups`)).json()) as {
    id: string;
    name: string;
    revision: number;
    members: unknown[];
  }[];
  const group = groups.find(({ name }) => name === 'Moorings');
  if (!group) throw new Error('The demo has no such group');
  await page.goto(`${server.url}/today`);
  await expect(page.getByRole('link', { name: /^On air:/ })).toBeVisible();
  await expect(page.getByRole('link', { name: /on air to look at/ })).toHaveCount(0);
  const set = async (members: unknown[]): Promise<void> => {
    const [{ revision } = group] = (
      (await (await page.request.get(`${server.url}/api/groups`)).json()) as typeof groups
    ).filter(({ id }) => id === group.id);
    const answer = await page.request.patch(`${server.url}/api/groups/${group.id}`, {
      data: { revision, members },
    });
    expect(answer.status()).toBe(200);
  };
  await set([]);
  try {
    await page.reload();
    await expect(page.getByText('On air: Key 1 of Welcome leads to Moorings, which nobody is in.')).toBeVisible();
    await page.getByRole('link', { name: /things on air to look at/ }).click();
    const onAir = page.getByRole('region', { name: 'What callers hear now' });
    await expect(onAir.getByText('Key 1 of Welcome leads to Moorings, which nobody is in.')).toBeVisible();
    const axe = await new AxeBuilder({ page }).analyze();
    expect(axe.violations.map(({ id, nodes }) => [id, nodes.map(({ target }) => target)])).toEqual([]);
  } finally {
    await set(group.members);
  }
  await page.reload();
  await expect(page.getByRole('heading', { name: 'Proof' })).toBeVisible();
  await expect(page.getByRole('link', { name: /on air to look at/ })).toHaveCount(0);
});

test('a change in the directory that would break what is on air is asked about before it is made', async ({
  page,
  server,
}) => {
  await page.goto(`${server.url}/directory/groups`);
  await page.getByRole('link', { name: /^Moorings/ }).click();
  const takeOut = page.getByRole('region', { name: 'Group Moorings' }).getByRole('button', { name: /^Take .+ out$/ });
  await expect(takeOut).toHaveCount(2);
  await takeOut.first().click();
  await expect(takeOut).toHaveCount(1);
  await saved(page);
  await takeOut.click();
  const asked = page.getByRole('alertdialog', { name: 'Callers would notice this at once' });
  await expect(asked.getByText('Key 1 of Welcome leads to Moorings, which nobody is in.')).toBeVisible();
  const axe = await new AxeBuilder({ page }).analyze();
  expect(axe.violations.map(({ id, nodes }) => [id, nodes.map(({ target }) => target)])).toEqual([]);
  await page.keyboard.press('Enter');
  await expect(asked).toBeHidden();
  await expect(takeOut).toHaveCount(1);
  await saved(page);
  await takeOut.click();
  await asked.getByRole('button', { name: 'Yes, change it' }).click();
  await expect(takeOut).toHaveCount(0);
  await expect(page.getByRole('link', { name: /things on air to look at/ })).toBeVisible();
});

test('a queue that callers cannot leave is mended where it is kept, from the reading of what is on air, and back', async ({
  page,
  server,
}) => {
  const queues = async () =>
    (await (await page.request.get(`${server.url}/api/queues`)).json()) as {
      id: string;
      revision: number;
      exitKey: string | null;
    }[];
  const [queue] = await queues();
  const data = { revision: queue?.revision, exitKey: null };
  expect((await page.request.patch(`${server.url}/api/queues/${queue?.id}`, { data })).status()).toBe(200);
  await page.goto(`${server.url}/proof`);
  const onAir = page.getByRole('region', { name: 'What callers hear now' });
  await onAir.getByRole('button', { name: 'Let key * leave Spring launch line' }).click();
  await expect(onAir).toBeHidden();
  expect((await queues())[0]?.exitKey).toBe('*');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(onAir).toContainText('leads to a queue that callers can leave only by hanging up');
  expect((await queues())[0]?.exitKey).toBeNull();
});

test('words that promise what does not happen are told of while they are typed, in a worker', async ({
  page,
  server,
}) => {
  await page.goto(`${server.url}/script`);
  await page.getByLabel('Outline').getByRole('link', { name: 'After hours' }).click();
  const words = page.getByRole('textbox', { name: 'Closing words' });
  await expect(words).toHaveText('Or stay on the line to leave a message.');
  await words.fill('Please stay on the line for the front desk. Welcome to [Company Name].');
  await page.getByRole('link', { name: /^Proof/ }).click();
  await expect(
    page.getByText('After hours says “stay on the line for the front desk”, but whoever does reaches nobody.'),
  ).toBeVisible();
  await expect(page.getByText('After hours still says “[Company Name]”.')).toBeVisible();
});

test('notes in the margin stretch nothing beside them, and several tips are one line until they are opened', async ({
  page,
  server,
}) => {
  await page.setViewportSize({ width: 1700, height: 900 });
  await page.goto(`${server.url}/script/sheet:welcome`);
  const key = page.getByRole('listitem', { name: 'Key 8', exact: true });
  const heightOf = async () => Math.round((await key.boundingBox())?.height ?? 0);
  const tips = key.getByRole('button', { name: '2 tips' });
  await expect(tips).toBeVisible();
  const before = await heightOf();
  await tips.click();
  const notes = key.getByRole('list', { name: 'What the proof finds here' });
  await expect(notes.getByText('Tip.')).toHaveCount(2);
  expect(await heightOf()).toBe(before);
  // They are beside the key, not over its words.
  const path = await key.getByRole('group', { name: 'What key 8 does' }).boundingBox();
  const [left = 0, right = 0] = [(await notes.boundingBox())?.x, (path?.x ?? 0) + (path?.width ?? 0)];
  expect(left).toBeGreaterThanOrEqual(right);
  await key.getByRole('button', { name: 'Fold the tips' }).click();
  await expect(notes.getByText('Tip.')).toHaveCount(0);
});
