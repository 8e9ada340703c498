import {
  isOpenAllDay,
  minutesOfDay,
  nextOpening,
  removePeriod,
  timesToday,
  todayAt,
  weekGroups,
  type DayTime,
  type Hours,
  type TimeZone,
  type Weekday,
} from '../hours';
import type { Language } from '../line';
import { joinWords, type DayRun, type HoursWords } from './hoursWords';
import { hoursWords as de } from './words/hours.de';
import { amPmWords, hoursWords as en } from './words/hours.en';
import { hoursWords as es } from './words/hours.es';
import { hoursWords as fr } from './words/hours.fr';

const byLanguage: Readonly<Record<Language, HoursWords>> = { en, fr, es, de };

/** How those who speak English on a line tell the time: "seven thirty a.m.", or "half past seven". */
export type EnglishClock = 'amPm' | 'halfPast';

/** In how callers of a line are told when it is open. */
export interface SaidIn {
  readonly language: Language;
  /** Left out, halves and quarters are said. */
  readonly clock?: EnglishClock;
}

function wordsIn({ language, clock }: SaidIn): HoursWords {
  return language === 'en' && clock === 'amPm' ? amPmWords : byLanguage[language];
}

/** The regular week, that of the season it is, as people say it: "Monday to Friday, eight to half past five; Saturday, eight to noon". */
export function saidWeek(hours: Hours, zone: TimeZone, atMs: number, said: SaidIn): string {
  const words = wordsIn(said);
  const open = weekGroups(asTold(hours), todayAt(zone, atMs)).filter(
    ({ times, isAllDay }) => times.length > 0 || isAllDay,
  );
  if (open.length === 0) return words.closed;
  return open
    .map(({ days, times, isAllDay }) => {
      const ofDays = days.length === 7 ? words.everyDay : words.days(runsOf(days));
      return `${ofDays}, ${isAllDay ? words.aroundTheClock : saidTimes(times, words)}`;
    })
    .join('; ');
}

/** Today's hours: "eight to noon and half past twelve to five"; that it is closed where it is. */
export function saidToday(hours: Hours, zone: TimeZone, atMs: number, said: SaidIn): string {
  const words = wordsIn(said);
  const told = asTold(hours);
  if (isOpenAllDay(told, todayAt(zone, atMs))) return words.aroundTheClock;
  return saidTimes(timesToday(told, zone, atMs), words);
}

/** When it opens next: "tomorrow at eight". Where it never opens, that it is closed; where it never closes, that. */
export function saidOpening(hours: Hours, zone: TimeZone, atMs: number, said: SaidIn): string {
  const opening = nextOpening(hours, zone, atMs);
  const words = wordsIn(said);
  if (opening) return words.opening(opening);
  const today = todayAt(zone, atMs);
  return isOpenAllDay(hours, today) && isOpenAllDay(hours, today + 1) ? words.aroundTheClock : words.closed;
}

/** Where breaks are not told it is open, to callers, all the time that the first period runs. */
function asTold(hours: Hours): Hours {
  if (hours.breaksSaid !== false) return hours;
  let told = toldBefore.get(hours);
  if (!told)
    toldBefore.set(hours, (told = hours.periods.slice(1).reduce((left, { id }) => removePeriod(left, id), hours)));
  return told;
}

/** What is reckoned of hours is remembered by them. */
const toldBefore = new WeakMap<Hours, Hours>();

function saidTimes(times: readonly DayTime[], words: HoursWords): string {
  if (times.length === 0) return words.closed;
  const said = times.map((time) => {
    const range = words.range(time);
    return time.endMin - time.startMin >= minutesOfDay ? `${range} ${words.nextDay}` : range;
  });
  // In the night those of the day before are said as well, which may be the same.
  return joinWords([...new Set(said)], words.and);
}

/** Days that follow each other made runs of three or more, over the end of the week too. */
function runsOf(days: readonly Weekday[]): readonly DayRun[] {
  const isIn = (day: number): boolean => days.includes((((day - 1 + 7) % 7) + 1) as Weekday);
  const starts = days.filter((day) => !isIn(day - 1));
  return starts.flatMap((first): DayRun[] => {
    let length = 1;
    while (length < 7 && isIn(first + length)) length += 1;
    const at = (step: number): Weekday => (((first - 1 + step) % 7) + 1) as Weekday;
    if (length >= 3) return [{ first, last: at(length - 1) }];
    return Array.from({ length }, (_, step) => ({ first: at(step), last: at(step) }));
  });
}
