import { isTimeZone, readDate, wallInstant, type TimeZone } from '../hours';
import { clipIn, recordingsOf } from '../call';
import { englishClockOf, type SpokenFacts } from '../speech';
import { remember } from './remember';
import type { ProofSubject } from './rule';

/** What live parts say today at noon by the line's clock. */
export function proofFacts({ line, today, hours, allHours, people, takes, recordings }: ProofSubject): SpokenFacts {
  return factsOf(line, today, hours, allHours, people, takes, recordings);
}

const factsOf = remember(
  (
    line: ProofSubject['line'],
    today: string,
    hours: ProofSubject['hours'],
    allHours: ProofSubject['allHours'],
    people: ProofSubject['people'],
    takes: ProofSubject['takes'],
    recordings: ProofSubject['recordings'],
  ): SpokenFacts => {
    const recorded = new Map(
      takes.map(({ id, lengthMs, says }) => [id, { id, audioId: '', lengthMs, text: says.words }]),
    );
    const takeOf: SpokenFacts['takeOf'] = (id) => recorded.get(id);
    const ofTexts = recordingsOf(recordings);
    const named = new Map(people.map((person) => [person.id, person]));
    return {
      business: line.name,
      atMs: wallInstant(zoneOf(line), readDate(today) ?? 0, 12 * 60),
      zone: zoneOf(line),
      clock: englishClockOf(line),
      hours,
      hoursOf: (id) => allHours.find((each) => each.id === id),
      personOf: (id) => named.get(id),
      takeOf,
      clipOf: (language, words) => clipIn(ofTexts, takeOf, language, words),
    };
  },
);

/** The line's zone; where it is none, which has a rule of its own, the others read by a clock that there is. */
export function zoneOf({ timeZone }: Pick<ProofSubject['line'], 'timeZone'>): TimeZone {
  return isKnownZone(timeZone) ? timeZone : 'UTC';
}

/** Asking the platform takes long. */
export const isKnownZone = remember(isTimeZone);
