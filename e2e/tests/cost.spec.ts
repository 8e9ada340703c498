import { readFile } from 'node:fs/promises';
import AxeBuilder from '@axe-core/playwright';
import { expect, go, test } from '../support/test';

test('a price that is changed in Settings changes what calls cost, and Today says when the budget will not do', async ({
  page,
  server,
}) => {
  await page.goto(`${server.url}/traffic/cost?span=thisMonth&line=all`);
  const sentence = page.getByText(/has cost \$\d/);
  await expect(sentence).toBeVisible();
  const before = /has cost \$([\d.]+) so far/.exec((await sentence.textContent()) ?? '')?.[1] ?? '';

  await page.getByRole('link', { name: 'Settings' }).last().click();
  const card = page.getByRole('group', { name: /^Rate card from/ }).first();
  await card.getByLabel('Rent of a number a month').fill('20,50');
  await card.getByLabel('Tax in percent').fill('0');
  await page.getByLabel(/^Budget of a month/).fill('30');
  await expect(page.getByText('Saved').first()).toBeVisible();

  await page.getByRole('link', { name: 'Today', exact: true }).click();
  const warning = page.getByText(
    /Calls (have cost|will most likely cost) \$[\d.]+ this month, more than the budget of \$30\.00/,
  );
  await expect(warning).toBeVisible();
  await page.getByRole('link', { name: 'See the cost' }).click();
  await expect(page.getByText(/over the budget of \$30\.00/)).toBeVisible();
  // Three numbers at 20.50.
  await expect(page.getByText(/\$61\.50 of it for the numbers/)).toBeVisible();
  const after = /has cost \$([\d.]+) so far/.exec((await sentence.textContent()) ?? '')?.[1] ?? '';
  expect(Number(after)).toBeGreaterThan(Number(before));
});

test('a rate card can be added, given prices of its own, and taken away, all in words', async ({ page, server }) => {
  await page.goto(`${server.url}/settings`);
  const cards = page.getByRole('group', { name: /^Rate card from/ });
  await expect(cards).toHaveCount(2);
  const count = 2;
  await page.getByRole('button', { name: 'Prices from another day' }).click();
  await expect(cards).toHaveCount(count + 1);
  const added = cards.first();
  await added.getByLabel('First day', { exact: true }).fill('1/6/2031');
  await page.keyboard.press('Enter');
  await expect(page.getByText('Monday, January 6, 2031')).toBeVisible();
  const dated = page.getByRole('group', { name: 'Rate card from 2031-01-06' });
  await dated.getByRole('button', { name: 'other prices for some outside phones' }).click();
  await dated.getByLabel('How the numbers begin').last().fill('+44');
  await dated.getByLabel('Price of a minute to +44').fill('abc');
  await expect(dated.getByLabel('Price of a minute to +44')).toHaveAttribute('aria-invalid', 'true');
  await dated.getByLabel('Price of a minute to +44').fill('0.21');
  // Two cards of one day make no sense; what was typed stays.
  const other = (await cards.nth(1).getAttribute('aria-label'))?.replace('Rate card from ', '') ?? '';
  await dated.getByLabel('First day', { exact: true }).fill(other);
  await page.keyboard.press('Enter');
  await expect(page.getByText(`Two rate cards begin on ${other}.`, { exact: false }).first()).toBeVisible();
  await page
    .getByRole('group', { name: `Rate card from ${other}` })
    .first()
    .getByLabel('First day', { exact: true })
    .fill('2031-02-03');
  await page.keyboard.press('Enter');
  await expect(page.getByText('Saved').first()).toBeVisible();
  await page.reload();
  const kept = page.getByRole('group', { name: 'Rate card from 2031-02-03' });
  await expect(kept.getByLabel('Price of a minute to +44')).toHaveValue('0.21');
  const axe = await new AxeBuilder({ page }).analyze();
  expect(axe.violations.map(({ id, nodes }) => [id, nodes.map(({ target }) => target)])).toEqual([]);
  await kept.getByRole('button', { name: 'Remove the rate card from 2031-02-03' }).click();
  await expect(cards).toHaveCount(count);
});

test('the months are there as a table and a spreadsheet, which say the same', async ({ page, server }) => {
  await page.goto(`${server.url}/traffic/cost?span=last12Months&line=all`);
  await page.getByText('The figures as a table').click();
  const rows = page.getByRole('table', { name: 'What each month cost, as figures' }).getByRole('row');
  await expect(rows).toHaveCount(14);
  const shown = await rows.nth(5).getByRole('cell').allTextContents();
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save as CSV' }).click();
  const csv = (await readFile(await (await download).path(), 'utf8')).split('\r\n').map((row) => row.split(','));
  const month = csv[5] ?? [];
  const named = new Date(`${month[0] ?? ''}-15T12:00Z`).toLocaleDateString('en-US', { month: 'long', year: 'numeric' });
  expect(named).toBe(await rows.nth(5).getByRole('rowheader').textContent());
  expect(Number(month[5]).toFixed(2)).toBe(shown[4]?.replace('$', ''));
  const axe = await new AxeBuilder({ page }).analyze();
  expect(axe.violations.map(({ id, nodes }) => [id, nodes.map(({ target }) => target)])).toEqual([]);
});

test('a report is looked at before it is mailed, and a page of Traffic is printed on both papers', async ({
  page,
  server,
}) => {
  await page.goto(`${server.url}/settings`);
  await page.getByLabel('How often a report is sent').selectOption({ label: 'on the first, of the month before' });
  await page.getByRole('button', { name: 'Look at the last one' }).click();
  const report = page.frameLocator('iframe');
  await expect(report.getByRole('heading', { name: 'What did it come to?' })).toBeVisible();
  await expect(report.getByRole('img', { name: /calls, \d+ lost/ })).toBeVisible();
  await expect(report.getByText(/^\w+ \d{4} cost \$\d/)).toBeVisible();
  await page.keyboard.press('Escape');

  await go(page, '/traffic/came?span=last12Months');
  await page.evaluate(() => {
    window.print = () => document.body.setAttribute('data-printed', 'yes');
  });
  for (const [paper, wide] of [
    ['A4', 595],
    ['Letter', 612],
  ] as const) {
    await page.getByRole('button', { name: 'Print' }).click();
    await page.getByText(`On ${paper} paper`).click();
    await expect(page.locator('body[data-printed]')).toHaveCount(1);
    const pdf = (await page.pdf({ preferCSSPageSize: true, printBackground: true })).toString('latin1');
    const [, width] = /MediaBox\s*\[\s*0\s+0\s+([\d.]+)/.exec(pdf) ?? [];
    expect(Math.round(Number(width))).toBe(wide);
    await page.evaluate(() => window.dispatchEvent(new Event('afterprint')));
  }
});
