import type { Outcome } from '../call';
import type { CallId } from '../exchange';
import type { GroupId, QueueId } from '../directory';
import type { SheetId } from '../line';
import { quantile, quantileInterval, shareInterval, type Interval } from './intervals';
import type { Who } from './rings';
import type { Choice } from './visits';
import { fateOf } from './when';

/** What of a call tells how long it took until somebody answered. */
export interface AnsweredRow {
  readonly callId: CallId;
  /** Of the day, by the line's clock. */
  readonly minute: number;
  readonly outcome: Outcome;
  readonly toPersonMs: number | null;
  readonly through: GroupId | QueueId | null;
  readonly answeredBy: Who | null;
  readonly firstSheetId: SheetId | null;
  readonly firstChoice: Choice | null;
}

/** How long it took, of some of the calls. */
export interface AnswerTimes {
  /** How many reached somebody. */
  readonly reached: number;
  /** How many did not, and left no message either. */
  readonly lost: number;
  /** Half of those who reached somebody did so within it; null of none. In ms. */
  readonly medianMs: number | null;
  /** Nine in ten did. */
  readonly nineTenthsMs: number | null;
  /** How many reached somebody within the seconds that were asked about. */
  readonly within: number;
}

export interface AnsweredFigures extends AnswerTimes {
  readonly calls: number;
  readonly withinS: number;
  readonly messages: number;
  /** Where the median lies at 95 %; null of too few. In ms. */
  readonly medianBetween: Interval | null;
  /** Where the share within those seconds lies, of all who reached somebody. */
  readonly withinBetween: Interval;
  /** How many reached somebody in each stretch of time, from the one before it on. */
  readonly stretches: readonly { readonly untilS: number | null; readonly calls: number }[];
  /** By the group or queue that brought them, or who was rung themselves; the most calls first. */
  readonly byWay: readonly (Omit<AnswerTimes, 'lost'> & { readonly to: GroupId | QueueId | Who })[];
  /** By what they pressed first. */
  readonly byKey: readonly (AnswerTimes & { readonly sheetId: SheetId; readonly choice: Choice })[];
  /** By hour of the day, those in which somebody called. */
  readonly byHour: readonly (AnswerTimes & { readonly hour: number })[];
  /** Those who were answered last of all, the longest first. */
  readonly longest: readonly { readonly callId: CallId; readonly toPersonMs: number }[];
}

/** Ends of the stretches of time that are told apart, in s. */
const stretchEndsS = [10, 20, 30, 45, 60, 90, 120, 180, 300] as const;
const longestTold = 5;

/** @param withinS in how many seconds callers are to be answered */
export function answeredFigures(rows: readonly AnsweredRow[], withinS: number): AnsweredFigures {
  const callers = rows.filter(({ outcome }) => fateOf[outcome] !== 'aside');
  const sorted = timesIn(callers);
  const times = timesOf(callers, withinS);
  return {
    ...times,
    calls: callers.length,
    withinS,
    messages: callers.filter(({ outcome }) => fateOf[outcome] === 'message').length,
    medianBetween: quantileInterval(sorted, 0.5),
    withinBetween: shareInterval(times.within, times.reached),
    stretches: stretchesOf(sorted),
    byWay: grouped(callers, ({ through, answeredBy }) => through ?? answeredBy)
      .map(([to, of]) => {
        // Who was lost is nobody's: they were on their way to any.
        const { reached, medianMs, nineTenthsMs, within } = timesOf(of, withinS);
        return { to, reached, medianMs, nineTenthsMs, within };
      })
      .sort((one, other) => other.reached - one.reached),
    byKey: grouped(
      callers,
      ({ firstSheetId, firstChoice }) => firstSheetId && `${firstSheetId} ${firstChoice}`,
    ).flatMap(([, of]) => {
      const [first] = of;
      const { firstSheetId: sheetId, firstChoice: choice } = first ?? {};
      return sheetId && choice ? [{ sheetId, choice, ...timesOf(of, withinS) }] : [];
    }),
    byHour: grouped(callers, ({ minute }) => Math.floor(minute / 60))
      .map(([hour, of]) => ({ hour, ...timesOf(of, withinS) }))
      .sort((one, other) => one.hour - other.hour),
    longest: callers
      .flatMap(({ callId, toPersonMs }) => (toPersonMs === null ? [] : [{ callId, toPersonMs }]))
      .sort((one, other) => other.toPersonMs - one.toPersonMs)
      .slice(0, longestTold),
  };
}

function timesOf(rows: readonly AnsweredRow[], withinS: number): AnswerTimes {
  const sorted = timesIn(rows);
  return {
    reached: sorted.length,
    lost: rows.filter(({ outcome }) => fateOf[outcome] === 'lost').length,
    medianMs: quantile(sorted, 0.5),
    nineTenthsMs: quantile(sorted, 0.9),
    within: sorted.filter((ms) => ms <= withinS * 1000).length,
  };
}

function timesIn(rows: readonly AnsweredRow[]): readonly number[] {
  return rows.flatMap(({ toPersonMs }) => toPersonMs ?? []).sort((one, other) => one - other);
}

function stretchesOf(sorted: readonly number[]): AnsweredFigures['stretches'] {
  const upTo = (seconds: number): number => sorted.filter((ms) => ms <= seconds * 1000).length;
  const ends = stretchEndsS.map((untilS, index) => ({
    untilS,
    calls: upTo(untilS) - (index > 0 ? upTo(stretchEndsS[index - 1] ?? 0) : 0),
  }));
  return [...ends, { untilS: null, calls: sorted.length - upTo(stretchEndsS.at(-1) ?? 0) }];
}

/** What has no key is left out. */
function grouped<Row, Key>(
  rows: readonly Row[],
  keyOf: (row: Row) => Key | null,
): readonly (readonly [Key, readonly Row[]])[] {
  const groups = new Map<Key, Row[]>();
  for (const row of rows) {
    const key = keyOf(row);
    if (key === null) continue;
    const group = groups.get(key);
    if (group) group.push(row);
    else groups.set(key, [row]);
  }
  return [...groups];
}
