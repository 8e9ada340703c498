import AxeBuilder from '@axe-core/playwright';
import { expect, test } from '../support/test';

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
    await expect(page.getByText('On air: Key 1 of Welcome leads to a group or queue with nobody in it.')).toBeVisible();
    await page.getByRole('link', { name: /things on air to look at/ }).click();
    const onAir = page.getByRole('region', { name: 'What callers hear now' });
    await expect(onAir.getByText('Key 1 of Welcome leads to a group or queue with nobody in it.')).toBeVisible();
    const axe = await new AxeBuilder({ page }).analyze();
    expect(axe.violations.map(({ id, nodes }) => [id, nodes.map(({ target }) => target)])).toEqual([]);
  } finally {
    await set(group.members);
  }
  await page.reload();
  await expect(page.getByRole('heading', { name: 'Proof' })).toBeVisible();
  await expect(page.getByRole('link', { name: /on air to look at/ })).toHaveCount(0);
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
