import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { readWav } from '@locutor/core/audio';
import type { Page } from '@playwright/test';
import { callAt, expect, go, heard, saved, spokenFor, test } from '../support/test';
import { deskOf } from '../support/phones';
import { root } from '../support/places';

const sounds = join(root, 'server', 'src', 'testing', 'sounds');
const words = (page: Page) => page.getByRole('textbox', { name: 'Words' });
const panel = (page: Page) => page.getByRole('region', { name: /^Recording of/ });

async function newGreeting(page: Page, url: string): Promise<void> {
  await page.goto(`${url}/greetings`);
  await page.getByRole('button', { name: 'New greeting' }).click();
  await expect(words(page)).toBeVisible();
}

test('words hold live parts and pauses as chips, which say what is so', async ({ page, server }) => {
  await newGreeting(page, server.url);
  await words(page).fill('We are open ');
  await words(page).press('End');
  const insert = page.getByRole('button', { name: 'Insert into words' });
  await insert.click();
  await page.getByRole('menuitem', { name: 'The week’s hours' }).click();
  await insert.click();
  await page.getByRole('menuitem', { name: 'A pause of 1 s' }).click();
  await expect(words(page)).toBeFocused();
  await page.keyboard.type('Ask for ');
  await insert.click();
  await page.getByRole('menuitem', { name: 'A person’s name' }).click();
  await page.getByRole('menuitem', { name: 'Juno Marchetti' }).click();
  await expect(words(page)).toHaveText('We are open the week’s hourspause 1 sAsk for name of Juno Marchetti');
  await expect(page.getByTitle(/^Says now: Monday to Friday, seven thirty a\.m\. to noon/)).toBeVisible();
  await expect(words(page)).toBeFocused();
  // One press takes a whole chip away.
  await page.keyboard.press('Backspace');
  await expect(words(page)).toHaveText('We are open the week’s hourspause 1 sAsk for');
  await expect(page.getByRole('region', { name: 'Greeting' }).getByText('Saved')).toBeVisible();
  await page.reload();
  await expect(words(page)).toHaveText('We are open the week’s hourspause 1 sAsk for');
});

test('live parts are current in a call, without anyone touching them', async ({ page, server }) => {
  await page.goto(`${server.url}/script`);
  await callAt(page, '2026-11-27T20:00');
  await expect(heard(page)).toContainText('We open tomorrow at eight a.m.');
});

test('a greeting is recorded at the computer, made good, and heard in place of the voice', async ({ page, server }) => {
  await newGreeting(page, server.url);
  await words(page).fill('The regatta is on. The fuel dock alone is open.');
  await panel(page).getByRole('button', { name: 'Record it here' }).click();
  const recorder = page.getByRole('region', { name: 'Recorder' });
  await expect(recorder.getByText('The regatta is on.')).toBeVisible();
  await recorder.getByRole('button', { name: 'Record', exact: true }).click();
  await expect(recorder.getByRole('meter')).toBeVisible({ timeout: 10_000 });
  await spokenFor(page, 2);
  await recorder.getByRole('button', { name: 'Stop' }).click();
  await recorder.getByRole('button', { name: 'Record again' }).click();
  await expect(recorder.getByRole('button', { name: 'Stop' })).toBeVisible({ timeout: 10_000 });
  await spokenFor(page, 2);
  await recorder.getByRole('button', { name: 'Stop' }).click();
  await recorder.getByRole('button', { name: 'Keep it' }).click();
  await expect(panel(page)).toContainText('Callers hear this recording.');
  await expect(panel(page).getByText('−20 LUFS').last()).toBeVisible();
  await expect(panel(page).getByRole('img', { name: 'As callers hear it' }).locator('path')).toBeVisible();
  await words(page).fill('The regatta is over.');
  await expect(panel(page)).toContainText('Its words were changed since it was recorded.');
});

