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
import type { DayNumber } from '@locutor/core/hours';
import type { Reckonings } from './task';
import { daysOfCalls, type LinesDay } from './daysOfCalls';
import { firstDayOf, reading } from './trafficSums';

type Row = CostRow & TimedCall;

/** Blocked callers are refused without an answer, which costs nothing. */
export function costOf({ database, span, rates, lines, now }: Reckonings['cost']['from']): Cost {
  return reading(database, (connection) => {
    const months = { from: daysOfMonth(span.from).from, to: daysOfMonth(span.to).to };
    const thisMonth = daysOfMonth(now.day);
    const recent = [...callsBetween(connection, Math.min(forecastDays(now.day), thisMonth.from), now.day)];
    const bill = new MonthBill(rates, lines, now.day);
    for (const call of recent) if (call.day >= thisMonth.from) bill.add(call);
    const firstDay = firstDayOf(connection, null);
    return {
      ...costFigures(callsBetween(connection, months.from, months.to), span, span.lineId, rates, lines),
      thisMonth: bill.cost(),
      forecast: firstDay === null ? null : forecastMonth(rates, lines, recent, firstDay, now),
    };
  });
}

/** All calls on these days that are charged, in the order in which they began. */
export function* callsBetween(connection: Database.Database, from: DayNumber, to: DayNumber): Generator<Row> {
  let sameDay: LinesDay[] = [];
  for (const each of daysOfCalls(connection, { lineId: null, from, to })) {
    if (sameDay[0] && sameDay[0].day !== each.day) {
      yield* inOrder(sameDay);
      sameDay = [];
    }
    sameDay.push(each);
  }
  yield* inOrder(sameDay);
}

/** The calls of all lines on a day. */
function inOrder(sameDay: readonly LinesDay[]): readonly Row[] {
  return sameDay.map(rowsOf).reduce(merged, []);
}

function rowsOf({ lineId, day, calls, idOf }: LinesDay): readonly Row[] {
  const rows: Row[] = [];
  for (let at = 0; at < calls.length; at += 1) {
    const call = calls[at];
    if (!call || call.outcome === 'blocked') continue;
    // Told one by one: copied as a whole, very many take ten times as long.
    const { minute, lengthMs, outside, firstSheetId, firstChoice } = call;
    rows.push({ lineId, day, minute, lengthMs, outside, firstSheetId, firstChoice, idOf: () => idOf(at) });
  }
  return rows;
}

/** Two lists that are in order as one. */
function merged(some: readonly Row[], others: readonly Row[]): readonly Row[] {
  if (some.length === 0 || others.length === 0) return some.length === 0 ? others : some;
  const rows: Row[] = [];
  let at = 0;
  for (const row of some) {
    for (let other = others[at]; other && isBefore(other, row); other = others[at]) {
      rows.push(other);
      at += 1;
    }
    rows.push(row);
  }
  return at === others.length ? rows : [...rows, ...others.slice(at)];
}

/** By when they began, to the minute; of the same minute by their ids. */
function isBefore(one: Row, other: Row): boolean {
  return one.minute === other.minute ? one.idOf() < other.idOf() : one.minute < other.minute;
}
