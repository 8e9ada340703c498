import type { Menu, Option } from '../../line';
import { namesKey } from '../reading/keysSaid';
import { atSlot, type Found, type Rule } from '../rule';

/** A key that does something of which callers are told nowhere. */
export const mappedNotSaid: Rule<'mappedNotSaid'> = {
  name: 'mappedNotSaid',
  grade: 'tip',
  consequence: 'office',
  find: ({ attendant }) =>
    attendant.sheets.flatMap((sheet): Found[] =>
      sheet.type === 'menu'
        ? sheet.options
            .filter((option) => !isSaid(sheet, option))
            .map(({ key, label, readOut }) => ({
              at: atSlot({ type: 'key', sheetId: sheet.id, key }),
              ...(label.trim() !== '' &&
                !readOut && {
                  fix: { type: 'setOption' as const, sheetId: sheet.id, key, option: { readOut: true } },
                }),
            }))
        : [],
    ),
};

function isSaid({ openingWords, closingWords, takes }: Menu, { key, label, readOut }: Option): boolean {
  // A recording of the whole menu has a rule of its own.
  if (takes.whole && !takes.whole.byVoice) return true;
  return (readOut && label.trim() !== '') || namesKey(`${openingWords} ${closingWords}`, key);
}
