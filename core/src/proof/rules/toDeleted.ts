import { pathsOf, refersTo } from '../../line';
import type { Found, Rule } from '../rule';
import { stepsWhere } from '../steps';

/** A step to something that is no longer there, or an answer for a list of callers that was deleted. */
export const toDeleted: Rule<'toDeleted'> = {
  name: 'toDeleted',
  grade: 'fault',
  find: (subject) => {
    const { attendant, people, groups, queues, boxes, contacts, greetings, lines, callerLists } = subject;
    const there = [people, groups, queues, boxes, contacts, greetings, lines, attendant.sheets, attendant.paths].flat();
    const known = new Set<string>(there.map(({ id }) => id));
    const rules = pathsOf(attendant).flatMap(({ slot }): Found[] =>
      slot.type === 'callers' && !callerLists.some(({ id }) => id === slot.callerListId)
        ? [{ at: { type: 'path', slot, stepIndex: null } }]
        : [],
    );
    return [...rules, ...stepsWhere(subject, (step) => refersTo(step).some((id) => !known.has(id)))];
  },
};
