import { heardRecordings } from '../recordings';
import type { Found, Rule } from '../rule';

/** A recording that is hard to understand: too quiet, clipped, noisy, or longer than callers listen. */
export const recordingPoor: Rule<'recordingPoor'> = {
  name: 'recordingPoor',
  grade: 'caution',
  consequence: 'misled',
  find: (subject) =>
    heardRecordings(subject).flatMap(({ at, take, byVoice }): Found[] =>
      take.faults
        .filter((fault) => fault !== 'silent')
        .map((fault) => ({ at, facts: { fault }, ...(byVoice && { fix: byVoice }) })),
    ),
};
