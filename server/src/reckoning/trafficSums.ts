import Database from 'better-sqlite3';
import type { DayNumber } from '@locutor/core/hours';
import type { LineId } from '@locutor/core/line';
import {
  answeredFigures,
  pressedFigures,
  type AnsweredFigures,
  type AnsweredRow,
  type DaySum,
  type HourSum,
  type PressedSum,
  type RingSum,
  type SheetPresses,
  type WhenSums,
} from '@locutor/core/traffic';

/** Which calls are summed: of a line, or of all where it is null; on these days, both included. */
export interface Summed {
  readonly lineId: LineId | null;
  readonly from: DayNumber;
  readonly to: DayNumber;
}

/**
 * Of the rows of a table that has a line and a day. Of all lines together each is looked up by itself, so that the index is of use
 * that begins with it.
 */
export function ofSpan({ lineId }: Pick<Summed, 'lineId'>, table = 'call_fact'): string {
  const lines = lineId === null ? `IN (SELECT DISTINCT "lineId" FROM "${table}")` : '= @lineId';
  return `"${table}"."lineId" ${lines} AND "${table}"."day" BETWEEN @from AND @to`;
}

/** How long it took until somebody answered. */
export function answeredOf(database: string, span: Summed, withinS: number): AnsweredFigures {
  return reading(database, (connection) => {
    const rows = connection
      .prepare<[Summed], AnsweredRow>(
        `SELECT "callId", "minute", "outcome", "toPersonMs", "through", "answeredBy", "firstSheetId", "firstChoice"
        FROM "call_fact" WHERE ${ofSpan(span)}`,
      )
      .iterate(span);
    return answeredFigures(rows, withinS);
  });
}

/** What callers did in each menu and announcement. */
export function pressedOf(database: string, span: Summed): readonly SheetPresses[] {
  return reading(database, (connection) => {
    const sums = connection
      .prepare<[Summed], PressedSum>(
        `SELECT "sheetId", "choice", CASE WHEN "isFirstRound" THEN "afterMs" / 1000 END AS "second", count(*) AS "visits"
        FROM "call_visit" WHERE ${ofSpan(span, 'call_visit')} GROUP BY 1, 2, 3`,
      )
      .all(span);
    return pressedFigures(sums);
  });
}

/** How often each person, contact or number was rung, and how that ended. */
export function workOf(database: string, span: Summed): readonly RingSum[] {
  return reading(database, (connection) =>
    connection
      .prepare<[Summed], RingSum>(
        `SELECT "who", "end", count(*) AS "rings", sum("talkMs") AS "talkMs", sum("holdMs") AS "holdMs"
        FROM "call_ring" WHERE ${ofSpan(span, 'call_ring')} GROUP BY 1, 2`,
      )
      .all(span),
  );
}

/** What the log holds of when people called. */
export function whenSums(database: string, span: Summed): WhenSums {
  return reading(database, (connection) => {
    const calls = `FROM "call_fact" WHERE ${ofSpan(span)}`;
    const byHour = connection
      .prepare<[Summed], HourSum>(
        // Monday is 1; the first day of 1970 was a Thursday.
        `SELECT ("day" + 3) % 7 + 1 AS "weekday", "minute" / 60 AS "hour", "outcome", count(*) AS "calls" ${calls} GROUP BY 1, 2, 3`,
      )
      .all(span);
    const byDay = connection
      .prepare<[Summed], DaySum>(`SELECT "day", "outcome", count(*) AS "calls" ${calls} GROUP BY 1, 2`)
      .all(span);
    const { firstDay } = connection
      .prepare<[Pick<Summed, 'lineId'>], { firstDay: number | null }>(
        `SELECT min("day") AS "firstDay" FROM "call_fact" WHERE @lineId IS NULL OR "lineId" = @lineId`,
      )
      .get({ lineId: span.lineId }) ?? { firstDay: null };
    return { byHour, byDay, firstDay };
  });
}

/** Reads from the database, on a connection of its own. */
export function reading<Found>(database: string, read: (connection: Database.Database) => Found): Found {
  const connection = new Database(database, { readonly: true });
  try {
    return read(connection);
  } finally {
    connection.close();
  }
}
