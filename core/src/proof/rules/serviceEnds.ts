import { readDate } from '../../hours';
import { stepsOf } from '../steps';
import type { Found, Rule } from '../rule';

const soonDays = 30;

/** The line, a contact that it calls, or a line that it hands over to, whose service ends within a month. */
export const serviceEnds: Rule<'serviceEnds'> = {
  name: 'serviceEnds',
  grade: 'tip',
  consequence: 'lost',
  find: (subject) => {
    const { line, lines, contacts, today } = subject;
    const now = readDate(today) ?? 0;
    const endsSoon = (until: string | null): boolean => {
      const day = until === null ? undefined : readDate(until);
      return day !== undefined && day >= now && day < now + soonDays;
    };
    const own: Found[] = endsSoon(line.serviceUntil)
      ? [{ at: { type: 'line' }, facts: { until: line.serviceUntil ?? '' } }]
      : [];
    const called = stepsOf(subject, 'ringOutside', 'handOver', 'toLine').flatMap(
      ({ step, slot, stepIndex }): Found[] => {
        const until =
          step.type === 'toLine'
            ? lines.find(({ id }) => id === step.lineId)?.serviceUntil
            : step.to.type === 'contact'
              ? contacts.find(({ id }) => step.to.type === 'contact' && id === step.to.contactId)?.serviceUntil
              : null;
        return endsSoon(until ?? null)
          ? [{ at: { type: 'path', slot, stepIndex }, facts: { until: until ?? '' } }]
          : [];
      },
    );
    return [...own, ...called];
  },
};
