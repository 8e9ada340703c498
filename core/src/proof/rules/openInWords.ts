import { nextOpening, readDate } from '../../hours';
import type { SheetId } from '../../line';
import { callsOf, sheetsIn, type Calls } from '../calls';
import { zoneOf } from '../facts';
import { backSaid } from '../reading/backSaid';
import { datesSaid } from '../reading/datesSaid';
import { openDays } from '../openDays';
import { hearingsOf } from '../hearings';
import { statesSaid, type StateSaid } from '../reading/stateSaid';
import { sentenceOf } from '../reading/promises';
import { regularly } from '../regularly';
import { rememberBy } from '../remember';
import type { Found, ProofSubject, Rule } from '../rule';
import { spokenTexts, type SpokenText } from '../spokenTexts';
import { speaksOfSeason, weeksOf } from '../statedHours';

/** Words that say the business is open or closed, heard when it is not so, or of days on which it is not so. */
export const openInWords: Rule<'openInWords'> = {
  name: 'openInWords',
  grade: 'caution',
  consequence: 'misled',
  find: (subject) =>
    spokenTexts(subject).flatMap((text): Found[] => {
      const wrong = statesIn(text).flatMap((said) => {
        const why = said.days.length > 0 ? wrongDays(subject, text, said) : wrongNow(subject, text, said);
        return why ? [{ words: said.words, why }] : [];
      });
      const [first = wrongBack(subject, text)] = wrong;
      return first ? [{ at: text.at, facts: first }] : [];
    }),
};

const backIn = rememberBy(({ words }: SpokenText) => backSaid(words));

const statesIn = rememberBy(({ words, voice }: SpokenText) => statesSaid(words, voice));

function wrongNow(subject: ProofSubject, { place }: SpokenText, { state }: StateSaid): string | null {
  // The switch says what is so for now, whatever the hours are; so does a date that is open at some hours.
  if (place.type === 'switch' || place.type === 'special') return null;
  const hearings = hearingsOf(subject, place);
  if (state === 'closed') return hearings.some(({ open }) => open) ? 'heardOpen' : null;
  return hearings.some(({ closed, open }) => closed && !open) ? 'heardClosed' : null;
}

/** That it is open again tomorrow, or on a weekday, by each moment of the weeks ahead at which it is heard while it is closed. */
function wrongBack(subject: ProofSubject, text: SpokenText): { words: string; why: string } | undefined {
  const { place } = text;
  // What is said of a date is a matter of that date.
  if (place.type !== 'words' || datesSaid(text.words).length > 0) return undefined;
  const said = backIn(text);
  if (!said) return undefined;
  const hours = regularly(subject.hours);
  const isSo = closedMoments(callsOf(subject), place.sheetId).every((atMs) => {
    const next = nextOpening(hours, zoneOf(subject.line), atMs);
    if (!next) return true;
    // After midnight the coming morning is called tomorrow as well.
    return said.on === 'tomorrow' ? next.daysAhead <= 1 : next.weekday === said.on;
  });
  return isSo ? undefined : { words: said.words, why: 'notThen' };
}

/** Of calls that hear a sheet: those of the regular weeks at which the business is closed. */
const closedMoments = (calls: Calls, sheetId: SheetId): readonly number[] =>
  calls.answered
    .filter(({ reach }) => sheetsIn(reach).includes(sheetId))
    .flatMap(({ usual, closed }) => closed.filter((atMs) => usual.includes(atMs)));

/** Against the week that the line keeps now; where words speak of another season, against all of them. */
function wrongDays(
  { hours, today }: ProofSubject,
  { words }: SpokenText,
  { state, days, words: said }: StateSaid,
): string | null {
  const isOfSeason = speaksOfSeason(sentenceOf(words, said), hours);
  const weeks = weeksOf(hours, isOfSeason ? 'any' : (readDate(today) ?? 'any')).map((week) => openDays(hours, week));
  const isSo = weeks.some((open) => days.every((day) => open.has(day) === (state === 'open')));
  if (!isSo) return state === 'open' ? 'notOpen' : 'notClosed';
  if (state === 'closed' || days.length < 3) return null;
  const others = ([1, 2, 3, 4, 5, 6, 7] as const).filter((day) => !days.includes(day));
  const isLeftOut = weeks.every((open) => others.some((day) => open.has(day)));
  return isLeftOut && !/\b(?:satur|sun)days?\b|\bweekends?\b/iu.test(words) ? 'leftOut' : null;
}
