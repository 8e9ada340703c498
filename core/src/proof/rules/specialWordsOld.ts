import { occurrences, readDate, showDate, showDay } from '../../hours';
import { datesSaid, isOtherWeekday } from '../reading/datesSaid';
import type { Found, Rule } from '../rule';
import { spokenTexts } from '../spokenTexts';
import { isOtherDate } from '../statedDates';

const daysAhead = 400;

/** A special date whose words speak of other days than those it comes on next: last year's, most likely. */
export const specialWordsOld: Rule<'specialWordsOld'> = {
  name: 'specialWordsOld',
  grade: 'caution',
  consequence: 'misled',
  find: (subject) => {
    const { hours, today } = subject;
    const now = readDate(today) ?? 0;
    const next = new Map(
      [...occurrences(hours, now, now + daysAhead)].reverse().map((each) => [each.date.id, each] as const),
    );
    return spokenTexts(subject).flatMap(({ place, words }): Found[] => {
      if (place.type !== 'special') return [];
      const id = place.specialId;
      const days = next.get(id);
      if (!days) return [];
      const wrong = datesSaid(words).find((said) => isOtherDate(said, days) || isOtherWeekday(said, days.from));
      const years = [showDate(days.from), showDate(days.to + 1)].map((date) => date.slice(0, 4));
      const year = words.match(/\b20\d{2}\b/)?.[0];
      const old = wrong?.words ?? (year && !years.includes(year) ? year : undefined);
      const on = showDay(days.from);
      return old ? [{ at: { type: 'hours', specialId: id }, facts: { words: old, on } }] : [];
    });
  },
};
