import { readFile } from 'node:fs/promises';
import { expect, go, test } from '../support/test';

test('Traffic tells when people call, and leads from an hour of the week to its calls', async ({ page, server }) => {
  await page.goto(`${server.url}/traffic`);
  await expect(page.getByText(/^[\d,]+ calls\. The busiest hour is on \w+ between/)).toBeVisible();
  await page.getByLabel('Which days').selectOption({ label: 'the last 12 months' });
  await expect(page).toHaveURL(/span=last12Months/);
  const sentence = page.getByText(/^\d{1,2},\d{3} calls\. The busiest hour is on \w+ between/);
  await expect(sentence).toBeVisible();
  const busiest =
    /The busiest hour is on (\w+ between .*?), with/.exec((await sentence.textContent()) ?? '')?.[1] ?? '';

  // With the keyboard: from the busiest hour to the same one a day later or earlier, and to its calls.
  const grid = page.getByRole('table', { name: 'Calls in each hour of the week' });
  await grid.getByRole('link', { name: `${busiest}:` }).focus();
  await page.keyboard.press(busiest.startsWith('Sun') ? 'ArrowUp' : 'ArrowDown');
  const beside = page.locator('a:focus');
  await expect(beside).not.toHaveAccessibleName(new RegExp(`^${busiest}`));
  const [, hour = '', calls = ''] = /^(.*?): (\d+) calls/.exec((await beside.getAttribute('aria-label')) ?? '') ?? [];
  expect(hour.split(' between ')[1]).toBe(busiest.split(' between ')[1]);
  await page.keyboard.press('Enter');
  await expect(page.getByText(`Calls on ${hour} (`)).toBeVisible();
  await expect(page.getByText(`${calls} calls`, { exact: true })).toBeVisible();
  const first = page.getByRole('table', { name: 'Calls' }).getByRole('link').first();
  await expect(first).toHaveText(new RegExp(`^${hour.slice(0, 3)}|today|yesterday`));
  await page.getByRole('button', { name: 'All calls' }).click();
  await expect(page.getByText(`${calls} calls`, { exact: true })).toHaveCount(0);
});

test('two dates that are picked stand in the address, and a span without calls says so', async ({ page, server }) => {
  await page.goto(`${server.url}/traffic?from=2031-01-01&to=2031-02-01`);
  await expect(page.getByText('Nobody called.')).toBeVisible();
  const first = page.getByLabel('First day', { exact: true });
  await expect(first).toHaveValue('1/1/2031');
  await first.fill('1 Mar 2031');
  await first.press('Enter');
  // The last day is never before the first.
  await expect(page).toHaveURL(/from=2031-03-01&to=2031-03-01/);
  await expect(first).toHaveValue('3/1/2031');
  await first.fill('some day');
  await first.press('Tab');
  await expect(page.getByText('That is no day. Type it as 12/24/2027.')).toBeVisible();
  await first.press('Escape');
  await expect(first).toHaveValue('3/1/2031');
  // From the calendar, with the keyboard alone.
  const calendar = page.getByRole('button', { name: 'Last day: calendar' });
  await calendar.focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: /March 1, 2031/ })).toBeFocused();
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(/from=2031-03-01&to=2031-03-08/);
  await go(page, '/traffic?from=nonsense&to=2031-02-01&span=never');
  await expect(page.getByLabel('Which days')).toHaveValue('last30Days');
});

test('the figures are saved as a spreadsheet, and stand below the chart as a table', async ({ page, server }) => {
  await page.goto(`${server.url}/traffic?span=last12Months`);
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save as CSV' }).click();
  const rows = (await readFile(await (await download).path(), 'utf8')).split('\r\n').map((row) => row.split(','));
  expect(rows[0]).toEqual(['weekday', 'hour', 'calls', 'reached somebody', 'left a message', 'wanted nobody', 'lost']);
  const hours = rows.slice(
    1,
    rows.findIndex(([first]) => first === '' || first === undefined),
  );
  const sum = hours.reduce((all, row) => all + Number(row[2]), 0);
  await expect(page.getByText(new RegExp(`^${sum.toLocaleString('en')} calls\\.`))).toBeVisible();
  for (const [, , calls, ...parts] of hours) {
    expect(parts.reduce((all, each) => all + Number(each), 0)).toBe(Number(calls));
  }
  await page.getByText('The figures as a table').click();
  await expect(page.getByRole('table', { name: 'Calls in each week' }).getByRole('row').nth(5)).toBeVisible();
});

