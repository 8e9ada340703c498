import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { callAt, expect, go, saved, setMoment, test } from '../support/test';

const welcome = (page: Page) => page.getByRole('textbox', { name: 'Opening words' });
const version = (page: Page, number: number) => page.getByRole('listitem', { name: `Version ${number}`, exact: true });

test('an earlier version is put back on air, and callers hear it; the draft stays', async ({ page, server }) => {
  await page.goto(`${server.url}/script`);
  await welcome(page).fill('Thank you for calling Larkspur Cove Boatyard. The crane is being mended.');
  await saved(page);
  await go(page, '/versions');
  await expect(version(page, 2)).toContainText('on air since');
  await version(page, 1).getByRole('link', { name: 'Put back on air' }).click();
  // What changes for callers, the proof and the rehearsals come first.
  await expect(page.getByRole('region', { name: 'What changes for callers' })).toContainText('since 1968');
  await expect(page.getByRole('region', { name: 'Proof', exact: true })).toContainText('No faults');
  await expect(page.getByRole('region', { name: 'Rehearsals' })).toContainText('were run on it');
  await page.getByLabel('A note for the history').fill('The old welcome again');
  await page.getByRole('button', { name: 'Put back on air now' }).click();
  await expect(page.getByText('Version 1 is on air. Callers hear it from now on.')).toBeVisible();
  await page.getByRole('link', { name: 'All versions' }).click();
  await expect(version(page, 1)).toContainText('on air since');
  await expect(version(page, 1)).toContainText('put back on air');
  await expect(version(page, 1)).toContainText('“The old welcome again”');
  await expect(version(page, 2).getByRole('link', { name: 'Put back on air' })).toBeVisible();

  await go(page, '/script');
  await expect(welcome(page)).toContainText('The crane is being mended.');
  await page.getByLabel('What to call').selectOption('what is on air');
  await callAt(page, '2026-11-23T10:00');
  await expect(page.getByRole('log', { name: 'What is heard' })).toContainText('since 1968');
});

test('an earlier version is planned to go back, while the switch leads to a sheet that it lacks only with a yes', async ({
  page,
  server,
}) => {
  const [{ id: lineId } = { id: '' }] = (await (await page.request.get(`${server.url}/api/lines`)).json()) as {
    id: string;
  }[];
  const untilMs = Date.now() + 2 * 3_600_000;
  const to = { type: 'sheet', sheetId: 'sheet:bienvenue' };
  const data = { to, untilMs, words: '', by: 'Effie', replaces: null };
  expect((await page.request.put(`${server.url}/api/lines/${lineId}/switch`, { data })).status()).toBe(200);
  await page.goto(`${server.url}/versions`);
  await version(page, 1).getByRole('link', { name: 'Put back on air' }).click();
  const says = 'The switch is on and leads to a sheet that this script does not have.';
  await expect(page.getByRole('region', { name: 'Proof', exact: true })).toContainText(says);
  await expect(page.getByRole('button', { name: 'Put back on air now' })).toBeDisabled();
  await page.getByRole('button', { name: 'It is meant so …' }).click();
  await page.getByLabel('Why it is meant so').fill('The French menu comes back tomorrow.');
  await page.getByRole('button', { name: 'Yes, keep it' }).click();
  await expect(page.getByText('No faults, and a yes to every caution.')).toBeVisible();
  await page.getByRole('radio', { name: 'At a time' }).check();
  await page.getByRole('button', { name: 'Plan it' }).click();
  await expect(page.getByRole('region', { name: 'Planned' })).toContainText('Version 1 goes back on air at');
});

