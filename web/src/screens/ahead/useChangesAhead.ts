import { changesAhead, describeAhead, type ChangeAhead } from '@locutor/core/ahead';
import { daysInMonth, dayNumber, monthDayOf, wallTime, yearOf, type DayNumber } from '@locutor/core/hours';
import { useMemo } from 'react';
import { useAllHours, useDirectory, usePlanned, useSettings } from '../../api/resources';
import { useDraftTools } from '../../draft/DraftProvider';
import { useNow } from '../../parts/useNow';
import { showMinutes } from '../../parts/time';
import { showDay, specialHoursWords } from '../hours/specialWords';
import { useOverBudget } from '../today/useOverBudget';

export interface ToldChange {
  readonly change: ChangeAhead;
  readonly says: string;
  /** The address where it can be changed. */
  readonly to: string;
}

/** What changes from today on, for so many days, in words; the nearest first. */
export function useChangesAhead(days: number): readonly ToldChange[] {
  const { line, switched } = useDraftTools();
  const { lines, contacts } = useDirectory();
  const allHours = useAllHours().data;
  const planned = usePlanned(line.id);
  const cards = useSettings().data?.rates.cards;
  const isOverBudget = useOverBudget() !== null;
  const today = wallTime(line.timeZone, useNow(60_000)).day;
  return useMemo(() => {
    const subject = {
      ...{ line, lines, contacts, planned, switched },
      allHours: allHours ?? [],
      cards: cards ?? [],
      budgetSpentBy: isOverBudget ? lastOfMonth(today) : null,
    };
    const shown = { day: showDay, minutes: showMinutes, special: specialWords };
    return changesAhead(subject, { from: today, to: today + days }).map((change) => ({
      change,
      says: describeAhead(change, line.hoursId, shown),
      to: linkOf(change),
    }));
  }, [line, lines, contacts, planned, switched, allHours, cards, isOverBudget, today, days]);
}

function specialWords({ date, hours }: Extract<ChangeAhead, { type: 'special' }>): string {
  return specialHoursWords(date.hours, hours);
}

function lastOfMonth(day: DayNumber): DayNumber {
  const { month } = monthDayOf(day);
  return dayNumber(yearOf(day), month, daysInMonth(yearOf(day), month));
}

function linkOf(change: ChangeAhead): string {
  switch (change.type) {
    case 'datedWeek':
      return `/hours?of=${change.hours.id}&week=${change.week.id}`;
    case 'seasonBegins':
    case 'seasonOver':
      return `/hours?of=${change.hours.id}&week=${change.season.id}`;
    case 'special':
      return `/hours?of=${change.hours.id}`;
    case 'planned':
      return '/on-air';
    case 'switchEnds':
      return '/today';
    case 'serviceBegins':
    case 'serviceEnds':
      return change.of === 'line' ? '/lines' : '/directory/contacts';
    case 'prices':
      return '/settings';
    case 'budget':
      return '/traffic/cost?span=thisMonth';
  }
}
