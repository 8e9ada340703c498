import Database from 'better-sqlite3';
import type { TranscriptEntry } from '@locutor/core/call';
import { wallTime, type TimeZone } from '@locutor/core/hours';
import { callWords, factsOf, type CallFacts, type SheetThen } from '@locutor/core/traffic';
import { makeSomeDays } from './daysOfCalls';
import { sheetsThen } from './sheetsThen';
import type { Reckonings } from './task';

/** So few at a time that nobody who wants to write waits for long. */
const callsAtOnce = 200;
const daysAtOnce = 5;
const busyMs = 5000;
/** How long others have the database for themselves after that: who waits for it tries again after 100 ms at the latest. */
const pauseMs = 60;

interface Uncounted {
  readonly id: string;
  readonly lineId: string;
  readonly versionId: string | null;
  readonly callerNumber: string;
  readonly staffCaller: string | null;
  readonly startedAt: number;
  readonly endedAt: number;
  readonly pretended: number;
  readonly outcome: string | null;
  readonly answeredBy: string | null;
  readonly transcript: string;
  readonly timeZone: string | null;
}

type Row = Readonly<Record<string, string | number | null>>;

/** Counts the calls that are to be counted, until none is left. @returns how many there were */
export function countCalls({ database, anew }: Reckonings['countCalls']['from']): number {
  const connection = new Database(database, { timeout: busyMs });
  try {
    connection.pragma('foreign_keys = ON');
    // What is lost with the power is counted again.
    connection.pragma('synchronous = NORMAL');
    if (anew)
      connection.exec(`INSERT OR IGNORE INTO "call_uncounted" SELECT "id" FROM "call" WHERE "endedAt" IS NOT NULL`);
    const counter = new Counter(connection);
    let count = 0;
    for (;;) {
      const some = patiently(() => counter.countSome());
      count += some;
      if (some < callsAtOnce) break;
      // Nothing else is done on this thread.
      sleep(pauseMs);
    }
    const makeSome = connection.transaction(() => makeSomeDays(connection, daysAtOnce));
    while (patiently(() => makeSome.immediate()) === daysAtOnce) sleep(pauseMs);
    return count;
  } finally {
    connection.close();
  }
}

function sleep(ms: number): void {
  Atomics.wait(new Int32Array(new SharedArrayBuffer(4)), 0, 0, ms);
}

/** Others may write for longer than one waits for them. */
const mostTries = 6;

function patiently<Made>(work: () => Made): Made {
  for (let tries = 1; ; tries += 1) {
    try {
      return work();
    } catch (error) {
      const isBusy = error instanceof Database.SqliteError && error.code.startsWith('SQLITE_BUSY');
      if (!isBusy || tries === mostTries) throw error;
      sleep(pauseMs * tries);
    }
  }
}

class Counter {
  private readonly statements = new Map<string, Database.Statement>();
  private readonly sheetOf: SheetThen;

  constructor(private readonly connection: Database.Database) {
    this.sheetOf = sheetsThen(connection);
  }

  /** @returns how many calls were on the list, up to so many at once */
  countSome(): number {
    return this.connection
      .transaction(() => {
        const calls = this.statement<Uncounted>(
          `SELECT c."id", c."lineId", c."versionId", c."callerNumber", c."staffCaller", c."startedAt", c."endedAt", c."pretended", c."outcome",
          c."answeredBy", c."transcript", l."timeZone"
        FROM "call_uncounted" u JOIN "call" c ON c."id" = u."callId" LEFT JOIN "line" l ON l."id" = c."lineId" LIMIT ?`,
        ).all(callsAtOnce) as Uncounted[];
        for (const call of calls) this.count(call);
        return calls.length;
      })
      .immediate();
  }

  private count(call: Uncounted): void {
    this.statement(`DELETE FROM "call_fact" WHERE "callId" = ?`).run(call.id);
    this.statement(`DELETE FROM "call_uncounted" WHERE "callId" = ?`).run(call.id);
    this.statement(`DELETE FROM "call_words" WHERE "callId" = ?`).run(call.id);
    const transcript = JSON.parse(call.transcript) as TranscriptEntry[];
    this.insert('call_words', { callId: call.id, text: callWords({ ...call, transcript }, this.sheetOf) });
    const facts = factsOf(transcript);
    if (!facts) return;
    if (facts.outcome !== call.outcome) {
      this.statement(`UPDATE "call" SET "outcome" = ? WHERE "id" = ?`).run(facts.outcome, call.id);
    }
    // Nobody called: a colleague did, or it was somebody who tried the line out.
    if (call.staffCaller || call.pretended) return;
    this.keep(call, facts);
  }

  private keep(call: Uncounted, facts: CallFacts): void {
    const { id, lineId, versionId, startedAt, endedAt, answeredBy } = call;
    const zone = (call.timeZone ?? 'UTC') as TimeZone;
    const whenOf = (atMs: number): { readonly day: number; readonly minute: number } => {
      const { day, minute } = wallTime(zone, atMs);
      return { day, minute: Math.floor(minute) };
    };
    const { day, minute } = whenOf(startedAt);
    const { outcome, toPersonMs, through, waitedMs, talkMs, holdMs, wrongKeys, silences } = facts;
    const [first] = facts.visits;
    this.insert('call_fact', {
      ...{
        callId: id,
        lineId,
        versionId,
        day,
        minute,
        outcome,
        lengthMs: Math.max(0, endedAt - startedAt),
        toPersonMs,
      },
      ...{ through, answeredBy, firstSheetId: first?.sheetId ?? null, firstChoice: first?.choice ?? null },
      ...{ waitedMs, talkMs, holdMs, wrongKeys, silences },
    });
    const of = (position: number) => ({ callId: id, position, lineId, day });
    facts.visits.forEach(({ isFirstRound, ...visit }, position) => {
      this.insert('call_visit', { ...of(position), ...visit, isFirstRound: Number(isFirstRound) });
    });
    facts.rings.forEach(({ who, through: by, atMs, forMs, end, talkMs: talked, holdMs: held }, position) => {
      const at = { minute: whenOf(atMs).minute };
      this.insert('call_ring', { ...of(position), ...at, who, through: by, forMs, end, talkMs: talked, holdMs: held });
    });
    facts.waits.forEach(({ queueId, atMs, waitedMs: waited, end }, position) => {
      this.insert('call_wait', { ...of(position), minute: whenOf(atMs).minute, queueId, waitedMs: waited, end });
    });
    facts.outside.forEach(({ number, forMs }, position) => {
      this.insert('call_outside', { ...of(position), number, forMs });
    });
  }

  private insert(table: string, row: Row): void {
    const names = Object.keys(row);
    const columns = names.map((name) => `"${name}"`).join(', ');
    const values = names.map((name) => `@${name}`).join(', ');
    this.statement(`INSERT INTO "${table}" (${columns}) VALUES (${values})`).run(row);
  }

  private statement<Found = unknown>(sql: string): Database.Statement<unknown[], Found> {
    const known = this.statements.get(sql) ?? this.connection.prepare(sql);
    this.statements.set(sql, known);
    return known as Database.Statement<unknown[], Found>;
  }
}
