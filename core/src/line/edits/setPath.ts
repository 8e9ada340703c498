import { unreachable } from '../../result';
import type { Attendant } from '../attendant';
import { isRuleAt } from '../slot';
import { withRules } from './answeringEdits';
import type { SetPath } from './edit';
import { setNamedSteps } from './namedPathEdits';
import { changeAnnouncement, changeMenu } from './sheetEdits';

/** Puts another path at a slot. @throws Error when the attendant has no such place. */
export function setPath(attendant: Attendant, { slot, path }: SetPath): Attendant {
  const { answering } = attendant;
  switch (slot.type) {
    case 'otherwise':
      return { ...attendant, answering: { ...answering, otherwise: path } };
    case 'period':
    case 'callers':
      return withRules(
        attendant,
        answering.rules.map((rule) => (isRuleAt(rule, slot) ? { ...rule, path } : rule)),
      );
    case 'named':
      return setNamedSteps(attendant, slot.pathId, path);
    case 'key':
      return changeMenu(attendant, slot.sheetId, (menu) => ({
        ...menu,
        options: menu.options.map((option) => (option.key === slot.key ? { ...option, path } : option)),
      }));
    case 'silence':
      return changeMenu(attendant, slot.sheetId, (menu) => ({ ...menu, silencePath: path }));
    case 'wrongKey':
      return changeMenu(attendant, slot.sheetId, (menu) => ({ ...menu, wrongKeyPath: path }));
    case 'after':
      return changeAnnouncement(attendant, slot.sheetId, (sheet) => ({ ...sheet, afterPath: path }));
    default:
      return unreachable(slot);
  }
}