test('a greeting is recorded with a desk phone, heard there, and used', async ({ context, page, server }) => {
  const noor = await deskOf(context, server.url, 'Noor Haldane');
  await newGreeting(page, server.url);
  await words(page).fill('The regatta is on.');
  await panel(page).getByRole('button', { name: 'Record by phone' }).click();
  const recorder = page.getByRole('region', { name: 'Record by phone' });
  await recorder.getByLabel('Whose desk phone is rung').selectOption({ label: 'Noor Haldane, 212' });
  await recorder.getByRole('button', { name: 'Ring it' }).click();
  await expect(recorder.getByRole('status')).toHaveText('Noor’s phone is ringing …');
  await expect(noor.getByText('The regatta is on.')).toBeVisible();
  await noor.getByRole('button', { name: 'Decline' }).click();
  await expect(recorder.getByRole('alert')).toContainText('Nobody answered that phone.');
  await recorder.getByRole('button', { name: 'Ring it' }).click();
  await noor.getByRole('button', { name: 'Answer' }).click();
  await expect(noor.getByText('Recording: speak now, then press #.')).toBeVisible({ timeout: 20_000 });
  await expect(recorder.getByRole('status')).toHaveText('Recording. # ends it.');
  await spokenFor(noor, 2);
  const press = (name: string) => noor.getByRole('button', { name: `Press ${name}`, exact: true }).click();
  await press('pound');
  await expect(noor.getByText('1 keeps it, 2 plays it, 3 records again.')).toBeVisible({ timeout: 15_000 });
  await press('2');
  await press('1');
  await expect(panel(page)).toContainText('Callers hear this recording.');
  await expect(recorder).toBeHidden();
});

test('a microphone that is refused is said in plain words', async ({ page, server }) => {
  await page.addInitScript(() => {
    navigator.mediaDevices.getUserMedia = () => Promise.reject(new DOMException('no', 'NotAllowedError'));
  });
  await newGreeting(page, server.url);
  await panel(page).getByRole('button', { name: 'Record it here' }).click();
  await page.getByRole('button', { name: 'Record', exact: true }).click();
  await expect(page.getByRole('alert')).toContainText('does not let Locutor use the microphone', { timeout: 10_000 });
});

test('AAC, as telephones record, is read by the browser, and what it cannot read is refused in words', async ({
  page,
  server,
}) => {
  await newGreeting(page, server.url);
  const file = (name: string, cut?: number) => ({
    ...{ name, mimeType: 'audio/mp4' },
    buffer: readFileSync(join(sounds, name)).subarray(0, cut),
  });
  await panel(page)
    .locator('input[type=file]')
    .setInputFiles([file('tone.m4a'), file('tone.aac'), { ...file('six.m4a', 3000), name: 'cut.m4a' }]);
  await expect(panel(page).getByRole('alert')).toContainText('“cut.m4a” was cut off');
  const list = panel(page).getByRole('list', { name: 'All recordings of this' });
  await expect(list.getByRole('listitem')).toHaveCount(2);
  await expect(list.getByText('tone.wav')).toHaveCount(2);
  await panel(page)
    .locator('input[type=file]')
    .setInputFiles([file('alac.m4a')]);
  await expect(panel(page).getByRole('alert')).toContainText('that this browser does not read');
});

test('files are brought, several at once; what is no sound is said and the rest is taken', async ({ page, server }) => {
  await newGreeting(page, server.url);
  const notes = { name: 'notes.mp3', mimeType: 'audio/mpeg', buffer: Buffer.from('Dear callers') };
  const tone = { name: 'tone.mp3', mimeType: 'audio/mpeg', buffer: readFileSync(join(sounds, 'tone.mp3')) };
  const flac = { name: 'Regatta.flac', mimeType: 'audio/flac', buffer: readFileSync(join(sounds, 'tone.flac')) };
  await panel(page).locator('input[type=file]').setInputFiles([notes, tone, flac]);
  await expect(panel(page).getByRole('alert')).toContainText('“notes.mp3” is not a sound file.');
  const list = panel(page).getByRole('list', { name: 'All recordings of this' });
  await expect(list.getByRole('listitem')).toHaveCount(2);
  await expect(list.getByText('Regatta.flac')).toBeVisible();
  await list.getByRole('button', { name: /^Use the recording/ }).click();
  await expect(list.getByRole('listitem').filter({ hasText: 'tone.mp3' }).getByLabel('In use')).toBeVisible();

  await page.getByLabel('As loud as every greeting').uncheck();
  await expect(panel(page).getByText('−20 LUFS')).toHaveCount(0);
  await page.getByLabel('As loud as every greeting').check();
  await expect(panel(page).getByText('−20 LUFS')).toBeVisible();
  const wave = panel(page).getByRole('slider', { name: /choose a stretch/ });
  const box = (await wave.boundingBox()) as { x: number; y: number; width: number; height: number };
  await page.mouse.move(box.x + box.width * 0.5, box.y + 20);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width, box.y + 20, { steps: 4 });
  await page.mouse.up();
  await panel(page)
    .getByRole('button', { name: /^Cut 0\.3 s out/ })
    .click();
  await expect(panel(page).getByRole('button', { name: 'Undo all cuts and pauses' })).toBeVisible();

  const download = page.waitForEvent('download');
  await panel(page).getByRole('button', { name: 'Download' }).click();
  await page.getByRole('menuitem', { name: 'WAV, 16 bits' }).click();
  const wav = readWav(new Uint8Array(readFileSync(await (await download).path())));
  expect(wav.ok && wav.value.samples.length / wav.value.rateHz).toBeLessThan(0.45);
});

