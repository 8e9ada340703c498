import { isInService } from '../../directory';
import type { Rule } from '../rule';
import { stepsWhere } from '../steps';

/** A hand-over to a line that is not in service today. */
export const lineAway: Rule<'lineAway'> = {
  name: 'lineAway',
  grade: 'caution',
  consequence: 'lost',
  find: (subject) => {
    const away = new Set(subject.lines.filter((line) => !isInService(line, subject.today)).map(({ id }) => id));
    return stepsWhere(subject, (step) => step.type === 'toLine' && away.has(step.lineId));
  },
};
