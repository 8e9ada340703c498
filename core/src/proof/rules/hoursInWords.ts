import { allWeeks, readDate, type DayNumber, type Hours, type TimeZone } from '../../hours';
import { languageOf, type Edit } from '../../line';
import { saidWeek, type EnglishClock } from '../../speech';
import { proofFacts } from '../facts';
import { sentenceOf } from '../reading/promises';
import { timesSaid, type TimesSaid } from '../reading/timesSaid';
import { timesSaidElsewhere } from '../reading/timesSaidElsewhere';
import { remember, rememberBy } from '../remember';
import type { Found, ProofSubject, Rule } from '../rule';
import { saidLive, spokenTexts, type SpokenText } from '../spokenTexts';
import { isKept, speaksOfSeason } from '../statedHours';

/** Words that state times which no hours of the business have. */
export const hoursInWords: Rule<'hoursInWords'> = {
  name: 'hoursInWords',
  grade: 'caution',
  consequence: 'misled',
  find: (subject) =>
    spokenTexts(subject).flatMap((text) =>
      timesIn(text)
        .filter((said) => !isSo(subject, text, said, readDate(subject.today)))
        .map((said): Found => ({ at: text.at, facts: factsOf(said, subject), ...fixFor(subject, text, said) })),
    ),
};

/** By the hours that are kept on a day; what is kept in another season, or from a date on, has to speak of it. */
export function isSo(
  { hours, allHours }: ProofSubject,
  text: SpokenText,
  said: TimesSaid,
  on: DayNumber | undefined,
): boolean {
  const others = isOfAll(text, said) ? [] : allHours;
  const isOneWeek = allWeeks(hours).length === 1;
  const isOfAnother = !isOneWeek && speaksOfSeason(sentenceOf(text.words, said.words), hours);
  return isKept(said, hours, others, isOneWeek || isOfAnother ? 'any' : (on ?? 'any'));
}

/** Whether they are said of the business: those of the fuel dock or of a group are no answer then. */
function isOfAll({ words }: SpokenText, said: TimesSaid): boolean {
  const sentence = sentenceOf(words, said.words);
  return /\b(?:we\s+are|we['’]re|our\s+(?:regular\s+|normal\s+|usual\s+|business\s+|office\s+)?hours\s+are|our\s+office\s+is)\s+(?:now\s+)?(?:open|from|\w+day|\d)/iu.test(
    sentence,
  );
}

/** The times that words state. */
export const timesIn = rememberBy(({ words, voice }: SpokenText) => {
  const language = languageOf(voice);
  return language === 'en' ? timesSaid(words) : timesSaidElsewhere(words, language);
});

function factsOf({ words }: TimesSaid, subject: ProofSubject) {
  return { words, now: weekSaidAt(subject, proofFacts(subject).atMs) };
}

/** The week as callers of the line are told it at a moment. */
export function weekSaidAt(subject: ProofSubject, atMs: number): string {
  const { hours, zone, clock = 'halfPast' } = proofFacts(subject);
  return weekSaid(hours, zone, atMs, clock);
}

const weekSaid = remember((hours: Hours, zone: TimeZone, atMs: number, clock: EnglishClock) =>
  saidWeek(hours, zone, atMs, { language: 'en', clock }),
);

/** The week as it is, said live, in place of times that are written out. */
export function fixFor(
  subject: ProofSubject,
  text: SpokenText,
  { words, start, end }: TimesSaid,
): { readonly fix?: Edit } {
  return start && end ? saidLive(subject, text, words, '{week}', 'say the hours live') : {};
}
