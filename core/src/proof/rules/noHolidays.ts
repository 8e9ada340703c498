import { dayGroups, occurrences, readDate, spansOfWeekOn } from '../../hours';
import type { Rule } from '../rule';

const quarterDays = 92;

/** No special date in the coming quarter, although the business has hours. A line that never closes, or has no times, needs none. */
export const noHolidays: Rule<'noHolidays'> = {
  name: 'noHolidays',
  grade: 'tip',
  consequence: 'wrongPlace',
  find: ({ hours, today }) => {
    const day = readDate(today) ?? 0;
    const [first, ...others] = dayGroups(hours, spansOfWeekOn(hours, day));
    const isAlwaysOpen =
      hours.periods.length === 0 || (others.length === 0 && (first?.isAllDay || first?.times.length === 0));
    return isAlwaysOpen || occurrences(hours, day, day + quarterDays).length > 0
      ? []
      : [{ at: { type: 'hours', specialId: null } }];
  },
};
