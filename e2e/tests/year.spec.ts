import { expect, test } from '../support/test';

test('a year is seen at a glance, and any minute of it explained', async ({ page, server }) => {
  await page.goto(`${server.url}/hours`);
  await page.getByRole('link', { name: 'The year' }).click();
  const ribbon = page.getByRole('group', { name: /^Days of/ });
  await expect(ribbon).toContainText('Thanksgiving');
  await expect(ribbon).toContainText('15 Summer begins');
  const year = new Date().getFullYear();
  await ribbon.getByRole('button', { name: new RegExp(`Jun 1, ${year}`) }).click();
  await expect(page.getByText('It is in Summer, which has a week of its own.')).toBeVisible();
  const minute = page.getByRole('slider', { name: 'Minute of the day' });
  await minute.fill('660');
  const why = page.getByRole('status').filter({ hasText: 'answers.' });
  await expect(why).toContainText('At 11:00 AM, Welcome answers. Because Open runs on');
  await minute.fill('1200');
  await expect(why).toContainText('At 8:00 PM, After hours answers.');
  await expect(page.getByRole('list', { name: /^Every line/ })).toContainText('At all other timesanswers');

  // By keys alone: a day on, a month down.
  await ribbon.getByRole('button', { name: new RegExp(`Jun 1, ${year}`) }).focus();
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('ArrowDown');
  await expect(page.getByRole('heading', { level: 2, name: new RegExp(`Jul 2, ${year}`) })).toBeVisible();
  await expect(ribbon.getByRole('button', { name: new RegExp(`Jul 2, ${year}`) })).toBeFocused();

  await page.getByRole('button', { name: `The year ${year + 1}` }).click();
  await expect(page.getByRole('heading', { level: 1 })).toContainText(String(year + 1));
});

test('two sets of hours, and two years, are compared in words', async ({ page, server }) => {
  await page.goto(`${server.url}/hours/year`);
  const compared = page.getByRole('region', { name: /^Compared with/ });
  await expect(compared.getByRole('row', { name: /^Thanksgiving/ })).toBeVisible();
  await expect(compared.getByRole('row', { name: /^Christmas party/ })).toContainText('not that year');
  const others = compared.getByLabel('What to compare with').getByRole('option');
  await compared.getByLabel('What to compare with').selectOption({ index: (await others.count()) - 1 });
  await expect(compared.getByRole('listitem').first()).toContainText('Business hours');
});

test('the year is printed on one sheet', async ({ page, server }) => {
  await page.goto(`${server.url}/hours/year`);
  await page.evaluate(() => {
    window.print = () => undefined;
  });
  await page.getByRole('button', { name: 'Print' }).click();
  await expect(page.locator('#print-sheets')).toBeAttached();
  const pdf = (await page.pdf({ preferCSSPageSize: true })).toString('latin1');
  expect(pdf.match(/\/Type \/Page\b/g)).toHaveLength(1);
  await page.evaluate(() => window.dispatchEvent(new Event('afterprint')));
  await expect(page.locator('#print-sheets')).toHaveCount(0);
});
