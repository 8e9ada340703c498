import { optionsSaid } from '../../speech';
import type { Sheet } from '../../line';
import type { Rule } from '../rule';

/** A sheet that says nothing: the caller would hear silence. */
export const noWords: Rule<'noWords'> = {
  name: 'noWords',
  grade: 'fault',
  find: ({ attendant }) =>
    attendant.sheets
      .filter((sheet) => !saysSomething(sheet))
      .map((sheet) => ({ at: { type: 'sheet', sheetId: sheet.id } })),
};

function saysSomething(sheet: Sheet): boolean {
  if (Object.keys(sheet.takes).length > 0) return true;
  if (sheet.type === 'announcement') return hasWords(sheet.words);
  return hasWords(sheet.openingWords) || hasWords(sheet.closingWords) || optionsSaid(sheet).length > 0;
}

function hasWords(words: string): boolean {
  return /[\p{L}\p{N}]/u.test(words);
}
