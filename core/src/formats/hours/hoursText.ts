import {
  dayGroups,
  occurrences,
  openTimesOn,
  showDay,
  showDayTimes,
  showMonthDay,
  weekdaysWords,
  type DayRange,
  type DayTime,
  type Hours,
  type TimeZone,
  type WeekSpan,
} from '../../hours';

/** Hours as plain text, for a letter or a notice: the week, that of each season, and the special dates of some days. */
export function writeHoursText(hours: Hours, zone: TimeZone, days: DayRange, name: string): string {
  const special = occurrences(hours, days.from, days.to).map(({ date, from, to }) => {
    const on = from === to ? showDay(from) : `${showDay(from)} to ${showDay(to)}`;
    return `${on}: ${date.name}, ${timesText(openTimesOn(hours, from))}`;
  });
  return [
    name,
    ...weekLines(hours, hours.week),
    ...hours.seasons.flatMap((season) => [
      '',
      `${season.name}, ${showMonthDay(season.from)} to ${showMonthDay(season.to)}`,
      ...weekLines(hours, season.week),
    ]),
    ...(special.length > 0 ? ['', 'Other days', ...special] : []),
    '',
    `All times are those of ${zone.replaceAll('_', ' ')}.`,
    '',
  ].join('\n');
}

function weekLines(hours: Hours, week: readonly WeekSpan[]): readonly string[] {
  return dayGroups(hours, week).map(({ days, times }) => {
    const on = weekdaysWords(days).replace(/^on /, '');
    return `${on.charAt(0).toUpperCase()}${on.slice(1)}: ${timesText(times)}`;
  });
}

function timesText(times: readonly DayTime[]): string {
  return times.length === 0 ? 'closed' : showDayTimes(times);
}