test('of two who put on air, the later is told whose is there, and looks again', async ({ page, context, server }) => {
  await page.goto(`${server.url}/script`);
  await welcome(page).fill('Thank you for calling Larkspur Cove Boatyard. Ask about winter storage.');
  await saved(page);
  await go(page, '/on-air');
  const other = await context.newPage();
  // A window that has not heard yet of what the other one does.
  await other.routeWebSocket('**/api/live/changes', () => undefined);
  await other.goto(page.url());
  for (const [each, by] of [
    [page, 'Tamsin Okafor'],
    [other, 'Odile Marchetti'],
  ] as const) {
    await each.getByLabel('By', { exact: true }).fill(by);
    await expect(each.getByRole('button', { name: 'Put on air now' })).toBeEnabled();
  }
  await page.getByRole('button', { name: 'Put on air now' }).click();
  await expect(page.getByText('Nothing: the draft is what is on air, version 3.')).toBeVisible();
  await other.getByRole('button', { name: 'Put on air now' }).click();
  await expect(other.getByRole('alert').filter({ hasText: 'Tamsin Okafor' })).toBeVisible();
  await expect(other.getByText(/version 3\. Tamsin Okafor put it on air/)).toBeVisible();
  const { onAir } = await other.evaluate(async () => {
    const [line] = (await (await fetch('/api/lines')).json()) as { id: string }[];
    const all = (await (await fetch(`/api/lines/${line?.id}/versions`)).json()) as unknown[];
    return { onAir: all.length };
  });
  expect(onAir).toBe(3);
  await page.getByRole('link', { name: 'Make the first calls' }).click();
  await expect(page.getByRole('heading', { name: /First calls/ })).toBeVisible();
});

test('a version is saved as a file, with what it says in it', async ({ page, server }) => {
  await page.goto(`${server.url}/versions`);
  const download = page.waitForEvent('download');
  await version(page, 1).getByRole('link', { name: 'Export' }).click();
  const file = await download;
  expect(file.suggestedFilename()).toMatch(/\.zip$/);
  const bytes = readFileSync(await file.path());
  expect(bytes.subarray(0, 2).toString()).toBe('PK');
  expect(bytes.includes('version.json')).toBe(true);
  expect(bytes.includes('attendant.schema.json')).toBe(true);
});

test('a time that is cleared, or over, is asked for again and nothing is lost', async ({ page, server }) => {
  await page.goto(`${server.url}/script`);
  await welcome(page).fill('Thank you for calling Larkspur Cove Boatyard. Ask about winter storage.');
  await saved(page);
  await go(page, '/on-air');
  await page.getByLabel('A note for the history').fill('Winter storage');
  await page.getByLabel('At a time').check();
  const when = 'When it goes on air, by the line’s clock';
  await setMoment(page, when, 'T');
  await expect(page.getByRole('button', { name: 'Plan it' })).toBeDisabled();
  await setMoment(page, when, '2020-01-01T10:00');
  await page.getByRole('button', { name: 'Plan it' }).click();
  await expect(page.getByText('That time is over. Choose a later one, or put it on air now.')).toBeVisible();
  await expect(page.getByLabel('A note for the history')).toHaveValue('Winter storage');
});

test('a rehearsal that is not whole yet says what it lacks', async ({ page, server }) => {
  await page.goto(`${server.url}/rehearsals`);
  await page.getByRole('button', { name: 'Write one' }).click();
  const form = page.getByRole('form', { name: 'Rehearsal' });
  const keep = form.getByRole('button', { name: 'Keep the rehearsal' });
  await expect(form).toContainText('Give it a name.');
  await page.getByLabel('Name of the rehearsal').fill('At noon');
  await expect(keep).toBeEnabled();
  await setMoment(page, 'When, by the line’s clock', 'T');
  await expect(form).toContainText('Say when the call is.');
  await setMoment(page, 'When, by the line’s clock', '2026-11-23T12:00');
  await page.getByLabel('What must happen').selectOption('hears');
  await page.getByLabel('Words that are heard').fill('');
  await expect(form).toContainText('Some part of a sentence is empty');
  await expect(keep).toBeDisabled();
});

test('two lines exchange their numbers, and back', async ({ page, server }) => {
  await page.goto(`${server.url}/lines`);
  const rows = page.getByRole('listitem').filter({ has: page.getByRole('button', { name: 'Exchange numbers' }) });
  await expect(rows).not.toHaveCount(0);
  const numbers = () =>
    page.getByLabel(/^Number of the line/).evaluateAll((all) => all.map((field) => (field as HTMLInputElement).value));
  const before = await numbers();
  await rows.first().getByRole('button', { name: 'Exchange numbers' }).click();
  await page.getByRole('menuitem').first().click();
  await expect(page.getByText('have exchanged their numbers.')).toBeVisible();
  await expect.poll(numbers).not.toEqual(before);
  expect([...(await numbers())].sort()).toEqual([...before].sort());
  await page.getByRole('button', { name: 'Undo' }).last().click();
  await expect.poll(numbers).toEqual(before);
});
