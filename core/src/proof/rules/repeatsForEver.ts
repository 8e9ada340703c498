import type { SheetId } from '../../line';
import { allReaches, callsOf, choiceIn, type Calls } from '../calls';
import { pathFix } from '../mend';
import { rememberBy } from '../remember';
import { atSlot, type Rule } from '../rule';

/** A menu that is said again and again to callers who press wrong keys, such as those whose phone presses for them. */
export const repeatsForEver: Rule<'repeatsForEver'> = {
  name: 'repeatsForEver',
  grade: 'caution',
  consequence: 'waits',
  find: (subject) => {
    const repeating = repeatingMenus(callsOf(subject));
    return subject.attendant.sheets
      .filter(({ id }) => repeating.has(id))
      .map(({ id }) => {
        const slot = { type: 'wrongKey', sheetId: id } as const;
        return { at: atSlot(slot), ...pathFix(subject, slot, []) };
      });
  },
};

const repeatingMenus = rememberBy((calls: Calls): ReadonlySet<SheetId> => {
  const found = new Set<SheetId>();
  for (const { menus } of allReaches(calls)) {
    for (const menu of menus.values()) {
      const wrong = choiceIn(menu, 'wrongKey');
      const to = wrong?.to && !wrong.leg.rings ? menus.get(wrong.to) : undefined;
      if (to?.sheetId === menu.sheetId) found.add(menu.sheetId);
    }
  }
  return found;
});
