import type { Menu } from '../../line';
import { heardRecordings } from '../recordings';
import { placeKey, type Found, type Rule } from '../rule';

/** A menu in which the voice changes: some of it is a recording, and the rest is spoken. */
export const voiceChanges: Rule<'voiceChanges'> = {
  name: 'voiceChanges',
  grade: 'tip',
  consequence: 'office',
  find: (subject) => {
    const recorded = new Map<string, number>();
    for (const { at } of heardRecordings(subject)) recorded.set(placeKey(at), (recorded.get(placeKey(at)) ?? 0) + 1);
    return subject.attendant.sheets.flatMap((sheet): Found[] => {
      const of = recorded.get(sheet.id) ?? 0;
      if (of === 0 || sheet.type !== 'menu' || isWhole(sheet)) return [];
      const parts = partsOf(sheet);
      return of < parts ? [{ at: { type: 'sheet', sheetId: sheet.id }, facts: { recorded: of, parts } }] : [];
    });
  },
};

/** Whether one recording says all of it. */
const isWhole = ({ takes: { whole } }: Menu): boolean => whole !== undefined && !whole.byVoice;

/** How many parts are said one after the other. */
function partsOf({ openingWords, closingWords, options }: Menu): number {
  const ends = [openingWords, closingWords].filter((words) => words.trim() !== '').length;
  return ends + options.filter(({ readOut }) => readOut).length;
}
