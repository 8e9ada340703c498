import { sheetSentences } from '../../speech';
import type { Sheet } from '../../line';
import type { Rule } from '../rule';

/** A sheet that says nothing: the caller would hear silence. */
export const noWords: Rule<'noWords'> = {
  name: 'noWords',
  grade: 'fault',
  find: ({ attendant }) =>
    attendant.sheets
      .filter((sheet) => !hasWords(sheet) && sheetSentences(sheet, attendant.voice).length === 0)
      .map((sheet) => ({ at: { type: 'sheet', sheetId: sheet.id } })),
};

/** A quick look before sentences are made. */
function hasWords(sheet: Sheet): boolean {
  return /[\p{L}\p{N}]/u.test(sheet.type === 'menu' ? sheet.openingWords : sheet.words);
}
