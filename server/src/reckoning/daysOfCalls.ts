import type Database from 'better-sqlite3';
import type { CallId } from '@locutor/core/exchange';
import type { DayNumber } from '@locutor/core/hours';
import type { LineId } from '@locutor/core/line';
import {
  readDay,
  readVisits,
  writeDay,
  writeVisits,
  type DayCall,
  type DayColumns,
  type DayOfCalls,
  type PressedSum,
  type RingSum,
  type VisitColumns,
} from '@locutor/core/traffic';

/** Which calls are meant: of a line, or of all where it is null; on these days, both included. */
export interface Summed {
  readonly lineId: LineId | null;
  readonly from: DayNumber;
  readonly to: DayNumber;
}

interface Kept {
  readonly id: number;
  readonly lineId: LineId;
  readonly day: DayNumber;
  readonly text: string | null;
}

/** The calls of a day and line. */
export interface LinesDay extends DayOfCalls {
  readonly lineId: LineId;
}

/** Each day of the span on which somebody called, from the first on. */
export function* daysOfCalls(connection: Database.Database, span: Summed): Generator<LinesDay> {
  const idsOf = connection.prepare<[number], { callIds: string | null }>(
    'SELECT "callIds" FROM "call_day" WHERE "id" = ?',
  );
  for (const { id, lineId, day, text } of kept(connection, 'calls', span)) {
    const made = text === null ? makeDay(connection, lineId, day) : null;
    let ids: readonly CallId[] | null = made?.callIds ?? null;
    const idOf = (at: number): CallId => {
      ids ??= JSON.parse(idsOf.get(id)?.callIds ?? '[]') as CallId[];
      const callId = ids[at];
      if (callId === undefined) throw new Error(`The day ${String(day)} of ${lineId} has no call ${String(at)}.`);
      return callId;
    };
    yield { lineId, day, calls: readDay(made?.calls ?? (JSON.parse(text ?? '') as DayColumns)), idOf };
  }
}

/** What callers did in the sheets on each day, one day after the other. */
export function* daysOfVisits(connection: Database.Database, span: Summed): Generator<PressedSum> {
  for (const { lineId, day, text } of kept(connection, 'visits', span))
    yield* readVisits(text === null ? makeDay(connection, lineId, day).visits : (JSON.parse(text) as VisitColumns));
}

/** How often each was rung on each day, and how that ended, one day after the other. */
export function* daysOfRings(connection: Database.Database, span: Summed): Generator<RingSum> {
  for (const { lineId, day, text } of kept(connection, 'rings', span))
    yield* text === null ? makeDay(connection, lineId, day).rings : (JSON.parse(text) as RingSum[]);
}

function kept(connection: Database.Database, column: 'calls' | 'visits' | 'rings', span: Summed): readonly Kept[] {
  return connection
    .prepare<[Summed], Kept>(
      `SELECT "id", "lineId", "day", "${column}" AS "text" FROM "call_day"
      WHERE "lineId" ${span.lineId === null ? 'IN (SELECT DISTINCT "lineId" FROM "call_day")' : '= @lineId'}
      AND "day" BETWEEN @from AND @to ORDER BY "day", "lineId"`,
    )
    .all(span);
}

interface MadeDay {
  readonly calls: DayColumns;
  readonly callIds: readonly CallId[];
  readonly visits: VisitColumns;
  readonly rings: readonly RingSum[];
}

type FactRow = Omit<DayCall, 'outside'> & { readonly callId: CallId };
type OutsideRow = DayCall['outside'][number] & { readonly callId: CallId };

function makeDay(connection: Database.Database, lineId: LineId, day: DayNumber): MadeDay {
  const of: [LineId, DayNumber] = [lineId, day];
  const facts = connection
    .prepare<[LineId, DayNumber], FactRow>(
      `SELECT "callId", "minute", "outcome", "toPersonMs", "lengthMs", coalesce("through", "answeredBy") AS "way", "firstSheetId", "firstChoice"
      FROM "call_fact" WHERE "lineId" = ? AND "day" = ? ORDER BY "minute", "callId"`,
    )
    .all(...of);
  const outside = new Map<CallId, OutsideRow[]>();
  const calledOut = connection
    .prepare<[LineId, DayNumber], OutsideRow>(
      'SELECT "callId", "number", "forMs" FROM "call_outside" WHERE "lineId" = ? AND "day" = ? ORDER BY "callId", "position"',
    )
    .all(...of);
  for (const row of calledOut) outside.set(row.callId, [...(outside.get(row.callId) ?? []), row]);
  const visits = connection
    .prepare<[LineId, DayNumber], PressedSum>(
      `SELECT "sheetId", "choice", CASE WHEN "isFirstRound" THEN "afterMs" / 1000 END AS "second", count(*) AS "visits"
      FROM "call_visit" WHERE "lineId" = ? AND "day" = ? GROUP BY 1, 2, 3`,
    )
    .all(...of);
  const rings = connection
    .prepare<[LineId, DayNumber], RingSum>(
      `SELECT "who", "end", count(*) AS "rings", sum("talkMs") AS "talkMs", sum("holdMs") AS "holdMs"
      FROM "call_ring" WHERE "lineId" = ? AND "day" = ? GROUP BY 1, 2`,
    )
    .all(...of);
  return {
    rings,
    calls: writeDay(facts.map((fact) => ({ ...fact, outside: outside.get(fact.callId) ?? [] }))),
    callIds: facts.map(({ callId }) => callId),
    visits: writeVisits(visits),
  };
}

/** Makes some of the days that are to be made anew. @returns how many there were, up to so many */
export function makeSomeDays(connection: Database.Database, most: number): number {
  const unmade = connection
    .prepare<[number], Omit<Kept, 'text'>>('SELECT "id", "lineId", "day" FROM "call_day" WHERE "calls" IS NULL LIMIT ?')
    .all(most);
  const keep = connection.prepare(
    'UPDATE "call_day" SET "calls" = ?, "callIds" = ?, "visits" = ?, "rings" = ? WHERE "id" = ?',
  );
  const drop = connection.prepare('DELETE FROM "call_day" WHERE "id" = ?');
  for (const { id, lineId, day } of unmade) {
    const { calls, callIds, visits, rings } = makeDay(connection, lineId, day);
    if (callIds.length === 0) drop.run(id);
    else keep.run(...[calls, callIds, visits, rings].map((part) => JSON.stringify(part)), id);
  }
  return unmade.length;
}
