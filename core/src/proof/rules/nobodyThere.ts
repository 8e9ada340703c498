import { withoutStep } from '../mend';
import type { Rule } from '../rule';
import { stepsWhere } from '../steps';

/** A group or a queue without anybody in it. */
export const nobodyThere: Rule<'nobodyThere'> = {
  name: 'nobodyThere',
  grade: 'fault',
  consequence: 'lost',
  find: (subject) => {
    const empty = [...subject.groups, ...subject.queues].filter(({ members }) => members.length === 0);
    const ids = new Set<string>(empty.map(({ id }) => id));
    return stepsWhere(
      subject,
      (step) =>
        (step.type === 'ringGroup' && ids.has(step.groupId)) || (step.type === 'waitInQueue' && ids.has(step.queueId)),
      ({ slot, stepIndex }) => withoutStep(subject, slot, stepIndex),
    );
  },
};
