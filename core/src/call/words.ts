import type { Box } from '../directory';
import { defaultVoice, type Spoken, type WordsPart, type SheetId } from '../line';
import { phrasesOf, recordedSentence, sheetSentences, takeOf, type Phrases, type Source } from '../speech';
import type { Greeting } from '../line';
import type { PlayItem } from './effect';
import { asItems, beep } from './items';
import { liveItems, phraseItems, readyOf, recordedItems, saidItems } from './ready';
import type { CallScript } from './script';
import { factsOf, lineOf, voiceOf, type Run } from './run';

const nothing: readonly PlayItem[] = [];

/** Words typed in place, in the voice of the sheet the caller is in. */
export function wordsItems(run: Run, words: string, source: Source): readonly PlayItem[] {
  return words === '' ? nothing : saidItems(run.ready, words, voiceOf(run), source, () => factsOf(run));
}

/** Words that belong to a menu but are not its greeting. */
export function partItems(run: Run, sheetId: SheetId, part: WordsPart, words: string): readonly PlayItem[] {
  return wordsItems(run, words, { type: 'words', sheetId, part });
}

export function spokenItems(run: Run, spoken: Spoken, source: Source): readonly PlayItem[] {
  if (spoken.type === 'typed') return wordsItems(run, spoken.words, source);
  const greeting = run.ready.greetings.get(spoken.greetingId);
  return greeting ? greetingItems(run, greeting, source) : nothing;
}

/** A greeting of the library: its recording, or its words by its voice. */
export function greetingItems(run: Run, { words, voice, take }: Greeting, source: Source): readonly PlayItem[] {
  const recorded = takeOf(take, factsOf(run));
  return recorded
    ? asItems([recordedSentence(recorded, voice, source)])
    : saidItems(run.ready, words, voice, source, () => factsOf(run));
}

/** What a sheet says at this moment. */
export function sheetItems(run: Run, sheetId: SheetId): readonly PlayItem[] {
  const line = lineOf(run);
  const ready = line.sheets.get(sheetId);
  if (!ready) return nothing;
  if (ready.items) return ready.items;
  const facts = factsOf(run);
  const make = (): readonly PlayItem[] => asItems(sheetSentences(ready.sheet, line.script.attendant.voice, facts));
  return liveItems(run.ready, `${line.script.id} ${sheetId}`, facts, make);
}

/** A box's greeting, or words made from its name; then the beep, if there is to be one. */
export function boxItems(run: Run, box: Box, withBeep: boolean): readonly PlayItem[] {
  const { greetingId } = box;
  const own = greetingId ? spokenItems(run, { type: 'greeting', greetingId }, { type: 'box', boxId: box.id }) : nothing;
  const made = (): readonly PlayItem[] =>
    wordsItems(run, phrases(run).leaveMessage(box.name), { type: 'box', boxId: box.id });
  const words = own.length > 0 ? own : made();
  return withBeep ? [...words, beep] : words;
}

/** What the line says by itself, in the language of the sheet the caller is in. */
export function phrases(run: Run): Phrases {
  return phrasesOf(voiceOf(run));
}

export function lineItems(run: Run, words: string): readonly PlayItem[] {
  return phraseItems(run.ready, voiceOf(run), words);
}

/** Between the voice's words and a name that is recorded: no longer than within a sentence. */
const besideNameMs = 40;

/** Something the line says with a name in it. Where the name is recorded, that is heard between the words of the voice. */
export function namedItems(run: Run, words: string, name: string): readonly PlayItem[] {
  const at = words.indexOf(name);
  const recorded =
    at < 0 ? undefined : recordedItems(run.ready, name, voiceOf(run), { type: 'line' }, () => factsOf(run));
  if (!recorded) return lineItems(run, words);
  const isSpoken = (text: string): boolean => /[\p{L}\p{N}]/u.test(text);
  const [before, after] = [words.slice(0, at), words.slice(at + name.length)];
  const joined = (items: readonly PlayItem[]): readonly PlayItem[] =>
    items.map((item) =>
      item.type === 'sentence' ? { ...item, sentence: { ...item.sentence, pauseAfterMs: besideNameMs } } : item,
    );
  return [
    ...(isSpoken(before) ? joined(lineItems(run, before.trim())) : []),
    ...(isSpoken(after) ? joined(recorded) : recorded),
    ...(isSpoken(after) ? lineItems(run, after.replace(/^[\s,.]+/, '')) : []),
  ];
}

/** What somebody hears who answers an outside phone, in the voice of the line that is dialled. */
export function acceptItems(script: CallScript): readonly PlayItem[] {
  const ready = readyOf(script);
  const voice = ready.lines.get(script.lineId)?.script.attendant.voice ?? defaultVoice;
  return phraseItems(ready, voice, phrasesOf(voice).acceptCall);
}
