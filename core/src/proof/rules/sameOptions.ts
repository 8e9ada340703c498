import { folded, type Option, type Sheet } from '../../line';
import { rememberBy } from '../remember';
import { atSlot, type Found, type Rule } from '../rule';

/** Two keys of a menu that are read out with the same words, or one whose words do not fit after "for". */
export const sameOptions: Rule<'sameOptions'> = {
  name: 'sameOptions',
  grade: 'caution',
  consequence: 'misled',
  find: ({ attendant }) => attendant.sheets.flatMap((sheet) => inSheet(sheet)),
};

const inSheet = rememberBy((sheet: Sheet): readonly Found[] => {
  if (sheet.type !== 'menu') return [];
  const read = sheet.options.filter(({ readOut, take }) => readOut && !take);
  return read.flatMap((option, index): Found[] => {
    const at = atSlot({ type: 'key', sheetId: sheet.id, key: option.key });
    const label = folded(option.label);
    const twin = label === '' ? undefined : read.slice(0, index).find((each) => folded(each.label) === label);
    if (twin) return [{ at, facts: { why: 'same', other: twin.key, words: option.label } }];
    return readsBadly(option) ? [{ at, facts: { why: 'bad', words: option.label } }] : [];
  });
});

/** "For press 1, press 1", "For for parts, press 2", "For , press 3". */
function readsBadly({ label }: Option): boolean {
  return label.trim() === '' || /^(?:press|push|dial|for|key)\b|\bpress\s+[\d*#]|^[\d*#]$/iu.test(label.trim());
}
