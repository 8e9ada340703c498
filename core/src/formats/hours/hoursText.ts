import {
  datedWeekOn,
  dayGroups,
  firstDay,
  inOrder,
  occurrences,
  openTimesOn,
  showDay,
  showDayTimes,
  showMonthDay,
  weekdaysWords,
  yearsWords,
  type DayRange,
  type DayTime,
  type Hours,
  type TimeZone,
  type WeekSpan,
} from '../../hours';

/** Hours as plain text, for a letter or a notice: the week, those that begin on a date, that of each season, and the special dates of some days. */
export function writeHoursText(hours: Hours, zone: TimeZone, days: DayRange, name: string): string {
  const special = occurrences(hours, days.from, days.to).map(({ date, from, to }) => {
    const on = from === to ? showDay(from) : `${showDay(from)} to ${showDay(to)}`;
    return `${on}: ${date.name}, ${timesText(openTimesOn(hours, from))}`;
  });
  const ahead = inOrder(hours.datedWeeks).filter((each) => firstDay(each) > days.from && firstDay(each) <= days.to);
  return [
    name,
    ...weekLines(hours, (datedWeekOn(hours.datedWeeks, days.from) ?? hours).week),
    ...ahead.flatMap((each) => ['', `From ${showDay(firstDay(each))}, ${each.name}`, ...weekLines(hours, each.week)]),
    ...hours.seasons.flatMap((season) => [
      '',
      `${season.name}, ${showMonthDay(season.from)} to ${showMonthDay(season.to)}${season.years ? `, ${yearsWords(season.years)}` : ''}`,
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
