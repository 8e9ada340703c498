import { pathAt, refersTo, slotsOf } from '../../line';
import type { Rule } from '../rule';

/** A step to a person, a box, a greeting or a sheet that is no longer there. */
export const toDeleted: Rule<'toDeleted'> = {
  name: 'toDeleted',
  grade: 'fault',
  find: ({ attendant, people, boxes, greetings }) => {
    const known = new Set<string>([...people, ...boxes, ...greetings, ...attendant.sheets].map((each) => each.id));
    return slotsOf(attendant).flatMap((slot) =>
      (pathAt(attendant, slot) ?? []).flatMap((step, stepIndex) => {
        const id = refersTo(step);
        return id && !known.has(id) ? [{ type: 'path' as const, slot, stepIndex }] : [];
      }),
    );
  },
};
