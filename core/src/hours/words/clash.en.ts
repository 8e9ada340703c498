import { orderOf, type Clash, type ToldClash } from '../../merging';
import type { EditedHours } from '../mergeHours';
import type { Season } from '../season';
import type { SpecialDate, SpecialHours, When } from '../specialDate';
import { minutesOfDay, type DaySpan, type Weekday } from '../week';
import { showTime, weekdayName } from '../timeText';
import { readDate } from '../calendar';
import { describeWhen, showDay, showMonthDay, yearsWords } from './en';

/**
 * What two windows made of the same places of some hours, in words, one for each clash.
 *
 * @param hours either of the two, for the names of what is in it
 * @param showMinutes a time of day, in minutes after midnight, in the user's own format
 */
export function describeHoursClashes(
  hours: EditedHours,
  clashes: readonly Clash[],
  showMinutes: (minutes: number) => string = showTime,
): readonly ToldClash[] {
  return clashes.map((clash): ToldClash => {
    const { where, words } = placeOf(hours, clash, showMinutes);
    return { where, mine: words(clash.mine), theirs: words(clash.theirs) };
  });
}

interface ToldPlace {
  readonly where: string;
  readonly words: (value: unknown) => string;
}

type ShowMinutes = (minutes: number) => string;

function placeOf(hours: EditedHours, { at, mine, theirs }: Clash, showMinutes: ShowMinutes): ToldPlace {
  const [part = '', id = '', member = '', group = ''] = at;
  const item = (mine ?? theirs) as { readonly name?: string };
  const named = (list: readonly { readonly id: string; readonly name: string }[]): string =>
    list.find((each) => each.id === id)?.name ?? item.name ?? '';
  const times = (key: string): ToldPlace => {
    const [periodId = '', day = '1'] = key.split(' ');
    const period = hours.periods.find((each) => each.id === periodId)?.name ?? '';
    const where = `${period} on ${weekdayName(Number(day) as Weekday)}s`;
    return { where, words: (value) => spansWords((value ?? []) as readonly DaySpan[], showMinutes) };
  };
  if (id === orderOf) return { where: partNames[part] ?? part, words: () => 'in another order' };
  switch (part) {
    case 'name':
      return { where: 'The name of these hours', words: String };
    case 'week':
      return times(id);
    case 'breaksSaid':
      return { where: 'What callers are told', words: (value) => (value === false ? 'without breaks' : 'with breaks') };
    case 'periods':
      return { where: `The period ${named(hours.periods)}`, words: nameWords };
    case 'datedWeeks': {
      const week = named(hours.datedWeeks);
      if (member === 'week') return { ...times(group), where: `${week}: ${times(group).where}` };
      return { where: week, words: member ? (value) => datedWeekWords(member, value) : nameWords };
    }
    case 'seasons': {
      const season = named(hours.seasons);
      if (member === 'week') return { ...times(group), where: `${season}: ${times(group).where}` };
      return { where: season, words: member ? (value) => seasonWords(member, value) : nameWords };
    }
    default: {
      const date = named(hours.special);
      const words = (value: unknown): string =>
        member ? specialWords(hours, member as keyof SpecialDate, value, showMinutes) : nameWords(value);
      return { where: member ? `${date}: ${memberNames[member] ?? member}` : date, words };
    }
  }
}

const partNames: Readonly<Record<string, string>> = {
  periods: 'The periods',
  datedWeeks: 'The weeks from a date on',
  seasons: 'The seasons',
  special: 'The special dates',
};

const memberNames: Readonly<Record<string, string>> = {
  name: 'its name',
  when: 'its days',
  moved: 'on a weekend',
  hours: 'its hours',
  words: 'what callers hear',
};

/** A thing that is there or not, or a name alone. */
function nameWords(value: unknown): string {
  if (value === undefined) return 'deleted';
  if (typeof value === 'string') return value;
  return `there, as ${(value as { readonly name: string }).name}`;
}

function datedWeekWords(member: string, value: unknown): string {
  return member === 'name' ? `called ${String(value)}` : `from ${showDay(readDate(String(value)) ?? 0)}`;
}

function seasonWords(member: string, value: unknown): string {
  if (member === 'name') return `called ${String(value)}`;
  if (member === 'years') return yearsWords(value as Season['years']);
  return `${member === 'from' ? 'from' : 'to'} ${showMonthDay(value as Season['from'])}`;
}

const movedWords: Readonly<Record<SpecialDate['moved'], string>> = {
  stays: 'stays where it is',
  nextWorkday: 'moves to the next working day',
  nearestWorkday: 'moves to the nearest working day',
};

function specialWords(hours: EditedHours, member: keyof SpecialDate, value: unknown, showMinutes: ShowMinutes): string {
  if (member === 'when') return describeWhen(value as When);
  if (member === 'moved') return movedWords[value as SpecialDate['moved']];
  if (member === 'hours') return hoursWords(hours, value as SpecialHours, showMinutes);
  return value === '' ? 'nothing' : String(value);
}

function hoursWords(hours: EditedHours, value: SpecialHours, showMinutes: ShowMinutes): string {
  if (value.type === 'closed') {
    const isAllDay = value.startMin === 0 && value.endMin === minutesOfDay;
    return isAllDay ? 'closed all day' : `closed ${showMinutes(value.startMin)} to ${showMinutes(value.endMin)}`;
  }
  const running = hours.periods.flatMap(({ id, name }) => {
    const spans = value.spans.filter(({ periodId }) => periodId === id);
    return spans.length === 0 ? [] : [`${name} ${spansWords(spans, showMinutes)}`];
  });
  return running.join('; ') || 'nothing runs';
}

function spansWords(spans: readonly DaySpan[], showMinutes: ShowMinutes): string {
  const inOrder = [...spans].sort((one, other) => one.startMin - other.startMin);
  const words = inOrder.map(({ startMin, endMin }) => `${showMinutes(startMin)} to ${showMinutes(endMin)}`);
  return words.join(' and ') || 'not at all';
}
