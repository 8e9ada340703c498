import { minutesOfDay, type DayNumber, type DayRange, type Hours, type SpecialHours } from '@locutor/core/hours';
import { showMinutes } from '../../parts/time';

const dayMs = 86_400_000;
const format = new Intl.DateTimeFormat(undefined, {
  timeZone: 'UTC',
  weekday: 'short',
  day: 'numeric',
  month: 'short',
  year: 'numeric',
});

export function showDay(day: DayNumber): string {
  return format.format(day * dayMs);
}

/** Days in the user's own format. */
export function showDays({ from, to }: DayRange): string {
  return from === to ? showDay(from) : format.formatRange(from * dayMs, to * dayMs);
}

/** What is other than usual on a special date: "closed", "Open 8:00 AM to 12:00 PM". */
export function specialHoursWords(special: SpecialHours, hours: Pick<Hours, 'periods'>): string {
  if (special.type === 'closed') {
    const isToTheEnd = special.endMin === minutesOfDay;
    if (isToTheEnd) return special.startMin === 0 ? 'closed' : `closed from ${showMinutes(special.startMin)} on`;
    return `closed ${showMinutes(special.startMin)} to ${showMinutes(special.endMin)}`;
  }
  if (special.spans.length === 0) return 'closed';
  return special.spans
    .map(({ periodId, startMin, endMin }) => {
      const name = hours.periods.find(({ id }) => id === periodId)?.name ?? 'something deleted';
      return `${name} ${showMinutes(startMin)} to ${showMinutes(endMin)}`;
    })
    .join(', ');
}

/** The months of the year, to choose from. */
export const monthChoices = Array.from({ length: 12 }, (_, index) => ({
  value: String(index + 1),
  label: new Intl.DateTimeFormat(undefined, { month: 'long', timeZone: 'UTC' }).format(Date.UTC(2024, index, 1)),
}));
