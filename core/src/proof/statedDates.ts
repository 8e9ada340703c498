import { spansOfWeekOn, occurrences, readDate, showDate, type DayNumber, type Hours } from '../hours';
import { languageOf } from '../line';
import { datesSaid, dayMeant, isOtherWeekday, yearsOver, type DateSaid } from './reading/datesSaid';
import { rememberBy } from './remember';
import type { SpokenText } from './spokenTexts';

/** What is not so of a date that words state. */
export interface UntrueDate {
  readonly words: string;
  readonly why: 'over' | 'otherWeekday' | 'nothingThen';
}

const daysAround = { behind: 30, ahead: 400 } as const;
/** How long after special dates it may be until it opens again: over a weekend. */
const daysUntilBack = 4;
const saysClosed = /\b(?:clos(?:ed|ing|es?)|reopen|holidays?|shut|back (?:on|in)|open again|return)\b/iu;

/** Dates in words that are over, fall on another weekday, or are said to be special and are not. */
export function untrueDates(text: SpokenText, hours: Hours, today: string): readonly UntrueDate[] {
  const { dates, years } = datesIn(text);
  if (dates.length === 0 && years === null) return [];
  const now = readDate(today) ?? 0;
  const found = dates.flatMap((said): UntrueDate[] => {
    const why = whyUntrue(said, text.words, hours, now);
    return why ? [{ words: said.words, why }] : [];
  });
  const inDates = dates.flatMap(({ year }) => year ?? []);
  const over = yearsOver(text.words, now).filter((year) => !inDates.includes(year));
  return [...found, ...over.map((year): UntrueDate => ({ words: String(year), why: 'over' }))];
}

const datesIn = rememberBy(({ words, voice }: SpokenText) => ({
  dates: languageOf(voice) === 'en' ? datesSaid(words) : [],
  years: /\b20\d{2}\b/.test(words) ? words : null,
}));

function whyUntrue(said: DateSaid, words: string, hours: Hours, now: DayNumber): UntrueDate['why'] | undefined {
  const day = dayMeant(said, now);
  if (said.year !== null && day < now) return 'over';
  if (isOtherWeekday(said, now)) return 'otherWeekday';
  return saysClosed.test(words) && !isSpecialAround(day, hours, now) ? 'nothingThen' : undefined;
}

/** Whether a special date begins, ends or lasts then, or a week gives way to another; so are the days after it, until it opens again. */
function isSpecialAround(day: DayNumber, hours: Hours, now: DayNumber): boolean {
  const around = occurrences(hours, now - daysAround.behind, now + daysAround.ahead);
  if (around.some(({ from, to }) => day >= from - 1 && day <= to + daysUntilBack)) return true;
  const week = spansOfWeekOn(hours, day);
  return week !== spansOfWeekOn(hours, day + 1) || week !== spansOfWeekOn(hours, day - 1);
}

/** Whether a date is none of a special date's own: neither one of its days nor one on which it opens again. */
export function isOtherDate(said: DateSaid, days: { readonly from: DayNumber; readonly to: DayNumber }): boolean {
  const year = said.year ?? Number(showDate(days.from).slice(0, 4));
  return [year, year + (said.year === null ? 1 : 0)].every((each) => {
    const day = dayMeant({ ...said, year: each }, days.from);
    return day < days.from - 1 || day > days.to + daysUntilBack;
  });
}
