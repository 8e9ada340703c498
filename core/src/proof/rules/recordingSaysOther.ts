import { heardRecordings } from '../recordings';
import type { Found, Rule } from '../rule';

/** A recording that was listened to, or that the manager heard, and that says something else than it should. */
export const recordingSaysOther: Rule<'recordingSaysOther'> = {
  name: 'recordingSaysOther',
  grade: 'caution',
  consequence: 'misled',
  find: (subject) =>
    heardRecordings(subject).flatMap(({ at, byVoice, take: { verdict } }): Found[] => {
      if (verdict?.type !== 'other') return [];
      const other = verdict.parts.find(({ insteadOf }) => insteadOf !== null);
      const facts = { heard: shortened(other?.text ?? ''), meant: shortened(other?.insteadOf ?? '') };
      return [{ at, facts, ...(byVoice && { fix: byVoice }) }];
    }),
};

/** As much of it as is needed to know which words are meant. */
function shortened(text: string): string {
  return text.length <= longest ? text : `${text.slice(0, longest).replace(/\s+\S*$/, '')} …`;
}

const longest = 60;
