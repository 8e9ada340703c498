import { dayNumber, showDate, weekdayOf, type DayNumber, type DayRange } from '../hours';

/** Spans of days that managers ask about, by what they are called; weeks begin on Monday. */
export const spanNames = [
  'today',
  'yesterday',
  'thisWeek',
  'lastWeek',
  'thisMonth',
  'lastMonth',
  'last30Days',
  'last12Months',
] as const;
export type SpanName = (typeof spanNames)[number];

/** The days that are meant by it on a day; those to come are left out. */
export function namedSpan(name: SpanName, today: DayNumber): DayRange {
  const monday = today - weekdayOf(today) + 1;
  const [year = 1970, month = 1] = showDate(today).split('-').map(Number);
  switch (name) {
    case 'today':
      return { from: today, to: today };
    case 'yesterday':
      return { from: today - 1, to: today - 1 };
    case 'thisWeek':
      return { from: monday, to: today };
    case 'lastWeek':
      return { from: monday - 7, to: monday - 1 };
    case 'thisMonth':
      return { from: dayNumber(year, month, 1), to: today };
    case 'lastMonth':
      return { from: dayNumber(year, month - 1, 1), to: dayNumber(year, month, 1) - 1 };
    case 'last30Days':
      return { from: today - 29, to: today };
    case 'last12Months':
      return { from: dayNumber(year - 1, month, 1), to: today };
  }
}

/** As many days just before. */
export function spanBefore({ from, to }: DayRange): DayRange {
  return { from: from - (to - from + 1), to: from - 1 };
}
