import { heardRecordings } from '../recordings';
import type { Found, Rule } from '../rule';

/** A recording in which nothing is heard. */
export const recordingSilent: Rule<'recordingSilent'> = {
  name: 'recordingSilent',
  grade: 'fault',
  consequence: 'lost',
  find: (subject) =>
    heardRecordings(subject)
      .filter(({ take }) => take.faults.includes('silent'))
      .map(({ at, byVoice }): Found => ({ at, ...(byVoice && { fix: byVoice }) })),
};
