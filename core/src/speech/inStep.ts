import type { Announcement, Key, LivePart, Menu, Option, TakePart, TakeSays, VoiceId } from '../line';
import { languageOf, readPieces, writePiece } from '../line';
import { sayPart, type SpokenFacts } from './facts';
import { optionsSaid } from './menuSentences';

/** What a recording no longer says as it is. */
export type OutOfStep =
  /** It says a key for something; the key is now for something else, or for nothing. */
  | { readonly type: 'key'; readonly key: Key; readonly says: string; readonly isNow: string | null }
  /** A key that it does not say. */
  | { readonly type: 'keyMissing'; readonly key: Key; readonly isNow: string }
  | { readonly type: 'order' }
  | { readonly type: 'live'; readonly part: LivePart; readonly says: string; readonly isNow: string }
  | { readonly type: 'words'; readonly says: string; readonly isNow: string };

/** What words say now, to be kept with a recording of them. */
export function saysOfWords(
  words: string,
  voice: VoiceId,
  facts: SpokenFacts,
  options: readonly Option[] = [],
): TakeSays {
  const live = readPieces(words).flatMap((piece) =>
    piece.type === 'live' && piece.part.type !== 'options'
      ? [{ part: piece.part, said: sayPart(piece.part, facts, languageOf(voice)) }]
      : [],
  );
  return { words, live, options: options.map(({ key, label }) => ({ key, label: label.trim() })) };
}

/** What a part of a sheet says now, to be kept with a recording of it. */
export function saysOfSheet(
  sheet: Menu | Announcement,
  part: TakePart,
  attendantVoice: VoiceId,
  facts: SpokenFacts,
): TakeSays {
  const voice = sheet.voice ?? attendantVoice;
  if (sheet.type === 'announcement') return saysOfWords(sheet.words, voice, facts);
  switch (part.type) {
    case 'whole': {
      const words = `${sheet.openingWords} {options} ${sheet.closingWords}`.trim();
      return saysOfWords(words, voice, facts, optionsSaid(sheet));
    }
    case 'openingWords':
    case 'closingWords':
      return saysOfWords(sheet[part.type], voice, facts);
    case 'option':
      return saysOfWords(
        '',
        voice,
        facts,
        sheet.options.filter(({ key }) => key === part.key),
      );
  }
}

/** What a recording says that is no longer so; nothing while it is in step. */
export function outOfStep(says: TakeSays, now: TakeSays): readonly OutOfStep[] {
  return [...keysOutOfStep(says, now), ...liveOutOfStep(says, now), ...wordsOutOfStep(says, now)];
}

function keysOutOfStep(says: TakeSays, now: TakeSays): readonly OutOfStep[] {
  const labelNow = (key: Key): string | null => now.options.find((option) => option.key === key)?.label ?? null;
  const wrong = says.options.flatMap(({ key, label }): OutOfStep[] => {
    const isNow = labelNow(key);
    return isNow !== null && isSameWords(isNow, label) ? [] : [{ type: 'key', key, says: label, isNow }];
  });
  const missing = now.options
    .filter(({ key }) => !says.options.some((option) => option.key === key))
    .map(({ key, label }): OutOfStep => ({ type: 'keyMissing', key, isNow: label }));
  if (wrong.length + missing.length > 0) return [...wrong, ...missing];
  const orderOf = ({ options }: TakeSays): string => options.map(({ key }) => key).join('');
  return orderOf(says) === orderOf(now) ? [] : [{ type: 'order' }];
}

function liveOutOfStep(says: TakeSays, now: TakeSays): readonly OutOfStep[] {
  return says.live.flatMap(({ part, said }): OutOfStep[] => {
    const isNow = now.live.find((each) => keyOf(each.part) === keyOf(part))?.said;
    return isNow === undefined || isSameWords(isNow, said) || isSameTime(isNow, said)
      ? []
      : [{ type: 'live', part, says: said, isNow }];
  });
}

function wordsOutOfStep(says: TakeSays, now: TakeSays): readonly OutOfStep[] {
  return isSameWords(spokenOnly(says.words), spokenOnly(now.words))
    ? []
    : [{ type: 'words', says: says.words, isNow: now.words }];
}

/** Pauses change nothing of what is said. */
function spokenOnly(words: string): string {
  return readPieces(words)
    .map((piece) => (piece.type === 'text' ? piece.text : piece.type === 'live' ? writePiece(piece) : ' '))
    .join('');
}

/** Whether two texts sound the same: letters and digits count, not marks, spaces and capitals. */
function isSameWords(one: string, other: string): boolean {
  return soundsOf(one) === soundsOf(other);
}

/**
 * Whether two texts tell the same times, the one with the half of the day ("seven thirty a.m."), the other in halves and
 * quarters ("half past seven"): a recording stays right, in whichever way the line itself would say it now.
 */
function isSameTime(one: string, other: string): boolean {
  const tellsHalf = (text: string): boolean => /\b[ap]\.m\./i.test(text);
  return tellsHalf(one) !== tellsHalf(other) && minutesTold(one) === minutesTold(other);
}

const hourNames = 'one two three four five six seven eight nine ten eleven twelve'.split(' ');

function minutesTold(text: string): string {
  const plain = text
    .toLowerCase()
    .replace(/\b[ap]\.m\./g, ' ')
    .replace(/\bin the (?:morning|afternoon|evening)\b/g, ' ')
    .replace(/\bhalf past (\w+)/g, '$1 thirty')
    .replace(/\ba quarter past (\w+)/g, '$1 fifteen')
    .replace(/\ba quarter to (\w+)/g, (_, hour: string) => {
      const before = hourNames[(hourNames.indexOf(hour) + 11) % 12] ?? hour;
      return `${before} forty-five`;
    });
  return soundsOf(plain);
}

function soundsOf(text: string): string {
  return text
    .toLowerCase()
    .replace(/[^\p{L}\p{N}{}]+/gu, ' ')
    .trim();
}

function keyOf(part: LivePart): string {
  return writePiece({ type: 'live', part });
}