test('the library shows what is not recorded, in one language, and what the line says by itself', async ({
  page,
  server,
}) => {
  await page.goto(`${server.url}/greetings`);
  const rows = page.getByRole('table', { name: 'Library' }).getByRole('row');
  await page.getByLabel('In which language').selectOption('Français');
  await expect(rows.filter({ hasText: 'Welcome' })).toHaveCount(0);
  await expect(rows.first()).toBeVisible();
  await page.getByLabel('In which language').selectOption('every language');
  await page.getByLabel('Which greetings are shown').selectOption('notRecorded');
  await expect(rows.filter({ hasText: 'Launch day' })).toHaveCount(0);
  await expect(rows.filter({ hasText: 'After hours' })).toHaveCount(1);
  await page.getByRole('button', { name: 'Show it' }).click();
  await expect(page.getByRole('list', { name: 'Names' })).toContainText('Tamsin Okafor');
  await expect(page.getByRole('list', { name: 'English' })).toContainText('You are next in line.');
});

test('a recording that is out of step is said in words, and can be replaced by the voice or marked as right', async ({
  page,
  server,
}) => {
  await page.goto(`${server.url}/greetings`);
  const row = page.getByRole('row', { name: /Launch day/ });
  await expect(row).toContainText('Out of step');
  await expect(row).toContainText('Says press 2 to join the waiting list; 2 is now to leave your boat’s name');
  await page.getByLabel('Which greetings are shown').selectOption('outOfStep');
  await expect(page.getByRole('row')).toHaveCount(2);
  await row.getByRole('link').click();
  await page.getByRole('button', { name: 'Use the voice until then' }).click();
  await expect(page.getByText('To leave your boat’s name and a number, press 2.')).toBeVisible();
  await page.getByRole('button', { name: 'Use the recording' }).click();
  await page.getByRole('button', { name: 'Mark as right' }).click();
  await expect(page.getByText('Says press 2 to join')).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo', exact: true }).last().click();
  await expect(page.getByText('Says press 2 to join')).toBeVisible();
  await saved(page);
});

test('how a word is said is the business’s own, and is used at once', async ({ page, server }) => {
  await page.goto(`${server.url}/greetings`);
  await page.getByRole('button', { name: 'How words are said' }).click();
  await page.getByRole('button', { name: 'Add a word' }).click();
  await page.getByLabel('Word 1', { exact: true }).fill('Larkspur');
  await page.getByLabel('How word 1 is said').fill('Lark spurr');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('dialog')).toHaveCount(0);
  const kept = await page.request.get(`${server.url}/api/dictionary`);
  expect((await kept.json()) as object).toMatchObject({ words: [{ written: 'Larkspur', said: 'Lark spurr' }] });
});

test('a greeting goes out as SSML and comes back; what cannot be carried is told', async ({ page, server }) => {
  await newGreeting(page, server.url);
  await words(page).fill('We open {opens}. {pause 1 s}Goodbye.');
  await page.getByRole('button', { name: 'SSML' }).click();
  const download = page.waitForEvent('download');
  await page.getByRole('menuitem', { name: 'Save as SSML 1.1' }).click();
  const ssml = readFileSync(await (await download).path(), 'utf8');
  expect(ssml).toContain('<break time="1000ms"/>');
  await words(page).fill('Something else.');
  const other = ssml.replace('Goodbye.', '<emphasis>Goodbye, all</emphasis>.');
  const file = { name: 'goodbye.ssml', mimeType: 'application/ssml+xml', buffer: Buffer.from(other) };
  await page.getByLabel('SSML file').setInputFiles(file);
  await expect(words(page)).toHaveText('We open next opening. pause 1 sGoodbye, all.');
  await expect(page.getByText('Left out, their words kept: emphasis.')).toBeVisible();
});

