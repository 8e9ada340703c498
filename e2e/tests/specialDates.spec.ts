import { readFileSync } from 'node:fs';
import type { APIRequestContext, Page } from '@playwright/test';
import { callAt, expect, go, heard, saved, startLine, test } from '../support/test';

const dates = (page: Page) => page.getByRole('region', { name: 'Special dates' });
const form = (page: Page) => page.getByRole('form', { name: 'New special date' });

/** The address of the hours of the line. */
async function ownHours(request: APIRequestContext, url: string): Promise<string> {
  const [line] = (await (await request.get(`${url}/api/lines`)).json()) as { hoursId: string }[];
  return `${url}/api/hours/${line?.hoursId ?? ''}`;
}

test.describe('a new business', () => {
  test.use({ data: 'empty' });

  test('picks the public holidays it keeps, and takes them back in one step', async ({ page, server }) => {
    await startLine(page, server);
    await go(page, '/hours');
    await expect(dates(page)).toContainText('Nothing is entered for the next three months.');
    await dates(page).getByRole('button', { name: 'Pick public holidays' }).click();
    const picker = page.getByRole('region', { name: 'Public holidays' });
    await picker.getByLabel('Region').selectOption({ label: 'Maine' });
    await picker.getByRole('checkbox', { name: 'Columbus Day' }).uncheck();
    await picker.getByRole('button', { name: /^Keep \d+ days$/ }).click();
    await expect(dates(page)).toContainText('Thanksgiving Day');
    await expect(dates(page)).not.toContainText('Columbus Day');
    await expect(dates(page)).not.toContainText('Nothing is entered');
    await page.reload();
    await expect(dates(page)).toContainText('Thanksgiving Day');
    await dates(page).getByRole('button', { name: 'Remove Thanksgiving Day' }).first().click();
    await page.getByRole('button', { name: 'Undo', exact: true }).click();
    await expect(dates(page).getByText('Thanksgiving Day').first()).toBeVisible();
  });
});

test('holidays kept this year are offered for the next with a click', async ({ page, request, server }) => {
  const year = new Date().getFullYear();
  const path = await ownHours(request, server.url);
  const { week, revision, periods } = (await (await request.get(path)).json()) as Record<string, unknown>;
  const when = { type: 'once', from: `${year}-12-25`, to: `${year}-12-25` };
  const closed = { type: 'closed', startMin: 0, endMin: 1440 };
  const christmas = { id: 'special:xmas', name: 'Christmas Day', when, moved: 'stays', hours: closed, words: '' };
  expect((await request.put(path, { data: { week, revision, periods, special: [christmas] } })).status()).toBe(200);
  await page.addInitScript(() => localStorage.setItem('locutor.holidays', '{"country":"US","region":"ME"}'));
  await page.goto(`${server.url}/hours`);
  await expect(dates(page)).toContainText('The holidays that you keep this year fall on');
  await dates(page)
    .getByRole('button', { name: /^Add (?:it|them)$/ })
    .click();
  await expect(dates(page)).toContainText(`Dec 25, ${year + 1}`);
  await expect(dates(page)).not.toContainText('not entered yet');
});

test('a date of its own is entered as a sentence, refused in words where it cannot be, and heard by callers', async ({
  page,
  server,
}) => {
  await page.goto(`${server.url}/hours`);
  await dates(page).getByRole('button', { name: 'A date', exact: true }).click();
  await form(page).getByRole('button', { name: 'Keep it' }).click();
  await expect(form(page).getByRole('alert')).toHaveText('Give it a name, such as Christmas Eve.');
  await form(page).getByLabel('Name of the special date').fill('Boat show');
  await form(page).getByLabel('First day', { exact: true }).fill('Feb 16, 2027');
  await page.keyboard.press('Enter');
  await expect(form(page).getByText('Tuesday, February 16, 2027').first()).toBeVisible();
  await form(page).getByLabel('What is other than usual').selectOption('closed for a part of the day');
  await form(page).getByLabel('From when to when it is closed').fill('noon');
  await form(page).getByRole('button', { name: 'Keep it' }).click();
  await expect(form(page).getByRole('alert')).toHaveText('“noon” needs a start and an end, like 8:00–17:30.');
  await form(page).getByLabel('From when to when it is closed').fill('2pm-4pm');
  await form(page).getByLabel('What callers hear first on that day').fill('We are at the boat show today.');
  await form(page).getByRole('button', { name: 'Keep it' }).click();
  const row = dates(page).getByRole('listitem').filter({ hasText: 'Boat show' });
  await expect(row).toContainText('Tue, Feb 16, 2027');
  await expect(row).toContainText('closed 2:00 PM to 4:00 PM');
  await saved(page);
  await callAt(page, '2027-02-16T14:30');
  await expect(heard(page)).toContainText('We are at the boat show today.');
  await expect(heard(page)).toContainText('The office is closed now.');
});

test('special dates can have an answer of their own', async ({ page, server }) => {
  await page.goto(`${server.url}/hours`);
  const row = page.getByRole('listitem').filter({ hasText: 'On special dates:' });
  await row.getByRole('button', { name: 'Let something else answer' }).click();
  await page.getByRole('button', { name: 'Add a step to the answer on special dates' }).click();
  await page.getByLabel('What the answer on special dates, step 1 does').selectOption('goTo');
  await page.getByLabel('Sheet of the answer on special dates, step 1', { exact: true }).selectOption('Welcome');
  await callAt(page, '2026-12-28T10:00');
  await expect(heard(page)).toContainText('The boatyard is closed from Christmas to New Year.');
  await expect(heard(page)).toContainText('For moorings and dock space, press 1.');
});

