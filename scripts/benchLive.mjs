import { createRequire } from 'node:module';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { setTimeout as pause } from 'node:timers/promises';
import { root } from './setup.mjs';

const { WebSocket } = createRequire(join(root, 'server', 'package.json'))('ws');

const calls = 1000;
const dialWithinMs = 8000;
const talkMs = 20_000;
const keyEveryMs = 2500;

/**
 * A thousand callers at once on the live line, each pressing keys in the menus: how long from a key to what the line
 * says to it, over the socket and back.
 */
export async function benchLive(url, pid, row) {
  const put = { method: 'PUT', headers: { 'Content-Type': 'application/json' } };
  await fetch(`${url}/api/live/clock`, { ...put, body: JSON.stringify({ reading: '2026-11-23T10:00' }) });
  const before = memoryOf(pid);
  const lags = [];
  const began = performance.now();
  const stop = callers(url, calls, lags);
  await pause(dialWithinMs + talkMs);
  const { callsInAll } = await (await fetch(`${url}/api/live/board`)).json();
  const during = memoryOf(pid);
  stop();
  lags.sort((one, other) => one - other);
  const at = (part) => lags[Math.floor(lags.length * part)] ?? NaN;
  const seconds = (performance.now() - began) / 1000;
  row('Live calls at once', String(callsInAll), `${Math.round(lags.length / seconds)} keys a second`);
  row('Lag from a key to its effect, 50th percentile', `${at(0.5).toFixed(1)} ms`);
  row('Lag from a key to its effect, 99th percentile', `${at(0.99).toFixed(1)} ms`, 'aim: under 50 ms');
  row('Memory of the server per live call', `${(((during - before) * 1024) / calls).toFixed(0)} kB`);
  await pause(1000);
}

/** So many callers, who dial one after the other within some time and press keys; gives back how they hang up. */
export function callers(url, count, lags, withinMs = dialWithinMs) {
  const stops = Array.from({ length: count }, (_, index) => caller(url, index, lags, (withinMs * index) / count));
  return () => stops.forEach((stop) => stop());
}

function caller(url, index, lags, afterMs) {
  let socket = null;
  let pressedMs = 0;
  let timer;
  const dial = setTimeout(() => {
    socket = new WebSocket(`${url.replace('http', 'ws')}/api/live/handset`);
    const say = (message) => socket.readyState === socket.OPEN && socket.send(JSON.stringify(message));
    const press = () => {
      pressedMs = performance.now();
      // The fuel dock's announcement leads back to the menu, so that the call goes on.
      say({ type: 'key', key: '4' });
    };
    socket.on('open', () => {
      say({
        type: 'dial',
        number: '+12075550140',
        callerNumber: `+1207555${String(100 + (index % 60)).padStart(4, '0')}`,
      });
      timer = setInterval(press, keyEveryMs);
    });
    socket.on('message', (data) => {
      if (!pressedMs || !String(data).includes('"type":"key"')) return;
      lags.push(performance.now() - pressedMs);
      pressedMs = 0;
    });
    socket.on('error', () => undefined);
  }, afterMs);
  return () => {
    clearTimeout(dial);
    clearInterval(timer);
    socket?.close();
  };
}

function memoryOf(pid) {
  return Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))?.[1] ?? 0) / 1024;
}
