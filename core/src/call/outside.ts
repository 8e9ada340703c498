import {
  countryOf,
  isInService,
  mayCall,
  readPhoneNumber,
  type Contact,
  type E164,
  type OutgoingLimits,
} from '../directory';
import { dayAt } from '../hours';
import type { Outside } from '../line';
import type { CallScript, LineScript } from './script';
import type { OutsideTarget } from './target';
import type { NotAnswered } from './reasons';

/** An outside number that cannot be called, and why. */
export interface NotCalled {
  readonly target: OutsideTarget;
  readonly why: NotAnswered;
}

/** The outside number that is meant, or why it cannot be called from a line at an instant. */
export function outsideTargetOf(
  { contacts, outgoing }: Pick<CallScript, 'contacts' | 'outgoing'>,
  line: LineScript,
  to: Outside,
  atMs: number,
): OutsideTarget | NotCalled {
  const contact = to.type === 'contact' ? contacts.find(({ id }) => id === to.contactId) : undefined;
  const written = to.type === 'contact' ? (contact?.number ?? '') : to.number;
  const read = readPhoneNumber(written, countryOf(line));
  const number = read.ok ? read.value : '';
  const target: OutsideTarget = { type: 'outside', number, contactId: to.type === 'contact' ? to.contactId : null };
  const isGone = to.type === 'contact' && !contact;
  const why = isGone ? 'deleted' : whyNot(contact, number, line, outgoing, atMs);
  return why ? { why, target } : target;
}

function whyNot(
  contact: Contact | undefined,
  number: E164,
  line: LineScript,
  limits: OutgoingLimits,
  atMs: number,
): NotAnswered | undefined {
  if (number === '') return 'notANumber';
  if (number === line.number) return 'ownNumber';
  if (!mayCall(number, limits)) return 'notAllowed';
  return contact && !isInService(contact, dayAt(atMs, line.timeZone)) ? 'outOfService' : undefined;
}