test('Traffic tells how long it takes until somebody answers, by group and hour, and leads to the longest', async ({
  page,
  server,
}) => {
  await page.goto(`${server.url}/traffic?span=last12Months`);
  await page.getByRole('link', { name: 'How soon are they answered?' }).click();
  // The span goes along.
  await expect(page).toHaveURL(/answered\?span=last12Months/);
  await expect(page.getByText(/^Half of the callers who reached somebody waited less than \d+ s/)).toBeVisible();
  await page.getByLabel('Within how many seconds').fill('45');
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(/within=45/);
  await expect(page.getByText(/were answered within 45 s of the line picking up/)).toBeVisible();
  await expect(
    page.getByRole('table', { name: 'By who was rung' }).getByRole('row', { name: /^Moorings/ }),
  ).toContainText('s');
  await page
    .getByRole('link', { name: /^\d+ min( \d+ s)?$/ })
    .first()
    .click();
  await expect(page.getByRole('list', { name: 'What happened' })).toContainText('answers');
});

test('Traffic tells what callers press, sheet by sheet, and when in the words', async ({ page, server }) => {
  await page.goto(`${server.url}/traffic/pressed?span=last12Months`);
  const welcome = page.getByRole('region', { name: 'Welcome', exact: true });
  await expect(welcome.getByText(/^The key pressed most is \d \([a-z, -]+\), by \d\d%/)).toBeVisible();
  const rows = welcome.getByRole('table').getByRole('row');
  // In the order of the sheet, also the keys that nobody pressed.
  await expect(rows.nth(1)).toContainText('moorings and dock space');
  await expect(welcome.getByRole('row', { name: /7 where we are 0/ })).toBeVisible();
  await expect(welcome.getByText(/seconds into the words, which take about \d+ seconds/).first()).toBeVisible();
  await welcome.getByRole('link', { name: 'Welcome' }).click();
  await expect(page).toHaveURL(/\/script\/sheet:/);
});

test('Traffic tells who answers, and what it came to beside another span', async ({ page, server }) => {
  await page.goto(`${server.url}/traffic/who?span=last12Months`);
  await expect(
    page.getByText(/^[\d,]+ calls were answered by \d+ people, who talked for \d+ hours in all\./),
  ).toBeVisible();
  const priya = page
    .getByRole('table', { name: 'Who was rung, and who answered' })
    .getByRole('row', { name: /^Priya/ });
  const [rung = 0, answered = 0, ...ends] = (await priya.getByRole('cell').allTextContents())
    .slice(0, 5)
    .map((text) => Number(text.replace(/\D/g, '')));
  expect(answered).toBeGreaterThan(0);
  expect(ends.reduce((sum, each) => sum + each, answered)).toBe(rung);

  await page.getByRole('link', { name: 'What did it come to?' }).click();
  await expect(page.getByText(/^Of [\d,]+ calls, \d\d% reached somebody/)).toBeVisible();
  await page.getByLabel('Which days').selectOption({ label: 'last month' });
  await page.getByLabel('Compared with').selectOption({ label: 'as many days before' });
  await expect(page).toHaveURL(/span=lastMonth&compare=before/);
  await expect(page.getByRole('list', { name: 'What changed' }).getByRole('listitem')).toHaveCount(3);
  await expect(page.getByRole('table', { name: 'Calls by outcome' })).toContainText('Share before');
  // Before the log begins there is nothing to compare with.
  await go(page, '/traffic/came?from=2020-01-01&to=2020-01-31&compare=year');
  await expect(page.getByText('Nobody called then: there is nothing to compare with.')).toBeVisible();
});

