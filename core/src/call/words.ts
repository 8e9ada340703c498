import { defaultBoxWords, type Box } from '../directory';
import { findSheet, type Attendant, type SheetId, type Spoken, type WordsPart } from '../line';
import { sentencesOf, sheetSentences, type Sentence, type Source } from '../speech';
import { linePhrases } from './defaults';
import type { PlayItem } from './effect';
import type { CallScript } from './script';

/** What a sheet says, ready to be played. Kept for as long as the attendant is, since every round says it again. */
export function sheetItems({ attendant }: CallScript, sheetId: SheetId): readonly PlayItem[] {
  let known = saidByAttendant.get(attendant);
  if (!known) saidByAttendant.set(attendant, (known = new Map()));
  let items = known.get(sheetId);
  if (!items) {
    const sheet = findSheet(attendant, sheetId);
    known.set(sheetId, (items = sheet ? asItems(sheetSentences(sheet, attendant.voice)) : []));
  }
  return items;
}

const saidByAttendant = new WeakMap<Attendant, Map<SheetId, readonly PlayItem[]>>();

/** Words that belong to a menu but are not its greeting. */
export function partItems(script: CallScript, sheetId: SheetId, part: WordsPart, words: string): readonly PlayItem[] {
  return asItems(sentencesOf(words, script.attendant.voice, { type: 'words', sheetId, part }));
}

export function spokenItems(script: CallScript, spoken: Spoken, source: Source): readonly PlayItem[] {
  if (spoken.type === 'typed') return asItems(sentencesOf(spoken.words, script.attendant.voice, source));
  const greeting = script.greetings.find((each) => each.id === spoken.greetingId);
  return greeting ? asItems(sentencesOf(greeting.words, greeting.voice, source)) : [];
}

/** A box's greeting, then the beep. */
export function boxItems(script: CallScript, box: Box): readonly PlayItem[] {
  const source: Source = { type: 'box', boxId: box.id };
  const own = box.greetingId ? spokenItems(script, { type: 'greeting', greetingId: box.greetingId }, source) : [];
  const made = () => asItems(sentencesOf(defaultBoxWords(box.name), script.attendant.voice, source));
  return [...(own.length > 0 ? own : made()), { type: 'beep' }];
}

export function phraseItems(script: CallScript, phrase: keyof typeof linePhrases): readonly PlayItem[] {
  return asItems(sentencesOf(linePhrases[phrase], script.attendant.voice, { type: 'line' }));
}

function asItems(sentences: readonly Sentence[]): readonly PlayItem[] {
  return sentences.map((sentence) => ({ type: 'sentence', sentence }));
}
