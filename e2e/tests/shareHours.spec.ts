import { readFileSync } from 'node:fs';
import { expect, test } from '../support/test';

test('the hours are shared as words, text, for the web site and as a calendar, which is taken in again', async ({
  page,
  server,
}) => {
  await page.goto(`${server.url}/hours`);
  await page.getByRole('button', { name: 'Share' }).click();
  const shared = page.getByRole('region', { name: 'The hours to share' });
  await expect(shared).toContainText(
    'The week: Monday to Friday, seven thirty a.m. to noon and twelve thirty to five p.m.',
  );
  const form = shared.getByLabel('In which form');
  await form.selectOption('as text');
  await expect(shared).toContainText('Monday to Friday: 7:30–12:00, 12:30–17:00');
  await form.selectOption('for the web site (JSON-LD)');
  await expect(shared).toContainText('"@type": "OpeningHoursSpecification"');
  await form.selectOption('as a calendar (.ics)');
  await expect(shared.getByRole('list', { name: 'What cannot be carried' })).toContainText('Independence Day is there');
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    shared.getByRole('button', { name: 'Save as a file' }).click(),
  ]);
  const file = readFileSync(await download.path());
  expect(String(file)).toMatch(/^BEGIN:VCALENDAR\r\n/);

  await page.getByRole('button', { name: 'Take in a calendar' }).click();
  const panel = page.getByRole('region', { name: 'Take in a calendar' });
  const choose = (buffer: Buffer) =>
    panel.getByLabel(/^A calendar file/).setInputFiles({ name: 'hours.ics', mimeType: 'text/calendar', buffer });
  await choose(Buffer.from('BEGIN:VCALENDAR\r\nEND:VCALENDAR\r\n'));
  await expect(panel.getByRole('alert')).toHaveText('That calendar has no events. Your hours are as they were.');
  await choose(Buffer.alloc(20_000_000, 'x'));
  await expect(panel.getByRole('alert')).toContainText('That calendar is too large: 20.0 MB; the most is 2.0 MB.');

  const event = 'SUMMARY:Office\r\nDTSTART:20250106T090000\r\nDTEND:20250106T160000\r\nRRULE:FREQ=WEEKLY;BYDAY=MO,TU';
  const odd = 'SUMMARY:Whenever\r\nDTSTART:someday';
  const wrap = (inner: string): string => `BEGIN:VEVENT\r\n${inner}\r\nEND:VEVENT\r\n`;
  await choose(Buffer.from(`BEGIN:VCALENDAR\r\n${wrap(event)}${wrap(odd)}END:VCALENDAR\r\n`));
  await expect(panel).toContainText('Monday: Office 9:00 AM to 4:00 PM');
  await expect(panel.getByRole('list', { name: 'Not taken' })).toHaveText('Whenever cannot be read.');
  await panel.getByRole('button', { name: 'Take the week' }).click();
  // The words during lunch say until when it is.
  const asked = page.getByRole('alertdialog', { name: 'Callers would notice this at once' });
  await expect(asked).toContainText('until half past twelve');
  await asked.getByRole('button', { name: 'Yes, change it' }).click();
  await expect(page.getByText('The calendar was taken in.')).toBeVisible();
  await page.getByRole('button', { name: 'Share' }).click();
  await shared.getByLabel('In which form').selectOption('as text');
  await expect(shared).toContainText('Mondays and Tuesdays: 9:00–16:00');
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(shared).toContainText('Monday to Friday: 7:30–12:00, 12:30–17:00');
});