test('days that are kept by a name are picked again by it, and since a version is a span too', async ({
  page,
  server,
}) => {
  await page.goto(`${server.url}/traffic?from=2026-04-01&to=2026-05-31`);
  await page.getByRole('button', { name: 'Keep these days by a name' }).click();
  await page.getByLabel('Name of these days').fill('Spring rush');
  await page.keyboard.press('Enter');
  const which = page.getByLabel('Which days');
  await expect(which.locator('option:checked')).toHaveText('Spring rush');
  await which.selectOption({ label: 'this week' });
  await expect(page).toHaveURL(/span=thisWeek/);
  await which.selectOption({ label: 'Spring rush' });
  await expect(page).toHaveURL(/from=2026-04-01&to=2026-05-31/);
  await page.getByRole('button', { name: 'Forget the span “Spring rush”' }).click();
  await expect(page.getByRole('button', { name: 'Keep these days by a name' })).toBeVisible();
  const version = which.locator('option', { hasText: /^since version 1 / });
  await which.selectOption({ label: (await version.textContent()) ?? '' });
  await expect(page).toHaveURL(/since=version/);
  await page.reload();
  await expect(which.locator('option:checked')).toHaveText(/^since version 1 /);
});

test('the log is narrowed by who was rung and what was pressed, from a figure or by hand', async ({ page, server }) => {
  await page.goto(`${server.url}/traffic/who`);
  const row = page.getByRole('table', { name: 'Who was rung, and who answered' }).getByRole('row', { name: /^Priya/ });
  await row.getByRole('link', { name: 'Priya Castellanos' }).click();
  await expect(page.getByLabel('Who was rung', { exact: true })).toHaveValue(/^person:/);
  const count = page.getByText(/^[\d,]+ calls$/);
  const number = async () => Number(((await count.textContent()) ?? '').replace(/\D/g, ''));
  await expect(count).toBeVisible();
  const hers = await number();
  await page.getByLabel('What was pressed').selectOption({ index: 1 });
  await expect.poll(number).toBeLessThan(hers);
  await expect(page).toHaveURL(/who=person.*sheetId=.*choice=1/);
  await page.getByLabel('Search calls').fill('555 011');
  await expect(
    page
      .getByRole('table', { name: 'Calls' })
      .getByRole('cell', { name: /^\+1 207 555 011\d$/ })
      .first(),
  ).toBeVisible();
  await expect(page.getByRole('cell', { name: /^\+1 207 555 010\d$/ })).toHaveCount(0);
  await page.getByLabel('Search calls').fill('');
  await page.getByRole('button', { name: 'All calls' }).click();
  await expect.poll(number).toBeGreaterThan(hers);
  await page.getByLabel('Search calls').fill('priya');
  await expect(page.getByText(/^Answered by Priya/).first()).toBeVisible();
});

test('Today sets the day beside such days and leads to what is worth knowing', async ({ page, server }) => {
  await page.goto(`${server.url}/today`);
  await expect(page.getByText(/(so far today|Nobody has called today)/)).toBeVisible();
  await expect(page.getByRole('img', { name: /^Calls by hour today: / })).toBeVisible();
  const list = page.getByRole('list', { name: 'Worth knowing' });
  const unused = list
    .getByRole('listitem')
    .filter({ hasText: 'Nobody pressed 8 (to find somebody by name) in Welcome' });
  await expect(unused).toBeVisible();
  await unused.getByRole('link', { name: 'See what they press' }).click();
  await expect(page.getByRole('table', { name: 'What callers did in Welcome' })).toBeVisible();
});

test('calls stand beside the keys of the script once that is wanted, and make the time map thick', async ({
  page,
  server,
}) => {
  await page.goto(`${server.url}/script`);
  await expect(page.getByText(/^\d+ · \d+%$/)).toHaveCount(0);
  await page.getByRole('button', { name: 'Calls', exact: true }).click();
  await expect(page.getByText(/^\d+ · \d+%$/).first()).toBeVisible();
  await page.reload();
  await expect(page.getByText(/^\d+ · \d+%$/).first()).toBeVisible();
  await go(page, '/time-map');
  const byCalls = page.getByRole('button', { name: 'Show calls' });
  await byCalls.click();
  await expect(byCalls).toHaveAttribute('aria-pressed', 'true');
  await expect(page.locator('svg title', { hasText: /% of callers go this way\./ }).first()).toBeAttached();
});
