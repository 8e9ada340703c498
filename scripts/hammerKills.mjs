import { spawn } from 'node:child_process';
import { cpSync, existsSync, mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { createRequire } from 'node:module';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { setTimeout as pause } from 'node:timers/promises';
import { makeDemoData, root, webDir } from './setup.mjs';

/**
 * Kills the server again and again (SIGKILL) in the middle of edits, airing, messages, recordings and live calls, and looks
 * each time whether everything that was acknowledged is there, whole. `node scripts/hammerKills.mjs 100`
 */
const require = createRequire(join(root, 'server', 'package.json'));
const { WebSocket } = require('ws');
const { writeWav } = require('@locutor/core/audio');
const rounds = Number(process.argv[2] ?? 100);
const folder = mkdtempSync(join(tmpdir(), 'locutor-kills-'));
const dataDir = join(folder, 'data');
cpSync(makeDemoData(), dataDir, { recursive: true });
const tone = writeWav({
  samples: Float32Array.from({ length: 12_000 }, (_, at) => 0.3 * Math.sin(at / 9)),
  rateHz: 8000,
});
const frame = Buffer.alloc(160, 0x35);
const acknowledged = { drafts: 0, versions: new Set(), messages: new Set(), takes: new Set(), calls: new Set() };
let words = '';
const problems = [];
const counts = { drafts: 0, versions: 0, messages: 0, takes: 0, calls: 0, spoken: 0 };

await prepare();
for (let round = 1; round <= rounds; round += 1) {
  const began = performance.now();
  const { url, server } = await start();
  const started = performance.now();
  await look(url, round);
  if (process.argv[3])
    console.log('start', Math.round(started - began), 'look', Math.round(performance.now() - started));
  const over = new AbortController();
  // What waits for an answer that never comes is over with the server.
  const end = new Promise((resolve) => over.signal.addEventListener('abort', () => setTimeout(resolve, 1000)));
  const works = [edits, airs, leavesMessages, bringsTakes, callsIn, callsIn].map((work) =>
    Promise.race([work(url, over.signal).catch(() => undefined), end]),
  );
  await pause(200 + Math.random() * 6000);
  server.kill('SIGKILL');
  over.abort();
  await new Promise((resolve) =>
    server.exitCode === null && !server.signalCode ? server.on('exit', resolve) : resolve(),
  );
  const killed = performance.now();
  await Promise.all(works);
  if (process.argv[3]) console.log('works', Math.round(performance.now() - killed));
  if (round % (process.argv[3] ? 1 : 20) === 0)
    console.log(round, JSON.stringify(counts), problems.length, 'problems', problems.slice(0, 3));
}
const { url, server } = await start();
await look(url, rounds + 1);
server.kill('SIGTERM');
rmSync(folder, { recursive: true, force: true });
console.log(JSON.stringify(counts), problems.length === 0 ? 'everything acknowledged is there' : problems.slice(0, 20));
process.exitCode = problems.length === 0 ? 0 : 1;

/** Everybody who calls can leave a message at once, and nothing keeps the draft from going on air. */
async function prepare() {
  const { url, server } = await start();
  const [line] = await ask(url, '/api/lines');
  const rehearsals = `/api/lines/${line.id}/rehearsals`;
  for (const { id } of await ask(url, rehearsals)) await ask(url, `${rehearsals}/${id}`, { method: 'DELETE' });
  const short = { name: 'Short', words: 'Speak.', voice: 'slt' };
  const { id: greetingId } = await ask(url, '/api/greetings', { method: 'POST', body: short });
  const box = await ask(url, '/api/boxes', { method: 'POST', body: { name: 'Hammer', greetingId } });
  const { revision, attendant } = await ask(url, `/api/lines/${line.id}/draft`);
  const otherwise = [{ type: 'takeMessage', boxId: box.id, beep: true, tell: null }];
  const changed = { ...attendant, answering: { rules: [], otherwise } };
  await ask(url, `/api/lines/${line.id}/draft`, { method: 'PUT', body: { revision, attendant: changed } });
  const findings = await ask(url, `/api/lines/${line.id}/proof`);
  for (const { key, grade } of findings) {
    const body = { key, reason: 'It is made up.', by: 'Hammer' };
    if (grade === 'caution') await ask(url, `/api/lines/${line.id}/proof/accepted`, { method: 'PUT', body });
  }
  const faults = findings.filter(({ grade }) => grade === 'fault');
  if (faults.length > 0) throw new Error(`It cannot go on air: ${faults.map(({ says }) => says).join(' ')}`);
  await airs(url, AbortSignal.timeout(4000)).catch(() => undefined);
  server.kill('SIGTERM');
  await new Promise((resolve) => server.on('exit', resolve));
}

async function start() {
  const env = { ...process.env, LOCUTOR_LOG: 'warn', LOCUTOR_DATA: dataDir, LOCUTOR_WEB: webDir, PORT: '0' };
  const started = spawn(process.execPath, [join(root, 'server', 'dist', 'main.js')], { env });
  let said = '';
  started.stderr.on('data', (chunk) => (said += chunk));
  const url = await new Promise((resolve, reject) => {
    started.stdout.on('data', (chunk) => {
      const ready = /ready: (\S+)/.exec(String(chunk));
      if (ready) resolve(ready[1]);
    });
    started.on('exit', (code) => reject(new Error(`It did not start (${code}): ${said}`)));
  });
  return { url, server: started };
}

async function ask(url, path, { method = 'GET', body, signal } = {}) {
  const isForm = body instanceof FormData;
  const answer = await fetch(`${url}${path}`, {
    ...{ method, signal },
    ...(body && { body: isForm ? body : JSON.stringify(body) }),
    ...(body && !isForm && { headers: { 'Content-Type': 'application/json' } }),
  });
  const text = await answer.text();
  if (!answer.ok) throw new Error(`${path}: ${answer.status} ${text.slice(0, 200)}`);
  return text === '' ? undefined : JSON.parse(text);
}

/** What was acknowledged before the last kill must be there, and nothing half. */
async function look(url, round) {
  const wrong = (what) => problems.push(`round ${round}: ${what}`);
  const [line] = await ask(url, '/api/lines');
  const draft = await ask(url, `/api/lines/${line.id}/draft`);
  if (draft.revision < acknowledged.drafts) wrong(`draft ${draft.revision} is older than ${acknowledged.drafts}`);
  if (draft.revision === acknowledged.drafts && words && draft.attendant.sheets[0].openingWords !== words)
    wrong('the draft’s words');
  const versions = new Set((await ask(url, `/api/lines/${line.id}/versions`)).map(({ id }) => id));
  for (const id of acknowledged.versions) if (!versions.has(id)) wrong(`version ${id} is gone`);
  if (!versions.has(line.onAirVersionId)) wrong('what is on air is no version');
  // The list shows the newest ones; older ones were looked at before.
  for (const id of [...acknowledged.messages].slice(0, -300)) acknowledged.messages.delete(id);
  const messages = await allOf(url, '/api/messages');
  for (const id of acknowledged.messages)
    if (!messages.some((message) => message.id === id)) wrong(`message ${id} is gone`);
  for (const { id, audioId } of messages.slice(0, 60)) await mustBeHeard(url, audioId, `message ${id}`, wrong);
  if (new Set(messages.map(({ id }) => id)).size !== messages.length) wrong('a message is there twice');
  const takes = await ask(url, '/api/takes');
  for (const id of acknowledged.takes) if (!takes.some((take) => take.id === id)) wrong(`recording ${id} is gone`);
  for (const { id, audioId, recordingId } of takes.slice(0, 20)) {
    for (const each of [audioId, recordingId]) await mustBeHeard(url, each, `recording ${id}`, wrong);
  }
  const { calls } = await ask(url, '/api/calls');
  for (const { id, endedAt, outcome } of calls) if (endedAt === null || !outcome) wrong(`call ${id} goes on for ever`);
  const left = readdirSync(dataDir, { recursive: true }).filter((name) => String(name).endsWith('.part'));
  if (left.length > 0) wrong(`${left.length} files are half written`);
  const takesFolder = join(dataDir, 'takes');
  const undone = (existsSync(takesFolder) ? readdirSync(takesFolder, { recursive: true }) : []).filter((name) =>
    /\.json$|\.ulaw$/.test(String(name)),
  );
  if (undone.length > 0) wrong(`${undone.length} recordings are left over`);
}

async function allOf(url, path) {
  const answer = await ask(url, path);
  return Array.isArray(answer) ? answer : (answer.messages ?? []);
}

async function mustBeHeard(url, audioId, what, wrong) {
  const answer = await fetch(`${url}/api/audio/${audioId}`);
  const { byteLength } = await answer.arrayBuffer();
  if (!answer.ok || byteLength < 50) wrong(`${what} has no sound: ${answer.status}`);
}

async function edits(url, signal) {
  const [line] = await ask(url, '/api/lines', { signal });
  let { revision, attendant } = await ask(url, `/api/lines/${line.id}/draft`, { signal });
  for (let count = 0; !signal.aborted; count += 1) {
    const openingWords = `Welcome to Larkspur Cove Boatyard. ${revision} ${count}.`;
    const [first, ...rest] = attendant.sheets;
    attendant = { ...attendant, sheets: [{ ...first, openingWords }, ...rest] };
    const saved = await ask(url, `/api/lines/${line.id}/draft`, {
      method: 'PUT',
      body: { revision, attendant },
      signal,
    });
    revision = acknowledged.drafts = saved.revision;
    words = openingWords;
    counts.drafts += 1;
  }
}

async function airs(url, signal) {
  const [line] = await ask(url, '/api/lines', { signal });
  while (!signal.aborted) {
    const { revision } = await ask(url, `/api/lines/${line.id}/draft`, { signal });
    const body = { draftRevision: revision, by: 'Hammer' };
    try {
      const version = await ask(url, `/api/lines/${line.id}/versions`, { method: 'POST', body, signal });
      acknowledged.versions.add(version.id);
      counts.versions += 1;
    } catch (error) {
      if (!/: 4\d\d /.test(String(error))) throw error;
    }
  }
}

async function leavesMessages(url, signal) {
  const [box] = await ask(url, '/api/boxes', { signal });
  while (!signal.aborted) {
    const body = new FormData();
    body.append('callerNumber', '+12075550178');
    body.append('trial', 'false');
    body.append('audio', new Blob([tone]), 'message.wav');
    const { id } = await ask(url, `/api/boxes/${box.id}/messages`, { method: 'POST', body, signal });
    acknowledged.messages.add(id);
    counts.messages += 1;
    await pause(40);
  }
}

async function bringsTakes(url, signal) {
  while (!signal.aborted) {
    const body = new FormData();
    body.append('place', 'greeting:hammer');
    body.append('source', 'file');
    body.append('audio', new Blob([tone]), 'take.wav');
    const { id } = await ask(url, '/api/takes', { method: 'POST', body, signal });
    acknowledged.takes.add(id);
    counts.takes += 1;
  }
}

/** Calls, comes to a message by pressing nothing or the wrong keys, and speaks. */
async function callsIn(url, signal) {
  await ask(url, '/api/live/clock', { method: 'PUT', body: { reading: '2026-11-22T03:00' }, signal }).catch(
    () => undefined,
  );
  while (!signal.aborted) {
    await new Promise((resolve) => {
      const socket = new WebSocket(`${url.replace('http', 'ws')}/api/live/handset`);
      let timer;
      socket.on('open', () => socket.send(JSON.stringify({ type: 'dial', number: '+12075550140', callerNumber: '' })));
      socket.on('message', (data) => {
        const message = JSON.parse(String(data));
        if (message.type === 'call') counts.calls += 1;
        if (message.type === 'recording' && message.on) {
          counts.spoken += 1;
          timer = setInterval(() => socket.send(frame), 20);
          setTimeout(() => socket.send(JSON.stringify({ type: 'key', key: '#' })), 1400);
        }
        if (message.type === 'ended' || message.type === 'refused') socket.close();
      });
      const end = () => {
        clearInterval(timer);
        resolve();
      };
      socket.on('close', end);
      socket.on('error', end);
      signal.addEventListener('abort', () => socket.terminate());
    });
  }
}
