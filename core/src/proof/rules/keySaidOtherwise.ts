import { mayBeSame } from '../reading/sameThing';
import { atSlot, type Found, type Rule } from '../rule';
import { keysIn, textsOfSheet } from '../spokenTexts';

/** Words that say a key is for something else than what it is for. */
export const keySaidOtherwise: Rule<'keySaidOtherwise'> = {
  name: 'keySaidOtherwise',
  grade: 'caution',
  consequence: 'misled',
  find: ({ attendant }) =>
    attendant.sheets.flatMap((sheet): readonly Found[] => {
      if (sheet.type !== 'menu') return [];
      const said = textsOfSheet(sheet, attendant.voice).flatMap((text) => keysIn(text));
      return said.flatMap(({ key, label }): Found[] => {
        const option = sheet.options.find((each) => each.key === key);
        if (!option || label === '' || option.label === '' || mayBeSame(label, option.label)) return [];
        return [{ at: atSlot({ type: 'key', sheetId: sheet.id, key }), facts: { says: label, isFor: option.label } }];
      });
    }),
};
