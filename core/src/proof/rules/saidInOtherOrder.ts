import type { Edit, Key, Menu } from '../../line';
import type { Found, Rule } from '../rule';
import { keysIn, textsOfSheet } from '../spokenTexts';

/** Options written out in words in another order than that of the keys on the sheet. */
export const saidInOtherOrder: Rule<'saidInOtherOrder'> = {
  name: 'saidInOtherOrder',
  grade: 'tip',
  consequence: 'office',
  find: ({ attendant }) =>
    attendant.sheets.flatMap((sheet): Found[] => {
      if (sheet.type !== 'menu') return [];
      const texts = textsOfSheet(sheet, attendant.voice).filter(
        ({ place }) => place.type === 'words' && !place.part.endsWith('eyWords'),
      );
      const said = texts.flatMap((text) => keysIn(text)).map(({ key }) => key);
      const told = [...new Set(said)].filter((key) => sheet.options.some((option) => option.key === key));
      const rows = sheet.options.map(({ key }) => key).filter((key) => told.includes(key));
      if (told.length < 2 || told.join('') === rows.join('')) return [];
      const facts = { said: told.join(', '), rows: rows.join(', ') };
      return [{ at: { type: 'sheet', sheetId: sheet.id }, facts, fix: inOrder(sheet, told) }];
    }),
};

/** The keys that are told in the places they take among the rows, in the order they are told. */
function inOrder({ id, options }: Menu, told: readonly Key[]): Edit {
  const left = [...told];
  const wanted = options.map(({ key }) => (told.includes(key) ? (left.shift() ?? key) : key));
  return {
    type: 'together',
    why: 'put the keys in the order they are said',
    edits: wanted.map((key, toIndex) => ({ type: 'reorderKey', sheetId: id, key, toIndex })),
  };
}
