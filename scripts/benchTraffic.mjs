import { spawnSync } from 'node:child_process';
import { cpSync, mkdtempSync, rmSync } from 'node:fs';
import { createRequire } from 'node:module';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fillLog } from './longLog.mjs';
import { makeDemoData, root } from './setup.mjs';

const require = createRequire(join(root, 'server', 'package.json'));
const calls = 100_000;
const runs = 50;

/** What a page of Traffic costs over a long log, a plan tried on a month, and an hour in a queue beside SimPy's. */
export async function benchTraffic(core, row) {
  const folder = mkdtempSync(join(tmpdir(), 'locutor-bench-'));
  try {
    const dataDir = join(folder, 'data');
    cpSync(makeDemoData(), dataDir, { recursive: true });
    fillLog(dataDir, calls);
    benchPages(core, row, join(dataDir, 'locutor.sqlite'));
    benchPlan(core, row, join(dataDir, 'locutor.sqlite'));
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
  benchSimPy(row);
}

/** The processor time of the best of some turns, in ms: what else runs on the machine has no part in it. */
function cpuMs(turns, work) {
  let best = Infinity;
  for (let turn = 0; turn < turns; turn += 1) {
    const before = process.cpuUsage();
    work();
    const { user, system } = process.cpuUsage(before);
    best = Math.min(best, (user + system) / 1000);
  }
  return best;
}

function benchPages(core, row, database) {
  const { countCalls } = require('./dist/reckoning/countCalls.js');
  const sums = require('./dist/reckoning/trafficSums.js');
  const { costOf } = require('./dist/reckoning/costOf.js');
  const { todaySums } = require('./dist/reckoning/todaySums.js');
  const Database = require('better-sqlite3');
  const counted = cpuMs(1, () => countCalls({ database, anew: false }));
  row(
    `Calls of a log of ${calls.toLocaleString('en')} counted`,
    `${(counted / 1000).toFixed(1)} s`,
    'after an upgrade, in a worker',
  );
  const connection = new Database(database, { readonly: true });
  const { from, to, lineId } = connection
    .prepare(
      'SELECT min("day") AS "from", max("day") AS "to", "lineId" FROM "call_fact" GROUP BY "lineId" ORDER BY count(*) DESC',
    )
    .get();
  const reference = cpuMs(5, () => connection.prepare('SELECT count(*), sum("lengthMs") FROM "call_fact"').get());
  const span = { lineId: null, from, to };
  const { newCard } = core('cost');
  const rates = {
    currency: 'USD',
    cards: [{ ...newCard, from: '2000-01-01', perMinuteIn: 10_000, includedMinutes: 100 }],
  };
  const pages = {
    'when people call': () => core('traffic').whenFigures(sums.whenSums(database, span), span, to),
    'what they press': () => sums.pressedOf(database, span),
    'how soon they are answered': () => sums.answeredOf(database, span, 20),
    'who answers': () => sums.workOf(database, span),
    'what it costs': () =>
      costOf({ database, span, rates, lines: [{ lineId, numbers: 1 }], now: { day: to, minute: 700 } }),
    Today: () => todaySums({ database, lineId, today: to, minute: 700 }),
    'a search': () =>
      connection
        .prepare(
          'SELECT count(*) FROM "call_words" w WHERE w."id" IN (SELECT "rowid" FROM "call_search" WHERE "call_search" MATCH ?)',
        )
        .get('"5550117"'),
  };
  for (const [what, work] of Object.entries(pages)) {
    row(
      `Traffic over ${calls.toLocaleString('en')} calls: ${what}`,
      `${cpuMs(5, work).toFixed(0)} ms of CPU`,
      `reading them all once: ${reference.toFixed(0)} ms; aim: under 150 ms`,
    );
  }
  connection.close();
}

function benchPlan(core, row, database) {
  const { tryPlan } = core('whatIf');
  const { callersOf } = require('./dist/reckoning/callersOf.js');
  const Database = require('better-sqlite3');
  const connection = new Database(database, { readonly: true });
  const { script, lineId, to } = scriptIn(connection);
  connection.close();
  const span = { from: to - 27, to };
  // The log holds the demo's calls many times over: one of each is a month of it.
  const seen = new Set();
  const callers = callersOf(database, { lineId, ...span }).filter(({ day, minute, number, talkMs }) => {
    const key = `${day} ${minute} ${number} ${talkMs}`;
    return seen.size !== seen.add(key).size;
  });
  const changes = [{ type: 'calls', percent: 20, on: [] }];
  const trial = { script, other: script, changes, callers, span, withinS: 20, charges: null, runs, seed: 1 };
  const ms = cpuMs(2, () => {
    for (const trying = tryPlan(trial); !trying.next().done;);
  });
  row(
    `What if: ${runs} runs of a month of ${callers.length} calls`,
    `${(ms / 1000).toFixed(1)} s of CPU`,
    `${((1000 * ms) / (runs * 2.2 * callers.length)).toFixed(0)} µs a call; aim: under 5 s`,
  );
}

/** What is on air on the busiest line, as calls go by it, read from the database. */
function scriptIn(connection) {
  const { lineId, to } = connection
    .prepare('SELECT "lineId", max("day") AS "to" FROM "call_fact" GROUP BY "lineId" ORDER BY count(*) DESC')
    .get();
  const line = connection.prepare('SELECT * FROM "line" WHERE "id" = ?').get(lineId);
  const parsed = (rows) =>
    rows.map((each) =>
      Object.fromEntries(
        Object.entries(each).map(([name, value]) => [name, /^[[{]/.test(String(value)) ? JSON.parse(value) : value]),
      ),
    );
  const all = (table) => parsed(connection.prepare(`SELECT * FROM "${table}" WHERE "deletedAt" IS NULL`).all());
  const allHours = parsed(connection.prepare('SELECT * FROM "hours"').all());
  const version = connection.prepare('SELECT "attendant" FROM "version" WHERE "id" = ?').get(line.onAirVersionId);
  const own = { ...line, hours: allHours.find(({ id }) => id === line.hoursId), switched: null };
  return {
    lineId,
    to,
    script: {
      lineId,
      lines: [{ ...own, attendant: JSON.parse(version.attendant) }],
      people: all('person'),
      groups: all('ring_group'),
      queues: all('call_queue'),
      boxes: all('box'),
      contacts: all('contact'),
      callerLists: all('caller_list'),
      greetings: [],
      takes: [],
      holdMusic: 'harbor',
      outgoing: { kinds: [], countries: null, mostAtOnce: 30 },
      hours: allHours,
    },
  };
}

function benchSimPy(row) {
  const made = spawnSync('/usr/bin/python3', [join(root, 'scripts', 'benchQueue.py')], { encoding: 'utf8' });
  const ms = Number(made.stdout);
  row(
    'The same hour by SimPy',
    made.status === 0 && ms > 0 ? `${ms.toFixed(1)} ms` : 'not there',
    'for comparison, where python3-simpy is installed',
  );
}
