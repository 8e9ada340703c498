import { keys, type Edit, type Key, type Menu } from '../../line';
import type { Found, Rule } from '../rule';

/** A key that is also the first digit of extensions which can be dialled in the menu: the caller has to wait. */
export const keyIsFirstDigit: Rule<'keyIsFirstDigit'> = {
  name: 'keyIsFirstDigit',
  grade: 'caution',
  consequence: 'waits',
  find: ({ attendant, people, groups, queues }) =>
    attendant.sheets.flatMap((sheet): Found[] => {
      if (sheet.type !== 'menu' || !sheet.extensions) return [];
      const dialled = [...people, ...groups, ...queues];
      return sheet.options
        .filter(({ key }) => beginsExtension(dialled, key))
        .map(({ key }) => ({
          at: { type: 'path', slot: { type: 'key', sheetId: sheet.id, key }, stepIndex: null },
          ...fixFor(sheet, key, dialled),
        }));
    }),
};

type Dialled = readonly { readonly extension: string }[];

function beginsExtension(dialled: Dialled, key: Key): boolean {
  return dialled.some(({ extension }) => extension.startsWith(key));
}

/** Moving the option to a free key that no extension begins with. */
function fixFor(menu: Menu, from: Key, dialled: Dialled): { readonly fix?: Edit } {
  const to = keys.find(
    (key) => /\d/.test(key) && !beginsExtension(dialled, key) && !menu.options.some((option) => option.key === key),
  );
  return to ? { fix: { type: 'moveKey', sheetId: menu.id, from, to } } : {};
}
