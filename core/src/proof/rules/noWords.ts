import { sheetSentences } from '../../speech';
import type { Rule } from '../rule';

/** A sheet that says nothing: the caller would hear silence. */
export const noWords: Rule<'noWords'> = {
  name: 'noWords',
  grade: 'fault',
  find: ({ attendant }) =>
    attendant.sheets
      .filter((sheet) => sheetSentences(sheet, attendant.voice).length === 0)
      .map((sheet) => ({ type: 'sheet', sheetId: sheet.id })),
};
