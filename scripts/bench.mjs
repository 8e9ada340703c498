import { createRequire } from 'node:module';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { benchCore } from './benchCore.mjs';
import { benchSound } from './benchSound.mjs';
import { benchHours } from './benchHours.mjs';
import { benchProof } from './benchProof.mjs';
import { benchHeld } from './benchHeld.mjs';
import { benchLive } from './benchLive.mjs';
import { benchTraffic } from './benchTraffic.mjs';
import { chromium } from './debian.mjs';
import { largeAttendant } from './largeScript.mjs';
import { build, install, root } from './setup.mjs';
import { demoServer } from './testServer.mjs';

/** Sizes, times and ratios, printed; nothing here passes or fails. Machines differ: compare within one run. */
install();
build();
const require = createRequire(join(root, 'e2e', 'package.json'));
const core = (room) => require(`@locutor/core/${room}`);
const rows = [];
const row = (what, value, beside = '') => rows.push({ what, value, beside });

const { url, startMs, pid, stop } = await demoServer();
row(
  'Server start to first response',
  `${startMs.toFixed(0)} ms`,
  `an empty Node process: ${nodeStart().toFixed(0)} ms`,
);
row('Memory of the server after start', `${memoryOf(pid)} MB`);
await benchSpeech();
await benchBrowser();
await benchLive(url, pid, row);
await stop();
await benchHeld(core, row);
benchCore(core, row);
await benchTraffic(core, row);
benchHours(core, row);
benchProof(core, row);
benchSound(row);
for (const { what, value, beside } of rows) console.log(`${what.padEnd(52)}${value.padStart(22)}   ${beside}`);

function nodeStart() {
  const began = performance.now();
  require('node:child_process').spawnSync(process.execPath, ['-e', '0']);
  return performance.now() - began;
}

function memoryOf(processId) {
  const status = readFileSync(`/proc/${processId}/status`, 'utf8');
  return Math.round(Number(/VmRSS:\s+(\d+)/.exec(status)?.[1] ?? 0) / 1024);
}

async function benchSpeech() {
  const texts = Array.from(
    { length: 12 },
    (_, index) => `For dock space at pier number ${index + 31}, press ${index % 10}.`,
  );
  const speak = async () => {
    const began = performance.now();
    const response = await fetch(`${url}/api/speech`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify({ voice: 'slt', texts }),
    });
    const spoken = await response.json();
    return { ms: performance.now() - began, audioMs: spoken.reduce((sum, { lengthMs }) => sum + lengthMs, 0) };
  };
  const first = await speak();
  const again = await speak();
  row(
    'Synthesis, times real time',
    `${(first.audioMs / first.ms).toFixed(1)} x`,
    `${(first.audioMs / 1000).toFixed(0)} s of speech`,
  );
  row(
    'One sentence from the cache',
    `${(again.ms / texts.length).toFixed(1)} ms`,
    `all of them ${(first.ms / again.ms).toFixed(0)} x faster than spoken anew; aim: under 5 ms`,
  );
}

async function benchBrowser() {
  const browser = await require('@playwright/test').chromium.launch({
    executablePath: chromium(),
    args: ['--no-sandbox', '--disable-background-networking'],
  });
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  const responses = [];
  const listen = (response) => responses.push(response);
  page.on('response', listen);
  const began = performance.now();
  await page.goto(`${url}/today`);
  await page.getByRole('heading', { name: 'What needs you' }).waitFor();
  row('First screen, from address to content', `${(performance.now() - began).toFixed(0)} ms`);
  page.off('response', listen);
  const scripts = responses.filter((response) => /\.js$/.test(new URL(response.url()).pathname));
  const sizes = await Promise.all(scripts.map(async (response) => gzipSync(await response.body()).length));
  row(
    'JavaScript of the first screen (gzip)',
    `${Math.round(sizes.reduce((sum, size) => sum + size, 0) / 1024)} kB`,
    'aim: under 400 kB',
  );
  await page.goto(`${url}/script`);
  const words = page.getByRole('textbox', { name: 'Opening words' });
  await words.waitFor();
  const times = [];
  for (let turn = 0; turn < 8; turn += 1) {
    times.push(await page.evaluate(keystrokeToSaved));
  }
  times.sort((one, other) => one - other);
  row(
    'Keystroke in a greeting to the saved mark, median',
    `${times[4].toFixed(0)} ms`,
    'of which 300 ms are waited for more typing',
  );
  await benchLargeEdit(page);
  await browser.close();
}

/** An edit in an attendant of 200 menus, from the keystroke to the frame that shows it. */
async function benchLargeEdit(page) {
  const get = async (path) => (await fetch(`${url}${path}`)).json();
  const [line] = await get('/api/lines');
  const [{ revision }, people, [box]] = await Promise.all([
    get(`/api/lines/${line.id}/draft`),
    get('/api/people'),
    get('/api/boxes'),
  ]);
  const attendant = largeAttendant(core, { menus: 200, people, boxId: box.id });
  await fetch(`${url}/api/lines/${line.id}/draft`, {
    method: 'PUT',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify({ revision, attendant }),
  });
  await page.goto(`${url}/script/sheet:m0`);
  await page.getByRole('textbox', { name: 'Opening words' }).waitFor();
  await page.waitForTimeout(1000);
  const times = [];
  for (let turn = 0; turn < 15; turn += 1) {
    times.push(await page.evaluate(keystrokeToFrame));
    await page.waitForTimeout(600);
  }
  times.sort((one, other) => one - other);
  row(
    'Edit in 200 menus to a painted frame, median',
    `${times[7].toFixed(0)} ms`,
    `worst of 15: ${times[14].toFixed(0)} ms; aim: under 50 ms`,
  );
}

/** Runs in the page: types a letter and waits until the frame that shows it has been painted. */
async function keystrokeToFrame() {
  const field = document.querySelector('[role=textbox][contenteditable=true]');
  field.focus();
  const began = performance.now();
  document.execCommand('insertText', false, 'a');
  await new Promise((resolve) => requestAnimationFrame(() => setTimeout(resolve, 0)));
  return performance.now() - began;
}

/** Runs in the page: types a letter, and waits for the line bar to say Saved again. */
async function keystrokeToSaved() {
  const field = document.querySelector('[role=textbox][contenteditable=true]');
  const mark = document.querySelector('header [role=status]');
  field.focus();
  const began = performance.now();
  document.execCommand('insertText', false, 'a');
  const until = (text) =>
    new Promise((resolve) => {
      const look = () => (mark.textContent.startsWith(text) ? resolve() : requestAnimationFrame(look));
      look();
    });
  await until('Saving');
  await until('Saved');
  return performance.now() - began;
}
