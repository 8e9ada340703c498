import type { Hours, TimeZone } from '../../hours';
import { languageOf, type Edit } from '../../line';
import { saidWeek } from '../../speech';
import { proofFacts } from '../facts';
import { timesSaid, type TimesSaid } from '../reading/timesSaid';
import { remember, rememberBy } from '../remember';
import type { Found, ProofSubject, Rule } from '../rule';
import { spokenTexts, type SpokenText } from '../spokenTexts';
import { isKept } from '../statedHours';

/** Words that state times which no hours of the business have. */
export const hoursInWords: Rule<'hoursInWords'> = {
  name: 'hoursInWords',
  grade: 'caution',
  consequence: 'misled',
  find: (subject) =>
    spokenTexts(subject).flatMap((text) =>
      timesIn(text)
        .filter((said) => !isKept(said, subject.hours, subject.allHours))
        .map((said): Found => ({ at: text.at, facts: factsOf(said, subject), ...fixFor(text, said) })),
    ),
};

const timesIn = rememberBy(({ words, voice }: SpokenText) => (languageOf(voice) === 'en' ? timesSaid(words) : []));

function factsOf({ words }: TimesSaid, subject: ProofSubject) {
  const { hours, zone, atMs } = proofFacts(subject);
  return { words, now: weekSaid(hours, zone, atMs) };
}

const weekSaid = remember((hours: Hours, zone: TimeZone, atMs: number) => saidWeek(hours, zone, atMs, 'en'));

/** The week as it is, said live, in place of times that are written out. */
function fixFor({ typed, part }: SpokenText, { words, start, end }: TimesSaid): { readonly fix?: Edit } {
  if (!part || !start || !end || !typed.includes(words)) return {};
  return {
    fix: {
      type: 'together',
      edits: [{ type: 'setWords', ...part, words: typed.replace(words, '{week}') }],
      why: 'say the hours live',
    },
  };
}
