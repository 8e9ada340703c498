import type { PersonId } from './ids';

/** Somebody on the staff whom a path can ring. */
export interface Person {
  readonly id: PersonId;
  /** 1 to 80 characters. */
  readonly name: string;
  /** 2 to 6 digits, the only one of its kind in the business. */
  readonly extension: string;
}

export const longestName = 80;
export const extensionPattern = /^[0-9]{2,6}$/;

/** The first other person who already has this extension. */
export function extensionTakenBy(people: readonly Person[], extension: string, except?: PersonId): Person | undefined {
  return people.find((person) => person.extension === extension && person.id !== except);
}

/** The lowest three-digit extension from 201 up that nobody has. */
export function nextFreeExtension(people: readonly Person[]): string {
  const taken = new Set(people.map((person) => person.extension));
  let next = 201;
  while (taken.has(String(next))) next += 1;
  return String(next);
}
