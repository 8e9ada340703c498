import { atSlot, type Found, type Rule } from '../rule';

/** A list of callers with an answer of its own, in which nobody is. */
export const listEmpty: Rule<'listEmpty'> = {
  name: 'listEmpty',
  grade: 'tip',
  consequence: 'office',
  find: ({ attendant, callerLists }) =>
    attendant.answering.rules.flatMap((rule): Found[] => {
      if (rule.type !== 'callers') return [];
      const list = callerLists.find(({ id }) => id === rule.callerListId);
      const isEmpty = list && list.patterns.length === 0 && !list.anonymous;
      return isEmpty ? [{ at: atSlot({ type: 'callers', callerListId: rule.callerListId }) }] : [];
    }),
};
