import type { Rule } from '../rule';
import { stepsWhere } from '../steps';

/** A hand-over to a line on which nothing is on air. */
export const lineNotOnAir: Rule<'lineNotOnAir'> = {
  name: 'lineNotOnAir',
  grade: 'caution',
  consequence: 'wrongPlace',
  find: (subject) => {
    const silent = new Set(
      subject.lines.filter(({ id, onAir }) => !onAir && id !== subject.line.id).map(({ id }) => id),
    );
    return stepsWhere(subject, (step) => step.type === 'toLine' && silent.has(step.lineId));
  },
};
