import Database from 'better-sqlite3';
import { MonthBill, monthOf, one, type Numbered, type Rates } from '@locutor/core/cost';
import { wallTime, type DayNumber, type TimeZone } from '@locutor/core/hours';
import { languageOf, type Language, type LineId, type VoiceId } from '@locutor/core/line';
import { writeCallsCsv, type CallToWrite, type CsvFacts } from '@locutor/core/traffic';
import { callsBetween } from './costOf';
import { sheetsThen } from './sheetsThen';
import type { PageOfIds, Query, Reckonings } from './task';

interface Row {
  readonly call_id: CallToWrite['id'];
  readonly call_lineId: string;
  readonly call_versionId: string | null;
  readonly call_callerNumber: string;
  readonly call_startedAt: number;
  readonly call_endedAt: number | null;
  readonly call_pretended: number;
  readonly call_answeredBy: string | null;
  readonly call_transcript: string;
}

type Rows = <Each>(query: Query) => Each[];

/** What is read on a connection of its own: the thread that runs the calls has nothing to do with it. */
function read<Found>(database: string, reads: (rows: Rows, connection: Database.Database) => Found): Found {
  const connection = new Database(database, { readonly: true });
  try {
    const rows: Rows = <Each>({ sql, parameters }: Query) =>
      connection.prepare<unknown[], Each>(sql).all(...parameters);
    return reads(rows, connection);
  } finally {
    connection.close();
  }
}

export function callsCsv({ database, calls, lineId, names, rates }: Reckonings['callsCsv']['from']): Uint8Array {
  return read(database, (rows, connection) => {
    const written = rows<Row>(calls).map(callOf);
    const zones = new Map(
      rows<{ id: string; timeZone: TimeZone }>({ sql: 'SELECT "id", "timeZone" FROM "line"', parameters: [] }).map(
        ({ id, timeZone }) => [id, timeZone] as const,
      ),
    );
    const zoneOf = (lineId: string): TimeZone => zones.get(lineId) ?? 'UTC';
    const costs = rates.cards.length > 0 ? costsOf(written, zoneOf, rates, connection) : new Map<string, number>();
    const facts: CsvFacts = {
      names,
      zoneOf,
      sheetOf: sheetsThen(connection),
      costOf: (id) => {
        const cost = costs.get(id);
        return cost === undefined ? undefined : (cost / one).toFixed(6);
      },
      currency: rates.cards.length > 0 ? rates.currency : null,
      language: languageSpoken(connection, lineId),
    };
    return Buffer.from(writeCallsCsv(written, facts));
  });
}

/** What the line speaks, on air or else in its draft; the first line where none is meant. */
function languageSpoken(connection: Database.Database, lineId: LineId | null): Language {
  const row = connection
    .prepare<{ readonly lineId: LineId | null }, { voice: VoiceId | null }>(
      `SELECT coalesce(v."attendant" ->> '$.voice', d."attendant" ->> '$.voice') AS "voice" FROM "line" l
      LEFT JOIN "version" v ON v."id" = l."onAirVersionId" LEFT JOIN "draft" d ON d."lineId" = l."id"
      WHERE @lineId IS NULL OR l."id" = @lineId ORDER BY l."rowid" LIMIT 1`,
    )
    .get({ lineId });
  return row?.voice ? languageOf(row.voice) : 'en';
}

const noLines: readonly Numbered[] = [];

/** What each call costs: the months are charged from their first day on, for the minutes that are included. */
function costsOf(
  calls: readonly CallToWrite[],
  zoneOf: (lineId: string) => TimeZone,
  rates: Rates,
  connection: Database.Database,
): ReadonlyMap<string, number> {
  const costs = new Map<string, number>();
  const days = calls.map(({ lineId, startedAt }) => wallTime(zoneOf(lineId), startedAt).day);
  if (days.length === 0) return costs;
  const [first, last] = days.reduce<[DayNumber, DayNumber]>(
    ([from, to], day) => [Math.min(from, day), Math.max(to, day)],
    [Infinity, -Infinity],
  );
  // A month and a day before is no later than the first of its month, wherever the line is.
  const bills = new Map<string, MonthBill>();
  for (const call of callsBetween(connection, first - 32, last)) {
    const month = monthOf(call.day);
    let bill = bills.get(month);
    if (!bill) bills.set(month, (bill = new MonthBill(rates, noLines, call.day)));
    const cost = bill.add(call);
    if (cost) costs.set(call.idOf(), cost.in + cost.out);
  }
  return costs;
}

export function pageOfIds({ database, ids, inAll }: Reckonings['page']['from']): PageOfIds {
  return read(database, (rows) => ({
    ids: rows<{ id: string }>(ids).map(({ id }) => id),
    inAll: rows<{ inAll: number }>(inAll)[0]?.inAll ?? 0,
  }));
}

export function startedAt({ database, startedAt }: Reckonings['quietest']['from']): readonly number[] {
  return read(database, (rows) => rows<{ startedAt: number }>(startedAt).map((row) => row.startedAt));
}

function callOf(row: Row): CallToWrite {
  return {
    id: row.call_id,
    versionId: row.call_versionId,
    lineId: row.call_lineId,
    callerNumber: row.call_callerNumber,
    startedAt: row.call_startedAt,
    endedAt: row.call_endedAt,
    pretended: Boolean(row.call_pretended),
    answeredBy: row.call_answeredBy,
    transcript: JSON.parse(row.call_transcript) as CallToWrite['transcript'],
  };
}
