import type { SheetId } from '../../line';
import { answeredReaches, callsOf, type Calls } from '../calls';
import { rememberBy } from '../remember';
import type { Found, Rule } from '../rule';

const deepestLevel = 3;

/** A menu that callers come to only after three others. */
export const deepMenu: Rule<'deepMenu'> = {
  name: 'deepMenu',
  grade: 'tip',
  consequence: 'waits',
  find: (subject) => {
    const levels = levelsOf(callsOf(subject));
    return subject.attendant.sheets.flatMap(({ id }): Found[] => {
      const level = levels.get(id) ?? 0;
      return level > deepestLevel ? [{ at: { type: 'sheet', sheetId: id }, facts: { level } }] : [];
    });
  },
};

/** On which level callers come to each menu at the earliest. Announcements on the way make it no deeper. */
const levelsOf = rememberBy((calls: Calls): ReadonlyMap<SheetId, number> => {
  const levels = new Map<SheetId, number>();
  for (const { menus } of answeredReaches(calls)) {
    for (const { sheetId, level } of menus.values()) {
      levels.set(sheetId, Math.min(level, levels.get(sheetId) ?? Infinity));
    }
  }
  return levels;
});