test('another piece of hold music is chosen, and played to those who wait', async ({ page, server }) => {
  await page.goto(`${server.url}/greetings`);
  const music = page.getByRole('region', { name: 'Hold music' });
  await expect(music.getByRole('radio')).toHaveCount(3);
  const kept = page.waitForResponse((response) => response.request().method() === 'PATCH');
  await music.getByLabel(/^Ferry/).check();
  expect((await kept).status()).toBe(200);
  const [line] = (await (await page.request.get(`${server.url}/api/lines`)).json()) as { id: string }[];
  const script = await page.request.get(`${server.url}/api/lines/${line?.id}/script`);
  expect((await script.json()) as object).toMatchObject({ holdMusic: 'ferry' });
});

test('music of one’s own is played to those who wait, once there is a right to it', async ({ page, server }) => {
  await page.goto(`${server.url}/greetings`);
  const music = page.getByRole('region', { name: 'Hold music' });
  const file = music.locator('input[type=file]');
  await expect(file).toBeDisabled();
  await music.getByLabel(/^We have the right to play this music/).check();
  const kept = page.waitForResponse((response) => response.request().method() === 'PATCH');
  await file.setInputFiles({
    ...{ name: 'Evening waltz.flac', mimeType: 'audio/flac' },
    buffer: readFileSync(join(sounds, 'tone.flac')),
  });
  const own = music.getByRole('radio', { name: /^Evening waltz/ });
  await expect(own).toBeChecked({ timeout: 15_000 });
  expect((await kept).status()).toBe(200);
  await page.reload();
  await expect(own).toBeChecked();
  await expect(music.getByRole('button', { name: /is played; choose another first/ })).toBeDisabled();
  await music.getByLabel(/^Harbor/).check();
  await music.getByRole('button', { name: 'Remove Evening waltz.flac' }).click();
  await expect(own).toBeHidden();
});

test('what a recording says is asked for where nobody knows, and told where it is something else', async ({
  page,
  server,
}) => {
  await newGreeting(page, server.url);
  await words(page).fill('The regatta is on.');
  await expect(page.getByRole('region', { name: 'Greeting' }).getByText('Saved')).toBeVisible();
  const tone = { name: 'tone.mp3', mimeType: 'audio/mpeg', buffer: readFileSync(join(sounds, 'tone.mp3')) };
  const answer = panel(page).getByLabel('Type what it says, word for word');
  const keep = panel(page).getByRole('button', { name: 'Keep', exact: true });
  await panel(page).locator('input[type=file]').setInputFiles([tone]);
  await expect(panel(page)).toContainText('What does it say?');
  await answer.fill('The regatta is off.');
  await keep.click();
  await expect(panel(page)).toContainText('It says something else');
  await expect(panel(page)).toContainText('The regatta is off. (instead of “The regatta is on.”)');
  await page.getByRole('link', { name: 'All greetings' }).click();
  const row = page.getByRole('row', { name: /New greeting/ });
  await expect(row).toContainText('Says something else');
  const shown = page.getByLabel('Which greetings are shown');
  await shown.selectOption('what nobody knows to be right');
  await expect(row).toBeHidden();
  await shown.selectOption('what is out of step');
  await row.getByRole('link').first().click();
  await answer.fill('the regatta is ON');
  await keep.click();
  await expect(panel(page)).toContainText('It says what it should.');
});

