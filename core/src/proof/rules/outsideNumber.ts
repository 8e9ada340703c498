import { isInService, readPhoneNumber } from '../../directory';
import type { Outside, Step } from '../../line';
import type { ProofSubject, Rule } from '../rule';
import { stepsWhere } from '../steps';

/** An outside call to something that is no telephone number. */
export const notANumber: Rule<'notANumber'> = {
  name: 'notANumber',
  grade: 'fault',
  find: (subject) =>
    stepsWhere(subject, (step) => outsideOf(step)?.type === 'number' && numberOf(subject, step) === ''),
};

/** An outside call to the line itself: it would ring itself for ever. */
export const ownNumber: Rule<'ownNumber'> = {
  name: 'ownNumber',
  grade: 'fault',
  find: (subject) => stepsWhere(subject, (step) => numberOf(subject, step) === subject.number),
};

/** An outside call to a number that is not in service today. */
export const outOfService: Rule<'outOfService'> = {
  name: 'outOfService',
  grade: 'caution',
  find: (subject) =>
    stepsWhere(subject, (step) => {
      const contact = contactOf(subject, outsideOf(step));
      return contact !== undefined && !isInService(contact, subject.today);
    }),
};

function outsideOf(step: Step): Outside | undefined {
  return step.type === 'ringOutside' || step.type === 'handOver' ? step.to : undefined;
}

function contactOf({ contacts }: ProofSubject, to: Outside | undefined): ProofSubject['contacts'][number] | undefined {
  return to?.type === 'contact' ? contacts.find(({ id }) => id === to.contactId) : undefined;
}

/** The number that a step calls outside; empty when it is none, undefined when the step calls nobody outside. */
function numberOf(subject: ProofSubject, step: Step): string | undefined {
  const to = outsideOf(step);
  if (!to) return undefined;
  if (to.type === 'contact') return contactOf(subject, to)?.number;
  const read = readPhoneNumber(to.number);
  return read.ok ? read.value : '';
}
