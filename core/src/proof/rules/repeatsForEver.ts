import { pathFix } from '../mend';
import { atSlot, type Found, type Rule } from '../rule';
import { sheetWithoutKey } from '../withoutKey';

/** A menu that is said again and again to callers who press wrong keys, such as those whose phone presses for them. */
export const repeatsForEver: Rule<'repeatsForEver'> = {
  name: 'repeatsForEver',
  grade: 'caution',
  consequence: 'waits',
  find: (subject) =>
    subject.attendant.sheets.flatMap((sheet): Found[] => {
      if (sheet.type !== 'menu') return [];
      if (sheetWithoutKey(subject.attendant, sheet.wrongKeyPath, sheet.id) !== sheet.id) return [];
      const slot = { type: 'wrongKey', sheetId: sheet.id } as const;
      return [{ at: atSlot(slot), ...pathFix(subject, slot, []) }];
    }),
};
