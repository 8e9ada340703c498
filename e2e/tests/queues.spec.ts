import { callAt, expect, heard, test } from '../support/test';

test('a queue is written in sentences, keeps within its limits, and is heard in a call', async ({ page, server }) => {
  await page.goto(`${server.url}/directory/queues`);
  const queue = page.getByRole('region', { name: 'Queue Spring launch line' });
  await queue.getByRole('textbox', { name: 'Said once, on entry' }).fill('All hands are at the crane.');
  await queue.getByRole('button', { name: 'Add a stretch while waiting in Spring launch line' }).click();
  await expect(queue.getByLabel('Stretch 3 while waiting in Spring launch line')).toHaveValue('music');
  await queue.getByRole('button', { name: 'Move stretch 3 of Spring launch line up' }).click();
  await expect(queue.getByLabel('Stretch 2 while waiting in Spring launch line')).toHaveValue('music');
  const most = queue.getByLabel('Most callers in Spring launch line');
  await most.fill('0');
  await expect(most).toHaveAttribute('aria-invalid', 'true');
  await most.blur();
  await expect(most).toHaveValue('8');
  const longest = queue.getByLabel('Longest wait in Spring launch line, in seconds');
  await longest.fill('300');
  await expect(queue.getByText('Callers put up with two to four minutes')).toBeVisible();
  await longest.fill('60');
  await queue.getByLabel('The key that leaves Spring launch line').selectOption('Key 0');
  await expect(queue.getByText('If they press 0')).toBeVisible();
  await expect(queue.getByText('Saved', { exact: true })).toBeVisible();

  await callAt(page, '2026-11-23T10:00');
  for (const [before, key] of [
    ['Thank you for calling', '2'],
    ['Repairs and haul-out.', '1'],
    ['Launching runs', '1'],
  ] as const) {
    await expect(heard(page)).toContainText(before);
    await page.getByRole('button', { name: `Press ${key}`, exact: true }).click();
  }
  await expect(heard(page)).toContainText('All hands are at the crane.');
  await expect(page.getByText('You wait in Spring launch line')).toBeVisible();
  await expect(page.getByText('Priya Castellanos is ringing')).toBeVisible();
  await page.getByRole('button', { name: 'Press 0', exact: true }).click();
  await expect(heard(page)).toContainText('Left Spring launch line');
  await expect(heard(page)).toContainText('Please leave a message for Yard');
});

test('a paused queue says so and sends new callers on; a path of its own can be undone', async ({ page, server }) => {
  await page.goto(`${server.url}/directory/queues`);
  await page.getByRole('button', { name: 'Pause the queue' }).click();
  await expect(page.getByText('Paused: new callers go on as if nobody were working.')).toBeVisible();
  await expect(page.getByRole('navigation', { name: 'Queues' })).toContainText('Paused');
  const path = page.getByRole('group', { name: 'What Spring launch line, nobodyWorking does' });
  await path.getByLabel(/step 1 does$/).selectOption('hangUp');
  await expect(path).toContainText('Hang up');
  await page.keyboard.press('Control+z');
  await expect(path).toContainText('Take a message in');
  await page.getByRole('button', { name: 'Take callers again' }).click();
  await expect(page.getByRole('button', { name: 'Pause the queue' })).toBeVisible();
});