test('several texts are recorded with a desk phone, one after the other on one call', async ({
  context,
  page,
  server,
}) => {
  const noor = await deskOf(context, server.url, 'Noor Haldane');
  await page.goto(`${server.url}/greetings`);
  await page.getByRole('link', { name: 'Record several' }).click();
  const repairs = page.getByRole('group', { name: 'Repairs and haul-out' });
  await repairs.getByRole('checkbox').nth(1).check();
  await repairs.getByRole('checkbox').nth(2).check();
  await page.getByRole('button', { name: 'Record 2 texts' }).click();
  await expect(page.getByText('0 of 2 are recorded.')).toBeVisible();
  await page.getByLabel('Whose desk phone is rung').selectOption({ label: 'Noor Haldane, 212' });
  await page.getByRole('button', { name: 'Ring it' }).click();
  await noor.getByRole('button', { name: 'Answer' }).click();
  const press = (name: string) => noor.getByRole('button', { name: `Press ${name}`, exact: true }).click();
  const list = page.getByRole('list', { name: 'Texts of this session' }).getByRole('listitem');
  for (const index of [0, 1]) {
    await expect(noor.getByText('Recording: speak now, then press #.')).toBeVisible({ timeout: 20_000 });
    await spokenFor(noor, 1.5);
    await press('pound');
    await expect(noor.getByText('1 keeps it, 2 plays it, 3 records again.')).toBeVisible({ timeout: 15_000 });
    await press('1');
    await expect(list.nth(index).getByLabel('Recorded')).toBeVisible({ timeout: 15_000 });
  }
  await expect(page.getByText('All 2 are recorded.')).toBeVisible();
  await page.getByRole('link', { name: 'Other sessions' }).click();
  const sessions = page.getByRole('list', { name: 'Sessions' });
  await expect(sessions).toContainText('All recorded');
  await sessions.getByRole('link', { name: 'Repairs and haul-out' }).click();
  await expect(list.first()).toContainText('Nobody knows yet what it says.');
});

test('any words that callers hear can be recorded, and are heard wherever they are said', async ({ page, server }) => {
  await page.goto(`${server.url}/greetings`);
  await page.getByLabel('Search greetings').fill('nobody presses a key');
  await page
    .getByRole('row', { name: /Are you still there/ })
    .getByRole('link')
    .first()
    .click();
  await expect(page.getByRole('link', { name: 'Where it is written' })).toBeVisible();
  const tone = { name: 'tone.mp3', mimeType: 'audio/mpeg', buffer: readFileSync(join(sounds, 'tone.mp3')) };
  await page.locator('input[type=file]').setInputFiles([tone]);
  await expect(page.getByText('Callers hear this recording.')).toBeVisible();
  const [line] = (await (await page.request.get(`${server.url}/api/lines`)).json()) as { id: string }[];
  const script = await page.request.get(`${server.url}/api/lines/${line?.id}/script`);
  expect((await script.json()) as object).toMatchObject({
    recordings: [{ language: 'en', words: 'Are you still there?', take: { byVoice: false } }],
  });
  await page.getByRole('button', { name: 'Let the voice speak' }).click();
  await expect(page.getByText('The voice speaks for now; the recording waits.')).toBeVisible();
});

test('of words with hours in them only what stays is recorded, and the voice says the hours in between', async ({
  page,
  server,
}) => {
  await page.goto(`${server.url}/greetings/sessions`);
  const afterHours = page.getByRole('group', { name: 'After hours' });
  await afterHours.getByLabel('All of After hours').check();
  await expect(afterHours.getByLabel('changes by the day: better recorded in its parts')).not.toBeChecked();
  await expect(afterHours.getByLabel('opening words, part 3 of 3')).toBeChecked();
  await go(page, '/greetings');
  await page
    .getByRole('row', { name: /^After hours/ })
    .getByRole('link')
    .first()
    .click();
  await page.getByLabel('Which part is recorded').selectOption('the opening words');
  await page.getByRole('link', { name: 'Record “We open”' }).click();
  await expect(page.getByText(/Read it as a part of/)).toContainText('The office is closed now. We open');
  const tone = { name: 'tone.mp3', mimeType: 'audio/mpeg', buffer: readFileSync(join(sounds, 'tone.mp3')) };
  await page.locator('input[type=file]').setInputFiles([tone]);
  await expect(page.getByText('Callers hear this recording.')).toBeVisible();
  await callAt(page, '2026-11-24T20:00');
  await expect(heard(page).getByText('We open', { exact: true })).toBeVisible();
  await expect(heard(page).getByText('tomorrow at seven thirty a.m.', { exact: true })).toBeVisible();
});
