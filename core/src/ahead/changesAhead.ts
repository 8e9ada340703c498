import type { RateCard } from '../cost';
import type { Contact } from '../directory';
import {
  dayAt,
  firstDay,
  occurrences,
  readDate,
  seasonDays,
  weekBefore,
  weekChanges,
  weekOn,
  yearOf,
  type DatedWeek,
  type DayNumber,
  type DayRange,
  type Hours,
  type Season,
  type SpecialDate,
  type Switch,
  type TimeZone,
  type WeekChange,
  type WeekOfDay,
} from '../hours';
import type { Line } from '../line';

/** Something that is known to become other than it is. */
export type ChangeAhead = {
  /** The day on which it changes, by the line's calendar. */
  readonly day: DayNumber;
} & (
  | {
      readonly type: 'datedWeek';
      readonly hours: Hours;
      readonly week: DatedWeek;
      readonly changes: readonly WeekChange[];
    }
  | { readonly type: 'seasonBegins'; readonly hours: Hours; readonly season: Season }
  /** The day after its last, and whose week that has. */
  | { readonly type: 'seasonOver'; readonly hours: Hours; readonly season: Season; readonly then: WeekOfDay }
  | { readonly type: 'special'; readonly hours: Hours; readonly date: SpecialDate; readonly until: DayNumber }
  | { readonly type: 'planned'; readonly atMs: number; readonly by: string; readonly isBack: boolean }
  | { readonly type: 'switchEnds'; readonly atMs: number }
  /** The first or the last day of the service of a line or an outside contact. */
  | { readonly type: 'serviceBegins' | 'serviceEnds'; readonly of: 'line' | 'contact'; readonly name: string }
  | { readonly type: 'prices'; readonly card: RateCard }
  /** By the end of the month, if calls go on as they do. */
  | { readonly type: 'budget' }
);

export interface AheadSubject {
  readonly line: Pick<Line, 'id' | 'timeZone' | 'hoursId'>;
  readonly lines: readonly Pick<Line, 'name' | 'serviceFrom' | 'serviceUntil'>[];
  readonly contacts: readonly Pick<Contact, 'name' | 'serviceFrom' | 'serviceUntil'>[];
  readonly allHours: readonly Hours[];
  /** What goes on air by itself; null for nothing. */
  readonly planned: { readonly at: number; readonly by: string; readonly versionId: string | null } | null;
  readonly switched: Switch | null;
  readonly cards: readonly RateCard[];
  /** The last day of the month whose budget is going to be spent; null where none is. */
  readonly budgetSpentBy: DayNumber | null;
}

/** Everything that is known to change from one day to another, both in it, the nearest first; hours of the line first. */
export function changesAhead(subject: AheadSubject, days: DayRange): readonly ChangeAhead[] {
  const { line, lines, contacts, allHours, planned, switched, cards, budgetSpentBy } = subject;
  const own = (hours: Hours): number => (hours.id === line.hoursId ? 0 : 1);
  const sets = [...allHours].sort((one, other) => own(one) - own(other));
  const all: ChangeAhead[] = [
    ...sets.flatMap((hours) => ofHours(hours, days)),
    ...(planned ? [{ ...on(line.timeZone, planned.at), ...plannedOf(planned) }] : []),
    ...(switched ? [{ type: 'switchEnds' as const, ...on(line.timeZone, switched.untilMs) }] : []),
    ...lines.flatMap((each) => ofService('line', each)),
    ...contacts.flatMap((each) => ofService('contact', each)),
    ...cards.map((card): ChangeAhead => ({ type: 'prices', day: readDate(card.from) ?? NaN, card })),
    ...(budgetSpentBy === null ? [] : [{ type: 'budget' as const, day: budgetSpentBy }]),
  ];
  return all
    .filter((each) => each.day <= days.to && (each.type === 'special' ? each.until : each.day) >= days.from)
    .sort((one, other) => one.day - other.day);
}

const plannedOf = ({ by, versionId }: NonNullable<AheadSubject['planned']>) =>
  ({ type: 'planned', by, isBack: versionId !== null }) as const;

function on(zone: TimeZone, atMs: number) {
  return { day: readDate(dayAt(atMs, zone)) ?? NaN, atMs };
}

function ofHours(hours: Hours, { from, to }: DayRange): readonly ChangeAhead[] {
  const weeks = hours.datedWeeks.map((week): ChangeAhead => {
    const day = firstDay(week);
    return {
      type: 'datedWeek',
      day,
      hours,
      week,
      changes: weekChanges(hours, weekBefore(hours, day).of.week, week.week),
    };
  });
  const years = Array.from({ length: yearOf(to) - yearOf(from) + 2 }, (_, index) => yearOf(from) - 1 + index);
  const seasons = hours.seasons.flatMap((season) =>
    years.flatMap((year): ChangeAhead[] => {
      const days = seasonDays(season, year);
      if (!days) return [];
      const then = weekOn(hours, days.to + 1);
      const begins: ChangeAhead = { type: 'seasonBegins', day: days.from, hours, season };
      // Where another begins at once, that says it all.
      if (then.type === 'season') return [begins];
      return [begins, { type: 'seasonOver', day: days.to + 1, hours, season, then }];
    }),
  );
  const dates = occurrences(hours, from, to).map(({ date, from: day, to: until }): ChangeAhead => ({
    type: 'special',
    day,
    until,
    hours,
    date,
  }));
  return [...weeks, ...seasons, ...dates];
}

function ofService(
  of: 'line' | 'contact',
  { name, serviceFrom, serviceUntil }: Pick<Line, 'name' | 'serviceFrom' | 'serviceUntil'>,
): readonly ChangeAhead[] {
  const at = (type: 'serviceBegins' | 'serviceEnds', date: string | null): ChangeAhead[] =>
    date === null ? [] : [{ type, of, name, day: readDate(date) ?? NaN }];
  return [...at('serviceBegins', serviceFrom), ...at('serviceEnds', serviceUntil)];
}
