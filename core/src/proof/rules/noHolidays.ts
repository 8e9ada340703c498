import { needsNoHolidays, occurrences, readDate } from '../../hours';
import type { Rule } from '../rule';

const quarterDays = 92;

/** No special date in the coming quarter, although the business has hours. A line that never closes, or has no times, needs none. */
export const noHolidays: Rule<'noHolidays'> = {
  name: 'noHolidays',
  grade: 'tip',
  consequence: 'wrongPlace',
  find: ({ hours, today }) => {
    const day = readDate(today) ?? 0;
    return needsNoHolidays(hours, day) || occurrences(hours, day, day + quarterDays).length > 0
      ? []
      : [{ at: { type: 'hours', specialId: null } }];
  },
};
