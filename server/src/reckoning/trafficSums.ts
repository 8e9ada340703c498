import Database from 'better-sqlite3';
import type { DayNumber } from '@locutor/core/hours';
import type { LineId } from '@locutor/core/line';
import {
  answeredFigures,
  pressedFigures,
  ringSums,
  sumsOf,
  type AnsweredFigures,
  type RingSum,
  type SheetPresses,
  type WhenSums,
} from '@locutor/core/traffic';
import { daysOfCalls, daysOfRings, daysOfVisits, type Summed } from './daysOfCalls';

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
  return reading(database, (connection) => answeredFigures(daysOfCalls(connection, span), withinS));
}

/** What callers did in each menu and announcement. */
export function pressedOf(database: string, span: Summed): readonly SheetPresses[] {
  return reading(database, (connection) => pressedFigures(daysOfVisits(connection, span)));
}

/** How often each person, contact or number was rung, and how that ended. */
export function workOf(database: string, span: Summed): readonly RingSum[] {
  return reading(database, (connection) => ringSums(daysOfRings(connection, span)));
}

/** What the log holds of when people called. */
export function whenSums(database: string, span: Summed): WhenSums {
  return reading(database, (connection) => ({
    ...sumsOf(daysOfCalls(connection, span)),
    firstDay: firstDayOf(connection, span.lineId),
  }));
}

/** The first day of the log, of a line or of all where it is null; null where it is empty. */
export function firstDayOf(connection: Database.Database, lineId: LineId | null): DayNumber | null {
  const ofLine = lineId === null ? '' : 'WHERE "lineId" = ?';
  return connection
    .prepare<LineId[], DayNumber | null>(`SELECT min("day") FROM "call_fact" ${ofLine}`)
    .pluck()
    .get(...(lineId === null ? [] : [lineId])) as DayNumber | null;
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
