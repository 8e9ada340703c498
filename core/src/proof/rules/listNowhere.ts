import { callsOf, choicesIn } from '../calls';
import { atSlot, type Found, type Rule } from '../rule';

/** A list of callers with an answer of its own that leads to nobody, and takes no message. */
export const listNowhere: Rule<'listNowhere'> = {
  name: 'listNowhere',
  grade: 'caution',
  consequence: 'lost',
  find: (subject) => {
    const calls = callsOf(subject);
    const lists = subject.attendant.answering.rules.filter((rule) => rule.type === 'callers');
    return lists.flatMap(({ callerListId }, index): Found[] => {
      const reach = calls.listed[index];
      const legs = reach ? choicesIn(reach).map(({ leg }) => leg) : [];
      const isSomewhere = legs.some(
        ({ personMs, end, rings }) =>
          personMs !== null || rings || end.type === 'message' || end.type === 'line' || end.type === 'handedOver',
      );
      return legs.length > 0 && !isSomewhere ? [{ at: atSlot({ type: 'callers', callerListId }) }] : [];
    });
  },
};
