import { spokenName, type Person, type PersonId } from '../directory';
import {
  languageOf,
  spokenTexts,
  type Attendant,
  type SpokenAround,
  type SpokenPlace,
  type SpokenText,
  type VoiceId,
} from '../line';
import { phrasesOf } from './phrases';
import type { Phrases } from './words/phrases';

/** Where something that callers can hear comes from: somebody wrote it, or it is said by itself. */
export type SaidPlace =
  | SpokenPlace
  /** The name of somebody whom callers can ask for. */
  | { readonly type: 'name'; readonly personId: PersonId }
  /** What the line says by itself. */
  | { readonly type: 'phrase'; readonly phrase: keyof Phrases };

export type SaidText = Omit<SpokenText, 'place'> & { readonly place: SaidPlace };

export interface SaidAround extends SpokenAround {
  readonly people: readonly Person[];
}

/**
 * Everything that a caller can hear, whoever it comes from: what somebody wrote (`spokenTexts`), the names of those whom
 * callers can ask for, and what the line says by itself in each language that it speaks.
 */
export function everySpokenText(attendant: Attendant, around: SaidAround): readonly SaidText[] {
  const written = spokenTexts(attendant, around);
  const voices = [attendant.voice, ...attendant.sheets.flatMap(({ voice }) => voice ?? [])];
  const ofEachLanguage = [...new Map(voices.reverse().map((voice) => [languageOf(voice), voice])).values()].reverse();
  return [
    ...written,
    ...around.people.filter(isAskedFor).map((person): SaidText => ({
      ...{ place: { type: 'name', personId: person.id }, typed: spokenName(person), voice: attendant.voice },
      greetingId: null,
    })),
    ...ofEachLanguage.flatMap(phraseTexts),
  ];
}

function isAskedFor(person: Person): boolean {
  return person.inDirectory && spokenName(person).trim() !== '';
}

/** What the line says by itself in a language; where a number or a name is in it, with an example. */
function phraseTexts(voice: VoiceId): readonly SaidText[] {
  const says = phrasesOf(voice);
  const text = (phrase: keyof Phrases, typed: string): SaidText => ({
    ...{ place: { type: 'phrase', phrase }, typed, voice, greetingId: null },
  });
  return [
    text('nothingMore', says.nothingMore),
    text('messageTaken', says.messageTaken),
    text('recorded', says.recorded),
    text('placeInLine', says.placeInLine(1)),
    text('placeInLine', says.placeInLine(3)),
    text('expectedWait', says.expectedWait(4)),
    text('leaveQueue', says.leaveQueue('#')),
    text('spellName', says.spellName('lastName')),
    text('nobodyFound', says.nobodyFound),
    text('moreChoices', says.moreChoices('9')),
    text('dialExtension', says.dialExtension),
    text('noSuchExtension', says.noSuchExtension),
    text('noSuchNumber', says.noSuchNumber),
    text('acceptCall', says.acceptCall),
    text('enterPin', says.enterPin),
    text('wrongPin', says.wrongPin),
    text('pinPaused', says.pinPaused(5)),
    text('messagesWaiting', says.messagesWaiting(2)),
    text('messageKeys', says.messageKeys),
    text('noMoreMessages', says.noMoreMessages),
  ];
}
