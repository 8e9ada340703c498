import { phonesRung, type Group, type Person } from '../../directory';
import { ownVoicemailSeconds, type Step } from '../../line';
import { withStep } from '../mend';
import { peopleById } from '../people';
import type { ProofSubject, Rule } from '../rule';
import { stepsWhere } from '../steps';

/** An outside phone that rings so long, without having to accept the call, that its own voicemail answers. */
export const ownVoicemail: Rule<'ownVoicemail'> = {
  name: 'ownVoicemail',
  grade: 'caution',
  consequence: 'wrongPlace',
  find: (subject) =>
    stepsWhere(
      subject,
      (step) => ringsOutsideSeconds(step, subject) >= ownVoicemailSeconds,
      ({ step, slot, stepIndex }) =>
        step.type === 'ringOutside' && step.seconds !== null
          ? withStep(subject, slot, stepIndex, { ...step, accept: true })
          : {},
    ),
};

/** In a group each is rung for as long as a member is, all at once or one after the other. */
function longestInGroup({ members, memberSeconds, ringsOn }: Group, people: readonly Person[]): number {
  if (ringsOn === 'desk') return 0;
  const isOpen = members.some(({ personId }) => {
    const phones = peopleById(people).get(personId)?.phones ?? [];
    const rung = ringsOn === 'outside' ? phones.filter(({ type }) => type === 'outside') : phones;
    const [first] = rung;
    return first?.type === 'outside' && !first.accept;
  });
  return isOpen ? memberSeconds : 0;
}

/** The longest that an outside phone rings in a step without being asked to accept, in s. Without limit has a rule of its own. */
function ringsOutsideSeconds(step: Step, { people, groups }: Pick<ProofSubject, 'people' | 'groups'>): number {
  if (step.type === 'ringOutside') return step.accept ? 0 : (step.seconds ?? 0);
  if (step.type === 'ringGroup') {
    const group = groups.find(({ id }) => id === step.groupId);
    return group ? longestInGroup(group, people) : 0;
  }
  if (step.type !== 'ring' || step.seconds === null) return 0;
  const person = peopleById(people).get(step.personId);
  const phones = person ? phonesRung(person, step.onCall) : [];
  let left: number = step.seconds;
  let longest = 0;
  phones.forEach((phone, index) => {
    const rings = index === phones.length - 1 ? left : Math.min(left, phone.seconds);
    if (phone.type === 'outside' && !phone.accept) longest = Math.max(longest, rings);
    left -= rings;
  });
  return longest;
}
