import type { Menu, Sheet, VoiceId } from '../line';
import { phrasesOf } from './phrases';
import { pauses, sentencesOf, type Sentence } from './sentence';

/**
 * What a sheet says: for a menu its opening words, a line for each option that is read out, its closing words; for
 * an announcement its words. The option lines are made from the keys, so words and keys cannot disagree.
 */
export function sheetSentences(sheet: Sheet, attendantVoice: VoiceId): readonly Sentence[] {
  const voice = sheet.voice ?? attendantVoice;
  if (sheet.type === 'announcement') {
    return sentencesOf(sheet.words, voice, { type: 'words', sheetId: sheet.id, part: 'words' });
  }
  return [
    ...sentencesOf(sheet.openingWords, voice, { type: 'words', sheetId: sheet.id, part: 'openingWords' }),
    ...optionSentences(sheet, voice),
    ...sentencesOf(sheet.closingWords, voice, { type: 'words', sheetId: sheet.id, part: 'closingWords' }),
  ];
}

function optionSentences(menu: Menu, voice: VoiceId): readonly Sentence[] {
  const said = menu.options.filter((option) => option.readOut && option.label.trim() !== '');
  return said.map((option, index) => ({
    text: phrasesOf(voice).option(option.label, option.key),
    voice,
    pauseAfterMs: index === said.length - 1 ? pauses.betweenPartsMs : pauses.betweenOptionsMs,
    source: { type: 'option', sheetId: menu.id, key: option.key },
  }));
}
