import { comfortableOptions, optionsSaid } from '../../speech';
import type { Found, Rule } from '../rule';

/** More options than callers keep in mind. */
export const manyOptions: Rule<'manyOptions'> = {
  name: 'manyOptions',
  grade: 'tip',
  consequence: 'waits',
  find: ({ attendant }) =>
    attendant.sheets.flatMap((sheet): Found[] => {
      const count = sheet.type === 'menu' ? optionsSaid(sheet).length : 0;
      return count > comfortableOptions ? [{ at: { type: 'sheet', sheetId: sheet.id }, facts: { count } }] : [];
    }),
};
