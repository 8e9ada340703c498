import { usesOf } from '../../line';
import { placeKey, type Found, type Rule } from '../rule';
import { closedUnheard } from './closedUnheard';
import { saysClosed, unreachedSheets } from '../unreachedSheets';

/** A sheet that nothing leads to; one that ought to answer is a matter of its own. */
export const unreached: Rule<'unreached'> = {
  name: 'unreached',
  grade: 'caution',
  consequence: 'office',
  find: (subject) => {
    const { attendant } = subject;
    const told = new Set(closedUnheard.find(subject).map(({ at }) => placeKey(at)));
    return unreachedSheets(subject).flatMap((sheet): Found[] => {
      const at = { type: 'sheet', sheetId: sheet.id } as const;
      if (told.has(placeKey(at))) return [];
      // What says that it is closed waits for the switch, perhaps: it is not to be thrown away by a click.
      const isFree =
        attendant.sheets.length > 1 && usesOf(attendant, sheet.id).length === 0 && !saysClosed(sheet, attendant);
      return [{ at, ...(isFree && { fix: { type: 'removeSheet', sheetId: sheet.id } }) }];
    });
  },
};
