import { pathAt, type Key, type Slot } from '../../line';
import { hearingsOf, type Hearing } from '../hearings';
import { callsOf, allReaches } from '../calls';
import { pathFix } from '../mend';
import { promisesIn, sentenceOf } from '../reading/promises';
import { keysSaid } from '../reading/keysSaid';
import { rememberBy } from '../remember';
import type { Found, ProofSubject, Rule } from '../rule';
import { spokenTexts, type SpokenText } from '../spokenTexts';

/** Words that say a message can be left, where nothing is recorded. */
export const messageNotKept: Rule<'messageNotKept'> = {
  name: 'messageNotKept',
  grade: 'caution',
  consequence: 'misled',
  find: (subject) =>
    spokenTexts(subject).flatMap((text): Found[] => {
      const said = messagesHere(text);
      if (!said || text.place.type === 'box' || text.place.type === 'option') return [];
      const hearings = hearingsOf(subject, text.place);
      if (hearings.length === 0 || isKept(subject, text, said.keys, hearings)) return [];
      return [{ at: text.at, facts: { words: said.words }, ...fixFor(subject, text, said.keys) }];
    }),
};

const messagesHere = rememberBy(({ words, voice }: SpokenText) => {
  const [said] = promisesIn(words, voice, 'message');
  if (!said) return null;
  const keys = keysSaid(sentenceOf(words, said.words), voice).map(({ key }) => key);
  return { words: said.words, keys };
});

/** By the key that is said with it, else by doing nothing; in a menu, by any key of it. */
function isKept(
  subject: ProofSubject,
  { place }: SpokenText,
  keys: readonly Key[],
  hearings: readonly Hearing[],
): boolean {
  // The key that leaves a queue leads where that says; whether it is the right one is another matter.
  if (place.type === 'queueEntry' || place.type === 'queueWaiting') return true;
  if (place.type === 'words' && place.part !== 'words') {
    if (keys.length > 0) return keys.some((key) => keyTakesMessage(subject, place.sheetId, key));
    return hearings.every(endsInMessage) || anyKeyTakesMessage(subject, place.sheetId);
  }
  return hearings.every((hearing) => endsInMessage(hearing) || hearing.keys.size > 0);
}

function endsInMessage({ nothing }: Hearing): boolean {
  return nothing.some(({ end }) => end.type === 'message');
}

function keyTakesMessage(subject: ProofSubject, sheetId: string, key: Key): boolean {
  return legsFrom(subject, sheetId).some(
    ({ turn, leg }) => turn?.type === 'key' && turn.key === key && leg.end.type === 'message',
  );
}

function anyKeyTakesMessage(subject: ProofSubject, sheetId: string): boolean {
  return legsFrom(subject, sheetId).some(({ leg }) => leg.end.type === 'message');
}

function legsFrom(subject: ProofSubject, sheetId: string) {
  return allReaches(callsOf(subject)).flatMap(({ menus }) =>
    [...menus.values()].flatMap((menu) => (menu.sheetId === sheetId ? menu.choices : [])),
  );
}

/** A message is taken where the words say so: by that key, or of whoever presses nothing. */
function fixFor(subject: ProofSubject, { place }: SpokenText, keys: readonly Key[]): Partial<Found> {
  const slot: Slot | undefined =
    place.type === 'words' && place.part !== 'words'
      ? keys[0]
        ? { type: 'key', sheetId: place.sheetId, key: keys[0] }
        : { type: 'silence', sheetId: place.sheetId }
      : place.type === 'words'
        ? { type: 'after', sheetId: place.sheetId }
        : undefined;
  return slot && pathAt(subject.attendant, slot) ? pathFix(subject, slot, []) : {};
}
