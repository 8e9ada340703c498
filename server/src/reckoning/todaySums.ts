import type { DayNumber } from '@locutor/core/hours';
import { unpressedKeys, weeksBeside, type DayHourSum, type Recent } from '@locutor/core/traffic';
import type { Unpressed } from '@locutor/core/line';
import type { Attendant, LineId } from '@locutor/core/line';
import type { Summed } from './daysOfCalls';
import { answeredOf, pressedOf, reading, whenSums } from './trafficSums';

/** What Today tells of traffic. */
export interface TodaySums {
  readonly days: readonly DayHourSum[];
  /** The first day of the line's log; null where it is empty. */
  readonly firstDay: DayNumber | null;
  readonly recent: Recent;
}

const usualWithinS = 20;
const fourWeeks = 28;

/** What is summed for Today: of which line, which day it is, and which minute of it. */
export interface TodayAsked {
  readonly database: string;
  readonly lineId: LineId;
  readonly today: DayNumber;
  readonly minute: number;
}

export function todaySums({ database, lineId, today, minute }: TodayAsked): TodaySums {
  // Of today it is not known yet what it comes to.
  const span = { from: today - fourWeeks, to: today - 1 };
  const recent = { lineId, ...span };
  const before = { lineId, from: span.from - fourWeeks, to: span.from - 1 };
  const recentSums = whenSums(database, recent);
  return {
    days: daysLike(database, lineId, today, minute),
    firstDay: recentSums.firstDay,
    recent: {
      span,
      recent: recentSums,
      before: whenSums(database, before),
      pressed: pressedOf(database, recent),
      answered: answeredOf(database, recent, usualWithinS),
    },
  };
}

function daysLike(database: string, lineId: string, today: DayNumber, minute: number): readonly DayHourSum[] {
  const days = Array.from({ length: weeksBeside + 1 }, (_, index) => today - 7 * index);
  return reading(database, (connection) =>
    connection
      .prepare<unknown[], DayHourSum>(
        `SELECT "day", "minute" / 60 AS "hour", "outcome", count(*) AS "calls", sum("minute" <= ?) AS "byNow" FROM "call_fact"
        WHERE "lineId" = ? AND "day" IN (${days.map(() => '?').join(', ')}) GROUP BY 1, 2, 3`,
      )
      .all(minute, lineId, ...days),
  );
}

export interface UnpressedAsked {
  readonly database: string;
  readonly span: Summed;
  readonly versionId: string;
  readonly days: number;
}

export function unpressedOf({ database, span, versionId, days }: UnpressedAsked): Unpressed {
  const attendant = reading(database, (connection) =>
    connection
      .prepare<[string], { attendant: string }>('SELECT "attendant" FROM "version" WHERE "id" = ?')
      .get(versionId),
  );
  if (!attendant) return { days, keys: [] };
  return unpressedKeys(JSON.parse(attendant.attendant) as Attendant, pressedOf(database, span), days);
}