test('a season has a week of its own, between two dates of every year', async ({ page, server }) => {
  await page.goto(`${server.url}/hours`);
  const monday = page.getByLabel('Open on Monday');
  await expect(monday).toHaveValue('7:30–17:00');
  await page.getByLabel('Which week is shown').selectOption({ label: 'of Summer' });
  await expect(monday).toHaveValue('7:00–17:30');
  await expect(page.getByRole('heading', { name: 'The week in Summer' })).toBeVisible();
  await monday.fill('6-18');
  await monday.press('Enter');
  await page.getByLabel('Which week is shown').selectOption({ label: 'of the rest of the year' });
  await expect(monday).toHaveValue('7:30–17:00');
  await page.getByRole('button', { name: 'Season with a week of its own' }).click();
  // A second one opens on dates that are free, ready to be changed.
  await expect(page.getByRole('heading', { name: 'The week in Season 2' })).toBeVisible();
  await expect(page.getByText(/share days/)).toBeHidden();
  await page.getByLabel('Which week is shown').selectOption({ label: 'of Summer' });
  await expect(monday).toHaveValue('6:00–18:00');
  await callAt(page, '2027-06-14T06:30');
  await expect(heard(page)).toContainText('For moorings and dock space, press 1.');
});

test('the hours change from a date weeks ahead: entered now, told everywhere, heard from that day on', async ({
  page,
  server,
}) => {
  await page.goto(`${server.url}/hours`);
  await page.getByRole('button', { name: 'Other hours from a date on' }).click();
  await expect(page.getByText('Nothing yet. Change its times below.')).toBeVisible();
  const first = page.getByRole('textbox', { name: 'First day of this week' });
  await first.fill('6/6/2033');
  await first.press('Enter');
  const monday = page.getByLabel('Open on Monday');
  await monday.fill('9-4');
  await monday.press('Enter');
  await expect(page.getByRole('group', { name: 'What changes' })).toContainText(
    'Open, on Mondays: 9:00 AM to 4:00 PM instead of 7:30 AM to 5:00 PM.',
  );
  const name = page.getByLabel('Name of these weeks');
  await name.fill('New plan');
  await name.press('Tab');
  // The week before it is as it was.
  await page.getByLabel('Which week is shown').selectOption({ label: 'until Sun, Jun 5, 2033 (now)' });
  await expect(monday).toHaveValue('7:30–17:00');
  await page.reload();
  await page.getByLabel('Which week is shown').selectOption({ label: 'from Mon, Jun 6, 2033: New plan' });
  await expect(monday).toHaveValue('9:00–16:00');
  await saved(page);
  // Its season is still the season's; in November the new week answers.
  await callAt(page, '2033-11-14T08:00');
  await expect(heard(page)).toContainText('The office is closed');
});

test('what changes ahead is one list, near things on Today, all of it as a calendar', async ({
  page,
  request,
  server,
}) => {
  const path = await ownHours(request, server.url);
  const { week, revision, periods } = (await (await request.get(path)).json()) as Record<string, unknown[]>;
  const soon = new Date(Date.now() + 9 * 86_400_000).toISOString().slice(0, 10);
  const datedWeeks = [{ id: 'week:spring', name: 'Spring plan', from: soon, week: week?.slice(1) }];
  expect((await request.put(path, { data: { week, revision, periods, datedWeeks } })).status()).toBe(200);
  await page.goto(`${server.url}/today`);
  const near = page.getByRole('list', { name: 'What changes ahead' });
  await expect(near).toContainText('Spring plan.');
  await page.getByRole('link', { name: 'Everything ahead' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'What changes ahead' })).toBeVisible();
  await expect(page.getByText('Summer begins, with a week of its own.')).toBeVisible();
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save as a calendar' }).click(),
  ]);
  expect(file.suggestedFilename()).toBe('what-changes-ahead.ics');
  expect(readFileSync(await file.path(), 'utf8')).toContain(`DTSTART;VALUE=DATE:${soon.replaceAll('-', '')}`);
  await page.getByRole('link', { name: /^Spring plan/ }).click();
  await expect(page.getByRole('heading', { name: 'The week of Spring plan' })).toBeVisible();
});

test('a date that is over is changed where it stands, and times of several periods stay', async ({
  page,
  request,
  server,
}) => {
  const path = await ownHours(request, server.url);
  const hours = (await (await request.get(path)).json()) as { periods: { id: string }[]; revision: number };
  const spans = hours.periods.map(({ id }) => ({ periodId: id, startMin: 480, endMin: 600 }));
  const when = { type: 'once', from: '2020-06-01', to: '2020-06-01' };
  const old = { id: 'special:old', name: 'Old fair', when, moved: 'stays', hours: { type: 'times', spans }, words: '' };
  expect((await request.put(path, { data: { ...hours, id: undefined, name: undefined, special: [old] } })).ok()).toBe(
    true,
  );
  await page.goto(`${server.url}/hours`);
  await page.getByText('One date is over').click();
  await dates(page).getByRole('button', { name: 'Change Old fair' }).click();
  await page.getByLabel('Name of the special date').fill('Old boat fair');
  await page.getByRole('button', { name: 'Keep it' }).click();
  await expect(dates(page).getByRole('button', { name: 'Change Old boat fair' })).toBeVisible();
  const kept = (await (await request.get(path)).json()) as { special: { hours: object }[] };
  expect(kept.special[0]?.hours).toEqual({ type: 'times', spans });
});
