import type { Hours, PeriodId, SpecialDate, SpecialDateId } from '../../hours';
import type { ReadCalendar, ReadTimes } from './calendarIn';

/** What of a calendar is taken, and where it goes. */
export interface CalendarChoice extends Pick<ReadCalendar, 'week' | 'special'> {
  /** The period that events of a name are: one that there is, or null for a new one of that name. */
  readonly periodOf: (name: string) => PeriodId | null;
}

export interface NewIds {
  readonly period: () => PeriodId;
  readonly special: () => SpecialDateId;
}

/**
 * Hours with what was chosen of a calendar: its week, if it has any, in place of the regular one; its dates beside those
 * that there are, and in place of those of the same name that come at the same time. The rest stays.
 */
export function takeCalendar(hours: Hours, { week, special, periodOf }: CalendarChoice, ids: NewIds): Hours {
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
  const taken = week.flatMap((span) => spansOf([span]).map((times) => ({ ...times, day: span.day })));
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
    ...hours,
    periods,
    week: taken.length > 0 ? taken : hours.week,
    special: [...hours.special.filter(({ id }) => !replaced.has(id)), ...dates],
  };
}

/** Both come every year, or both begin on the same day once. */
function isSameTime({ when: one }: SpecialDate, other: SpecialDate['when']): boolean {
  if (one.type === 'once' || other.type === 'once') {
    return one.type === 'once' && other.type === 'once' && one.from === other.from;
  }
  return true;
}
