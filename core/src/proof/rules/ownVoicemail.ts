import type { Person } from '../../directory';
import { ownVoicemailSeconds, type Step } from '../../line';
import type { Rule } from '../rule';
import { stepsWhere } from '../steps';

/** An outside phone that rings so long, without having to accept the call, that its own voicemail answers. */
export const ownVoicemail: Rule<'ownVoicemail'> = {
  name: 'ownVoicemail',
  grade: 'caution',
  find: (subject) => stepsWhere(subject, (step) => ringsOutsideMs(step, subject.people) >= ownVoicemailSeconds),
};

/** The longest that an outside phone rings in a step without being asked to accept, in s. */
function ringsOutsideMs(step: Step, people: readonly Person[]): number {
  if (step.type === 'ringOutside') return step.accept ? 0 : (step.seconds ?? Infinity);
  if (step.type !== 'ring') return 0;
  const phones = people.find(({ id }) => id === step.personId)?.phones ?? [];
  let left = step.seconds ?? Infinity;
  let longest = 0;
  phones.forEach((phone, index) => {
    const rings = index === phones.length - 1 ? left : Math.min(left, phone.seconds);
    if (phone.type === 'outside' && !phone.accept) longest = Math.max(longest, rings);
    left -= rings;
  });
  return longest;
}
