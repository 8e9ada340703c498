import { readFileSync } from 'node:fs';
import { expect, setMoment, test } from '../support/test';

test('the time map shows a way for each key, at a moment, and leads to where it is written', async ({
  page,
  server,
}) => {
  await page.goto(`${server.url}/time-map`);
  const map = page.getByRole('application', { name: /^Time map/ });
  await setMoment(page, 'Date and time of the call', '2026-11-23T10:00');
  await expect(map).toContainText('1 moorings and dock space');
  await setMoment(page, 'Date and time of the call', '2026-11-22T03:00');
  await expect(map).toContainText('1 a boat taking on water');
  await setMoment(page, 'Date and time of the call', '2026-11-23T10:00');
  await expect(page.getByText(/^At best it rings somebody after 0:00/)).toBeVisible();
  await map.focus();
  await page.keyboard.press('ArrowDown');
  await expect(page.locator('#marked-way')).toContainText('1 moorings and dock space: heard after 0:0');
  const width = await map.locator('svg').nth(1).getAttribute('width');
  await page.keyboard.press('+');
  await expect(map.locator('svg').nth(1)).not.toHaveAttribute('width', width ?? '');
  await page.keyboard.press('0');
  await expect(map.locator('svg').nth(1)).toHaveAttribute('width', width ?? '');
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(/\/script\/sheet:welcome\?key=1$/);
});

test('the time map is saved as a drawing and as a picture, and printed on sheets of both papers', async ({
  page,
  server,
}) => {
  await page.goto(`${server.url}/time-map`);
  await setMoment(page, 'Date and time of the call', '2026-11-23T10:00');
  await expect(page.getByRole('application', { name: /^Time map/ })).toContainText('1 moorings and dock space');
  const save = async (name: string) => {
    await page.getByRole('button', { name: 'Save or print' }).click();
    const [download] = await Promise.all([page.waitForEvent('download'), page.getByRole('menuitem', { name }).click()]);
    return readFileSync(await download.path());
  };
  const svg = (await save('Drawing (SVG)')).toString('utf8');
  expect(svg).toContain('<svg xmlns="http://www.w3.org/2000/svg"');
  expect(svg).toContain('moorings and dock space');
  expect(svg).not.toContain('var(--');
  const png = await save('Picture (PNG)');
  expect(png.subarray(1, 4).toString()).toBe('PNG');
  expect(png.readUInt32BE(16)).toBeGreaterThan(1000);

  await page.evaluate(() => {
    window.print = () => undefined;
  });
  for (const [paper, mm] of [
    ['A4', [297, 210]],
    ['Letter', [279.4, 215.9]],
  ] as const) {
    await page.getByRole('button', { name: 'Save or print' }).click();
    await page.getByRole('menuitem', { name: `Print on ${paper}` }).click();
    await expect(page.locator('#print-sheets section').first()).toBeAttached();
    const sheets = await page.locator('#print-sheets section').count();
    const pdf = (await page.pdf({ preferCSSPageSize: true })).toString('latin1');
    const [, width = '0', height = '0'] = /\/MediaBox \[0 0 ([\d.]+) ([\d.]+)\]/.exec(pdf) ?? [];
    expect(Number(width)).toBeCloseTo((mm[0] / 25.4) * 72, -1);
    expect(Number(height)).toBeCloseTo((mm[1] / 25.4) * 72, -1);
    expect(pdf.match(/\/Type \/Page\b/g)).toHaveLength(sheets);
    await page.evaluate(() => window.dispatchEvent(new Event('afterprint')));
    await expect(page.locator('#print-sheets')).toHaveCount(0);
  }
});
