import { optionsSaid } from '../../speech';
import type { Sheet } from '../../line';
import type { Found, Rule } from '../rule';

/** A sheet that says nothing, or a greeting of the library without words: the caller would hear silence. */
export const noWords: Rule<'noWords'> = {
  name: 'noWords',
  grade: 'fault',
  consequence: 'lost',
  find: ({ attendant, greetings }) => [
    ...attendant.sheets
      .filter((sheet) => !saysSomething(sheet))
      .map((sheet): Found => ({ at: { type: 'sheet', sheetId: sheet.id } })),
    ...greetings
      .filter(({ words, take }) => !take && !hasWords(words))
      .map(({ id }): Found => ({ at: { type: 'row', id } })),
  ],
};

function saysSomething(sheet: Sheet): boolean {
  if (Object.keys(sheet.takes).length > 0) return true;
  if (sheet.type === 'announcement') return hasWords(sheet.words);
  return hasWords(sheet.openingWords) || hasWords(sheet.closingWords) || optionsSaid(sheet).length > 0;
}

function hasWords(words: string): boolean {
  return /[\p{L}\p{N}]/u.test(words);
}
