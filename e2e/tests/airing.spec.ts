import { readFileSync } from 'node:fs';
import type { APIRequestContext, Page } from '@playwright/test';
import { callAt, expect, go, saved, setMoment, test } from '../support/test';

const welcome = (page: Page) => page.getByRole('textbox', { name: 'Opening words' });

test('what the proof finds is mended in a click, undone, or said yes to with a reason', async ({ page, server }) => {
  await page.goto(`${server.url}/script`);
  await welcome(page).fill('Thank you for calling Harbor Marine. We are open Monday to Friday, 8 to 6.');
  const bar = page.getByRole('banner');
  await expect(bar).toContainText('Proof 2 cautions');
  await page.getByRole('button', { name: 'Say the hours live' }).click();
  await expect(welcome(page)).toContainText('We are open');
  await expect(page.getByText(/says “Monday to Friday, 8 to 6”/)).toBeHidden();
  await page.getByRole('button', { name: 'Undo: say the hours live' }).click();
  await expect(bar).toContainText('Proof 2 cautions');
  await saved(page);

  await bar.getByRole('link', { name: /^Proof/ }).click();
  const misled = page.getByRole('region', { name: 'Callers are told what is not so' });
  const row = misled.getByRole('listitem').filter({ hasText: 'Harbor Marine' });
  await expect(row).toContainText('Callers think that they have the wrong number.');
  await row.getByRole('button', { name: 'It is meant so …' }).click();
  await row.getByLabel('Why it is meant so').fill('Our sister company, for a week');
  await row.getByLabel('By', { exact: true }).fill('Tamsin Okafor');
  await row.getByRole('button', { name: 'Yes, keep it' }).click();
  await expect(page.getByRole('region', { name: 'Settled' })).toContainText('“Our sister company, for a week”');
  await expect(bar).toContainText('Proof 1 caution');
  await page.reload();
  await expect(bar).toContainText('Proof 1 caution');
  await page.getByRole('region', { name: 'Settled' }).getByRole('button', { name: 'Take it back' }).last().click();
  await expect(bar).toContainText('Proof 2 cautions');
});

