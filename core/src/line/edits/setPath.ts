import { unreachable } from '../../result';
import type { Attendant } from '../attendant';
import { isFallbackAt, isRuleAt, type FallbackSlot } from '../slot';
import { withRules } from './answeringEdits';
import type { Path } from '../step';
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
    case 'special':
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
    case 'group':
    case 'groupClosed':
    case 'queue':
      return setFallback(attendant, slot, path);
    case 'switch':
      // It is no path of the attendant's own.
      return attendant;
    default:
      return unreachable(slot);
  }
}

/** An empty path is none: the attendant keeps nothing for it. */
function setFallback(attendant: Attendant, slot: FallbackSlot, path: Path): Attendant {
  const isThere = attendant.fallbacks.some((fallback) => isFallbackAt(fallback, slot));
  const others = attendant.fallbacks.filter((fallback) => !isFallbackAt(fallback, slot));
  if (path.length === 0) return { ...attendant, fallbacks: others };
  if (!isThere) return { ...attendant, fallbacks: [...attendant.fallbacks, { ...slot, path }] };
  return {
    ...attendant,
    fallbacks: attendant.fallbacks.map((each) => (isFallbackAt(each, slot) ? { ...each, path } : each)),
  };
}
