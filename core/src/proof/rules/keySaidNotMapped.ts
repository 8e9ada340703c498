import type { Found, Rule } from '../rule';
import { keysIn, textsOfSheet } from '../spokenTexts';

/** Words that tell callers to press a key which does nothing there. */
export const keySaidNotMapped: Rule<'keySaidNotMapped'> = {
  name: 'keySaidNotMapped',
  grade: 'caution',
  consequence: 'misled',
  find: ({ attendant }) =>
    attendant.sheets.flatMap((sheet) => {
      const mapped = new Set(sheet.type === 'menu' ? sheet.options.map(({ key }) => key) : []);
      const said = textsOfSheet(sheet, attendant.voice).flatMap((text) => keysIn(text));
      const wrong = new Map(said.filter(({ key }) => !mapped.has(key)).map((each) => [each.key, each]));
      return [...wrong.values()].map(({ key, words }): Found => ({
        at: { type: 'sheet', sheetId: sheet.id },
        facts: { key, words },
      }));
    }),
};
