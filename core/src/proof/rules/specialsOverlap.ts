import { overlaps, readDate, showDate, type Hours } from '../../hours';
import { remember } from '../remember';
import type { Found, Rule } from '../rule';

const daysAhead = 400;

/** Special dates that fall on the same day: only one of them answers then. */
export const specialsOverlap: Rule<'specialsOverlap'> = {
  name: 'specialsOverlap',
  grade: 'tip',
  consequence: 'office',
  find: ({ hours, today }) => overlapping(hours, today),
};

const overlapping = remember((hours: Hours, today: string): readonly Found[] => {
  const from = readDate(today) ?? 0;
  const first = new Map<string, Found>();
  for (const { one, other } of overlaps(hours, from, from + daysAhead)) {
    const key = [one.date.id, other.date.id].sort().join(' ');
    const on = showDate(Math.max(one.from, other.from));
    if (!first.has(key)) {
      const facts = { name: one.date.name, other: other.date.name, on };
      first.set(key, { at: { type: 'hours', specialId: other.date.id }, facts });
    }
  }
  return [...first.values()];
});
