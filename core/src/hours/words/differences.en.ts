import { minutesOfDay, type Weekday } from '../week';
import type { HoursDifference, TimesDifference, WeekChange } from '../compareHours';
import { firstDay } from '../datedWeek';
import type { WeekOfDay } from '../weekOn';
import type { DayTime } from '../dayTimes';
import { showTime, weekdayName } from '../timeText';
import { showDay } from './en';

/**
 * How two sets of hours differ, for the manager: "Parts closes 30 minutes before Business hours on Fridays."
 *
 * @param showMinutes a time of day, in minutes after midnight, in the user's own format
 */
export function describeHoursDifference(
  difference: HoursDifference,
  one: string,
  other: string,
  showMinutes: (minutes: number) => string = showTime,
): string {
  if (difference.type === 'special') {
    const { name, days } = difference;
    const on = days.from === days.to ? showDay(days.from) : `${showDay(days.from)} to ${showDay(days.to)}`;
    const of = openWords(difference.one, showMinutes);
    return `On ${name} (${on}), ${one} is ${of}; ${other} is ${openWords(difference.other, showMinutes)}.`;
  }
  const days = weekdaysWords(difference.days);
  const when = weeksWords(difference.weeks);
  return `${capital(`${when}${timesWords(difference.is, one, other, days, showMinutes)}`)}.`;
}

function timesWords(
  is: TimesDifference,
  one: string,
  other: string,
  days: string,
  showMinutes: (minutes: number) => string,
): string {
  if (is.type === 'times') {
    return `${days}, ${one} is ${openWords(is.one, showMinutes)}; ${other} is ${openWords(is.other, showMinutes)}`;
  }
  const edges = [edgeWords('opens', is.opensBy, other), edgeWords('closes', is.closesBy, other)].filter(Boolean);
  return `${one} ${edges.join(' and ')} ${days}`;
}

function edgeWords(does: string, by: number, other: string): string {
  if (by === 0) return '';
  return `${does} ${lengthWords(Math.abs(by))} ${by < 0 ? 'before' : 'after'} ${other}`;
}

/** A length in words: "30 minutes", "1 hour 15 minutes". */
export function lengthWords(minutes: number): string {
  const [hours, rest] = [Math.floor(minutes / 60), minutes % 60];
  const parts = [
    hours === 0 ? '' : `${hours.toLocaleString('en')} ${hours === 1 ? 'hour' : 'hours'}`,
    rest === 0 ? '' : `${rest} ${rest === 1 ? 'minute' : 'minutes'}`,
  ];
  return parts.filter(Boolean).join(' ');
}

function openWords(times: readonly DayTime[], showMinutes: (minutes: number) => string): string {
  if (times.length === 0) return 'closed';
  if (times.some(({ startMin, endMin }) => endMin - startMin === minutesOfDay)) return 'open around the clock';
  return `open ${times.map(({ startMin, endMin }) => `${showMinutes(startMin)} to ${showMinutes(endMin)}`).join(' and ')}`;
}

/** "on Fridays", "Monday to Friday", "on Mondays and Thursdays". */
export function weekdaysWords(days: readonly Weekday[]): string {
  const [first = 1] = days;
  const last = days.at(-1) ?? first;
  if (days.length === 7) return 'every day';
  if (days.length > 2 && last - first === days.length - 1) return `${weekdayName(first)} to ${weekdayName(last)}`;
  const names = days.map((day) => `${weekdayName(day)}s`);
  return `on ${names.length === 1 ? (names[0] ?? '') : `${names.slice(0, -1).join(', ')} and ${names.at(-1) ?? ''}`}`;
}

/** When these weeks hold: "in Summer, ", "from 4 January 2027, "; nothing for the regular ones. */
function weeksWords(weeks: readonly [WeekOfDay, WeekOfDay]): string {
  const seasons = new Set(weeks.flatMap((week) => (week.type === 'season' ? [week.of.name] : [])));
  const begins = weeks.map((week) => (week.type === 'dated' ? firstDay(week.of) : -Infinity));
  const parts = [
    ...(seasons.size === 0 ? [] : [`in ${[...seasons].join(' and ')}`]),
    ...(Math.max(...begins) === -Infinity ? [] : [`from ${showDay(Math.max(...begins))}`]),
  ];
  return parts.length === 0 ? '' : `${parts.join(' ')}, `;
}

/**
 * What another week changes: "Open, Monday to Friday: 7:00 AM to 4:00 PM instead of 8:00 AM to 5:00 PM."
 *
 * @param showMinutes a time of day, in minutes after midnight, in the user's own format
 */
export function describeWeekChange(
  { period, isFirst, days, before, after }: WeekChange,
  showMinutes: (minutes: number) => string = showTime,
): string {
  const none = isFirst ? 'closed' : 'not at all';
  const times = (all: readonly DayTime[]): string =>
    all.length === 0
      ? none
      : all
          .map(({ startMin, endMin }) => `${showMinutes(startMin)} to ${showMinutes(endMin % minutesOfDay)}`)
          .join(' and ');
  return `${period.name}, ${weekdaysWords(days)}: ${times(after)} instead of ${times(before)}.`;
}

function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}
