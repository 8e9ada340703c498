import {
  datedWeekOn,
  firstDay,
  readDate,
  showMonthDay,
  monthDayOf,
  yearOf,
  type DatedWeek,
  type DatedWeekId,
  type DayNumber,
  type Hours,
  type PeriodId,
  type SpecialDate,
  type SpecialDateId,
  type WeekSpan,
} from '../../hours';
import type { ReadCalendar, ReadSpan, ReadTimes } from './calendarIn';

/** What of a calendar is taken, and where it goes. */
export interface CalendarChoice extends Pick<ReadCalendar, 'week' | 'datedWeeks' | 'special'> {
  /** The period that events of a name are: one that there is, or null for a new one of that name. */
  readonly periodOf: (name: string) => PeriodId | null;
}

export interface NewIds {
  readonly period: () => PeriodId;
  readonly special: () => SpecialDateId;
  readonly week: () => DatedWeekId;
}

/**
 * Hours with what was chosen of a calendar: its week, if it has any, in place of the one that holds now, and those that
 * follow in place of those that were to follow; its dates beside those that there are, and in place of those of the same
 * name that come at the same time. The rest stays.
 *
 * @param today the day from which on the calendar was read
 */
export function takeCalendar(
  hours: Hours,
  { week, datedWeeks, special, periodOf }: CalendarChoice,
  ids: NewIds,
  today: DayNumber,
): Hours {
  const periods = [...hours.periods];
  const known = new Map<string, PeriodId>();
  const periodId = (name: string): PeriodId => {
    let id = known.get(name) ?? periodOf(name);
    if (!id) periods.push({ id: (id = ids.period()), name });
    known.set(name, id);
    return id;
  };
  const spansOf = (times: readonly ReadTimes[]) =>
    times.map(({ period, startMin, endMin }) => ({ periodId: periodId(period), startMin, endMin }));
  const weekOf = (read: readonly ReadSpan[]): readonly WeekSpan[] =>
    read.flatMap((span) => spansOf([span]).map((times) => ({ ...times, day: span.day })));
  const hasWeek = week.length + datedWeeks.length > 0;
  const taken = hasWeek
    ? withWeeks(
        hours,
        weekOf(week),
        datedWeeks.map((each) => named(each.from, weekOf(each.week), ids)),
        today,
      )
    : hours;
  const dates = special.map(({ name, when, times, words }): SpecialDate => {
    const same = hours.special.find((each) => each.name === name && isSameTime(each, when));
    const spans = spansOf(times);
    return {
      id: same?.id ?? ids.special(),
      name,
      when,
      moved: 'stays',
      hours: spans.length > 0 ? { type: 'times', spans } : { type: 'closed', startMin: 0, endMin: 1440 },
      words: words || (same?.words ?? ''),
    };
  });
  const replaced = new Set(dates.map(({ id }) => id));
  return {
    ...taken,
    periods,
    special: [...hours.special.filter(({ id }) => !replaced.has(id)), ...dates],
  };
}

/** Weeks that were over stay as they were; the one that holds today, and all that follow, are those of the calendar. */
function withWeeks(hours: Hours, now: readonly WeekSpan[], ahead: readonly DatedWeek[], today: DayNumber): Hours {
  const holding = datedWeekOn(hours.datedWeeks, today);
  const begun = hours.datedWeeks
    .filter((each) => firstDay(each) <= today)
    .map((each) => (each === holding ? { ...each, week: now } : each));
  return { ...hours, week: holding ? hours.week : now, datedWeeks: [...begun, ...ahead] };
}

function named(from: string, week: readonly WeekSpan[], ids: NewIds): DatedWeek {
  const day = readDate(from) ?? 0;
  return { id: ids.week(), name: `From ${showMonthDay(monthDayOf(day))} ${yearOf(day)}`, from, week };
}

/** Both come every year, or both begin on the same day once. */
function isSameTime({ when: one }: SpecialDate, other: SpecialDate['when']): boolean {
  if (one.type === 'once' || other.type === 'once') {
    return one.type === 'once' && other.type === 'once' && one.from === other.from;
  }
  return true;
}
