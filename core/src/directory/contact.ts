import type { ContactId } from './ids';
import type { E164 } from './phoneNumber';

/** Somebody outside the business to whom calls can be sent. */
export interface Contact {
  readonly id: ContactId;
  /** 1 to 80 characters. */
  readonly name: string;
  readonly number: E164;
  /** The first day, as `2026-05-15` by the line's calendar, on which the number is in service; null for always. */
  readonly serviceFrom: string | null;
  /** The last day on which it is; null for always. */
  readonly serviceUntil: string | null;
}

/** Whether a number can be called on a day. Days are compared as text, `2026-05-15`. */
export function isInService({ serviceFrom, serviceUntil }: Service, day: string): boolean {
  return (serviceFrom === null || day >= serviceFrom) && (serviceUntil === null || day <= serviceUntil);
}

export interface Service {
  readonly serviceFrom: string | null;
  readonly serviceUntil: string | null;
}

export const dayPattern = /^\d{4}-(0[1-9]|1[0-2])-(0[1-9]|[12]\d|3[01])$/;
