import { sayDays } from '../../hours';
import { atSlot, type Found, type Rule } from '../rule';

/** A key that nobody has pressed for months, and that is read out to everybody. */
export const unpressedKey: Rule<'unpressedKey'> = {
  name: 'unpressedKey',
  grade: 'tip',
  consequence: 'waits',
  find: ({ attendant, unpressed }) =>
    (unpressed?.keys ?? []).flatMap(({ sheetId, key }): Found[] => {
      const sheet = attendant.sheets.find(({ id }) => id === sheetId);
      const option = sheet?.type === 'menu' ? sheet.options.find((each) => each.key === key) : undefined;
      if (!option?.readOut) return [];
      return [{ at: atSlot({ type: 'key', sheetId, key }), facts: { time: sayDays(unpressed?.days ?? 0) } }];
    }),
};
