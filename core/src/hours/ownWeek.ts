import type { Hours } from './hours';
import type { WeekSpan } from './week';
import { weekOn } from './weekOn';
import type { DayNumber } from './calendar';

/** A stretch of somebody's working week. */
export type OwnSpan = Omit<WeekSpan, 'periodId'>;

/** When somebody works who keeps these hours, by the week that holds on a day: the times of its first period. */
export function ownWeek(hours: Hours, day: DayNumber): readonly OwnSpan[] {
  const { week } = weekOn(hours, day).of;
  return week
    .filter(({ periodId }) => periodId === hours.periods[0]?.id)
    .map(({ day: weekday, startMin, endMin }) => ({ day: weekday, startMin, endMin }));
}

/** The same hours with these times in the week that holds on a day; other periods, weeks and dates stay as they are. */
export function withOwnWeek(hours: Hours, day: DayNumber, spans: readonly OwnSpan[]): Hours {
  const holding = weekOn(hours, day);
  const first = hours.periods[0];
  if (!first) return hours;
  const others = holding.of.week.filter(({ periodId }) => periodId !== first.id);
  const week = [...spans.map((span) => ({ ...span, periodId: first.id })), ...others];
  switch (holding.type) {
    case 'season':
      return { ...hours, seasons: hours.seasons.map((each) => (each.id === holding.of.id ? { ...each, week } : each)) };
    case 'dated':
      return {
        ...hours,
        datedWeeks: hours.datedWeeks.map((each) => (each.id === holding.of.id ? { ...each, week } : each)),
      };
    default:
      return { ...hours, week };
  }
}
