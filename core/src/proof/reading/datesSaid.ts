import { dayInYear, weekdayOf, yearOf, type DayNumber, type Weekday } from '../../hours';
import { numberOf } from './numbers';

/** A date as words say it. */
export interface DateSaid {
  readonly month: number;
  readonly day: number;
  /** Null where none is said. */
  readonly year: number | null;
  /** Null where none is said. */
  readonly weekday: Weekday | null;
  readonly words: string;
}

const months = 'january february march april may june july august september october november december'.split(' ');
const weekdays = 'monday tuesday wednesday thursday friday saturday sunday'.split(' ');
const ordinals =
  'first second third fourth fifth sixth seventh eighth ninth tenth eleventh twelfth thirteenth fourteenth fifteenth sixteenth seventeenth eighteenth nineteenth twentieth twenty-first twenty-second twenty-third twenty-fourth twenty-fifth twenty-sixth twenty-seventh twenty-eighth twenty-ninth thirtieth thirty-first'.split(
    ' ',
  );
const day = `(\\d{1,2}(?:st|nd|rd|th)?|${[...ordinals].reverse().join('|')})`;
const month = `(${months.join('|')})`;
const year = '(?:,?\\s+((?:19|20)\\d{2}))?';
const weekday = `(?:(${weekdays.join('|')}),?\\s+)?`;
const dayFirst = new RegExp(`\\b${weekday}(?:the\\s+)?${day}\\s+(?:of\\s+)?${month}\\b${year}`, 'giu');
const monthFirst = new RegExp(`\\b${weekday}${month}\\s+(?:the\\s+)?${day}\\b${year}`, 'giu');
const iso = /\b((?:19|20)\d{2})-(\d{2})-(\d{2})\b/gu;

/** The dates that English words say. */
export function datesSaid(words: string): readonly DateSaid[] {
  const found: DateSaid[] = [];
  const add = (
    name: string | undefined,
    dayText: string,
    monthText: string,
    yearText: string | undefined,
    all: string,
  ) => {
    const number = dayOf(dayText);
    const at = months.indexOf(monthText.toLowerCase()) + 1;
    if (number < 1 || number > 31) return;
    const on = name ? ((weekdays.indexOf(name.toLowerCase()) + 1) as Weekday) : null;
    found.push({ month: at, day: number, year: yearText ? Number(yearText) : null, weekday: on, words: all.trim() });
  };
  const rest = words.replace(dayFirst, (all: string, name, dayText: string, monthText: string, yearText) => {
    add(name as string, dayText, monthText, yearText as string, all);
    return ' ';
  });
  for (const match of rest.matchAll(monthFirst)) add(match[1], match[3] ?? '', match[2] ?? '', match[4], match[0]);
  for (const [all, y, m, d] of words.matchAll(iso)) {
    found.push({ month: Number(m), day: Number(d), year: Number(y), weekday: null, words: all });
  }
  return found;
}

function dayOf(text: string): number {
  const plain = text.toLowerCase();
  const at = ordinals.indexOf(plain);
  return at >= 0 ? at + 1 : (numberOf(plain.replace(/(?:st|nd|rd|th)$/, '')) ?? 0);
}

/** The day that is meant: of the year that is said, else the one that is nearest, most of it ahead. */
export function dayMeant({ month: at, day: number, year: said }: DateSaid, today: DayNumber): DayNumber {
  if (said !== null) return dayInYear(said, { month: at, day: number });
  const now = yearOf(today);
  const behind = 60;
  const thisYear = dayInYear(now, { month: at, day: number });
  return thisYear < today - behind ? dayInYear(now + 1, { month: at, day: number }) : thisYear;
}

/** Whether the weekday said is not that date's. */
export function isOtherWeekday(said: DateSaid, today: DayNumber): boolean {
  return said.weekday !== null && weekdayOf(dayMeant(said, today)) !== said.weekday;
}

/** What is of a year for good: "statements for 2025". */
function isOfPapers(words: string, at: number): boolean {
  const sentence = words.slice(0, at).split(/[.!?]/u).at(-1) ?? '';
  return /(?<!\p{L})(?:bilans?|factures?|d[ée]clarations?|comptes|relev[ée]s|imp[ôo]ts|rapports?|abrechnung\p{L}*|rechnung\p{L}*|steuer\p{L}*|jahresabschl\p{L}*|bescheid\p{L}*|facturas?|declaraci\p{L}*|informes?|statements?|invoices?|tax(?:es)?|returns?|records?|reports?|receipts?|bills?|forms?|certificates?|results?|models?)(?!\p{L})/iu.test(
    sentence,
  );
}

/** Years said by themselves that are over, but for what began in them: "since 2019". */
export function yearsOver(words: string, today: DayNumber): readonly number[] {
  const now = yearOf(today);
  const found = words.matchAll(
    /\b(?<!(?:since|depuis|seit|desde|in business since|established|founded|from|est\.?)\s)(20\d{2})\b/giu,
  );
  return [...found]
    .filter(({ index }) => !isOfPapers(words, index))
    .map(([, said]) => Number(said))
    .filter((said) => said < now && said >= now - 5);
}
