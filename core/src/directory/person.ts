import type { Id } from '../id';
import type { PersonId } from './ids';
import type { E164 } from './phoneNumber';

/** One of the phones a person can be reached on. */
export type PersonPhone = {
  /** Whether it rings only for those who are on call: for groups and steps that say so. Left out when it rings always. */
  readonly onCallOnly?: true;
  /** The hours in which it rings; left out when it rings at any. */
  readonly hoursId?: Id<'hours'>;
} & (
  | {
      /** The phone on their desk, reached by their extension. */
      readonly type: 'desk';
      /** How long it rings before the next phone is tried, 5 to 300 s; the last phone rings on until the step is over. */
      readonly seconds: number;
    }
  | {
      readonly type: 'outside';
      readonly number: E164;
      readonly seconds: number;
      /** Whether they must press 1 to take the call, so that the mobile's own voicemail does not swallow it. */
      readonly accept: boolean;
    }
);

/** Somebody on the staff whom a path can ring. */
export interface Person {
  readonly id: PersonId;
  /** 1 to 80 characters: first name, then the rest. */
  readonly name: string;
  /** 2 to 6 digits, the only one of its kind in the business. */
  readonly extension: string;
  /** How the name is said, where a voice gets it wrong; empty for as it is written. */
  readonly saidAs: string;
  /** In the order they are tried; never empty. */
  readonly phones: readonly PersonPhone[];
  /** For messages; empty when there is none. */
  readonly email: string;
  /** For texts; empty when there is none. */
  readonly mobile: E164 | '';
  /** Whether callers can find them by name. */
  readonly inDirectory: boolean;
  /** When they work; null when they are rung whenever a path leads to them. */
  readonly hoursId: Id<'hours'> | null;
  /** Whether they may set these hours themselves, from the desk phone's page. */
  readonly setsOwnHours: boolean;
}

export const longestName = 80;
export const longestEmail = 254;
export const extensionPattern = /^[0-9]{2,6}$/;
export const emailPattern = /^[^\s@<>(),;:"\\]+@[^\s@<>(),;:"\\]+\.[^\s@<>(),;:"\\.]+$/;
export const mostPhones = 5;
export const phoneSeconds = { least: 5, most: 300, usual: 12 } as const;

/** Everything about a person but who they are, as it is until somebody says otherwise. */
export const personDefaults = {
  saidAs: '',
  phones: [{ type: 'desk', seconds: phoneSeconds.usual }],
  email: '',
  mobile: '',
  inDirectory: true,
  hoursId: null,
  setsOwnHours: false,
} as const satisfies Partial<Person>;

/** Says of hours whether they run at the moment that is meant. */
export type Keeps = (hoursId: Id<'hours'>) => boolean;

const atAnyTime: Keeps = () => true;

/**
 * The phones of somebody that ring, in their order: those that are for on call only when that is meant too, those with hours
 * of their own while these run.
 */
export function phonesRung(
  { phones }: Pick<Person, 'phones'>,
  onCall = false,
  keeps: Keeps = atAnyTime,
): readonly PersonPhone[] {
  if (phones.every(({ onCallOnly, hoursId }) => (onCall || !onCallOnly) && !hoursId)) return phones;
  return phones.filter(({ onCallOnly, hoursId }) => (onCall || !onCallOnly) && (!hoursId || keeps(hoursId)));
}

/** Whether somebody works at a moment, as `keeps` says it of hours; without hours of their own they always do. */
export function works({ hoursId }: Pick<Person, 'hoursId'>, keeps: Keeps): boolean {
  return hoursId === null || keeps(hoursId);
}

/** How a person's name is spoken. */
export function spokenName({ name, saidAs }: Pick<Person, 'name' | 'saidAs'>): string {
  return saidAs.trim() || name;
}
