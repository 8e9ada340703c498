import { occurrences, readDate } from '../../hours';
import type { Rule } from '../rule';

const quarterDays = 92;

/** No special date in the coming quarter, although the business has hours. */
export const noHolidays: Rule<'noHolidays'> = {
  name: 'noHolidays',
  grade: 'tip',
  consequence: 'wrongPlace',
  find: ({ hours, today }) => {
    const day = readDate(today) ?? 0;
    const isAlwaysOpen = hours.week.length === 0;
    return isAlwaysOpen || occurrences(hours, day, day + quarterDays).length > 0
      ? []
      : [{ at: { type: 'hours', specialId: null } }];
  },
};