test('a change is compared, rehearsed, planned, put on air with its stages, called and kept', async ({
  page,
  server,
}) => {
  await page.goto(`${server.url}/script`);
  await welcome(page).fill('Ahoy. Thank you for calling Larkspur Cove Boatyard.');
  await page.getByRole('button', { name: 'Remove key 1', exact: true }).click();
  await saved(page);
  await page.getByRole('banner').getByRole('link', { name: 'Put on air' }).click();
  const changes = page.getByRole('region', { name: 'What changes for callers' });
  await expect(changes).toContainText('Ring Moorings, then take a message in Moorings.');
  await changes.getByRole('button', { name: 'Side by side' }).click();
  await expect(page.getByRole('region', { name: 'Side by side' })).toContainText('Ahoy.');

  // A rehearsal that no longer holds shows where it went another way.
  const rehearsals = page.getByRole('region', { name: 'Rehearsals' });
  await expect(rehearsals).toContainText('no longer hold');
  await expect(rehearsals.getByText('The caller presses 1, which has no use here').first()).toBeVisible();
  await go(page, '/rehearsals');
  await expect(page.getByRole('region', { name: 'Broken' })).toContainText('(it does not)');
  for (const name of ['Open, 1', 'Lunch, 1']) {
    for (;;) {
      const left = page.getByRole('button', { name: new RegExp(`^Delete ${name}:`) });
      const count = await left.count();
      if (count === 0) break;
      await left.first().click();
      await expect(left).toHaveCount(count - 1);
    }
  }
  await expect(page.getByRole('status').filter({ hasText: 'go as they should' })).toBeVisible();

  await go(page, '/on-air');
  await page.getByLabel('At the quietest hour soon').check();
  await page.getByLabel('A note for the history').fill('No key for moorings in winter');
  await page.getByLabel('By', { exact: true }).fill('Tamsin Okafor');
  await page.getByRole('button', { name: 'Plan it' }).click();
  const planned = page.getByRole('region', { name: 'Planned' });
  await expect(planned).toContainText('planned by Tamsin Okafor: “No key for moorings in winter”');
  await planned.getByRole('button', { name: 'Cancel it' }).click();
  await expect(planned).toBeHidden();
  await page.getByLabel('Now', { exact: true }).check();
  await page.getByRole('button', { name: 'Put on air now' }).click();
  await expect(page.getByText('Nothing: the draft is what is on air, version 3.')).toBeVisible();

  await page.getByRole('link', { name: 'Versions' }).click();
  await expect(page.getByRole('listitem', { name: 'Version 3' })).toContainText('No key for moorings in winter');
  await expect(page.getByRole('region', { name: 'Compared' })).toContainText('Welcome, key 1');
  await page.getByLabel('The one before').selectOption('version 1');
  await expect(page.getByRole('region', { name: 'Compared' })).toContainText('since 1968');
  await page.getByRole('listitem', { name: 'Version 1' }).getByRole('link', { name: 'Look at it' }).click();
  await expect(page.getByText('on the coast of Maine since 1968.')).toBeVisible();
  await page.getByRole('button', { name: 'Call it' }).click();
  await callAt(page, '2026-11-23T10:00');
  await expect(page.getByRole('log', { name: 'What is heard' })).toContainText('since 1968');
});

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 800 } });

  test('the first calls are ticked off, or marked as wrong with a note', async ({ page, server }) => {
    await page.goto(`${server.url}/first-calls`);
    const rows = page.getByRole('region', { name: 'Open' }).getByRole('listitem');
    await expect(rows.first()).toContainText('Ring +1 207 555 0140.');
    await page.getByLabel('By', { exact: true }).fill('Effie Brannigan');
    await rows.first().getByRole('button', { name: 'Right' }).click();
    await expect(rows.first()).toContainText('Right, Effie Brannigan');
    await rows.nth(1).getByRole('button', { name: 'Wrong' }).click();
    await rows.nth(1).getByLabel('What was wrong').fill('Only one phone rang');
    await rows.nth(1).getByRole('button', { name: 'Keep' }).click();
    await expect(page.getByText(/^1 of \d+ right, 1 wrong/)).toBeVisible();
    await page.reload();
    await expect(rows.nth(1)).toContainText('Wrong, Effie Brannigan');
    await expect(rows.nth(1)).toContainText('“Only one phone rang”');
  });
});

test('a call on the handset is kept as a rehearsal; one is written by hand', async ({ page, server }) => {
  await page.goto(`${server.url}/script`);
  await callAt(page, '2026-11-23T10:00');
  await page.keyboard.press('5');
  await page
    .getByRole('button', { name: /^Answer/ })
    .first()
    .click();
  await page.getByRole('button', { name: 'Hang up', exact: true }).last().click();
  await page.getByRole('button', { name: 'Keep as a rehearsal …' }).click();
  await page.getByLabel('Name of the rehearsal').fill('Accounts in the morning');
  await page.getByRole('button', { name: 'Keep', exact: true }).click();
  await go(page, '/rehearsals');
  const kept = page.getByRole('listitem', { name: 'Accounts in the morning' });
  await expect(kept).toContainText('and presses 5; Hana Zielinska answers');
  await expect(kept).toContainText('reaches Hana Zielinska, ends in a talk');

  await page.getByRole('button', { name: 'Write one' }).click();
  await page.getByLabel('Name of the rehearsal').fill('Nobody by night');
  await setMoment(page, 'When, by the line’s clock', '2026-11-23T23:00');
  await page.getByRole('button', { name: 'Leave out this act' }).click();
  await page.getByLabel('What must happen').selectOption('hears');
  await page.getByLabel('Words that are heard').fill('the office is open');
  await page.getByRole('button', { name: 'Keep the rehearsal' }).click();
  const written = page.getByRole('listitem', { name: 'Nobody by night' });
  await expect(written).toContainText('Broken');
  await written.getByRole('button', { name: 'Change Nobody by night' }).click();
  await page.getByLabel('Words that are heard').fill('the office is closed now');
  await page.getByRole('button', { name: 'Keep the rehearsal' }).click();
  await expect(written).toContainText('Right');
});

