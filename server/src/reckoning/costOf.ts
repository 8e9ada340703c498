import type Database from 'better-sqlite3';
import {
  costFigures,
  daysOfMonth,
  forecastDays,
  forecastMonth,
  MonthBill,
  type Cost,
  type CostRow,
  type TimedCall,
} from '@locutor/core/cost';
import type { E164 } from '@locutor/core/directory';
import type { DayNumber } from '@locutor/core/hours';
import type { Reckonings } from './task';
import { reading } from './trafficSums';

type Row = CostRow & TimedCall;

/** Blocked callers are refused without an answer, which costs nothing. */
export function costOf({ database, span, rates, lines, now }: Reckonings['cost']['from']): Cost {
  return reading(database, (connection) => {
    const months = { from: daysOfMonth(span.from).from, to: daysOfMonth(span.to).to };
    const thisMonth = daysOfMonth(now.day);
    const recent = callsBetween(connection, Math.min(forecastDays(now.day), thisMonth.from), now.day);
    const bill = new MonthBill(rates, lines, now.day);
    for (const call of recent) if (call.day >= thisMonth.from) bill.add(call);
    const first = connection.prepare<[], { day: number | null }>(`SELECT min("day") AS "day" FROM "call_fact"`).get();
    const firstDay = first?.day ?? null;
    return {
      ...costFigures(callsBetween(connection, months.from, months.to), span, span.lineId, rates, lines),
      thisMonth: bill.cost(),
      forecast: firstDay === null ? null : forecastMonth(rates, lines, recent, firstDay, now),
    };
  });
}

const none: Row['outside'] = [];

/** All calls on these days that are charged, in the order in which they began. */
export function callsBetween(connection: Database.Database, from: DayNumber, to: DayNumber): readonly Row[] {
  const outside = new Map<string, { number: E164; forMs: number }[]>();
  const calledOut = connection
    .prepare<[DayNumber, DayNumber], { callId: string; number: E164; forMs: number }>(
      `SELECT "callId", "number", "forMs" FROM "call_outside" WHERE "day" BETWEEN ? AND ?`,
    )
    .all(from, to);
  for (const { callId, number, forMs } of calledOut) {
    const of = outside.get(callId);
    if (of) of.push({ number, forMs });
    else outside.set(callId, [{ number, forMs }]);
  }
  return connection
    .prepare<[DayNumber, DayNumber], Omit<Row, 'outside'>>(
      `SELECT "callId", "lineId", "day", "minute", "lengthMs", "firstSheetId", "firstChoice" FROM "call_fact"
      WHERE "day" BETWEEN ? AND ? AND "outcome" <> 'blocked' ORDER BY "day", "minute", "callId"`,
    )
    .all(from, to)
    .map((row) => Object.assign(row, { outside: outside.get(row.callId) ?? none }));
}
