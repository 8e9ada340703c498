import { countryOf, readPhoneNumber } from '../directory';
import type { Outside, Step } from '../line';
import type { ProofSubject } from './rule';

/** Whom a step calls outside; undefined when it calls nobody there. */
export function outsideOf(step: Step): Outside | undefined {
  return step.type === 'ringOutside' || step.type === 'handOver' ? step.to : undefined;
}

export function contactOf(
  { contacts }: Pick<ProofSubject, 'contacts'>,
  to: Outside | undefined,
): ProofSubject['contacts'][number] | undefined {
  return to?.type === 'contact' ? contacts.find(({ id }) => id === to.contactId) : undefined;
}

/** What tells the number of whoever is called outside. */
export interface Outsiders extends Pick<ProofSubject, 'contacts'> {
  readonly line: Pick<ProofSubject['line'], 'number' | 'timeZone'>;
}

/** The number that a step calls outside; empty when it is none, undefined when the step calls nobody outside. */
export function numberOf(subject: Outsiders, step: Step): string | undefined {
  const to = outsideOf(step);
  if (!to) return undefined;
  if (to.type === 'contact') return contactOf(subject, to)?.number;
  const read = readPhoneNumber(to.number, countryOf(subject.line));
  return read.ok ? read.value : '';
}
