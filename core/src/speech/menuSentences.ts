import { spokenKey, type Menu, type Option, type Sheet, type VoiceId } from '../line';
import { pauses, sentencesOf, type Sentence } from './sentence';

/**
 * What a sheet says: for a menu its opening words, a line for each option that is read out, its closing words; for
 * an announcement its words. The option lines are made from the keys, so words and keys cannot disagree.
 */
export function sheetSentences(sheet: Sheet, voice: VoiceId): readonly Sentence[] {
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
    text: optionLine(option),
    voice,
    pauseAfterMs: index === said.length - 1 ? pauses.betweenPartsMs : pauses.betweenOptionsMs,
    source: { type: 'option', sheetId: menu.id, key: option.key },
  }));
}

/** How an option is read out: "For moorings, press 1."; a label that begins with "to" stands as it is. */
export function optionLine(option: Pick<Option, 'key' | 'label'>): string {
  const label = option.label.trim().replace(/[.,;:!?]+$/, '');
  const what = /^(to|for)\s/i.test(label) ? label.charAt(0).toUpperCase() + label.slice(1) : `For ${label}`;
  return `${what}, press ${spokenKey(option.key)}.`;
}
