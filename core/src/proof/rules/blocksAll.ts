import { callingCodeOf } from '../../directory';
import type { Found, Rule } from '../rule';

/** A blocked list with a beginning of numbers that everybody of the line's own country has. */
export const blocksAll: Rule<'blocksAll'> = {
  name: 'blocksAll',
  grade: 'fault',
  consequence: 'lost',
  find: ({ callerLists, line }) =>
    callerLists.flatMap((list): Found[] => {
      const all =
        list.kind === 'blocked' ? list.patterns.find((entry) => holdsEverybody(entry, line.number)) : undefined;
      return all === undefined ? [] : [{ at: { type: 'line' }, facts: { list: list.id, entry: all } }];
    }),
};

/** The calling code of the line's own country, or the beginning of it. */
function holdsEverybody(entry: string, own: string): boolean {
  return entry.endsWith('*') && `+${callingCodeOf(own) ?? ' '}`.startsWith(entry.slice(0, -1));
}
