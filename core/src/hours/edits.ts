import { type Hours } from './hours';
import { minutesOfDay, weekdays, type Period, type WeekSpan, type Weekday } from './week';
import { withEachWeek } from './weekOn';
import type { DatedWeekId, PeriodId, SeasonId, SpecialDateId } from './ids';
import type { SpecialDate } from './specialDate';

/** Adds a period with no time in the week yet. */
export function addPeriod<Kept extends Pick<Hours, 'periods'>>(hours: Kept, period: Period): Kept {
  return { ...hours, periods: [...hours.periods, period] };
}

/** Removes a period and every span of it. */
export function removePeriod(hours: Hours, periodId: PeriodId): Hours {
  return {
    ...withEachWeek(hours, (week) => week.filter((span) => span.periodId !== periodId)),
    periods: hours.periods.filter((period) => period.id !== periodId),
    special: hours.special.map((date) =>
      date.hours.type === 'times'
        ? { ...date, hours: { ...date.hours, spans: date.hours.spans.filter((span) => span.periodId !== periodId) } }
        : date,
    ),
  };
}

export function renamePeriod(hours: Hours, periodId: PeriodId, name: string): Hours {
  const periods = hours.periods.map((period) => (period.id === periodId ? { ...period, name } : period));
  return { ...hours, periods };
}

/** Replaces the week of a season, a dated one, or the regular one where no id is given. */
export function setWeek(hours: Hours, id: SeasonId | DatedWeekId | null, week: readonly WeekSpan[]): Hours {
  if (id === null) return { ...hours, week };
  const changed = <Has extends { readonly id: string; readonly week: readonly WeekSpan[] }>(each: Has): Has =>
    each.id === id ? { ...each, week } : each;
  return { ...hours, datedWeeks: hours.datedWeeks.map(changed), seasons: hours.seasons.map(changed) };
}

/** Adds a special date, or puts it in the place of the one with its id. */
export function setSpecialDate<Kept extends Pick<Hours, 'special'>>(hours: Kept, date: SpecialDate): Kept {
  const isThere = hours.special.some(({ id }) => id === date.id);
  const special = isThere ? hours.special.map((each) => (each.id === date.id ? date : each)) : [...hours.special, date];
  return { ...hours, special };
}

export function removeSpecialDate<Kept extends Pick<Hours, 'special'>>(hours: Kept, id: SpecialDateId): Kept {
  return { ...hours, special: hours.special.filter((each) => each.id !== id) };
}

/** Replaces what a period does on one day. */
export function setDaySpans(
  hours: Hours,
  periodId: PeriodId,
  day: Weekday,
  spans: readonly Pick<WeekSpan, 'startMin' | 'endMin'>[],
): Hours {
  const others = hours.week.filter((span) => span.periodId !== periodId || span.day !== day);
  const sorted = [...spans].sort((one, other) => one.startMin - other.startMin);
  return { ...hours, week: [...others, ...sorted.map((span) => ({ periodId, day, ...span }))] };
}

/** Lets a period run around the clock, every day of the week. */
export function setAlways(hours: Hours, periodId: PeriodId): Hours {
  const others = hours.week.filter((span) => span.periodId !== periodId);
  const always = weekdays.map((day) => ({ periodId, day, startMin: 0, endMin: minutesOfDay }));
  return { ...hours, week: [...others, ...always] };
}

/** Makes other days of the week what one day is, in every period. */
export function copyDay<Kept extends Pick<Hours, 'week'>>(hours: Kept, from: Weekday, to: readonly Weekday[]): Kept {
  const others = to.filter((day) => day !== from);
  const copied = others.flatMap((day) =>
    hours.week.filter((span) => span.day === from).map((span) => ({ ...span, day })),
  );
  return { ...hours, week: [...hours.week.filter(({ day }) => !others.includes(day)), ...copied] };
}

/** The spans of a period on one day, in time order. */
export function daySpans(hours: Pick<Hours, 'week'>, periodId: PeriodId, day: Weekday): readonly WeekSpan[] {
  return hours.week
    .filter((span) => span.periodId === periodId && span.day === day)
    .sort((one, other) => one.startMin - other.startMin);
}
