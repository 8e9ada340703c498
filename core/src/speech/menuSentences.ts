import type { Announcement, Menu, Option, RecordedTake, Sheet, TakeUse, VoiceId, WordsPart } from '../line';
import { optionsMark, sentencesOf } from './clips';
import type { SpokenFacts } from './facts';
import { phrasesOf } from './phrases';
import { pauses, recordedSentence, type Sentence } from './sentence';

/**
 * What a sheet says: for a menu its opening words, a line for each option that is read out, its closing words; for
 * an announcement its words. The option lines are made from the keys, so words and keys cannot disagree; they stand
 * between opening and closing words unless one of these says where. A recording stands in for what it says.
 */
export function sheetSentences(sheet: Sheet, attendantVoice: VoiceId, facts: SpokenFacts): readonly Sentence[] {
  const voice = sheet.voice ?? attendantVoice;
  const whole = takeOf(sheet.takes.whole, facts);
  if (sheet.type === 'announcement') return announcementSentences(sheet, voice, whole, facts);
  if (whole) return [recordedSentence(whole, voice, { type: 'words', sheetId: sheet.id, part: 'openingWords' })];
  const options = optionSentences(sheet, voice, facts);
  const part = (name: 'openingWords' | 'closingWords'): readonly Sentence[] =>
    partSentences(sheet, name, voice, options, facts);
  const isPlaced = [sheet.openingWords, sheet.closingWords].some((words) => words.includes(optionsMark));
  return [...part('openingWords'), ...(isPlaced ? [] : options), ...part('closingWords')];
}

function announcementSentences(
  { id, words }: Announcement,
  voice: VoiceId,
  whole: RecordedTake | undefined,
  facts: SpokenFacts,
): readonly Sentence[] {
  const source = { type: 'words', sheetId: id, part: 'words' } as const;
  return whole ? [recordedSentence(whole, voice, source)] : sentencesOf(words, voice, source, facts);
}

function partSentences(
  menu: Menu,
  part: 'openingWords' | 'closingWords',
  voice: VoiceId,
  options: readonly Sentence[],
  facts: SpokenFacts,
): readonly Sentence[] {
  const source = { type: 'words', sheetId: menu.id, part: part satisfies WordsPart } as const;
  const take = takeOf(menu.takes[part], facts);
  if (take) return [recordedSentence(take, voice, source)];
  const [before = '', ...after] = menu[part].split(optionsMark);
  const said = sentencesOf(before, voice, source, facts);
  return after.length === 0 ? said : [...said, ...options, ...sentencesOf(after.join(' '), voice, source, facts)];
}

function optionSentences(menu: Menu, voice: VoiceId, facts: SpokenFacts): readonly Sentence[] {
  const said = optionsSaid(menu);
  return said.map(({ label, key, take }, index) => {
    const source = { type: 'option', sheetId: menu.id, key } as const;
    const pauseAfterMs = index === said.length - 1 ? pauses.betweenPartsMs : pauses.betweenOptionsMs;
    const recorded = takeOf(take, facts);
    if (recorded) return recordedSentence(recorded, voice, source, pauseAfterMs);
    return { text: phrasesOf(voice).option(label, key), voice, pauseAfterMs, source };
  });
}

/** The options that are read out. */
export function optionsSaid(menu: Pick<Menu, 'options'>): readonly Option[] {
  return menu.options.filter((option) => option.readOut && option.label.trim() !== '');
}

/** The recording that is heard; none while the voice speaks in its place, or where it is gone. */
export function takeOf(use: TakeUse | null | undefined, facts: Pick<SpokenFacts, 'takeOf'>): RecordedTake | undefined {
  return use && !use.byVoice ? facts.takeOf(use.takeId) : undefined;
}