test('every path is found, filtered, and saved as a spreadsheet', async ({ page, server }) => {
  await page.goto(`${server.url}/rehearsals/paths`);
  const count = page.getByRole('status').filter({ hasText: 'paths' });
  await expect(count).toContainText(/of \d+ paths/);
  await page.getByLabel('At which kind of moment').selectOption('Open');
  await page.getByLabel('What the staff does').selectOption('somebody answers');
  await page.getByLabel('Search the paths').fill('Hana');
  await expect(page.getByRole('row').filter({ hasText: 'talks to Hana Zielinska' }).first()).toBeVisible();
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'CSV' }).click();
  const csv = readFileSync(await (await download).path(), 'utf8');
  expect(csv.split('\r\n')[0]).toContain('seconds to a person');
  expect(csv).toContain('talks to Hana Zielinska');
});

test.describe('a server that is stopped', () => {
  test.use({ ownProcess: true });

  for (const stage of ['proof', 'rehearsals', 'speaking', 'storing', 'onAir']) {
    test(`is wholly on the old or wholly on the new version, killed while ${stage}`, async ({ server, request }) => {
      const line = await firstLine(request, server.url);
      const words = `Killed while ${stage}.`;
      const revision = await retype(request, `${server.url}/api/lines/${line.id}`, words);
      await putOnAirUntil(stage, `${server.url}/api/lines/${line.id}/versions`, revision, () => server.stop('SIGKILL'));
      await server.start();
      const now = await firstLine(request, server.url);
      const path = `${server.url}/api/lines/${line.id}/versions`;
      const versions = await (await request.get(path)).json();
      expect(versions.filter(({ onAir }: { onAir: boolean }) => onAir)).toHaveLength(1);
      const onAir = await (await request.get(`${path}/${now.onAirVersionId}`)).json();
      const isNew = now.onAirVersionId !== line.onAirVersionId;
      expect(onAir.attendant.sheets[0].openingWords === words).toBe(isNew);
      if (stage === 'onAir') expect(isNew).toBe(true);
    });
  }
});

interface AiredLine {
  readonly id: string;
  readonly onAirVersionId: string;
}

async function firstLine(request: APIRequestContext, url: string): Promise<AiredLine> {
  const [line] = (await (await request.get(`${url}/api/lines`)).json()) as AiredLine[];
  if (!line) throw new Error('There is no line');
  return line;
}

async function retype(request: APIRequestContext, line: string, words: string): Promise<number> {
  const draft = await (await request.get(`${line}/draft`)).json();
  const [first, ...sheets] = draft.attendant.sheets;
  const attendant = { ...draft.attendant, sheets: [{ ...first, openingWords: words }, ...sheets] };
  const saved = await request.put(`${line}/draft`, { data: { revision: draft.revision, attendant } });
  return (await saved.json()).revision as number;
}

/** Puts on air and does something as soon as a stage is told. */
async function putOnAirUntil(
  stage: string,
  path: string,
  draftRevision: number,
  act: () => Promise<unknown>,
): Promise<void> {
  const response = await fetch(path, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json', Accept: 'application/x-ndjson' },
    body: JSON.stringify({ draftRevision, by: 'Tamsin' }),
  });
  let told = '';
  const reader = response.body?.pipeThrough(new TextDecoderStream()).getReader();
  while (reader && !told.includes(`"${stage}"`)) {
    const { done, value } = await reader.read();
    if (done) throw new Error(`It did not come to ${stage}: ${told}`);
    told += value;
  }
  await act();
  await reader?.cancel().catch(() => undefined);
}
