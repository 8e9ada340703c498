import type { Person, PersonId } from '../directory';
import { spokenName } from '../directory';
import { dayPlan, wallTime, type Hours, type HoursId, type TimeZone } from '../hours';
import type { Language, LivePart, RecordedTake, TakeId } from '../line';
import { saidOpening, saidToday, saidWeek, type EnglishClock } from './saidHours';

/** What live parts of a greeting are made from, as it is at the moment of a call. */
export interface SpokenFacts {
  /** The business's name as callers know it. */
  readonly business: string;
  /** The moment of the call, in ms since 1970. */
  readonly atMs: number;
  readonly zone: TimeZone;
  /** How the time is told to those who speak English there; left out, in halves and quarters. */
  readonly clock?: EnglishClock;
  /** The hours of the line. */
  readonly hours: Hours;
  readonly hoursOf: (id: HoursId) => Hours | undefined;
  readonly personOf: (id: PersonId) => Pick<Person, 'name' | 'saidAs' | 'extension'> | undefined;
  readonly takeOf: (id: TakeId) => RecordedTake | undefined;
  /** The recording that is heard of a text that stays the same; left out where only the voice is asked for. */
  readonly clipOf?: (language: Language, words: string) => RecordedTake | undefined;
}

/** The facts of what the voice alone would say, whatever is recorded of it. */
export function withoutClips(facts: SpokenFacts): SpokenFacts {
  return { ...facts, clipOf: () => undefined };
}

/** What a live part says now; nothing where what it speaks of is gone. Options are said by the menu. */
export function sayPart(part: LivePart, facts: SpokenFacts, language: Language): string {
  switch (part.type) {
    case 'options':
      return '';
    case 'business':
      return facts.business;
    case 'today':
      return saidToday(hoursOf(part.hoursId, facts), facts.zone, facts.atMs, { ...facts, language });
    case 'week':
      return saidWeek(hoursOf(part.hoursId, facts), facts.zone, facts.atMs, { ...facts, language });
    case 'opens':
      return saidOpening(hoursOf(part.hoursId, facts), facts.zone, facts.atMs, { ...facts, language });
    case 'special':
      return dayPlan(hoursOf(part.hoursId, facts), wallTime(facts.zone, facts.atMs).day).special?.name ?? '';
    case 'name': {
      const person = facts.personOf(part.personId);
      return person ? spokenName(person) : '';
    }
    case 'extension':
      // Digit by digit: nobody dials two hundred and four.
      return [...(facts.personOf(part.personId)?.extension ?? '')].join(' ');
  }
}

function hoursOf(id: HoursId | null, facts: SpokenFacts): Hours {
  return (id && facts.hoursOf(id)) ?? facts.hours;
}
