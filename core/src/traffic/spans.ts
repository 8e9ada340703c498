import { dayNumber, readDate, showDate, weekdayOf, type DayNumber, type DayRange } from '../hours';

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

/** A span of days that was given a name to be looked at again: one of those, any two dates, or since a version went on air. */
export type SavedSpan = { readonly name: string } & (
  { readonly span: SpanName } | { readonly from: string; readonly to: string } | { readonly since: string }
);

export const mostSavedSpans = 50;
export const longestSpanName = 60;

/** What speaks against a span being kept, in words; null when nothing does. */
export function savedSpanProblem(
  span: Readonly<Partial<Record<'span' | 'from' | 'to' | 'since', string>>> & { readonly name: string },
): string | null {
  const { name, from, to } = span;
  const ways = [span.span, from ?? to, span.since].filter((each) => each !== undefined);
  if (ways.length !== 1) return `Say of “${name}” which days are meant: by a name, by two dates, or since a version.`;
  if (from === undefined && to === undefined) return null;
  const [first, last] = [readDate(from ?? ''), readDate(to ?? '')];
  if (first === undefined || last === undefined) return `“${name}” needs a first and a last day.`;
  return last < first ? `The last day of “${name}” is before the first.` : null;
}

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
