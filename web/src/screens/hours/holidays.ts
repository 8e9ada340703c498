import {
  closedAllDay,
  minutesOfDay,
  readDate,
  specialDateId,
  type DayNumber,
  type DayRange,
  type Hours,
  type SpecialDate,
} from '@locutor/core/hours';
import { newId } from '../../parts/newId';
import { showMinutes } from '../../parts/time';

export interface Place {
  readonly country: string;
  readonly name: string;
  readonly regions: readonly { readonly region: string; readonly name: string }[];
}

export interface Holiday {
  readonly name: string;
  readonly from: string;
  readonly to: string;
  /** From which minute of its first day on; 0 for whole days. */
  readonly startMin: number;
}

/** A holiday with the days of all the years asked for. */
export interface Offered {
  readonly name: string;
  readonly days: readonly (DayRange & { readonly holiday: Holiday })[];
}

/** Those to come that are not among the special dates yet, by name. */
export function offeredOf(holidays: readonly Holiday[], hours: Hours, today: DayNumber): readonly Offered[] {
  const there = new Set(hours.special.map(({ name, when }) => (when.type === 'once' ? `${name} ${when.from}` : name)));
  const byName = new Map<string, Offered['days'][number][]>();
  for (const holiday of holidays) {
    const [from, to] = [readDate(holiday.from), readDate(holiday.to)];
    if (from === undefined || to === undefined || to < today) continue;
    if (there.has(holiday.name) || there.has(`${holiday.name} ${holiday.from}`)) continue;
    byName.set(holiday.name, [...(byName.get(holiday.name) ?? []), { holiday, from, to }]);
  }
  return [...byName].map(([name, days]) => ({ name, days }));
}

/** A holiday as the special date that keeps it. */
export function specialDateOf({ name, from, to, startMin }: Holiday): SpecialDate {
  return {
    id: newId(specialDateId),
    name,
    when: { type: 'once', from, to },
    moved: 'stays',
    hours: startMin === 0 ? closedAllDay : { type: 'closed', startMin, endMin: minutesOfDay },
    words: '',
  };
}

/** ", from 2:00 PM on" for an afternoon; nothing for whole days. */
export function sinceWords({ startMin }: Holiday): string {
  return startMin === 0 ? '' : `, from ${showMinutes(startMin)} on`;
}

export interface ChosenPlace {
  readonly country: string;
  readonly region: string;
}

const remembered = 'locutor.holidays';

export function rememberPlace(place: ChosenPlace): void {
  localStorage.setItem(remembered, JSON.stringify(place));
}

/** The place whose holidays were chosen last in this browser; null for none yet. */
export function placeChosen(): ChosenPlace | null {
  try {
    const { country, region } = JSON.parse(localStorage.getItem(remembered) ?? '') as Record<string, unknown>;
    if (typeof country === 'string' && typeof region === 'string') return { country, region };
  } catch {
    // Nothing was chosen yet.
  }
  return null;
}

/** The place chosen last, else the country of the line; where that is not known, the browser's own. */
export function placeOrOwn(ofLine: string | undefined): ChosenPlace {
  const country = ofLine ?? new Intl.Locale(navigator.language).maximize().region ?? 'US';
  return placeChosen() ?? { country, region: '' };
}
