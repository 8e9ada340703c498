import { withoutStep } from '../mend';
import type { Found, Rule } from '../rule';
import { stepsOf } from '../steps';

/** A group or a queue without anybody in it. */
export const nobodyThere: Rule<'nobodyThere'> = {
  name: 'nobodyThere',
  grade: 'fault',
  consequence: 'lost',
  find: (subject) => {
    const empty = [...subject.groups, ...subject.queues].filter(({ members }) => members.length === 0);
    const ids = new Set<string>(empty.map(({ id }) => id));
    return stepsOf(subject, 'ringGroup', 'waitInQueue').flatMap(({ slot, stepIndex, step }): Found[] => {
      const who = step.type === 'ringGroup' ? step.groupId : step.queueId;
      if (!ids.has(who)) return [];
      return [{ at: { type: 'path', slot, stepIndex }, facts: { who }, ...withoutStep(subject, slot, stepIndex) }];
    });
  },
};
