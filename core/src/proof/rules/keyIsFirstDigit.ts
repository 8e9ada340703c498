import { keys, type Edit, type Key, type Menu } from '../../line';
import type { Person } from '../../directory';
import type { Found, Rule } from '../rule';

/** A key that is also the first digit of extensions which can be dialled in the menu: the caller has to wait. */
export const keyIsFirstDigit: Rule<'keyIsFirstDigit'> = {
  name: 'keyIsFirstDigit',
  grade: 'caution',
  find: ({ attendant, people }) =>
    attendant.sheets.flatMap((sheet): Found[] => {
      if (sheet.type !== 'menu' || !sheet.extensions) return [];
      return sheet.options
        .filter(({ key }) => beginsExtension(people, key))
        .map(({ key }) => ({
          at: { type: 'path', slot: { type: 'key', sheetId: sheet.id, key }, stepIndex: null },
          ...fixFor(sheet, key, people),
        }));
    }),
};

function beginsExtension(people: readonly Person[], key: Key): boolean {
  return people.some(({ extension }) => extension.startsWith(key));
}

/** Moving the option to a free key that no extension begins with. */
function fixFor(menu: Menu, from: Key, people: readonly Person[]): { readonly fix?: Edit } {
  const to = keys.find(
    (key) => /\d/.test(key) && !beginsExtension(people, key) && !menu.options.some((option) => option.key === key),
  );
  return to ? { fix: { type: 'moveKey', sheetId: menu.id, from, to } } : {};
}
